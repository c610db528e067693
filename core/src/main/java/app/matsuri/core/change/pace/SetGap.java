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
 * Says how many classes are left empty before a lesson, in one section.
 *
 * @param empty 0 or more
 */
public record SetGap(String course, String section, String lesson, int empty) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Lesson in = Find.lesson(before, course, lesson);
        Section was = Find.section(before, course, section);
        if (empty < 0) {
            throw new Refused("Fewer than no classes cannot be left empty before “" + in.title() + "”.");
        }
        return Outcome.of(before.withCourse(course, c -> c.withSection(was.withGap(lesson, empty - in.gapBefore()))));
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.lessons(in, course, section, List.of(lesson), null);
    }

    @Override
    public String sentence(Decisions before) {
        String title = "“" + Find.lesson(before, course, lesson).title() + "”";
        String what = empty == 0 ? "no class" : empty == 1 ? "one class" : empty + " classes";
        return "Leave " + what + " empty before " + title + Find.in(course, section);
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(new Hand(course, lesson));
    }
}
