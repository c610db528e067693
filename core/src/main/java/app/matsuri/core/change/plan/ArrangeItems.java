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
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Puts items elsewhere in the outline, in the order given, with whatever lies in them. Their dates stay as they are.
 *
 * @param items ids of items of the course, one or more
 * @param unit id of the unit they go to
 * @param lesson id of the lesson of that unit they belong to; null for none
 * @param within id of the item of that unit they lie in; null for none
 * @param before id of the item before which they go; null for the end
 */
public record ArrangeItems(
        String course,
        List<String> items,
        String unit,
        @Nullable String lesson,
        @Nullable String within,
        @Nullable String before)
        implements Change {

    public ArrangeItems {
        items = List.copyOf(items);
        if (items.isEmpty()) {
            throw new IllegalArgumentException("nothing to arrange");
        }
    }

    @Override
    public Outcome apply(Decisions decisions) {
        Course in = Find.course(decisions, course);
        Unit to = Find.unit(decisions, course, unit);
        if (lesson != null && to.lessons().stream().noneMatch(l -> l.id().equals(lesson))) {
            throw new Refused("Unit “" + to.title() + "” has no lesson “" + lesson + "”.");
        }
        if (within != null && to.item(within) == null) {
            throw new Refused("Unit “" + to.title() + "” has nothing “" + within + "” to put things into.");
        }
        Set<String> moving = new LinkedHashSet<>();
        List<Item> block = new ArrayList<>();
        for (String id : items) {
            Item item = Find.item(decisions, course, id);
            for (Item inside : in.unitOfItem(id).orElseThrow().inside(id)) {
                if (inside.id().equals(within)) {
                    throw new Refused("“" + item.title() + "” cannot lie in itself.");
                }
                if (moving.add(inside.id())) {
                    boolean itself = inside.id().equals(id);
                    Item placed = inside.withLesson(lesson);
                    block.add(itself ? placed.withDetails(placed.details().within(within)) : placed);
                }
            }
        }
        List<Unit> units = new ArrayList<>();
        for (Unit each : in.units()) {
            List<Item> rest = new ArrayList<>(With.without(each.items(), i -> moving.contains(i.id())));
            if (each.id().equals(unit)) {
                int place = rest.size();
                for (int i = 0; i < rest.size(); i++) {
                    if (rest.get(i).id().equals(before)) {
                        place = i;
                    }
                }
                rest.addAll(place, block);
            }
            units.add(each.withItems(rest));
        }
        return Outcome.of(decisions.withCourse(in.withUnits(units)));
    }

    @Override
    public String sentence(Decisions decisions) {
        String what = items.size() == 1
                ? "“" + Find.item(decisions, course, items.get(0)).title() + "”"
                : items.size() + " things";
        String where = within != null
                ? "into “" + Find.item(decisions, course, within).title() + "”"
                : lesson != null
                        ? "to lesson “" + Find.lesson(decisions, course, lesson).title() + "”"
                        : "to unit “" + Find.unit(decisions, course, unit).title() + "”";
        return "Put " + what + " " + where;
    }

    @Override
    public Set<Hand> hands(Decisions decisions) {
        Set<Hand> hands = new LinkedHashSet<>();
        items.forEach(id -> hands.add(new Hand(course, id)));
        return hands;
    }
}
