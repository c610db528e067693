package app.matsuri.core.change.pace;

import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;

/** Lets a lesson share the last class of the lesson before it, in one section, or gives it its own again. */
public record Join(String course, String section, String lesson, boolean join) implements OwnLessonChange {

    @Override
    public OwnLesson other(Lesson in, Section was) {
        if (join && in.reserve()) {
            throw new Refused(
                    "“" + in.title() + "” is a spare day and takes a class of its own. Leave it out instead.");
        }
        return was.own(lesson).withJoined(join);
    }

    @Override
    public String does(String title, Lesson in, Section was) {
        return join ? "Join " + title + " to the lesson before it" : "Give " + title + " its own class again";
    }

    @Override
    public Join in(String other) {
        return new Join(course, other, lesson, join);
    }
}
