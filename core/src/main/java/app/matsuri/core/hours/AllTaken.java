package app.matsuri.core.hours;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * That nobody finds a place in office hours for some weeks.
 *
 * @param weeks how many whole weeks from now, 1 or more
 * @param until the day of the next slot with a place; null where none comes any more
 */
public record AllTaken(int weeks, @Nullable LocalDate until) {

    /** Whether it is so: empty where a place is free within a week, or where nothing is given out before one is. */
    public static Optional<AllTaken> of(Offering offering) {
        if (offering.hours().booking() == null) {
            return Optional.empty();
        }
        LocalDate today = offering.now().toLocalDate();
        List<Slot> ahead = offering.slots().all().stream()
                .filter(slot -> !slot.blocked() && slot.start().isAfter(offering.now()))
                .toList();
        LocalDate free = ahead.stream()
                .filter(slot -> offering.free(slot) > 0)
                .map(Slot::date)
                .findFirst()
                .orElse(null);
        LocalDate last = free != null
                ? free
                : ahead.stream()
                        .map(slot -> slot.date().plusDays(1))
                        .reduce((a, b) -> b)
                        .orElse(today);
        long taken = ahead.stream().filter(slot -> slot.date().isBefore(last)).count();
        int weeks = (int) (ChronoUnit.DAYS.between(today, last) / 7);
        return taken == 0 || weeks == 0 ? Optional.empty() : Optional.of(new AllTaken(weeks, free));
    }
}
