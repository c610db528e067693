package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.With;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Adds a unit, or changes the one of its id, which keeps its lessons and items where the new one brings none.
 *
 * @param before id of the unit before which it goes; null to leave it in its place, or at the end
 */
public record PutUnit(String course, Unit unit, @Nullable String before) implements Change {

    @Override
    public Outcome apply(Decisions decisions) {
        Course in = Find.course(decisions, course);
        Unit full = in.unit(unit.id())
                .filter(old -> unit.lessons().isEmpty() && unit.items().isEmpty())
                .map(old -> unit.withLessons(old.lessons()).withItems(old.items()))
                .orElse(unit);
        List<Unit> units = With.put(in.units(), u -> u.id().equals(unit.id()), full);
        if (before != null && !before.equals(unit.id())) {
            Find.unit(decisions, course, before);
            units = new ArrayList<>(With.without(units, u -> u.id().equals(unit.id())));
            int place = 0;
            while (!units.get(place).id().equals(before)) {
                place++;
            }
            units.add(place, full);
        }
        return Outcome.of(decisions.withCourse(in.withUnits(units)));
    }

    @Override
    public String sentence(Decisions decisions) {
        boolean known = decisions.course(course).flatMap(c -> c.unit(unit.id())).isPresent();
        return (known ? "Change unit “" : "Add unit “") + unit.title() + "”";
    }
}
