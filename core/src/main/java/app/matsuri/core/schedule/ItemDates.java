package app.matsuri.core.schedule;

import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Optional;

/**
 * The dates of one item in one section.
 *
 * @param rules the rules in force there
 * @param opens null where the item has no such date; likewise due and closes
 */
public record ItemDates(Unit unit, Item item, RulesInForce rules, Resolved opens, Resolved due, Resolved closes) {

    public Resolved get(Which which) {
        return switch (which) {
            case OPENS -> opens;
            case DUE -> due;
            case CLOSES -> closes;
        };
    }

    /** The rule in force for one of its dates; null where it has no such date. */
    public DateRule rule(Which which) {
        return rules.rule(which);
    }

    /** The date that places it in a calendar: due, else closes, else opens; null when none is resolved. */
    public LocalDateTime main() {
        Which which = mainDate();
        return which == null ? null : get(which).at();
    }

    /** The first of its other dates that must not come after this one and does: what opens later than it is due. */
    public Optional<Which> cameBefore(Which which) {
        LocalDateTime at = get(which).at();
        return Arrays.stream(Which.values())
                .filter(first -> first.compareTo(which) < 0 && at != null)
                .filter(first -> get(first) != null && get(first).resolved())
                .filter(first -> at.isBefore(get(first).at()))
                .findFirst();
    }

    /** Which of its dates places it in a calendar; null when none is resolved. */
    public Which mainDate() {
        for (Which which : new Which[] {Which.DUE, Which.CLOSES, Which.OPENS}) {
            if (get(which) != null && get(which).resolved()) {
                return which;
            }
        }
        return null;
    }
}
