package app.matsuri.core.change;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Which;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Writes rules for the dates of work and notices where they belong: into the thing, or into the dates that sections have of their own. */
public final class ItemRules {

    private ItemRules() {}

    /**
     * The course with other dates of an item. Where the plan's are meant, the sections' own for the same dates go.
     *
     * @param sections codes of the sections that are meant; none, or all that the item is for, for the plan
     * @param rules the dates that change
     */
    public static Course put(Course in, Item item, Collection<String> sections, Map<Which, Own<DateRule>> rules) {
        List<Section> all = in.sections().stream()
                .filter(s -> item.details().concerns(s.code()))
                .toList();
        boolean plan = sections.isEmpty() || all.stream().allMatch(s -> sections.contains(s.code()));
        Course changed = in;
        if (plan) {
            Map<Which, DateRule> own = new EnumMap<>(Which.class);
            rules.forEach((which, rule) -> own.put(which, rule.over(item.rule(which))));
            changed = changed.withItem(item.withRules(own));
        }
        for (Section section : all) {
            Optional<Adjustment> was = section.adjustment(item.id());
            boolean meant = sections.contains(section.code());
            if (plan && was.isEmpty() || !plan && !meant) {
                continue;
            }
            Map<Which, Own<DateRule>> dates = new EnumMap<>(Which.class);
            was.ifPresent(a -> dates.putAll(a.dates()));
            rules.forEach((which, rule) -> {
                boolean asPlanned = rule.planned() || rule.equals(Own.of(item.rule(which)));
                if (plan || asPlanned) {
                    dates.remove(which);
                } else {
                    dates.put(which, rule);
                }
            });
            String why = was.map(Adjustment::why).orElse("");
            changed = changed.withSection(section.adjusted(new Adjustment(item.id(), null, dates, why)));
        }
        return changed;
    }

    /**
     * The notice with other dates.
     *
     * @param sections codes of the sections that are meant; none for all that have no time of their own
     * @throws Refused when that means nothing for a notice
     */
    public static Notice put(Notice notice, Collection<String> sections, Map<Which, Own<DateRule>> rules) {
        try {
            return notice.withDates(sections, rules);
        } catch (IllegalArgumentException e) {
            throw new Refused(Known.message(e));
        }
    }

    /** The sections whose own dates are meant when a date is changed in one of them: that one if it has its own. */
    public static List<String> standing(Section section, String item, Which which) {
        return section.adjustment(item)
                        .map(Adjustment::dates)
                        .filter(d -> d.containsKey(which))
                        .isPresent()
                ? List.of(section.code())
                : List.of();
    }
}
