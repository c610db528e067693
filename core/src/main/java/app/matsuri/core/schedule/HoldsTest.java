package app.matsuri.core.schedule;

import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Which lessons hold a test: one on whose edge a test, quiz or presentation is due, or on the edge of the unit that it opens or
 * ends, without an offset, a weekday to go to or another time of day. Fixed dates do not count.
 */
public final class HoldsTest {

    private HoldsTest() {}

    /** Ids of those that do in the section. */
    public static Set<String> in(Course course, Section section) {
        Set<String> lessons = new HashSet<>();
        for (Unit unit : course.units()) {
            for (Item item : unit.items()) {
                if (!item.test() || !item.details().concerns(section.code())) {
                    continue;
                }
                List<Adjustment> own = section.adjustment(item.id()).stream().toList();
                DateRule due = RulesInForce.of(unit, item, own).rule(Which.DUE);
                if (due == null || due.plus().n() != 0 || due.snapTo() != null || due.time() != null) {
                    continue;
                }
                due.anchor().named(Anchor.Sort.LESSON).ifPresent(lessons::add);
                due.anchor()
                        .named(Anchor.Sort.UNIT)
                        .flatMap(course::unit)
                        .ifPresent(u -> edge(u, due.anchor().edge(), section, lessons));
            }
        }
        return lessons;
    }

    private static void edge(Unit unit, Edge edge, Section section, Set<String> lessons) {
        List<Lesson> here =
                unit.lessons().stream().filter(l -> !section.leavesOut(l)).toList();
        if (!here.isEmpty()) {
            lessons.add(here.get(edge == Edge.START ? 0 : here.size() - 1).id());
        }
    }

    /** The same where it makes a difference to placing: in a section paced by minutes; none in others. */
    static Set<String> forPlacing(Course course, Section section) {
        return section.pace() == Section.Pace.MINUTES ? in(course, section) : Set.of();
    }
}
