package app.matsuri.server.students;

import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Publishing;
import app.matsuri.server.findings.FindingView;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What students of a section see, for whoever teaches it.
 *
 * @param findings how many findings the term has
 * @param undo what an undo would take back; null for nothing
 * @param redo what a redo would make again; null for nothing
 * @param sections every section of the term, as "HYD 210/A", in order
 * @param page where the page is, as the class sees it
 * @param toldPage the same as it would be if they were told now
 * @param people the students of the section, each with where the page is as they see it
 * @param publishing how the course is shown
 * @param today the day
 * @param week number of the week of today
 * @param weeks those of the term, with their words
 * @param places in which the section meets
 * @param classes those that are over, the last one first
 * @param closed what students cannot open
 */
public record StudentsView(
        long version,
        int findings,
        @Nullable String undo,
        @Nullable String redo,
        String course,
        String section,
        List<String> sections,
        String page,
        String toldPage,
        List<Person> people,
        Publishing publishing,
        LocalDate today,
        int week,
        List<WeekWords> weeks,
        List<String> places,
        List<PastClass> classes,
        List<FindingView> closed) {

    /**
     * The words of a week.
     *
     * @param first its first day
     * @param days its seven days
     * @param section the section that the words are for; null for all of the course
     */
    public record WeekWords(
            int number,
            LocalDate first,
            List<LocalDate> days,
            @Nullable String section,
            String headline,
            List<String> targets) {}

    /** A student: where the page over all their courses is, and that of the section as it would be if they were told now. */
    public record Person(String id, String name, String page, String toldPage) {}

    /**
     * A class that is over.
     *
     * @param session its name
     * @param lessons titles, parted by "; "
     * @param links that were added to it for students
     */
    public record PastClass(LocalDateTime session, LocalDateTime start, String lessons, List<Link> links) {}
}
