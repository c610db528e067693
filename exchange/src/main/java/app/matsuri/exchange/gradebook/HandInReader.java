package app.matsuri.exchange.gradebook;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.gradebook.HandIn;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.NamedColumns;
import app.matsuri.exchange.file.TableFile;
import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reads what a grade book says was handed in: a table with the columns course, work, student and handed in. Work and
 * students are told by id, else by title or name; the moment is ISO 8601, in the term's zone.
 */
public final class HandInReader {

    private static final Map<String, Set<String>> COLUMNS = Map.of(
            "course", Set.of("course", "course code", "class"),
            "work", Set.of("work", "item", "assignment", "title", "task"),
            "student", Set.of("student", "student id", "name", "id", "student name"),
            "at", Set.of("handed in", "handed in at", "submitted", "submitted at", "date", "time"));

    private HandInReader() {}

    /** A line that was not understood, and what to do. */
    public record Wrong(int line, String text, String said) {}

    /**
     * What was read.
     *
     * @param handIns of one student's one piece of work the earliest
     */
    public record Read(List<HandIn> handIns, List<Wrong> wrong) {}

    /**
     * Reads a table for a term.
     *
     * @throws app.matsuri.exchange.file.Unreadable when it is no table
     */
    public static Read read(Given file, Decisions decisions) {
        List<List<String>> rows = TableFile.rows(file);
        NamedColumns columns = new NamedColumns(rows.isEmpty() ? List.of() : rows.get(0), COLUMNS);
        List<Wrong> wrong = new ArrayList<>();
        if (columns.size() < COLUMNS.size()) {
            wrong.add(new Wrong(
                    1,
                    rows.isEmpty() ? "" : String.join(", ", rows.get(0)),
                    "The first line must name the columns: course, work, student, handed in."));
            return new Read(List.of(), wrong);
        }
        Map<By, HandIn> earliest = new LinkedHashMap<>();
        for (int i = 1; i < rows.size(); i++) {
            List<String> row = rows.get(i);
            try {
                HandIn one = handIn(row, columns, decisions);
                earliest.merge(
                        new By(new ThingRef(one.course(), one.item()), one.student()),
                        one,
                        (a, b) -> b.at().isBefore(a.at()) ? b : a);
            } catch (IllegalArgumentException e) {
                wrong.add(new Wrong(i + 1, String.join(", ", row), Known.message(e)));
            }
        }
        return new Read(List.copyOf(earliest.values()), wrong);
    }

    /** Who handed in what. */
    private record By(ThingRef work, String student) {}

    private static HandIn handIn(List<String> row, NamedColumns columns, Decisions decisions) {
        String code = columns.cell(row, "course");
        Course course = decisions
                .course(code)
                .orElseThrow(() -> new IllegalArgumentException(
                        "There is no course “" + code + "” in this term: write its code as it stands there."));
        String work = columns.cell(row, "work");
        Item item = course.item(work)
                .or(() -> course.items().stream()
                        .filter(i -> i.title().equalsIgnoreCase(work))
                        .findFirst())
                .orElseThrow(() -> new IllegalArgumentException(
                        "“" + code + "” has no work “" + work + "”: write its id or its title."));
        String who = columns.cell(row, "student");
        String student = student(course, who)
                .orElseThrow(() -> new IllegalArgumentException("“" + who + "” is on no roster of “" + code
                        + "”: write the id or the name that stands there."));
        String at = columns.cell(row, "at");
        try {
            return new HandIn(course.code(), item.id(), student, LocalDateTime.parse(at.replace(' ', 'T')));
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException("“" + at + "” is no moment: write it as 2026-10-05T17:00.", e);
        }
    }

    private static Optional<String> student(Course course, String who) {
        List<Student> all = course.sections().stream()
                .map(Section::students)
                .flatMap(List::stream)
                .toList();
        return all.stream()
                .filter(s -> s.id().equals(who))
                .findFirst()
                .or(() ->
                        all.stream().filter(s -> s.name().equalsIgnoreCase(who)).findFirst())
                .map(Student::id);
    }
}
