package app.matsuri.exchange.roster;

import app.matsuri.core.plan.Student;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * A list that was read, held against the roster as it is: who is on it already, who is new and who is missing. A student
 * is told by id, else by name in either case.
 *
 * @param lines the list's lines; the state "here" for who is on the roster already
 * @param missing who is on the roster and not on the list; nobody where the list names nobody
 * @param all the roster with those of the list added behind
 */
public record RosterAgainst(List<RosterReader.Line> lines, List<Student> missing, List<Student> all) {

    /** Holds a list against the roster. */
    public static RosterAgainst of(List<Student> now, List<RosterReader.Line> read) {
        Set<String> here = told(now);
        List<RosterReader.Line> lines = new ArrayList<>();
        List<Student> all = new ArrayList<>(now);
        List<Student> listed = new ArrayList<>();
        for (RosterReader.Line line : read) {
            Student student = line.student();
            boolean known = student != null && is(student, here);
            boolean plain = line.state().equals("student");
            if (student != null) {
                listed.add(student);
            }
            if (student != null && plain && !known) {
                all.add(student);
            }
            lines.add(
                    plain && known
                            ? new RosterReader.Line(
                                    line.number(),
                                    line.text(),
                                    "here",
                                    line.said() + ", on the roster already",
                                    student)
                            : line);
        }
        Set<String> on = told(listed);
        List<Student> missing =
                on.isEmpty() ? List.of() : now.stream().filter(s -> !is(s, on)).toList();
        return new RosterAgainst(lines, missing, all);
    }

    private static Set<String> told(List<Student> students) {
        Set<String> told = new HashSet<>();
        students.forEach(s -> {
            told.add("id " + s.id());
            told.add(name(s));
        });
        return told;
    }

    private static boolean is(Student student, Set<String> of) {
        return of.contains("id " + student.id()) || of.contains(name(student));
    }

    private static String name(Student student) {
        return "name " + student.name().toLowerCase(Locale.ROOT);
    }
}
