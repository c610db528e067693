package app.matsuri.core.change.pace;

import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;

/** Leaves a lesson out of one section, or takes it in again. */
public record LeaveOut(String course, String section, String lesson, boolean leave) implements OwnLessonChange {

    @Override
    public OwnLesson other(Lesson out, Section in) {
        if (leave && in.taught().values().stream().anyMatch(ids -> ids.contains(lesson))) {
            throw new Refused("“" + out.title() + "” was taught in section " + section + ".");
        }
        return in.own(lesson).withLeftOut(leave);
    }

    @Override
    public String does(String title, Lesson out, Section in) {
        return (leave ? "Leave out " : "Take in ") + title;
    }

    @Override
    public LeaveOut in(String other) {
        return new LeaveOut(course, other, lesson, leave);
    }
}
