package app.matsuri.core.change.pace;

import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;

/**
 * Says how many classes are left empty before a lesson, in one section.
 *
 * @param empty 0 or more
 */
public record SetGap(String course, String section, String lesson, int empty) implements OwnLessonChange {

    @Override
    public OwnLesson other(Lesson in, Section was) {
        if (empty < 0) {
            throw new Refused("Fewer than no classes cannot be left empty before “" + in.title() + "”.");
        }
        int more = empty - in.gapBefore();
        return was.own(lesson).withGap(more == 0 ? null : more);
    }

    @Override
    public String does(String title, Lesson in, Section was) {
        String what = empty == 0 ? "no class" : empty == 1 ? "one class" : empty + " classes";
        return "Leave " + what + " empty before " + title;
    }

    @Override
    public SetGap in(String other) {
        return new SetGap(course, other, lesson, empty);
    }
}
