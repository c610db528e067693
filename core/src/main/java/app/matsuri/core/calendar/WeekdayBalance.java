package app.matsuri.core.calendar;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How many teaching days of a term run as each weekday, and one day that would make them more even. Schools mend the
 * Mondays that holidays take by letting, say, a Tuesday run as a Monday (common practice).
 *
 * @param days teaching days by the weekday they run as; only weekdays that teach
 * @param mend the day that would even them out, and as what it would run; null where they differ by less than two or no
 *     day would help
 */
public record WeekdayBalance(
        Map<DayOfWeek, Integer> days, @Nullable Swap mend) {

    /** A day that would run as another weekday. */
    public record Swap(LocalDate day, DayOfWeek as) {}

    /** Whether some weekday has at least two days fewer than another. */
    public boolean uneven() {
        return spread(days) >= 2;
    }

    private static int spread(Map<DayOfWeek, Integer> days) {
        int most = days.values().stream().mapToInt(Integer::intValue).max().orElse(0);
        int least = days.values().stream().mapToInt(Integer::intValue).min().orElse(0);
        return most - least;
    }

    public static WeekdayBalance of(TeachingCalendar calendar) {
        Term term = calendar.term();
        Map<DayOfWeek, Integer> days = new EnumMap<>(DayOfWeek.class);
        term.weekdays().forEach(weekday -> days.put(weekday, 0));
        for (LocalDate day : calendar.teachingDays()) {
            days.computeIfPresent(term.runsAs(day), (weekday, n) -> n + 1);
        }
        return new WeekdayBalance(days, spread(days) < 2 ? null : swap(calendar, days));
    }

    /** The first day after a lost one of the weekday that has fewest, of a weekday that can spare it. */
    private static @Nullable Swap swap(TeachingCalendar calendar, Map<DayOfWeek, Integer> days) {
        Term term = calendar.term();
        Map.Entry<DayOfWeek, Integer> least =
                days.entrySet().stream().min(Map.Entry.comparingByValue()).orElseThrow();
        DayOfWeek fewest = least.getKey();
        int has = least.getValue();
        for (LocalDate lost = term.first(); !lost.isAfter(term.last()); lost = lost.plusDays(1)) {
            if (lost.getDayOfWeek() != fewest || calendar.teaches(lost) && term.runsAs(lost) == fewest) {
                continue;
            }
            LocalDate endOfWeek = term.weekOf(lost).plusDays(6);
            for (Optional<LocalDate> day = calendar.plus(lost, 1);
                    day.isPresent() && !day.get().isAfter(endOfWeek);
                    day = calendar.plus(day.get(), 1)) {
                LocalDate found = day.get();
                Integer others = days.get(term.runsAs(found));
                if (!term.runsAs().containsKey(found) && others != null && others >= has + 2) {
                    return new Swap(found, fewest);
                }
            }
        }
        return null;
    }
}
