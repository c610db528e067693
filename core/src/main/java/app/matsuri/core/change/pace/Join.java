package app.matsuri.core.change.pace;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Lets a lesson share the last class of the lesson before it, in one section, or gives it its own again. */
public record Join(String course, String section, String lesson, boolean join) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Lesson in = Find.lesson(before, course, lesson);
        Section was = Find.section(before, course, section);
        if (join && in.reserve()) {
            throw new Refused(
                    "“" + in.title() + "” is a spare day and takes a class of its own. Leave it out instead.");
        }
        Section other = was.withJoined(lesson, join);
        return Outcome.of(before.withCourse(course, c -> c.withSection(other)));
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.lessons(in, course, section, List.of(lesson), null);
    }

    @Override
    public String sentence(Decisions before) {
        String title = "“" + Find.lesson(before, course, lesson).title() + "”";
        return (join ? "Join " + title + " to the lesson before it" : "Give " + title + " its own class again")
                + Find.in(course, section);
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(new Hand(course, lesson));
    }
}
