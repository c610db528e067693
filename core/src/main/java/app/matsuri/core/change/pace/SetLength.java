package app.matsuri.core.change.pace;

import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;
import org.jspecify.annotations.Nullable;

/**
 * Gives a lesson another length in one section: a session taken out of it, or one more put in.
 *
 * @param length in sessions, 1 or more; null for the plan's
 */
public record SetLength(
        String course,
        String section,
        String lesson,
        @Nullable Integer length) implements OwnLessonChange {

    @Override
    public OwnLesson other(Lesson in, Section was) {
        if (length != null && length < 1) {
            throw new Refused("“" + in.title() + "” takes at least one class. Leave it out instead.");
        }
        return was.own(lesson).withLength(length == null || length == in.length() ? null : length);
    }

    @Override
    public String does(String title, Lesson in, Section was) {
        int now = length == null ? in.length() : length;
        boolean shorter = now < was.length(in);
        String to = now == 1 ? "one class" : now + " classes";
        return (shorter ? "Shorten " : "Give ") + title + (shorter ? " to " : " ") + to;
    }

    @Override
    public SetLength in(String other) {
        return new SetLength(course, other, lesson, length);
    }
}
