package app.matsuri.server.page;

import app.matsuri.server.page.SectionPage.Said;
import app.matsuri.server.page.SectionPage.Thread;
import app.matsuri.server.page.SectionPage.WeekLink;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A week on one sheet, in words.
 *
 * @param about course, days and who teaches
 * @param days of the columns
 * @param rows a section each
 * @param due what is due, opens and closes, by day
 * @param size how small it is drawn, so that it goes on one page: 0 for as it is, 4 for the smallest
 */
public record SheetPage(
        String language,
        String title,
        int number,
        String headline,
        String about,
        List<Column> days,
        List<Row> rows,
        List<List<Work>> due,
        List<String> targets,
        List<Said> notices,
        List<Said> links,
        int size,
        @Nullable WeekLink previous,
        @Nullable WeekLink next,
        String home) {

    /** A day. */
    public record Column(String words, boolean today) {}

    /** A section: its classes, by day. */
    public record Row(String section, List<List<Lesson>> cells) {}

    /**
     * A class.
     *
     * @param notes private, for who teaches; empty on the class's sheet
     * @param steps likewise
     */
    public record Lesson(
            String when,
            String place,
            String meeting,
            @Nullable Thread thread,
            String title,
            List<Step> steps,
            String notes) {}

    /** What happens, in minutes. */
    public record Step(int minutes, String text) {}

    /**
     * Work on a day.
     *
     * @param mark a sign for what is to be done
     * @param what "before class", "hand in", "opens" or "closes", in words
     */
    public record Work(String section, String title, String address, String time, String mark, String what) {}
}
