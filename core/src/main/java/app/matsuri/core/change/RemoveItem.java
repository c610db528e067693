package app.matsuri.core.change;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.With;
import java.util.Set;

/** Takes an item out of the plan. */
public record RemoveItem(String course, String item) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Find.item(before, course, item);
        Course in = Find.course(before, course);
        return Outcome.of(before.withCourse(in.withUnits(in.units().stream()
                .map(u -> u.withItems(With.without(u.items(), i -> i.id().equals(item))))
                .toList())));
    }

    @Override
    public String sentence(Decisions before) {
        return "Take out “" + Find.item(before, course, item).title() + "”";
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(new Hand(course, item));
    }
}
