package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.With;
import java.util.List;

/**
 * Brings whole courses into a term, in place of those of the same codes.
 *
 * @param does where they come from, without a full stop
 * @param courses one or more
 */
public record BringCourses(String does, List<Course> courses) implements Change {

    public BringCourses {
        courses = List.copyOf(courses);
        if (courses.isEmpty()) {
            throw new IllegalArgumentException("no course to bring");
        }
    }

    @Override
    public Outcome apply(Decisions before) {
        List<Course> now = before.courses();
        for (Course course : courses) {
            now = With.put(now, c -> c.code().equals(course.code()), course);
        }
        return Outcome.of(before.withCourses(now));
    }

    @Override
    public String sentence(Decisions before) {
        return does;
    }
}
