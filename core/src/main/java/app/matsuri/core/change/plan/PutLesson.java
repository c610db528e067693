package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Adds a lesson, or changes the one of its id. A new one takes the classes that are left empty behind it before anything
 * moves: the next lesson leaves so many fewer empty.
 *
 * @param unit id of the unit a new lesson goes to; null for one that exists
 * @param before id of the lesson before which a new one goes; null for the end of the unit
 */
public record PutLesson(
        String course,
        @Nullable String unit,
        Lesson lesson,
        @Nullable String before) implements Change {

    @Override
    public Outcome apply(Decisions decisions) {
        Course in = Find.course(decisions, course);
        if (in.lesson(lesson.id()).isPresent()) {
            return Outcome.of(decisions.withCourse(in.withLesson(lesson.id(), old -> lesson)));
        }
        if (unit == null) {
            throw new Refused("Say to which unit the new lesson “" + lesson.title() + "” belongs.");
        }
        Unit to = Find.unit(decisions, course, unit);
        List<Lesson> lessons = new ArrayList<>(to.lessons());
        int place = lessons.size();
        for (int i = 0; i < lessons.size(); i++) {
            if (lessons.get(i).id().equals(before)) {
                place = i;
            }
        }
        lessons.add(place, lesson);
        Course added = in.withUnit(to.withLessons(lessons));
        List<Lesson> order = added.lessons();
        int at = order.indexOf(lesson);
        boolean last = at + 1 >= order.size();
        return Outcome.of(decisions.withCourse(last ? added : fewerEmpty(added, order.get(at + 1))));
    }

    /** The course in which a lesson leaves as many classes fewer empty before it as the new one takes. */
    private Course fewerEmpty(Course in, Lesson next) {
        int gap = Math.max(0, next.gapBefore() - lesson.length());
        Course fewer = gap == next.gapBefore() ? in : in.withLesson(next.id(), l -> l.withGap(gap));
        for (Section section : in.sections()) {
            int empty = section.gap(next);
            int left = Math.max(0, empty - lesson.length());
            if (left != section.gap(next.withGap(gap))) {
                fewer = fewer.withSection(section.withGap(next.id(), left - gap));
            }
        }
        return fewer;
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        Lesson old = in.course().lesson(lesson.id()).orElse(null);
        if (old == null) {
            return before == null ? Optional.empty() : TakesHold.lessons(in, course, null, List.of(before), null);
        }
        boolean placedOtherwise = old.length() != lesson.length()
                || old.gapBefore() != lesson.gapBefore()
                || old.reserve() != lesson.reserve()
                || !Objects.equals(old.pin(), lesson.pin());
        return placedOtherwise
                ? TakesHold.lessons(in, course, null, List.of(lesson.id()), lesson.pin())
                : Optional.empty();
    }

    @Override
    public String sentence(Decisions decisions) {
        boolean known =
                decisions.course(course).flatMap(c -> c.lesson(lesson.id())).isPresent();
        return (known ? "Change lesson “" : "Add lesson “") + lesson.title() + "”";
    }

    @Override
    public Set<Hand> hands(Decisions decisions) {
        return Set.of(new Hand(course, lesson.id()));
    }
}
