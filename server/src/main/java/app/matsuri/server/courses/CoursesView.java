package app.matsuri.server.courses;

import java.time.LocalDate;
import java.util.List;

/**
 * All courses of a person.
 *
 * @param columns weekdays on which anything stands, 1 for Monday to 7, in the order of the person's weeks
 * @param weeks those in which any of the terms runs, in order
 * @param courses all of them, also those of terms that are over and not laid out
 * @param terms those that are laid out
 * @param groups students who have several of them, the most first
 */
public record CoursesView(
        LocalDate today,
        List<Integer> columns,
        List<CourseWeek> weeks,
        List<CourseLine> courses,
        List<TermLanes> terms,
        List<StudentGroup> groups) {

    /**
     * A week.
     *
     * @param last its seventh day
     * @param days of the columns
     */
    public record CourseWeek(LocalDate first, LocalDate last, List<LocalDate> days) {}

    /**
     * A section.
     *
     * @param letter one to three letters that tell it apart from all others
     * @param meets when, in words; "no classes" where it does not meet
     * @param finished whether its term is over
     * @param role "own", or as what the term was shared: "co-teacher" or "reader"
     */
    public record CourseLine(
            String key,
            long termId,
            String termName,
            LocalDate first,
            LocalDate last,
            String course,
            String courseTitle,
            String section,
            String letter,
            String meets,
            boolean finished,
            String role) {}

    /**
     * Students who have the same of these courses.
     *
     * @param keys of those courses, two or more
     * @param students how many they are
     */
    public record StudentGroup(List<String> keys, int students) {}
}
