package app.matsuri.core.change.plan;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.Scopes;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.With;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Adds a course, or puts it in place of another.
 *
 * @param was code of the course it replaces; null for the one of its own code
 * @param course where it replaces another and brings neither sections nor units, it takes over the other's
 */
public record PutCourse(@Nullable String was, Course course) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        String old = was == null ? course.code() : was;
        if (was != null) {
            Find.course(before, was);
        }
        if (!old.equals(course.code()) && before.course(course.code()).isPresent()) {
            throw new Refused("There is a course “" + course.code() + "” already: give another code.");
        }
        Course full = before.course(old)
                .filter(c -> course.sections().isEmpty() && course.units().isEmpty())
                .map(c -> course.withSections(c.sections()).withUnits(c.units()).withBesides(c.besides()))
                .orElse(before.course(old).isPresent() ? course : anew());
        List<Course> courses = With.put(before.courses(), c -> c.code().equals(old), full);
        List<Closure> closures = before.term().closures().stream()
                .map(c -> Scopes.renamed(c, old, course.code()))
                .toList();
        courses = Scopes.renamed(courses, old, course.code());
        return Outcome.of(before.withCourses(courses)
                .withTerm(before.term().withClosures(closures))
                .withOfficeHours(before.officeHours().stream()
                        .map(h -> h.renamed(old, course.code()))
                        .toList()));
    }

    /** A course that was not there begins with the usual reminder, unless it brings something of its own. */
    private Course anew() {
        boolean bare = course.units().isEmpty() && course.besides().reminders().isEmpty();
        return bare ? course.withBesides(course.besides().withReminders(List.of(Reminder.USUAL))) : course;
    }

    @Override
    public String sentence(Decisions before) {
        boolean known = before.course(was == null ? course.code() : was).isPresent();
        return (known ? "Change course " : "Add course ") + course.code();
    }
}
