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
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * A group that meets together, with its own decisions on top of the course's plan.
 *
 * @param instructor who teaches it; empty for oneself
 * @param partOf the section that it is a half-group of, as "HYD 210/A"; empty for none
 * @param students its roster
 * @param pace how lessons take its time
 * @param beat for a section without meetings; null where it meets
 * @param lessons what it decided and recorded of lessons, by their ids
 * @param holdsEmpty names of sessions held empty
 * @param taught session name to the ids of the lessons taught in it; none for a session in which nothing was reached
 * @param sessionLinks session name to the links and recordings that were added to it for students
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
        @Nullable Beat beat,
        List<SessionChange> sessionChanges,
        Map<String, OwnLesson> lessons,
        Set<LocalDateTime> holdsEmpty,
        Map<LocalDateTime, List<String>> taught,
        Map<LocalDateTime, List<Link>> sessionLinks,
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
        // in an order of their own, so that equal decisions are written alike however they came about
        Map<String, OwnLesson> own = new TreeMap<>(lessons);
        own.values().removeIf(OwnLesson.NOTHING::equals);
        lessons = Collections.unmodifiableMap(own);
        holdsEmpty = Collections.unmodifiableSet(new TreeSet<>(holdsEmpty));
        taught = Collections.unmodifiableMap(new TreeMap<>(taught));
        Map<LocalDateTime, List<Link>> added = new TreeMap<>(sessionLinks);
        added.values().removeIf(List::isEmpty);
        sessionLinks = Collections.unmodifiableMap(added);
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
            String code, String instructor, String partOf, Pace pace, List<MeetingPattern> meets, @Nullable Beat beat) {
        return new Section(
                code,
                instructor,
                partOf,
                List.of(),
                pace,
                meets,
                beat,
                List.of(),
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

    /** What it decided and recorded of a lesson. */
    public OwnLesson own(String lesson) {
        return lessons.getOrDefault(lesson, OwnLesson.NOTHING);
    }

    /** The ids of the lessons of which something is so here. */
    public Set<String> lessonsWhere(Predicate<OwnLesson> so) {
        Set<String> ids = new LinkedHashSet<>();
        lessons.forEach((id, own) -> {
            if (so.test(own)) {
                ids.add(id);
            }
        });
        return ids;
    }

    /** What is said of one thing about lessons here, by their ids; without those of which nothing is. */
    public <T> Map<String, T> ofLessons(Function<OwnLesson, T> said) {
        Map<String, T> all = new LinkedHashMap<>();
        lessons.forEach((id, own) -> {
            T is = said.apply(own);
            if (is != null) {
                all.put(id, is);
            }
        });
        return all;
    }

    /** The date the lesson must be on here; null for none. */
    public @Nullable LocalDate pin(Lesson lesson) {
        return own(lesson.id()).pin().over(lesson.pin());
    }

    /** Empty sessions to leave before the lesson here, 0 or more. */
    public int gap(Lesson lesson) {
        return Math.max(0, lesson.gapBefore() + gap(lesson.id()));
    }

    /** Sessions more, or fewer, to leave empty before the lesson than the plan does. */
    public int gap(String lesson) {
        Integer gap = own(lesson).gap();
        return gap == null ? 0 : gap;
    }

    /** The lesson's length here, in sessions. */
    public int length(Lesson lesson) {
        Integer length = own(lesson.id()).length();
        return length == null ? lesson.length() : length;
    }

    /**
     * By minutes, how many a lesson taught in part still asks for: the least there is to go on with, or more.
     *
     * @param classes in how many it was taught
     * @param usual minutes of a usual class
     */
    public int minutesLeft(Lesson lesson, int classes, int usual) {
        Integer had = own(lesson.id()).minutesHad();
        return had == null
                ? Math.max(1, length(lesson) - classes) * usual
                : Math.max(Timetable.LEAST_MINUTES, length(lesson) * usual - had);
    }

    public boolean leavesOut(Lesson lesson) {
        return own(lesson.id()).leftOut();
    }

    /** What a section is made of while one thing of it is changed. */
    private final class Draft {
        String partOf = Section.this.partOf;
        List<Student> students = Section.this.students;
        List<MeetingPattern> meets = Section.this.meets;
        List<SessionChange> sessionChanges = Section.this.sessionChanges;
        Map<String, OwnLesson> lessons = Section.this.lessons;
        Set<LocalDateTime> holdsEmpty = Section.this.holdsEmpty;
        Map<LocalDateTime, List<String>> taught = Section.this.taught;
        Map<LocalDateTime, List<Link>> sessionLinks = Section.this.sessionLinks;
        Told told = Section.this.told;
        List<Adjustment> adjustments = Section.this.adjustments;
    }

    private Section with(Consumer<Draft> change) {
        Draft draft = new Draft();
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
                draft.lessons,
                draft.holdsEmpty,
                draft.taught,
                draft.sessionLinks,
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

    /** The same with something else said of a lesson. */
    public Section withOwn(String lesson, UnaryOperator<OwnLesson> other) {
        Map<String, OwnLesson> now = new LinkedHashMap<>(lessons);
        now.put(lesson, other.apply(own(lesson)));
        return with(d -> d.lessons = now);
    }

    public Section withLeftOut(String lesson, boolean leave) {
        return withOwn(lesson, own -> own.withLeftOut(leave));
    }

    /** The same with so many sessions more to leave empty before a lesson; 0 for none of its own. */
    public Section withGap(String lesson, int gap) {
        return withOwn(lesson, own -> own.withGap(gap == 0 ? null : gap));
    }

    /** The same with a length of its own for a lesson; null for none of its own. */
    public Section withLength(String lesson, @Nullable Integer length) {
        return withOwn(lesson, own -> own.withLength(length));
    }

    public Section withJoined(String lesson, boolean join) {
        return withOwn(lesson, own -> own.withJoined(join));
    }

    public Section withMidWeek(String lesson, boolean anyDay) {
        return withOwn(lesson, own -> own.withMidWeek(anyDay));
    }

    public Section withPin(String lesson, Own<LocalDate> pin) {
        return withOwn(lesson, own -> own.withPin(pin));
    }

    public Section withHoldsEmpty(Set<LocalDateTime> others) {
        return with(d -> d.holdsEmpty = others);
    }

    /** The same with other records; what minutes lessons had is kept of those taught in part alone. */
    public Section withTaught(Map<LocalDateTime, List<String>> records, Set<String> inPart) {
        Map<String, OwnLesson> now = new LinkedHashMap<>();
        lessons.forEach((id, own) -> now.put(id, own.withPartly(inPart.contains(id))));
        inPart.forEach(id -> now.putIfAbsent(id, OwnLesson.NOTHING.withPartly(true)));
        return with(d -> {
            d.taught = records;
            d.lessons = now;
        });
    }

    /** The same with the minutes that a lesson taught in part had; null where it is not known. */
    public Section withMinutesHad(String lesson, @Nullable Integer minutes) {
        return withOwn(lesson, own -> own.withMinutesHad(minutes));
    }

    /** The same with why a lesson took longer; null for nothing noted. */
    public Section withNote(String lesson, @Nullable String note) {
        return withOwn(lesson, own -> own.withNote(note));
    }

    /** The same with the links that are added to a session; none takes them away. */
    public Section withSessionLinks(LocalDateTime session, List<Link> links) {
        return with(d -> d.sessionLinks = With.entry(sessionLinks, session, links));
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
