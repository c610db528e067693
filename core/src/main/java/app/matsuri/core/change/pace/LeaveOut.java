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

/** Leaves a lesson out of one section, or takes it in again. */
public record LeaveOut(String course, String section, String lesson, boolean leave) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Lesson out = Find.lesson(before, course, lesson);
        Section in = Find.section(before, course, section);
        if (leave && in.taught().values().stream().anyMatch(ids -> ids.contains(lesson))) {
            throw new Refused("“" + out.title() + "” was taught in section " + section + ".");
        }
        Section other = in.withLeftOut(lesson, leave);
        return Outcome.of(before.withCourse(course, c -> c.withSection(other)));
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.lessons(in, course, section, List.of(lesson), null);
    }

    @Override
    public String sentence(Decisions before) {
        return (leave ? "Leave out “" : "Take in “")
                + Find.lesson(before, course, lesson).title()
                + "”"
                + Find.in(course, section);
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(new Hand(course, lesson));
    }
}
