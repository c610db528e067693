package app.matsuri.core.change.section;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.With;

/** Takes a section out of its course. */
public record RemoveSection(String course, String section) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Find.section(before, course, section);
        Course in = Find.course(before, course);
        return Outcome.of(before.withTerm(before.term().without(course + "/" + section))
                .withCourse(in.withSections(
                                With.without(in.sections(), s -> s.code().equals(section)))
                        .renamedSection(section, null)));
    }

    @Override
    public String sentence(Decisions before) {
        return "Take out section " + course + " " + section;
    }
}
