package app.matsuri.core.change.pace;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What one section decides of one lesson, apart from the plan: each kind says what else is so then, and how that is said. */
public sealed interface OwnLessonChange extends Change permits LeaveOut, SetLength, SetGap, Join, BeginMidWeek {

    String course();

    String section();

    String lesson();

    /**
     * What the section has of its own then.
     *
     * @throws Refused when it cannot
     */
    OwnLesson other(Lesson lesson, Section section);

    /** What it does with “the lesson”, without the section. */
    String does(String title, Lesson lesson, Section section);

    /** The same for another section of the course. */
    OwnLessonChange in(String other);

    @Override
    default Outcome apply(Decisions before) {
        Section section = Find.section(before, course(), section());
        OwnLesson other = other(Find.lesson(before, course(), lesson()), section);
        return Outcome.of(before.withCourse(course(), c -> c.withSection(section.withOwn(lesson(), own -> other))));
    }

    @Override
    default String sentence(Decisions before) {
        Lesson lesson = Find.lesson(before, course(), lesson());
        return does("“" + lesson.title() + "”", lesson, Find.section(before, course(), section()))
                + Find.in(course(), section());
    }

    @Override
    default Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.lessons(in, course(), section(), List.of(lesson()), null);
    }

    @Override
    default Set<Hand> hands(Decisions before) {
        return Set.of(new Hand(course(), lesson()));
    }
}
