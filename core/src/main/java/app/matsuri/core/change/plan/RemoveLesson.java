package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Gone;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Takes a lesson out of the plan; not when it was taught. */
public record RemoveLesson(String course, String lesson) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Lesson out = Find.lesson(before, course, lesson);
        Course in = Find.course(before, course);
        untaught(in, out);
        Course without = in.withUnits(in.units().stream()
                .map(u -> u.withLessons(With.without(u.lessons(), l -> l.id().equals(lesson))))
                .toList());
        List<String> notes = new ArrayList<>();
        Gone gone = new Gone(before, course, Set.of(lesson), Set.of(), Set.of());
        return new Outcome(before.withCourse(gone.from(without, notes)), notes);
    }

    /** Refuses when a section has a record of the lesson. */
    static void untaught(Course course, Lesson lesson) {
        for (Section section : course.sections()) {
            if (section.taught().values().stream().anyMatch(ids -> ids.contains(lesson.id()))) {
                throw new Refused("“" + lesson.title() + "” was taught in section " + section.code()
                        + " and stays in the plan. Leave it out of the other sections instead.");
            }
        }
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.lessons(in, course, null, List.of(lesson), null);
    }

    @Override
    public String sentence(Decisions before) {
        return "Take out lesson “" + Find.lesson(before, course, lesson).title() + "”";
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(new Hand(course, lesson));
    }
}
