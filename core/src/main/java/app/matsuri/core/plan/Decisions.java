package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Term;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Everything decided about one term: the calendar, the courses, their sections and plans, and what was taught. */
public record Decisions(Term term, List<Course> courses, Extra extra) {

    public Decisions {
        courses = List.copyOf(courses);
    }

    public static Decisions of(Term term, List<Course> courses) {
        return new Decisions(term, courses, Extra.NONE);
    }

    public Optional<Course> course(String code) {
        return courses.stream().filter(c -> c.code().equals(code)).findFirst();
    }

    public Decisions withTerm(Term other) {
        return new Decisions(other, courses, extra);
    }

    public Decisions withCourses(List<Course> others) {
        return new Decisions(term, others, extra);
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
