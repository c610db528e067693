package app.matsuri.core.schedule;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.TeachingCalendar;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;

/**
 * When things may be due in a section.
 *
 * @param off the days and hours, of those that concern the section, in which nothing may be due
 */
record DueDays(TeachingCalendar calendar, List<Closure> off) {

    static DueDays of(TeachingCalendar calendar, String course, String section) {
        return new DueDays(
                calendar,
                calendar.term().closures().stream()
                        .filter(c -> c.nothingDue() && c.concerns(course, section))
                        .toList());
    }

    /** Whether the moment lies on a day, or in hours, in which nothing may be due. */
    boolean nothingDue(LocalDateTime at) {
        if (calendar.term().extraDays().contains(at.toLocalDate())) {
            return false;
        }
        for (Closure closure : off) {
            if (closure.covers(at)) {
                return true;
            }
        }
        return false;
    }

    /**
     * The first teaching day at which things may be due at a time of day, from one so many teaching days on, that day included;
     * empty where the term has none.
     *
     * @param first counted as {@link TeachingCalendar#plus} counts
     * @param step 1 for onward from there, -1 for back
     */
    Optional<LocalDate> next(LocalDate from, int first, int step, LocalTime time) {
        Optional<LocalDate> day = calendar.plus(from, first);
        while (day.isPresent() && nothingDue(day.get().atTime(time))) {
            day = calendar.plus(day.get(), step);
        }
        return day;
    }
}
