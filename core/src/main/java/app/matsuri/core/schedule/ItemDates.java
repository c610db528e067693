package app.matsuri.core.schedule;

import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import java.time.LocalDateTime;

/**
 * The dates of one item in one section.
 *
 * @param opens null where the item has no such date; likewise due and closes
 */
public record ItemDates(Unit unit, Item item, Resolved opens, Resolved due, Resolved closes) {

    public Resolved get(Which which) {
        return switch (which) {
            case OPENS -> opens;
            case DUE -> due;
            case CLOSES -> closes;
        };
    }

    /** The date that places it in a calendar: due, else closes, else opens; null when none is resolved. */
    public LocalDateTime main() {
        Which which = mainDate();
        return which == null ? null : get(which).at();
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
