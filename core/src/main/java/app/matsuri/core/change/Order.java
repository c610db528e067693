package app.matsuri.core.change;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Puts lessons in another place in the order of a plan. */
public final class Order {

    private Order() {}

    /** What comes into another unit, in a sentence each. */
    public static List<String> leaving(Course was, Course is) {
        List<String> sentences = new ArrayList<>();
        for (Lesson lesson : is.lessons()) {
            Unit from = was.unitOfLesson(lesson.id()).orElseThrow();
            Unit to = is.unitOfLesson(lesson.id()).orElseThrow();
            if (!from.id().equals(to.id())) {
                sentences.add("“" + lesson.title() + "” leaves its unit, “" + from.title() + "”, and becomes part of “"
                        + to.title() + "”.");
            }
        }
        return sentences;
    }

    /**
     * The course with the lessons, in the order given, before another one. Where that one opens a unit and the lessons
     * come from the unit before it, they stay in theirs, at its end; else they join the other's unit, and their items
     * with them.
     *
     * @param before id of a lesson that is not among them; null for the end of the plan
     * @param keepUnit they stay in the unit of the first of them: at its end where the other one lies behind it, else at its beginning
     */
    public static Course before(Course course, List<Lesson> lessons, @Nullable String before, boolean keepUnit) {
        Set<String> ids = lessons.stream().map(Lesson::id).collect(Collectors.toSet());
        String home = course.unitOfLesson(lessons.get(0).id()).orElseThrow().id();
        List<Unit> units = new ArrayList<>();
        List<Item> items = new ArrayList<>();
        for (Unit unit : course.units()) {
            units.add(unit.withLessons(
                    unit.lessons().stream().filter(l -> !ids.contains(l.id())).toList()));
        }
        int to = units.size() - 1;
        int place = units.get(to).lessons().size();
        if (before != null) {
            for (int u = 0; u < units.size(); u++) {
                for (int l = 0; l < units.get(u).lessons().size(); l++) {
                    if (units.get(u).lessons().get(l).id().equals(before)) {
                        to = u;
                        place = l;
                    }
                }
            }
            if (place == 0 && to > 0 && units.get(to - 1).id().equals(home)) {
                to--;
                place = units.get(to).lessons().size();
            }
        }
        int own = 0;
        while (!units.get(own).id().equals(home)) {
            own++;
        }
        if (keepUnit && to != own) {
            place = to > own ? units.get(own).lessons().size() : 0;
            to = own;
        }
        String target = units.get(to).id();
        for (int u = 0; u < units.size(); u++) {
            Unit unit = units.get(u);
            if (!unit.id().equals(target)) {
                unit.items().stream()
                        .filter(i -> i.lesson() != null && ids.contains(i.lesson()))
                        .forEach(items::add);
                units.set(
                        u,
                        unit.withItems(unit.items().stream()
                                .filter(i -> i.lesson() == null || !ids.contains(i.lesson()))
                                .toList()));
            }
        }
        Unit joined = units.get(to);
        List<Lesson> order = new ArrayList<>(joined.lessons());
        order.addAll(place, lessons);
        List<Item> work = new ArrayList<>(joined.items());
        work.addAll(items);
        units.set(to, joined.withLessons(order).withItems(work));
        return course.withUnits(units);
    }
}
