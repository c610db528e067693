package app.matsuri.core.hours;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.OfficeHours;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Optional;

/**
 * What of office hours can be booked, and what cannot and why.
 *
 * @param held what is booked, of all slots of these hours
 * @param now on the clock of the term's zone
 */
public record Offering(TeachingCalendar calendar, Slots slots, List<Held> held, LocalDateTime now) {

    public Offering {
        held = List.copyOf(held);
    }

    /** Why a slot cannot be booked. */
    public enum Not {
        /** There is no such slot, or not any more. */
        GONE,
        /** It is open without booking. */
        OPEN,
        BLOCKED,
        /** It has too few places left. */
        TAKEN,
        /** It cannot be booked yet. */
        NOT_YET,
        /** It is too late to book it. */
        TOO_LATE,
        /** The person holds as many as a week may have. */
        WEEK_FULL,
        /** The person holds as many as the term may have. */
        TERM_FULL,
        /** The group is too small or too large. */
        GROUP_SIZE,
        /** The person holds it already. */
        HELD
    }

    public OfficeHours hours() {
        return slots.of();
    }

    /** Places of a slot that are left; 0 where it is open without booking. */
    public int free(Slot slot) {
        BookingRules rules = hours().booking();
        return rules == null
                ? 0
                : rules.places()
                        - held.stream()
                                .filter(h -> h.slot().equals(slot.name()))
                                .mapToInt(Held::people)
                                .sum();
    }

    /**
     * Why the slot of that name cannot be booked by the person asking; empty where it can.
     *
     * @param people how many come
     */
    public Optional<Not> why(LocalDateTime name, int people) {
        BookingRules rules = hours().booking();
        Slot slot = slots.slot(name).orElse(null);
        if (slot == null) {
            return Optional.of(Not.GONE);
        }
        if (rules == null) {
            return Optional.of(Not.OPEN);
        }
        if (slot.blocked()) {
            return Optional.of(Not.BLOCKED);
        }
        if (held.stream().anyMatch(h -> h.mine() && h.slot().equals(name))) {
            return Optional.of(Not.HELD);
        }
        if (now.toLocalDate().isBefore(slot.date().minusDays(rules.fromDays()))) {
            return Optional.of(Not.NOT_YET);
        }
        if (now.isAfter(slot.start().minusHours(rules.untilHours()))) {
            return Optional.of(Not.TOO_LATE);
        }
        if (people < rules.groupFrom() || people > rules.groupTo()) {
            return Optional.of(Not.GROUP_SIZE);
        }
        if (free(slot) < people) {
            return Optional.of(Not.TAKEN);
        }
        LocalDate week = week(slot.date());
        long thisWeek = held.stream()
                .filter(h -> h.mine() && week(h.start().toLocalDate()).equals(week))
                .count();
        if (rules.aWeek() != null && thisWeek >= rules.aWeek()) {
            return Optional.of(Not.WEEK_FULL);
        }
        long inAll = held.stream().filter(Held::mine).count();
        return rules.aTerm() != null && inAll >= rules.aTerm() ? Optional.of(Not.TERM_FULL) : Optional.empty();
    }

    /** Likewise, for who teaches and books for somebody: no time, limit or size binds them, but places do. */
    public Optional<Not> whyForTeacher(LocalDateTime name, int people) {
        Slot slot = slots.slot(name).orElse(null);
        if (slot == null) {
            return Optional.of(Not.GONE);
        }
        if (hours().booking() == null) {
            return Optional.of(Not.OPEN);
        }
        if (held.stream().anyMatch(h -> h.mine() && h.slot().equals(name))) {
            return Optional.of(Not.HELD);
        }
        return free(slot) < people ? Optional.of(Not.TAKEN) : Optional.empty();
    }

    /** Whether a booking of the slot may be given back now. */
    public boolean givesBack(Slot slot) {
        BookingRules rules = hours().booking();
        return rules != null && !now.isAfter(slot.start().minusHours(rules.giveBackHours()));
    }

    /** The next slots that can be booked by the person asking, in time order. */
    public List<Slot> next(int most) {
        int people = hours().booking() == null ? 1 : hours().booking().groupFrom();
        return slots.all().stream()
                .filter(s -> s.start().isAfter(now))
                .filter(s -> why(s.name(), people).isEmpty())
                .limit(most)
                .toList();
    }

    private LocalDate week(LocalDate day) {
        return day.with(TemporalAdjusters.previousOrSame(calendar.term().weekStart()));
    }
}
