package app.matsuri.core.schedule;

import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/**
 * The rules that hold for an item's dates, and where each comes from: an adjustment goes before the item's own, the
 * item's own before what it lies in, from the nearest outwards, and that before its unit's.
 */
public final class RulesInForce {

    /** Where a rule comes from. */
    public enum From {
        /** The item itself. */
        ITEM,
        /** The section's or the student's own dates. */
        ADJUSTMENT,
        /** What it lies in, or its unit. */
        AROUND
    }

    private final Map<Which, DateRule> rules = new EnumMap<>(Which.class);
    private final Map<Which, From> from = new EnumMap<>(Which.class);

    private RulesInForce() {}

    /** The rules for an item under the adjustments given, the most particular last; any of them may be null. */
    static RulesInForce of(Unit unit, Item item, Adjustment... adjustments) {
        RulesInForce in = new RulesInForce();
        for (Which which : Which.values()) {
            in.plain(unit, item, which);
            for (Adjustment adjustment : adjustments) {
                Optional<DateRule> own =
                        adjustment == null ? null : adjustment.dates().get(which);
                if (own != null) {
                    in.put(which, own.orElse(null), From.ADJUSTMENT);
                }
            }
        }
        return in;
    }

    private void plain(Unit unit, Item item, Which which) {
        if (item.rule(which) != null) {
            put(which, item.rule(which), From.ITEM);
            return;
        }
        for (Item around : unit.around(item)) {
            if (around.rule(which) != null) {
                put(which, around.rule(which), From.AROUND);
                return;
            }
        }
        if (unit.dates().get(which) != null) {
            put(which, unit.dates().get(which), From.AROUND);
        }
    }

    private void put(Which which, DateRule rule, From where) {
        if (rule == null) {
            rules.remove(which);
        } else {
            rules.put(which, rule);
        }
        from.put(which, where);
    }

    /** The rule for the date; null for no date. */
    public DateRule rule(Which which) {
        return rules.get(which);
    }

    /** Where the rule, or that there is no date, comes from; null where nothing was said of it. */
    public From from(Which which) {
        return from.get(which);
    }
}
