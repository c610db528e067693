package app.matsuri.exchange.table;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Link;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDateTime;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The classes of all sections as a table to be edited elsewhere; what is read back is told by course, section and the start that a class
 * first had.
 */
public final class ClassesSheet {

    /** The start that a class first had, which names it for good. */
    static final String FIRST_START = "first start";

    private static final List<TableSheet.Column> COLUMNS = List.of(
            new TableSheet.Column("course", 12),
            new TableSheet.Column("section", 8),
            new TableSheet.Column("class", 7),
            new TableSheet.Column("date", 12),
            new TableSheet.Column("weekday", 11),
            new TableSheet.Column("starts", 9),
            new TableSheet.Column("ends", 9),
            new TableSheet.Column("minutes", 8),
            new TableSheet.Column("place", 18),
            new TableSheet.Column("lessons", 40),
            new TableSheet.Column("links", 40),
            new TableSheet.Column(FIRST_START, 17));

    private static final List<String> HOW = List.of(
            "A row is one class of one section, told by course, section and the start it first had.",
            "Another date, start or end moves the class; an empty date cancels it.",
            "A row more, without a first start, adds a class with its place. A row that is gone changes nothing.",
            "Links: an address, or “words: address”, several apart by a space or a line. An empty cell leaves none.",
            "Class, weekday, minutes and lessons are for reading; a place belongs to the section's pattern.",
            "Only what differs from Matsuri is proposed when the file is read again.");

    private ClassesSheet() {}

    /** As CSV. */
    public static String csv(Schedule schedule) {
        return sheet(rows(schedule)).csv();
    }

    /** As a workbook with days that a spreadsheet reckons with. */
    public static byte[] workbook(Schedule schedule) {
        return sheet(rows(schedule)).workbook();
    }

    private static TableSheet sheet(List<List<Object>> rows) {
        return new TableSheet("Classes", COLUMNS, rows, HOW);
    }

    private static List<List<Object>> rows(Schedule schedule) {
        List<List<Object>> rows = new ArrayList<>();
        for (SectionSchedule in : schedule.sections()) {
            Map<LocalDateTime, List<String>> lessons = in.lessonsBySession();
            int n = 0;
            for (Session s : in.sessions().all()) {
                boolean beat = s.origin() == Session.Origin.BEAT;
                rows.add(List.of(
                        in.course().code(),
                        in.section().code(),
                        String.valueOf(++n),
                        s.date(),
                        s.date().getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.ENGLISH),
                        beat ? "" : Say.time(s.start().toLocalTime()),
                        beat ? "" : Say.end(s.end().toLocalTime()),
                        String.valueOf(s.minutes()),
                        s.place(),
                        titles(in.course(), lessons.getOrDefault(s.name(), List.of())),
                        links(in.section().sessionLinks().getOrDefault(s.name(), List.of())),
                        beat ? s.date() : s.name()));
            }
        }
        return rows;
    }

    private static String titles(Course course, List<String> lessons) {
        return lessons.stream()
                .map(course::lesson)
                .flatMap(Optional::stream)
                .map(Lesson::title)
                .collect(Collectors.joining("; "));
    }

    /** Links as a cell has them. */
    static String links(List<Link> links) {
        return links.stream()
                .map(l -> l.title().isBlank() ? l.url() : l.title() + ": " + l.url())
                .collect(Collectors.joining("\n"));
    }
}
