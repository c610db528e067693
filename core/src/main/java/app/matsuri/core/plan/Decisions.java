package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Term;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Everything decided about one term: the calendar, the courses, their sections and plans, what was taught, and office hours. */
public record Decisions(Term term, List<Course> courses, List<OfficeHours> officeHours, Extra extra) {

    public Decisions {
        courses = List.copyOf(courses);
        officeHours = List.copyOf(officeHours);
    }

    public static Decisions of(Term term, List<Course> courses) {
        return new Decisions(term, courses, List.of(), Extra.NONE);
    }

    public Optional<Course> course(String code) {
        return courses.stream().filter(c -> c.code().equals(code)).findFirst();
    }

    public Optional<OfficeHours> officeHours(String id) {
        return officeHours.stream().filter(h -> h.id().equals(id)).findFirst();
    }

    public Decisions withOfficeHours(List<OfficeHours> others) {
        return new Decisions(term, courses, others, extra);
    }

    public Decisions withTerm(Term other) {
        return new Decisions(other, courses, officeHours, extra);
    }

    public Decisions withCourses(List<Course> others) {
        return new Decisions(term, others, officeHours, extra);
    }

    public Decisions withCourse(Course course) {
        return withCourses(With.put(courses, c -> c.code().equals(course.code()), course));
    }

    /** The same with one course changed. */
    public Decisions withCourse(String code, UnaryOperator<Course> change) {
        return withCourses(courses.stream()
                .map(course -> course.code().equals(code) ? change.apply(course) : course)
                .toList());
    }
}
