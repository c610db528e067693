package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.With;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Adds an item, or changes the one of its id.
 *
 * @param unit id of the unit it goes to; null to leave it where it is
 */
public record PutItem(String course, @Nullable String unit, Item item) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Course in = Find.course(before, course);
        String home = in.unitOfItem(item.id()).map(Unit::id).orElse(null);
        if (home != null && (unit == null || unit.equals(home))) {
            return Outcome.of(before.withCourse(in.withItem(item)));
        }
        if (unit == null) {
            throw new Refused("Say to which unit the new item “" + item.title() + "” belongs.");
        }
        Find.unit(before, course, unit);
        return Outcome.of(before.withCourse(in.withUnits(in.units().stream()
                .map(u -> {
                    Unit without = u.withItems(With.without(u.items(), i -> i.id().equals(item.id())));
                    return u.id().equals(unit)
                            ? without.withItems(With.put(without.items(), i -> false, item))
                            : without;
                })
                .toList())));
    }

    @Override
    public String sentence(Decisions before) {
        boolean known = before.course(course).flatMap(c -> c.item(item.id())).isPresent();
        return (known ? "Change “" : "Add “") + item.title() + "”";
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(new Hand(course, item.id()));
    }
}
