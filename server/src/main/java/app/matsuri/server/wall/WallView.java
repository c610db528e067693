package app.matsuri.server.wall;

import app.matsuri.server.findings.FindingView;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The Wall of one section as it is drawn: every date worked out, nothing left to the browser but drawing.
 *
 * @param version version of the decisions it shows
 * @param today the day that counts as today
 * @param others the days of the term that have no column, in order
 * @param undo what an undo would take back; null for nothing
 * @param redo what a redo would make again; null for nothing
 */
public record WallView(
        long termId,
        long version,
        String termName,
        LocalDate first,
        LocalDate last,
        LocalDate today,
        String weekStart,
        List<SectionChoice> sections,
        SectionView section,
        List<Column> columns,
        List<Week> weeks,
        List<Day> others,
        Outline outline,
        List<FindingView> findings,
        @Nullable String undo,
        @Nullable String redo) {

    /** A section that can be chosen. */
    public record SectionChoice(String course, String courseTitle, String section) {}

    /**
     * The section that is shown.
     *
     * @param lastClass the day of the last class before today; null where none was
     * @param toldUpTo the last day whose dates students were told; null where it is not one of the term
     */
    public record SectionView(
            String course,
            String courseTitle,
            String section,
            String pace,
            int sessions,
            int minutes,
            @Nullable Integer requiredMinutes,
            int weekLimit,
            int lessons,
            int usualMinutes,
            @Nullable LocalDate lastClass,
            @Nullable LocalDate toldUpTo) {}

    /**
     * One weekday.
     *
     * @param weekday 1 for Monday to 7
     * @param meets whether the section usually meets on it
     * @param time when; null where it does not meet or at several times
     */
    public record Column(
            int weekday, boolean meets, @Nullable LocalTime time) {}

    /**
     * One week.
     *
     * @param number term week, from 1
     * @param teachingWeek number among the weeks that teach; null where none of its days does
     * @param away where the whole week is off: why; null otherwise
     * @param headline of the week; may be empty
     * @param targets what is to be reached in it
     */
    public record Week(
            int number,
            @Nullable Integer teachingWeek,
            LocalDate first,
            int minutes,
            int over,
            @Nullable String away,
            String headline,
            List<String> targets,
            List<Day> days) {}

    /**
     * One day of a week.
     *
     * @param inTerm whether it lies within the term
     * @param lastTold the last day of its weekday whose dates students were told, where they were told up to a day
     * @param off the day off that covers it; null for none
     * @param notes what else holds on it: parts of days, swapped weekdays
     * @param thread the unit that runs through it; null for none
     * @param notices what is on it that nobody hands in
     * @param words notes on it
     * @param gone what a proposal takes away from it
     */
    public record Day(
            LocalDate date,
            boolean inTerm,
            boolean teaches,
            boolean past,
            boolean today,
            boolean lastTold,
            @Nullable Off off,
            List<String> notes,
            List<SessionView> sessions,
            List<LessonView> lessons,
            @Nullable Thread thread,
            List<ItemView> items,
            DayLoad load,
            List<NoticeView> notices,
            List<NoteView> words,
            List<Gone> gone) {}

    /**
     * A notice on a day.
     *
     * @param course the notice's own course; another than the wall's where it is shared
     * @param sharedWith other courses, or sections of them, that have it too; null for none
     * @param entry the day that names the entry of a series; null for a notice that is once
     * @param begins when it begins, on this or an earlier day
     * @param ends when it ends, on this or a later day
     * @param own for oneself alone
     * @param hiddenUntil students do not see it before; null for none
     */
    public record NoticeView(
            String course,
            @Nullable List<String> sharedWith,
            String id,
            String title,
            String place,
            @Nullable LocalDate entry,
            LocalDateTime begins,
            LocalDateTime ends,
            boolean allDay,
            boolean own,
            @Nullable LocalDateTime hiddenUntil,
            List<LinkView> links,
            boolean proposed) {}

    /**
     * Words on a day.
     *
     * @param section null for all of the course
     * @param own for oneself and whoever stands in, never for students
     */
    public record NoteView(@Nullable String section, String text, boolean own) {}

    /**
     * How full a day is.
     *
     * @param due how many things are due on it
     * @param minutes of work due on it
     * @param work minutes of work on it, where each thing is spread over the days until it is due
     * @param over by how much those lie above the course's limit of a day; 0 for none
     */
    public record DayLoad(int due, int minutes, int tests, int work, int over) {}

    /** A day off. */
    public record Off(
            LocalDate first,
            LocalDate last,
            String reason,
            String kind,
            boolean noClass,
            boolean planPauses,
            boolean nothingDue,
            boolean justInCase,
            List<String> only,
            boolean proposed) {}

    /**
     * A class.
     *
     * @param name the start it first had
     * @param number from 1
     * @param state "open", "taught", "paused", "held" or "early"
     */
    public record SessionView(
            LocalDateTime name,
            LocalDateTime start,
            LocalDateTime end,
            int number,
            int minutes,
            String place,
            String state,
            boolean beat) {}

    /**
     * A lesson on a day.
     *
     * @param part which of its classes it is, from 1
     * @param joined whether it shares the class of the lesson before it
     * @param told what students were told of its first class, in words; null where it is what is planned
     * @param proposed whether a proposal puts it here
     */
    public record LessonView(
            String id,
            String unit,
            String title,
            int part,
            int parts,
            boolean taught,
            boolean pinned,
            boolean joined,
            boolean optional,
            boolean reserve,
            @Nullable String told,
            List<StepView> steps,
            List<LinkView> links,
            boolean proposed) {}

    /** One step of a lesson on the clock. */
    public record StepView(LocalTime time, int minutes, String text) {}

    /** A link of a thing, to open from the day's list. */
    public record LinkView(String title, String url) {}

    /**
     * A unit's thread on a day.
     *
     * @param begins whether it begins here
     * @param ends whether it ends here
     */
    public record Thread(String unit, boolean begins, boolean ends) {}

    /**
     * One date of an item on a day.
     *
     * @param course the course that shares it; null for the wall's own
     * @param sharedWith other courses, or sections of them, that have it too; null for none
     * @param which "opens", "due" or "closes"
     * @param audience whom it is for: "sections", "attendees" or "extra-credit"; null for all
     * @param fixed whether the date was typed by hand
     * @param draft true where students are not told of it until it is given out
     * @param hangsOn what it moves with, in words; null where it is fixed
     * @param told what students were told of this date, in words; null where it is what is planned
     */
    public record ItemView(
            @Nullable String course,
            @Nullable List<String> sharedWith,
            String id,
            String unit,
            @Nullable String lesson,
            String title,
            String shortName,
            String kind,
            boolean test,
            String which,
            LocalTime time,
            @Nullable Integer minutes,
            @Nullable String audience,
            boolean fixed,
            boolean rolled,
            boolean locked,
            @Nullable Boolean draft,
            @Nullable String hangsOn,
            @Nullable String told,
            List<LinkView> links,
            boolean proposed) {}

    /** Something that a proposal takes away from a day, and where it goes. */
    public record Gone(
            String what, String id, String title, @Nullable LocalDateTime to, String why) {}

    /**
     * The outline at the wall's left.
     *
     * @param notices those that belong to no unit
     */
    public record Outline(
            List<OutlineItem> noDate,
            List<OutlineLesson> noSession,
            List<OutlineUnit> units,
            List<OutlineNotice> notices) {}

    /**
     * A unit in the outline; its number gives its pattern, and its colour where none was chosen.
     *
     * @param colour name of the colour; empty for the one of its number
     */
    public record OutlineUnit(
            String id,
            String code,
            String title,
            int number,
            String colour,
            @Nullable LocalDate first,
            @Nullable LocalDate last,
            boolean startsWeek,
            @Nullable Boolean draft,
            List<OutlineLesson> lessons,
            List<OutlineItem> items,
            List<OutlineNotice> notices) {}

    /**
     * A notice of the course in the outline.
     *
     * @param unit id of its unit; null for none
     * @param date when it begins, of a series its next entry from today on; null where it has no date
     * @param times how many entries it has
     */
    public record OutlineNotice(
            String id,
            @Nullable String unit,
            String title,
            @Nullable LocalDateTime date,
            boolean series,
            int times,
            boolean own,
            boolean moved) {}

    /**
     * A lesson in the outline with the work that belongs to it.
     *
     * @param state "planned", "taught", "partly", "left-out" or "no-session"
     */
    public record OutlineLesson(
            String id,
            String unit,
            String title,
            String state,
            @Nullable LocalDate date,
            int length,
            @Nullable LocalDate pin,
            boolean optional,
            boolean reserve,
            boolean moved,
            List<OutlineItem> items) {}

    /**
     * An item in the outline.
     *
     * @param within id of the item that it lies in; null for none
     * @param minutes expected; null where unknown
     */
    public record OutlineItem(
            String id,
            String title,
            String kind,
            String marking,
            @Nullable LocalDateTime date,
            String unit,
            @Nullable String lesson,
            @Nullable String within,
            @Nullable Integer minutes,
            boolean locked,
            @Nullable Boolean draft,
            boolean moved) {}
}
