package app.matsuri.core.schedule;

import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The rules that hold for an item's dates, and where each comes from: an adjustment goes before the item's own, the
 * item's own before what it lies in, from the nearest outwards, and that before its unit's.
 *
 * @param rules a rule for each date that it has
 * @param from where each rule, or that there is none, comes from
 */
public record RulesInForce(Map<Which, DateRule> rules, Map<Which, From> from) {

    /** Where a rule comes from. */
    public enum From {
        /** The item itself. */
        ITEM,
        /** The section's or the student's own dates. */
        ADJUSTMENT,
        /** What it lies in, or its unit. */
        AROUND
    }

    public RulesInForce {
        rules = Collections.unmodifiableMap(rules);
        from = Collections.unmodifiableMap(from);
    }

    /** The rules for an item under the adjustments given, the most particular last. */
    static RulesInForce of(Unit unit, Item item, List<Adjustment> adjustments) {
        Map<Which, DateRule> rules = new EnumMap<>(Which.class);
        Map<Which, From> from = new EnumMap<>(Which.class);
        for (Which which : Which.values()) {
            DateRule rule = item.rule(which);
            From where = rule == null ? null : From.ITEM;
            if (rule == null) {
                rule = around(unit, item, which);
                where = rule == null ? null : From.AROUND;
            }
            for (Adjustment adjustment : adjustments) {
                Own<DateRule> own = adjustment.own(which);
                if (!own.planned()) {
                    rule = own.over(null);
                    where = From.ADJUSTMENT;
                }
            }
            if (rule != null) {
                rules.put(which, rule);
            }
            if (where != null) {
                from.put(which, where);
            }
        }
        return new RulesInForce(rules, from);
    }

    /** The rules that hold for a notice in a section of its course. */
    static RulesInForce of(Notice notice, String section) {
        From from = notice.sections().containsKey(section) ? From.ADJUSTMENT : From.ITEM;
        Map<Which, DateRule> rules = new EnumMap<>(Which.class);
        Map<Which, From> all = new EnumMap<>(Which.class);
        for (Which which : Which.values()) {
            DateRule rule = notice.when(section).rule(which);
            if (rule != null) {
                rules.put(which, rule);
                all.put(which, from);
            }
        }
        return new RulesInForce(rules, all);
    }

    private static @Nullable DateRule around(Unit unit, Item item, Which which) {
        for (Item around : unit.around(item)) {
            DateRule rule = around.rule(which);
            if (rule != null) {
                return rule;
            }
        }
        return unit.dates().get(which);
    }

    /** The rule for the date; null for no date. */
    public @Nullable DateRule rule(Which which) {
        return rules.get(which);
    }

    /** Where the rule, or that there is no date, comes from; null where nothing was said of it. */
    public @Nullable From from(Which which) {
        return from.get(which);
    }
}
