package app.matsuri.server.calendar;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A term as it is set up: every day of its weeks, what it gives to each section, and what is decided about it.
 *
 * @param firstPlanDay null for the first day
 * @param findings how many findings there are
 * @param undo what an undo would take back; null for nothing
 * @param redo what a redo would make again; null for nothing
 */
public record CalendarView(
        long termId,
        long version,
        String termName,
        LocalDate first,
        LocalDate last,
        LocalDate today,
        String zone,
        List<String> weekdays,
        String weekStart,
        @Nullable LocalDate firstPlanDay,
        int teachingDays,
        int weekCount,
        int teachingWeeks,
        List<CourseHead> courses,
        List<SectionHead> sections,
        List<CalendarColumn> columns,
        List<CalendarWeek> weeks,
        List<ClosureView> closures,
        List<WeekdayCount> balance,
        @Nullable SwapView mend,
        @Nullable RotationView rotation,
        int findings,
        @Nullable String undo,
        @Nullable String redo) {

    /**
     * A course.
     *
     * @param asks how its hours are asked for, such as "3 credits"; empty for not
     */
    public record CourseHead(
            String code, String title, @Nullable Integer requiredMinutes, String asks, int usualMinutes) {}

    /**
     * A section with its hours.
     *
     * @param meets its series in words, each
     * @param patterns the same as a plan file writes them
     * @param asked minutes of class asked for; null for none
     * @param missing minutes of class that are missing
     * @param missingSessions the same in classes
     * @param leastInAll the fewest minutes of class and work together; null where nothing is asked of them
     */
    public record SectionHead(
            String course,
            String courseTitle,
            String section,
            String instructor,
            String partOf,
            String pace,
            int students,
            @Nullable String beat,
            List<String> meets,
            List<Map<String, Object>> patterns,
            int sessions,
            int minutes,
            int work,
            @Nullable Integer asked,
            int missing,
            int missingSessions,
            @Nullable Integer leastInAll,
            @Nullable Integer mostInAll,
            List<WeekdayCount> byWeekday) {}

    /** A weekday of the wall. */
    public record CalendarColumn(int weekday, boolean teaches) {}

    /**
     * A week.
     *
     * @param counts classes of each section, in the order of the sections
     */
    public record CalendarWeek(
            int number,
            @Nullable Integer teachingWeek,
            LocalDate first,
            List<WeekCount> counts,
            List<CalendarDay> days) {}

    /** Classes of a section in a week: how many stand, and how many would without days off. */
    public record WeekCount(int stand, int usual) {}

    /**
     * A day.
     *
     * @param letter its day letter; null for none
     * @param off which day off covers it whole, as an index; null for none
     * @param parts which others touch it, as indexes
     * @param extra it teaches although its weekday would not
     * @param runsAs the weekday it runs as, as MO to SU; null for its own
     */
    public record CalendarDay(
            LocalDate date,
            boolean inTerm,
            boolean teaches,
            boolean past,
            boolean today,
            @Nullable String letter,
            @Nullable Integer off,
            List<Integer> parts,
            boolean extra,
            @Nullable String runsAs,
            boolean planStart,
            List<CalendarSession> sessions) {}

    /**
     * A class on a day.
     *
     * @param section index of its section
     * @param number from 1
     * @param name the start it first had
     * @param origin "pattern", "moved", "added" or "beat"
     */
    public record CalendarSession(
            int section,
            int number,
            LocalDateTime name,
            LocalDateTime start,
            int minutes,
            String origin,
            boolean paused) {}

    /**
     * A day off or a run of them.
     *
     * @param only whom it concerns; null for everyone
     * @param proposed whether a proposal brings it
     */
    public record ClosureView(
            LocalDate first,
            LocalDate last,
            @Nullable LocalTime from,
            @Nullable String to,
            String reason,
            String kind,
            boolean noClass,
            boolean planPauses,
            boolean nothingDue,
            @Nullable List<String> only,
            boolean justInCase,
            String days,
            boolean proposed) {}

    /** How many days or classes fall on a weekday, 1 for Monday to 7. */
    public record WeekdayCount(int weekday, int count) {}

    /** A day that would run as another weekday, and the same in words. */
    public record SwapView(LocalDate day, String as, String said) {}

    /** Day letters. */
    public record RotationView(List<String> letters, String advances, Map<LocalDate, String> restarts) {}
}
