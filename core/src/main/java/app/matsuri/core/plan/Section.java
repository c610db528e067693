package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.session.Beat;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.SessionChange;
import app.matsuri.core.session.Timetable;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * A group that meets together, with its own decisions on top of the course's plan.
 *
 * @param pace how lessons take its time
 * @param beat for a section without meetings; null where it meets
 * @param leavesOut ids of lessons left out here
 * @param gaps lesson id to sessions more (or, negative, fewer) to leave empty before it
 * @param lengths lesson id to its length here, in sessions
 * @param pins lesson id to its date here; an empty date takes the plan's pin away
 * @param holdsEmpty names of sessions held empty
 * @param taught session name to the ids of the lessons taught in it; none for a session in which nothing was reached
 * @param partly ids of lessons taught in part, whose rest goes on
 * @param notes lesson id to why it took longer
 */
public record Section(
        String code,
        Pace pace,
        List<MeetingPattern> meets,
        Beat beat,
        List<SessionChange> sessionChanges,
        Set<String> leavesOut,
        Map<String, Integer> gaps,
        Map<String, Integer> lengths,
        Map<String, Optional<LocalDate>> pins,
        Set<LocalDateTime> holdsEmpty,
        Map<LocalDateTime, List<String>> taught,
        Set<String> partly,
        Map<String, String> notes,
        Extra extra) {

    /** How lessons take a section's time. */
    public enum Pace {
        /** Whole sessions. */
        SESSIONS,
        /** Minutes, so that a lesson may begin and end within a session. */
        MINUTES
    }

    public Section {
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(pace, "pace");
        meets = List.copyOf(meets);
        sessionChanges = List.copyOf(sessionChanges);
        leavesOut = Collections.unmodifiableSet(new LinkedHashSet<>(leavesOut));
        gaps = Collections.unmodifiableMap(new LinkedHashMap<>(gaps));
        lengths = Collections.unmodifiableMap(new LinkedHashMap<>(lengths));
        pins = Collections.unmodifiableMap(new LinkedHashMap<>(pins));
        holdsEmpty = Collections.unmodifiableSet(new LinkedHashSet<>(holdsEmpty));
        taught = Collections.unmodifiableMap(new LinkedHashMap<>(taught));
        partly = Collections.unmodifiableSet(new LinkedHashSet<>(partly));
        notes = Collections.unmodifiableMap(new LinkedHashMap<>(notes));
    }

    /** A section that meets as said and has decided nothing of its own. */
    public static Section of(String code, Pace pace, List<MeetingPattern> meets) {
        return new Section(
                code,
                pace,
                meets,
                null,
                List.of(),
                Set.of(),
                Map.of(),
                Map.of(),
                Map.of(),
                Set.of(),
                Map.of(),
                Set.of(),
                Map.of(),
                Extra.NONE);
    }

    /** How its sessions come about. */
    public Timetable timetable(String course) {
        return new Timetable(course, code, meets, beat, sessionChanges, holdsEmpty, taught.keySet());
    }

    /** The date the lesson must be on here; null for none. */
    public LocalDate pin(Lesson lesson) {
        Optional<LocalDate> own = pins.get(lesson.id());
        return own == null ? lesson.pin() : own.orElse(null);
    }

    /** Empty sessions to leave before the lesson here, 0 or more. */
    public int gap(Lesson lesson) {
        return Math.max(0, lesson.gapBefore() + gaps.getOrDefault(lesson.id(), 0));
    }

    /** The lesson's length here, in sessions. */
    public int length(Lesson lesson) {
        return lengths.getOrDefault(lesson.id(), lesson.length());
    }

    public boolean leavesOut(Lesson lesson) {
        return leavesOut.contains(lesson.id());
    }

    public Section withSessionChanges(List<SessionChange> others) {
        return new Section(
                code,
                pace,
                meets,
                beat,
                others,
                leavesOut,
                gaps,
                lengths,
                pins,
                holdsEmpty,
                taught,
                partly,
                notes,
                extra);
    }

    public Section withLeavesOut(Set<String> others) {
        return new Section(
                code,
                pace,
                meets,
                beat,
                sessionChanges,
                others,
                gaps,
                lengths,
                pins,
                holdsEmpty,
                taught,
                partly,
                notes,
                extra);
    }

    public Section withGap(String lesson, int gap) {
        return new Section(
                code,
                pace,
                meets,
                beat,
                sessionChanges,
                leavesOut,
                With.entry(gaps, lesson, gap == 0 ? null : gap),
                lengths,
                pins,
                holdsEmpty,
                taught,
                partly,
                notes,
                extra);
    }

    /** The same with a length of its own for a lesson; null for none of its own. */
    public Section withLength(String lesson, Integer length) {
        return new Section(
                code,
                pace,
                meets,
                beat,
                sessionChanges,
                leavesOut,
                gaps,
                With.entry(lengths, lesson, length),
                pins,
                holdsEmpty,
                taught,
                partly,
                notes,
                extra);
    }

    /** The same with a pin of its own, one that takes the plan's away (empty), or none of its own (null). */
    public Section withPin(String lesson, Optional<LocalDate> pin) {
        return new Section(
                code,
                pace,
                meets,
                beat,
                sessionChanges,
                leavesOut,
                gaps,
                lengths,
                With.entry(pins, lesson, pin),
                holdsEmpty,
                taught,
                partly,
                notes,
                extra);
    }

    public Section withHoldsEmpty(Set<LocalDateTime> others) {
        return new Section(
                code,
                pace,
                meets,
                beat,
                sessionChanges,
                leavesOut,
                gaps,
                lengths,
                pins,
                others,
                taught,
                partly,
                notes,
                extra);
    }

    public Section withTaught(Map<LocalDateTime, List<String>> records, Set<String> inPart) {
        return new Section(
                code,
                pace,
                meets,
                beat,
                sessionChanges,
                leavesOut,
                gaps,
                lengths,
                pins,
                holdsEmpty,
                records,
                inPart,
                notes,
                extra);
    }

    public Section withNotes(Map<String, String> others) {
        return new Section(
                code,
                pace,
                meets,
                beat,
                sessionChanges,
                leavesOut,
                gaps,
                lengths,
                pins,
                holdsEmpty,
                taught,
                partly,
                others,
                extra);
    }
}
