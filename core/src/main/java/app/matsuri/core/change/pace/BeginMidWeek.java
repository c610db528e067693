package app.matsuri.core.change.pace;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Lets a unit that asks for a week start begin on any class of a week, in one section, or asks for it again.
 *
 * @param lesson the lesson that begins the unit
 */
public record BeginMidWeek(String course, String section, String lesson, boolean anyDay) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Find.lesson(before, course, lesson);
        Section was = Find.section(before, course, section);
        Section other = was.withMidWeek(lesson, anyDay);
        return Outcome.of(before.withCourse(course, c -> c.withSection(other)));
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.lessons(in, course, section, List.of(lesson), null);
    }

    @Override
    public String sentence(Decisions before) {
        String title = "“" + Find.lesson(before, course, lesson).title() + "”";
        return (anyDay ? "Let " + title + " begin its unit mid-week" : "Let " + title + " begin its unit with a week")
                + Find.in(course, section);
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(new Hand(course, lesson));
    }
}
