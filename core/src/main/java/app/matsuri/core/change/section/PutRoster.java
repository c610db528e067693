package app.matsuri.core.change.section;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Student;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The students of a section, all of them as they are to be; none to remove them. Students who leave a section leave its
 * half-groups too.
 *
 * @param students no two with one id
 */
public record PutRoster(String course, String section, List<Student> students) implements Change {

    public PutRoster {
        students = List.copyOf(students);
    }

    @Override
    public Outcome apply(Decisions before) {
        Section in = Find.section(before, course, section);
        Set<String> ids = new HashSet<>();
        for (Student student : students) {
            if (!ids.add(student.id())) {
                throw new Refused("“" + student.name() + "” stands on the list twice.");
            }
        }
        String key = new SectionRef(course, section).toString();
        return Outcome.of(before.withCourse(
                course,
                c -> c.withSections(c.sections().stream()
                        .map(s -> s.code().equals(in.code())
                                ? s.withStudents(students)
                                : s.partOf().equals(key)
                                        ? s.withStudents(s.students().stream()
                                                .filter(student -> ids.contains(student.id()))
                                                .toList())
                                        : s)
                        .toList())));
    }

    @Override
    public String sentence(Decisions before) {
        int had = before.course(course)
                .flatMap(c -> c.section(section))
                .map(s -> s.students().size())
                .orElse(0);
        if (students.isEmpty()) {
            return "Remove " + Say.count(had, "student") + Find.in(course, section);
        }
        return (had == 0 ? "Roster of " : "Change the roster to ")
                + Say.count(students.size(), "student")
                + Find.in(course, section);
    }
}
