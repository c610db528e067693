package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.With;
import java.util.List;

/**
 * Brings whole courses into a term, in place of those of the same codes.
 *
 * @param does where they come from, without a full stop
 * @param courses one or more
 * @param officeHours those that come along, in place of those with the same ids
 */
public record BringCourses(String does, List<Course> courses, List<OfficeHours> officeHours) implements Change {

    public BringCourses {
        courses = List.copyOf(courses);
        officeHours = List.copyOf(officeHours);
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
        List<OfficeHours> hours = before.officeHours();
        for (OfficeHours one : officeHours) {
            hours = With.put(hours, h -> h.id().equals(one.id()), one);
        }
        return Outcome.of(before.withCourses(now).withOfficeHours(hours));
    }

    @Override
    public String sentence(Decisions before) {
        return does;
    }
}
