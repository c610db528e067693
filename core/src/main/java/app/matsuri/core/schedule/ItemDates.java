package app.matsuri.core.schedule;

import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.plan.With;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
        @Nullable Resolved closes)
        implements ThingDates {

    @Override
    public Item thing() {
        return item;
    }

    @Override
    public String unitId() {
        return unit.id();
    }

    @Override
    public @Nullable Resolved would(
            SectionSchedule in, Which which, @Nullable DateRule rule, Map<Which, Own<DateRule>> beside) {
        Map<Which, Own<DateRule>> all = new HashMap<>(beside);
        all.put(which, Own.of(rule));
        Adjustment trial = new Adjustment(item.id(), null, all, "");
        List<Adjustment> own = in.section().adjustment(item.id()).stream().toList();
        return in.resolver().of(unit, item, With.added(own, trial)).get(which);
    }

    @Override
    public @Nullable Resolved get(Which which) {
        return switch (which) {
            case OPENS -> opens;
            case DUE -> due;
            case CLOSES -> closes;
        };
    }

    /** Whether it, or the unit it belongs to, is a draft: students are not told of it. */
    public boolean draft() {
        return item.details().draft() || unit.draft();
    }

    private LocalDateTime at(Which which, LocalDateTime otherwise) {
        LocalDateTime at = at(which);
        return at == null ? otherwise : at;
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
