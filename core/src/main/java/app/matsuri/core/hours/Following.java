package app.matsuri.core.hours;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What becomes of bookings when a plan is another: they follow their slots. */
public final class Following {

    private final Map<String, Slots> slots = new HashMap<>();

    public Following(Decisions decisions) {
        TeachingCalendar calendar = TeachingCalendar.of(decisions.term());
        for (OfficeHours hours : decisions.officeHours()) {
            slots.put(hours.id(), Slots.of(calendar, hours));
        }
    }

    /**
     * What became of a booking.
     *
     * @param slot as it is now; null where it is gone
     * @param why the day off that took it; empty for none
     */
    public record Now(@Nullable Slot slot, String why) {}

    /** The slot of that name, and why it is not there. */
    public Now of(String hours, LocalDateTime name) {
        Slots all = slots.get(hours);
        return all == null ? new Now(null, "") : new Now(all.slot(name).orElse(null), all.why(name));
    }

    /** How many places a slot of the hours has; empty where there are none such, or they are open without booking. */
    public Optional<Integer> places(String hours) {
        return Optional.ofNullable(slots.get(hours)).map(s -> s.of().booking()).map(rules -> rules.places());
    }
}
