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
import java.util.function.Consumer;

/**
 * A group that meets together, with its own decisions on top of the course's plan.
 *
 * @param instructor who teaches it; empty for oneself
 * @param partOf the section that it is a half-group of, as "HYD 210/A"; empty for none
 * @param students its roster
 * @param pace how lessons take its time
 * @param beat for a section without meetings; null where it meets
 * @param leavesOut ids of lessons left out here
 * @param gaps lesson id to sessions more (or, negative, fewer) to leave empty before it
 * @param lengths lesson id to its length here, in sessions
 * @param joined ids of lessons that share the last session of the lesson before them here
 * @param midWeek ids of lessons that may begin their unit on any session of a week here
 * @param pins lesson id to its date here; an empty date takes the plan's pin away
 * @param holdsEmpty names of sessions held empty
 * @param taught session name to the ids of the lessons taught in it; none for a session in which nothing was reached
 * @param partly ids of lessons taught in part, whose rest goes on
 * @param minutesHad by minutes, for lessons taught in part: the minutes that they had; where it is not known, each class that one
 *     had counts as a usual one
 * @param notes lesson id to why it took longer
 * @param told what its students were told
 * @param adjustments other dates for this section, or for one of its students
 */
public record Section(
        String code,
        String instructor,
        String partOf,
        List<Student> students,
        Pace pace,
        List<MeetingPattern> meets,
        Beat beat,
        List<SessionChange> sessionChanges,
        Set<String> leavesOut,
        Map<String, Integer> gaps,
        Map<String, Integer> lengths,
        Set<String> joined,
        Set<String> midWeek,
        Map<String, Optional<LocalDate>> pins,
        Set<LocalDateTime> holdsEmpty,
        Map<LocalDateTime, List<String>> taught,
        Set<String> partly,
        Map<String, Integer> minutesHad,
        Map<String, String> notes,
        Told told,
        List<Adjustment> adjustments,
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
        students = List.copyOf(students);
        meets = List.copyOf(meets);
        sessionChanges = List.copyOf(sessionChanges);
        leavesOut = Collections.unmodifiableSet(new LinkedHashSet<>(leavesOut));
        gaps = Collections.unmodifiableMap(new LinkedHashMap<>(gaps));
        lengths = Collections.unmodifiableMap(new LinkedHashMap<>(lengths));
        joined = Collections.unmodifiableSet(new LinkedHashSet<>(joined));
        midWeek = Collections.unmodifiableSet(new LinkedHashSet<>(midWeek));
        pins = Collections.unmodifiableMap(new LinkedHashMap<>(pins));
        holdsEmpty = Collections.unmodifiableSet(new LinkedHashSet<>(holdsEmpty));
        taught = Collections.unmodifiableMap(new LinkedHashMap<>(taught));
        partly = Collections.unmodifiableSet(new LinkedHashSet<>(partly));
        minutesHad = Collections.unmodifiableMap(new LinkedHashMap<>(minutesHad));
        notes = Collections.unmodifiableMap(new LinkedHashMap<>(notes));
        Objects.requireNonNull(told, "told");
        adjustments = List.copyOf(adjustments);
    }

    /** A section that meets as said and has decided nothing of its own. */
    public static Section of(String code, Pace pace, List<MeetingPattern> meets) {
        return blank(code, "", "", pace, meets, null);
    }

    /** The same group, meeting as said, with nobody on its roster and nothing decided, recorded or told. */
    public Section anew(List<MeetingPattern> others) {
        return blank(code, instructor, partOf, pace, others, beat);
    }

    private static Section blank(
            String code, String instructor, String partOf, Pace pace, List<MeetingPattern> meets, Beat beat) {
        return new Section(
                code,
                instructor,
                partOf,
                List.of(),
                pace,
                meets,
                beat,
                List.of(),
                Set.of(),
                Map.of(),
                Map.of(),
                Set.of(),
                Set.of(),
                Map.of(),
                Set.of(),
                Map.of(),
                Set.of(),
                Map.of(),
                Map.of(),
                Told.NOTHING,
                List.of(),
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

    /**
     * By minutes, how many a lesson taught in part still asks for: the least there is to go on with, or more.
     *
     * @param classes in how many it was taught
     * @param usual minutes of a usual class
     */
    public int minutesLeft(Lesson lesson, int classes, int usual) {
        Integer had = minutesHad.get(lesson.id());
        return had == null
                ? Math.max(1, length(lesson) - classes) * usual
                : Math.max(Timetable.LEAST_MINUTES, length(lesson) * usual - had);
    }

    public boolean leavesOut(Lesson lesson) {
        return leavesOut.contains(lesson.id());
    }

    /** What a section is made of while one thing of it is changed. */
    private static final class Draft {
        String partOf;
        List<Student> students;
        List<MeetingPattern> meets;
        List<SessionChange> sessionChanges;
        Set<String> leavesOut;
        Map<String, Integer> gaps;
        Map<String, Integer> lengths;
        Set<String> joined;
        Set<String> midWeek;
        Map<String, Optional<LocalDate>> pins;
        Set<LocalDateTime> holdsEmpty;
        Map<LocalDateTime, List<String>> taught;
        Set<String> partly;
        Map<String, Integer> minutesHad;
        Map<String, String> notes;
        Told told;
        List<Adjustment> adjustments;
    }

    private Section with(Consumer<Draft> change) {
        Draft draft = new Draft();
        draft.partOf = partOf;
        draft.students = students;
        draft.meets = meets;
        draft.sessionChanges = sessionChanges;
        draft.leavesOut = leavesOut;
        draft.gaps = gaps;
        draft.lengths = lengths;
        draft.joined = joined;
        draft.midWeek = midWeek;
        draft.pins = pins;
        draft.holdsEmpty = holdsEmpty;
        draft.taught = taught;
        draft.partly = partly;
        draft.minutesHad = minutesHad;
        draft.notes = notes;
        draft.told = told;
        draft.adjustments = adjustments;
        change.accept(draft);
        return new Section(
                code,
                instructor,
                draft.partOf,
                draft.students,
                pace,
                draft.meets,
                beat,
                draft.sessionChanges,
                draft.leavesOut,
                draft.gaps,
                draft.lengths,
                draft.joined,
                draft.midWeek,
                draft.pins,
                draft.holdsEmpty,
                draft.taught,
                draft.partly,
                draft.minutesHad,
                draft.notes,
                draft.told,
                draft.adjustments,
                extra);
    }

    /** The same as a half-group of another section, given as "HYD 210/A"; empty for none. */
    public Section asPartOf(String other) {
        return with(d -> d.partOf = other);
    }

    public Section withStudents(List<Student> others) {
        return with(d -> d.students = others);
    }

    public Section withMeets(List<MeetingPattern> others) {
        return with(d -> d.meets = others);
    }

    public Section withSessionChanges(List<SessionChange> others) {
        return with(d -> d.sessionChanges = others);
    }

    public Section withLeavesOut(Set<String> others) {
        return with(d -> d.leavesOut = others);
    }

    /** The same with so many sessions more to leave empty before a lesson; 0 for none of its own. */
    public Section withGap(String lesson, int gap) {
        return with(d -> d.gaps = With.entry(gaps, lesson, gap == 0 ? null : gap));
    }

    /** The same with a length of its own for a lesson; null for none of its own. */
    public Section withLength(String lesson, Integer length) {
        return with(d -> d.lengths = With.entry(lengths, lesson, length));
    }

    public Section withJoined(Set<String> others) {
        return with(d -> d.joined = others);
    }

    public Section withMidWeek(Set<String> others) {
        return with(d -> d.midWeek = others);
    }

    /** The same with a pin of its own, one that takes the plan's away (empty), or none of its own (null). */
    public Section withPin(String lesson, Optional<LocalDate> pin) {
        return with(d -> d.pins = With.entry(pins, lesson, pin));
    }

    public Section withHoldsEmpty(Set<LocalDateTime> others) {
        return with(d -> d.holdsEmpty = others);
    }

    /** The same with other records; what minutes lessons had is kept of those taught in part alone. */
    public Section withTaught(Map<LocalDateTime, List<String>> records, Set<String> inPart) {
        Map<String, Integer> had = new LinkedHashMap<>(minutesHad);
        had.keySet().retainAll(inPart);
        return with(d -> {
            d.taught = records;
            d.partly = inPart;
            d.minutesHad = had;
        });
    }

    /** The same with the minutes that a lesson taught in part had; null where it is not known. */
    public Section withMinutesHad(String lesson, Integer minutes) {
        return with(d -> d.minutesHad = With.entry(minutesHad, lesson, minutes));
    }

    public Section withNotes(Map<String, String> others) {
        return with(d -> d.notes = others);
    }

    public Section withTold(Told other) {
        return with(d -> d.told = other);
    }

    public Section withAdjustments(List<Adjustment> others) {
        return with(d -> d.adjustments = others);
    }

    /** Its own dates of an item, for all its students; empty where it has none. */
    public Optional<Adjustment> adjustment(String item) {
        return adjustments.stream().filter(a -> a.same(item, null)).findFirst();
    }

    /** The same with the adjustment in place of the one for the same item and people; without dates, without it. */
    public Section adjusted(Adjustment adjustment) {
        return withAdjustments(
                adjustment.dates().isEmpty()
                        ? With.without(adjustments, a -> a.same(adjustment.item(), adjustment.student()))
                        : With.put(adjustments, a -> a.same(adjustment.item(), adjustment.student()), adjustment));
    }
}
