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

/**
 * Gives a lesson another length in one section: a session taken out of it, or one more put in.
 *
 * @param length in sessions, 1 or more; null for the plan's
 */
public record SetLength(String course, String section, String lesson, Integer length) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Lesson in = Find.lesson(before, course, lesson);
        Section was = Find.section(before, course, section);
        if (length != null && length < 1) {
            throw new Refused("“" + in.title() + "” takes at least one class. Leave it out instead.");
        }
        Integer own = length == null || length == in.length() ? null : length;
        return Outcome.of(before.withCourse(course, c -> c.withSection(was.withLength(lesson, own))));
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.lessons(in, course, section, List.of(lesson), null);
    }

    @Override
    public String sentence(Decisions before) {
        Lesson in = Find.lesson(before, course, lesson);
        int was = Find.section(before, course, section).length(in);
        int now = length == null ? in.length() : length;
        String title = "“" + in.title() + "”";
        String to = now == 1 ? "one class" : now + " classes";
        return (now < was ? "Shorten " : "Give ") + title + (now < was ? " to " : " ") + to + Find.in(course, section);
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(new Hand(course, lesson));
    }
}
