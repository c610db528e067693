package app.matsuri.core.change.hours;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.hours.Slot;
import app.matsuri.core.hours.Slots;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.With;
import app.matsuri.core.session.SessionChange;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Moves, withdraws, blocks, gives out again or adds slots of office hours.
 *
 * @param hours id of the office hours
 * @param slot name of the slot; where one is added, when it begins
 * @param as what is done
 * @param reach with which others
 * @param to where it is moved; null else
 * @param minutes length of one that is added or moved; null to keep it, and for the usual one
 */
public record ChangeSlots(
        String hours,
        LocalDateTime slot,
        As as,
        Reach reach,
        @Nullable LocalDateTime to,
        @Nullable Integer minutes) implements Change {

    /** What is done with slots. */
    public enum As {
        MOVE,
        WITHDRAW,
        ADD,
        BLOCK,
        UNBLOCK,
        /** As the windows say. */
        RESTORE
    }

    /** Which slots. */
    public enum Reach {
        /** The one. */
        SLOT,
        /** All of its day. */
        DAY,
        /** It and all later ones at the same time on the same weekday. */
        ON
    }

    @Override
    public Outcome apply(Decisions before) {
        OfficeHours in = Find.officeHours(before, hours);
        OfficeHours now = switch (as) {
            case ADD -> added(before.term(), in);
            case BLOCK, UNBLOCK -> blocked(before, in);
            case RESTORE -> restored(in);
            case MOVE -> moved(before, in);
            case WITHDRAW -> withdrawn(before, in);
        };
        return Outcome.of(before.withOfficeHours(With.put(before.officeHours(), h -> h.id().equals(hours), now)));
    }

    private OfficeHours added(Term term, OfficeHours in) {
        int usual = in.booking() == null ? 60 : in.booking().minutes();
        within(term, slot.toLocalDate());
        if (Slots.of(TeachingCalendar.of(term), in).slot(slot).isPresent()) {
            throw new Refused("There is a slot on " + Say.moment(slot) + " already.");
        }
        String place = in.windows().isEmpty() ? "" : in.windows().get(0).place();
        return in.withChanges(With.added(
                in.changes(), new SessionChange.Add(slot, minutes == null ? usual : minutes, place, Extra.NONE)));
    }

    private OfficeHours blocked(Decisions before, OfficeHours in) {
        Set<LocalDateTime> now = new HashSet<>(in.blocked());
        List<LocalDateTime> names = reached(before, in).stream().map(Slot::name).toList();
        if (as == As.BLOCK) {
            now.addAll(names);
        } else {
            names.forEach(now::remove);
        }
        if (now.equals(in.blocked())) {
            throw new Refused(as == As.BLOCK ? "It is blocked already." : "It is given out already.");
        }
        return in.withBlocked(now);
    }

    private OfficeHours restored(OfficeHours in) {
        List<SessionChange> kept = in.changes().stream()
                .filter(c -> reach == Reach.SLOT
                        ? !c.names(slot)
                        : reach == Reach.DAY ? !c.name().toLocalDate().equals(slot.toLocalDate()) : !on(c.name()))
                .toList();
        if (kept.size() == in.changes().size()) {
            throw new Refused("The slot of " + Say.moment(slot) + " is as its window says.");
        }
        return in.withChanges(kept);
    }

    private OfficeHours moved(Decisions before, OfficeHours in) {
        if (to == null) {
            throw new Refused("Say where the slot goes.");
        }
        List<Slot> reached = reached(before, in);
        LocalDateTime from = reached.stream()
                .filter(s -> s.name().equals(slot))
                .findFirst()
                .orElseThrow()
                .start();
        Duration by = Duration.between(from, to);
        if (by.isZero() && minutes == null) {
            throw new Refused("The slot is there already.");
        }
        List<SessionChange> changes = new ArrayList<>(in.changes());
        for (Slot one : reached) {
            LocalDateTime target = one.start().plus(by);
            if (reach == Reach.SLOT || one.name().equals(slot)) {
                within(before.term(), target.toLocalDate());
            } else if (outside(before.term(), target.toLocalDate())) {
                continue; // the last of a series may have no place left in the term
            }
            changes.removeIf(c -> c instanceof SessionChange.Move && c.names(one.name()));
            changes.add(new SessionChange.Move(one.name(), target, minutes, Extra.NONE));
        }
        return in.withChanges(changes);
    }

    private OfficeHours withdrawn(Decisions before, OfficeHours in) {
        List<SessionChange> changes = new ArrayList<>(in.changes());
        for (Slot one : reached(before, in)) {
            changes.add(new SessionChange.Cancel(one.name(), Extra.NONE));
        }
        return in.withChanges(changes);
    }

    /** The slots that it is about. */
    private List<Slot> reached(Decisions before, OfficeHours in) {
        Slots slots = Slots.of(TeachingCalendar.of(before.term()), in);
        Slot one = slots.slot(slot)
                .orElseThrow(() -> new Refused("“" + in.title() + "” has no slot on " + Say.moment(slot) + "."));
        return slots.all().stream()
                .filter(s -> s.name().equals(slot)
                        || reach == Reach.DAY && s.date().equals(one.date())
                        || reach == Reach.ON && on(s.name()))
                .toList();
    }

    /** Whether the slot of that name is a later one at the same time on the same weekday. */
    private boolean on(LocalDateTime name) {
        return !name.isBefore(slot)
                && name.toLocalTime().equals(slot.toLocalTime())
                && name.getDayOfWeek() == slot.getDayOfWeek();
    }

    private static boolean outside(Term term, LocalDate day) {
        return day.isBefore(term.first()) || day.isAfter(term.last());
    }

    private static void within(Term term, LocalDate day) {
        if (outside(term, day)) {
            throw new Refused(Say.day(day) + " is not within the term.");
        }
    }

    @Override
    public String sentence(Decisions before) {
        String of = " of “" + before.officeHours(hours).map(OfficeHours::title).orElse(hours) + "”";
        String which = switch (reach) {
            case SLOT -> "the slot of " + Say.moment(slot);
            case DAY -> "the slots of " + Say.day(slot.toLocalDate());
            case ON -> "the slots from " + Say.moment(slot) + " on";
        };
        return switch (as) {
            case ADD -> "Add a slot on " + Say.moment(slot) + of;
            case BLOCK -> "Block " + which + of;
            case UNBLOCK -> "Give out " + which + of;
            case RESTORE -> "Put back " + which + of;
            case WITHDRAW -> "Withdraw " + which + of;
            case MOVE -> "Move " + which + " to " + (to == null ? "another time" : Say.moment(to)) + of;
        };
    }
}
