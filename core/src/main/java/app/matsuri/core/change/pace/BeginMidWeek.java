package app.matsuri.core.change.pace;

import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;

/**
 * Lets a unit that asks for a week start begin on any class of a week, in one section, or asks for it again.
 *
 * @param lesson the lesson that begins the unit
 */
public record BeginMidWeek(String course, String section, String lesson, boolean anyDay) implements OwnLessonChange {

    @Override
    public OwnLesson other(Lesson in, Section was) {
        return was.own(lesson).withMidWeek(anyDay);
    }

    @Override
    public String does(String title, Lesson in, Section was) {
        return "Let " + title + (anyDay ? " begin its unit mid-week" : " begin its unit with a week");
    }

    @Override
    public BeginMidWeek in(String other) {
        return new BeginMidWeek(course, other, lesson, anyDay);
    }
}
