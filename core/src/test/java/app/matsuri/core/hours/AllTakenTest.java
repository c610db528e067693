package app.matsuri.core.hours;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.meets;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.OfficeHours;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Office hours in which nobody finds a place. */
class AllTakenTest {

    private static final TeachingCalendar CALENDAR = TeachingCalendar.of(demoTerm());
    private static final OfficeHours HOURS = weekly(new BookingRules(15, 5, 2, 1, 1, null, null, 14, 1, 1, false));
    private static final Slots SLOTS = Slots.of(CALENDAR, HOURS);

    private static OfficeHours weekly(@Nullable BookingRules rules) {
        return new OfficeHours(
                "oh",
                "Office hours",
                List.of(),
                List.of(meets("TU", "13:00", 60)),
                rules,
                "",
                false,
                List.of(),
                Set.of(),
                Extra.NONE);
    }

    /** With every slot held that begins within so many days of Mon 5 Oct 2026, but for some at the end of those. */
    private static Optional<AllTaken> taken(int days, int free) {
        LocalDate from = LocalDate.of(2026, 10, 5);
        List<Held> held = SLOTS.all().stream()
                .filter(s -> !s.date().isBefore(from) && s.date().isBefore(from.plusDays(days)))
                .map(s -> new Held(s.name(), s.start(), 2, false))
                .toList();
        return AllTaken.of(new Offering(CALENDAR, SLOTS, held.subList(0, held.size() - free), at("2026-10-05T08:00")));
    }

    @Test
    void isSaidFromAWeekOn() {
        assertThat(taken(0, 0)).isEmpty();
        assertThat(taken(7, 1)).isEmpty();
        assertThat(taken(21, 0).map(AllTaken::weeks)).contains(3);
        assertThat(taken(21, 0).map(AllTaken::until))
                .contains(SLOTS.all().stream()
                        .map(Slot::date)
                        .filter(d -> !d.isBefore(LocalDate.of(2026, 10, 26)))
                        .findFirst()
                        .orElseThrow());
        assertThat(taken(400, 0).map(AllTaken::until).isEmpty()).isTrue();
        assertThat(taken(400, 0).map(AllTaken::weeks).orElse(0)).isGreaterThan(8);
    }

    @Test
    void isNotSaidOfHoursWithoutSlotsNorWhereNothingIsGivenOut() {
        OfficeHours open = weekly(null);
        assertThat(AllTaken.of(new Offering(CALENDAR, Slots.of(CALENDAR, open), List.of(), at("2026-10-05T08:00"))))
                .isEmpty();
        assertThat(AllTaken.of(new Offering(CALENDAR, SLOTS, List.of(), at("2027-10-05T08:00"))))
                .isEmpty();
    }
}
