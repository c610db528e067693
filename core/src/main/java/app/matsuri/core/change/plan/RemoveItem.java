package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Gone;
import app.matsuri.core.change.Hand;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.With;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Takes an item, and whatever lies in it, out of the plan, with the dates that sections and students have for it; what hangs on it is fixed. */
public record RemoveItem(String course, String item) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Find.item(before, course, item);
        Course in = Find.course(before, course);
        Set<String> gone = inside(in);
        Course without = in.withUnits(in.units().stream()
                .map(u -> u.withItems(With.without(u.items(), i -> gone.contains(i.id()))))
                .toList());
        List<String> notes = new ArrayList<>();
        Course out = new Gone(before, course, Set.of(), Set.of(), gone).from(without, notes);
        return new Outcome(before.withCourse(out), notes);
    }

    private Set<String> inside(Course in) {
        return in.unitOfItem(item).orElseThrow().inside(item).stream()
                .map(Item::id)
                .collect(Collectors.toSet());
    }

    @Override
    public String sentence(Decisions before) {
        int more = inside(Find.course(before, course)).size() - 1;
        return "Take out “" + Find.item(before, course, item).title() + "”"
                + (more == 0 ? "" : more == 1 ? " and the one thing in it" : " and the " + more + " things in it");
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(new Hand(course, item));
    }
}
