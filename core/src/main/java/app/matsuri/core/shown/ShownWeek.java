package app.matsuri.core.shown;

import java.time.LocalDate;
import java.util.List;

/**
 * A week of the term as it was told.
 *
 * @param number which of the term's weeks, from 1
 * @param first its first day, also where that lies before the term
 * @param headline may be empty
 * @param targets what is to be reached in it
 * @param days all seven, in order
 */
public record ShownWeek(int number, LocalDate first, String headline, List<String> targets, List<ShownDay> days) {

    public ShownWeek {
        targets = List.copyOf(targets);
        days = List.copyOf(days);
    }

    /** Whether nothing is said of it. */
    public boolean blank() {
        return headline.isEmpty() && targets.isEmpty() && days.stream().allMatch(ShownDay::blank);
    }
}
