package app.matsuri.exchange.sheet;

import java.time.LocalDate;
import java.util.List;
import java.util.SortedSet;
import org.jspecify.annotations.Nullable;

/**
 * The term that a sheet is for, as far as it is known.
 *
 * @param first first day
 * @param last last day, inclusive
 * @param off the days off that it has
 * @param classes the days on which the section meets, each once; none where nothing is known
 * @param weeks the first day of each of its weeks, in order
 * @param dayFirst whether 10/11 is usually the tenth of November; null where nothing is known
 */
public record SheetTerm(
        LocalDate first,
        LocalDate last,
        SortedSet<LocalDate> off,
        SortedSet<LocalDate> classes,
        List<LocalDate> weeks,
        @Nullable Boolean dayFirst) {

    /** The week of a day, from 1; 0 before the first. */
    int week(LocalDate day) {
        int week = 0;
        while (week < weeks.size() && !weeks.get(week).isAfter(day)) {
            week++;
        }
        return week;
    }
}
