package app.matsuri.core.change.section;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.Scopes;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.With;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Adds a section, or puts it in place of another.
 *
 * @param was code of the section it replaces; null for the one of its own code
 */
public record PutSection(String course, @Nullable String was, Section section) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Course in = Find.course(before, course);
        String old = was == null ? section.code() : was;
        if (was != null) {
            Find.section(before, course, was);
        }
        if (!old.equals(section.code()) && in.section(section.code()).isPresent()) {
            throw new Refused("“" + course + "” has a section “" + section.code() + "” already: give another code.");
        }
        List<Section> sections = With.put(in.sections(), s -> s.code().equals(old), section);
        List<Closure> closures = before.term().closures().stream()
                .map(c -> Scopes.renamed(c, ref(old), ref(section.code())))
                .toList();
        Course changed = in.withSections(sections);
        return Outcome.of(
                before.withCourse(old.equals(section.code()) ? changed : changed.renamedSection(old, section.code()))
                        .withTerm(before.term().withClosures(closures)));
    }

    private String ref(String code) {
        return new SectionRef(course, code).toString();
    }

    @Override
    public String sentence(Decisions before) {
        boolean known = before.course(course)
                .flatMap(c -> c.section(was == null ? section.code() : was))
                .isPresent();
        return (known ? "Change section " : "Add section ") + course + " " + section.code();
    }
}
