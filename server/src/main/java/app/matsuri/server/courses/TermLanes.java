package app.matsuri.server.courses;

import app.matsuri.server.wall.WallView.Day;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The sections of one term, each with its days, to be laid beside those of other terms.
 *
 * @param version version of the decisions it shows
 * @param undo what an undo would take back; null for nothing
 * @param redo what a redo would make again; null for nothing
 */
public record TermLanes(
        long termId,
        long version,
        String termName,
        LocalDate first,
        LocalDate last,
        @Nullable String undo,
        @Nullable String redo,
        List<CourseLane> lanes) {

    /**
     * One section.
     *
     * @param key names it among all of a person's, as "12/HYD 210/A"
     * @param weekLimit minutes of work above which a week of the course counts as over
     * @param days those that have something to show, in order
     */
    public record CourseLane(
            String key,
            String course,
            String courseTitle,
            String section,
            int weekLimit,
            List<CourseUnit> units,
            List<Day> days) {}

    /**
     * A unit, whose thread is drawn by its number, or in the colour that was chosen for it.
     *
     * @param colour empty for that of its number
     */
    public record CourseUnit(String id, String code, String title, int number, String colour) {}
}
