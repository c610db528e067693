package app.matsuri.exchange.table;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.ThingDates;
import app.matsuri.exchange.words.ReminderWords;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/**
 * The table of dates to be edited elsewhere: a row per section of each item and of each notice that is no series, as CSV (RFC 4180, CRLF) or as a workbook, with times on the clock that is read. What
 * is read back is told by course, id and section.
 */
public final class DatesSheet {

    /** The column of a piece of work's own reminders. */
    static final String REMINDERS = "reminders";

    /** The columns, in order. */
    public static final List<String> COLUMNS =
            List.of("course", "section", "id", "title", "kind", "unit", "lesson", "opens", "due", "closes", REMINDERS);

    /** The column of the first date. */
    static final int FIRST_DATE = 7;

    private static final double[] WIDTHS = {12, 8, 10, 34, 12, 8, 8, 17, 17, 17, 34};

    private DatesSheet() {}

    /** The rows below the heading; a date with its time, that of a whole day without time, none as nothing. */
    static List<List<Object>> rows(Decisions decisions, Schedule schedule) {
        List<List<Object>> rows = new ArrayList<>();
        for (Course course : decisions.courses()) {
            List<Dated> things = new ArrayList<>(course.items());
            course.besides().notices().stream()
                    .filter(notice -> !notice.when().series())
                    .forEach(things::add);
            for (Dated thing : things) {
                for (Section section : course.sections()) {
                    schedule.section(course.code(), section.code())
                            .orElseThrow()
                            .dated(thing)
                            .ifPresent(dates -> rows.add(row(course, section, dates)));
                }
            }
        }
        return rows;
    }

    private static List<Object> row(Course course, Section section, ThingDates dates) {
        Dated thing = dates.thing();
        List<Object> row = new ArrayList<>(List.of(
                course.code(),
                section.code(),
                thing.key(),
                thing.title(),
                thing.kind(),
                course.unit(dates.unitId()).map(Unit::code).orElse(""),
                thing.lesson() == null ? "" : thing.lesson()));
        boolean wholeDays = thing.wholeDays(section.code());
        for (Which which : Which.values()) {
            LocalDateTime at = dates.at(which);
            if (at == null) {
                row.add("");
            } else if (wholeDays) {
                row.add(at.toLocalDate());
            } else {
                row.add(at);
            }
        }
        row.add(ReminderWords.say(course.besides().reminders().stream()
                .filter(r -> dates.thing().key().equals(r.item()))
                .toList()));
        return row;
    }

    private static TableSheet sheet(List<List<Object>> rows) {
        List<TableSheet.Column> columns = new ArrayList<>();
        for (int c = 0; c < COLUMNS.size(); c++) {
            columns.add(new TableSheet.Column(COLUMNS.get(c), WIDTHS[c]));
        }
        return new TableSheet("Dates", columns, rows, HOW);
    }

    /** As CSV. */
    public static String csv(Decisions decisions, Schedule schedule) {
        return sheet(rows(decisions, schedule)).csv();
    }

    /** As a workbook with dates that a spreadsheet reckons with. */
    public static byte[] workbook(Decisions decisions, Schedule schedule) {
        return sheet(rows(decisions, schedule)).workbook();
    }

    /** An empty table to fill in, with a second sheet that says how. */
    public static byte[] template() {
        return sheet(List.of()).workbook();
    }

    private static final List<String> HOW = List.of(
            "A row is one thing in one section. Leave the section empty for all sections of the course.",
            "Things are told by course and id; where the id is empty or unknown, by title.",
            "Dates: 2026-10-08 23:59, 8 oct 5pm, next class, +2 days, CH2 +1 teaching day, due +2 days.",
            "An empty cell of a thing that has a date takes the date away. Write “same” to leave it to the plan.",
            "Reminders: the day before at 09:00; 30 min before, in feeds; none. Empty is what the course does. Work only.",
            "A notice opens when it begins and closes when it ends; a series is not in the table.",
            "Only what differs from Matsuri is proposed when the file is read again.");
}
