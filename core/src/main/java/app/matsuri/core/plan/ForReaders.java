package app.matsuri.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * A plan for who was invited to look at it: without students' addresses, why a student has dates of their own, and what
 * is for oneself (notices, words on days, private notes of lessons).
 */
public final class ForReaders {

    private ForReaders() {}

    /** The plan without what is private. */
    public static Decisions of(Decisions decisions) {
        return decisions.withCourses(
                decisions.courses().stream().map(ForReaders::course).toList());
    }

    private static Course course(Course course) {
        Besides besides = course.besides();
        Map<String, String> ids = ids(course);
        return course.withSections(course.sections().stream()
                        .map(section -> section(section, ids))
                        .toList())
                .withUnits(course.units().stream()
                        .map(unit -> unit.withLessons(unit.lessons().stream()
                                .map(lesson -> lesson.withNotes(""))
                                .toList()))
                        .toList())
                .withBesides(besides.withNotices(besides.notices().stream()
                                .filter(notice -> notice.reach() != Notice.Reach.OWN)
                                .toList())
                        .withDayNotes(besides.dayNotes().stream()
                                .filter(note -> !note.own())
                                .toList()));
    }

    /** What stands for ids that are addresses themselves. */
    private static Map<String, String> ids(Course course) {
        Map<String, String> ids = new HashMap<>();
        for (Section section : course.sections()) {
            for (Student student : section.students()) {
                if (student.id().contains("@")) {
                    ids.computeIfAbsent(student.id(), id -> "student-" + (ids.size() + 1));
                }
            }
        }
        return ids;
    }

    private static Section section(Section section, Map<String, String> ids) {
        List<Student> students = section.students().stream()
                .map(s -> new Student(ids.getOrDefault(s.id(), s.id()), s.name(), ""))
                .toList();
        List<Adjustment> adjustments = new ArrayList<>();
        for (Adjustment a : section.adjustments()) {
            String student = a.student();
            adjustments.add(
                    student == null ? a : new Adjustment(a.item(), ids.getOrDefault(student, student), a.dates(), ""));
        }
        Section shortened = section.withStudents(students).withAdjustments(adjustments);
        for (Map.Entry<String, OwnLesson> own : section.lessons().entrySet()) {
            if (Objects.nonNull(own.getValue().note())) {
                shortened = shortened.withNote(own.getKey(), null);
            }
        }
        return shortened;
    }
}
