package app.matsuri.core.schedule;

import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The dates of one item in one section.
 *
 * @param rules the rules in force there
 * @param opens null where the item has no such date; likewise due and closes
 */
public record ItemDates(
        Unit unit,
        Item item,
        RulesInForce rules,
        @Nullable Resolved opens,
        @Nullable Resolved due,
        @Nullable Resolved closes) {

    public @Nullable Resolved get(Which which) {
        return switch (which) {
            case OPENS -> opens;
            case DUE -> due;
            case CLOSES -> closes;
        };
    }

    /** The moment of one of its dates; null where it has no such date or that is unresolved. */
    public @Nullable LocalDateTime at(Which which) {
        Resolved date = get(which);
        return date == null ? null : date.at();
    }

    private LocalDateTime at(Which which, LocalDateTime otherwise) {
        LocalDateTime at = at(which);
        return at == null ? otherwise : at;
    }

    /** The rule in force for one of its dates; null where it has no such date. */
    public @Nullable DateRule rule(Which which) {
        return rules.rule(which);
    }

    /** The date that places it in a calendar: due, else closes, else opens; null when none is resolved. */
    public @Nullable LocalDateTime main() {
        Which which = mainDate();
        return which == null ? null : at(which);
    }

    /** The first of its other dates that must not come after this one and does: what opens later than it is due. */
    public Optional<Which> cameBefore(Which which) {
        LocalDateTime at = at(which);
        return Arrays.stream(Which.values())
                .filter(first -> first.compareTo(which) < 0 && at != null && at.isBefore(at(first, at)))
                .findFirst();
    }

    /** Which of its dates places it in a calendar; null when none is resolved. */
    public @Nullable Which mainDate() {
        for (Which which : new Which[] {Which.DUE, Which.CLOSES, Which.OPENS}) {
            if (at(which) != null) {
                return which;
            }
        }
        return null;
    }
}
