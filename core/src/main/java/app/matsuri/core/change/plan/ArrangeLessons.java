package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Puts lessons elsewhere in the order of the plan, with the work that belongs to them; not such as were taught.
 *
 * @param lessons ids of lessons of the course, one or more
 * @param unit id of the unit they go to
 * @param before id of the lesson of that unit before which they go; null for its end
 */
public record ArrangeLessons(
        String course,
        List<String> lessons,
        String unit,
        @Nullable String before) implements Change {

    public ArrangeLessons {
        lessons = List.copyOf(lessons);
        if (lessons.isEmpty()) {
            throw new IllegalArgumentException("nothing to arrange");
        }
    }

    @Override
    public Outcome apply(Decisions decisions) {
        Course in = Find.course(decisions, course);
        Find.unit(decisions, course, unit);
        Set<String> ids = new LinkedHashSet<>(lessons);
        List<Lesson> block = new ArrayList<>();
        for (String id : ids) {
            Lesson lesson = Find.lesson(decisions, course, id);
            for (Section section : in.sections()) {
                if (section.taught().values().stream().anyMatch(taught -> taught.contains(id))) {
                    throw new Refused("“" + lesson.title() + "” has been taught and keeps its place.");
                }
            }
            block.add(lesson);
        }
        List<Item> work = in.items().stream()
                .filter(i -> i.lesson() != null && ids.contains(i.lesson()))
                .toList();
        List<Unit> units = new ArrayList<>();
        for (Unit each : in.units()) {
            List<Lesson> rest = new ArrayList<>(With.without(each.lessons(), l -> ids.contains(l.id())));
            boolean target = each.id().equals(unit);
            if (target) {
                int place = rest.size();
                for (int i = 0; i < rest.size(); i++) {
                    if (rest.get(i).id().equals(before)) {
                        place = i;
                    }
                }
                rest.addAll(place, block);
            }
            List<Item> items = new ArrayList<>(each.items());
            if (target) {
                work.stream().filter(i -> !each.items().contains(i)).forEach(items::add);
            } else {
                items.removeAll(work);
            }
            units.add(each.withLessons(rest).withItems(items));
        }
        return Outcome.of(decisions.withCourse(in.withUnits(units)));
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.lessons(in, course, null, TakesHold.movedBefore(in, lessons, unit, before), null);
    }

    @Override
    public String sentence(Decisions decisions) {
        String what = lessons.size() == 1
                ? "lesson “" + Find.lesson(decisions, course, lessons.get(0)).title() + "”"
                : lessons.size() + " lessons";
        return "Put " + what
                + (before == null
                        ? " at the end of unit “"
                                + Find.unit(decisions, course, unit).title() + "”"
                        : " before “" + Find.lesson(decisions, course, before).title() + "”");
    }

    @Override
    public Set<Hand> hands(Decisions decisions) {
        Set<Hand> hands = new LinkedHashSet<>();
        lessons.forEach(id -> hands.add(new Hand(course, id)));
        return hands;
    }
}
