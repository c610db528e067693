package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.With;

/** Takes a course with its sections and its plan out of the term. */
public record RemoveCourse(String course) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Find.course(before, course);
        // days off and office hours for it alone go with it
        return Outcome.of(before.withTerm(before.term().without(course))
                .withCourses(With.without(before.courses(), c -> c.code().equals(course)))
                .withOfficeHours(before.officeHours().stream()
                        .filter(h -> !h.onlyFor(course))
                        .map(h -> h.without(course))
                        .toList()));
    }

    @Override
    public String sentence(Decisions before) {
        return "Take out course " + course;
    }
}
