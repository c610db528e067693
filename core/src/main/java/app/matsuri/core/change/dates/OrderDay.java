package app.matsuri.core.change.dates;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Puts the work of a day into an order: lower places first. Dates stay as they are.
 *
 * @param items ids of items of the course, in order, one or more
 */
public record OrderDay(String course, List<String> items) implements Change {

    public OrderDay {
        items = List.copyOf(items);
        if (items.isEmpty()) {
            throw new IllegalArgumentException("nothing to put in order");
        }
    }

    @Override
    public Outcome apply(Decisions before) {
        Course now = Find.course(before, course);
        for (int i = 0; i < items.size(); i++) {
            now = now.withItem(Find.item(before, course, items.get(i)).withPlace(i));
        }
        return Outcome.of(before.withCourse(now));
    }

    @Override
    public String sentence(Decisions before) {
        items.forEach(id -> Find.item(before, course, id));
        return "Put the work of a day in order";
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        Set<Hand> hands = new LinkedHashSet<>();
        items.forEach(id -> hands.add(new Hand(course, id)));
        return hands;
    }
}
