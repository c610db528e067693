package app.matsuri.exchange.table;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.ThingDates;
import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/**
 * The table of dates to be edited elsewhere: a row per section of each item and of each notice that is no series, as CSV (RFC 4180, CRLF) or as a workbook, with times on the clock that is read. What
 * is read back is told by course, id and section.
 */
public final class DatesSheet {

    /** The columns, in order. */
    public static final List<String> COLUMNS =
            List.of("course", "section", "id", "title", "kind", "unit", "lesson", "opens", "due", "closes");

    /** The column of the first date. */
    static final int FIRST_DATE = 7;

    private static final double[] WIDTHS = {12, 8, 10, 34, 12, 8, 8, 17, 17, 17};

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
        return row;
    }

    private static String text(Object cell) {
        return cell instanceof LocalDateTime at ? Say.inTable(at) : cell.toString();
    }

    /** As CSV. */
    public static String csv(Decisions decisions, Schedule schedule) {
        StringWriter out = new StringWriter();
        try (CsvWriter csv =
                CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(out)) {
            csv.writeRecord(COLUMNS);
            rows(decisions, schedule)
                    .forEach(row ->
                            csv.writeRecord(row.stream().map(DatesSheet::text).toList()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** As a workbook with dates that a spreadsheet reckons with. */
    public static byte[] workbook(Decisions decisions, Schedule schedule) {
        return book(rows(decisions, schedule));
    }

    /** An empty table to fill in, with a second sheet that says how. */
    public static byte[] template() {
        return book(List.of());
    }

    private static byte[] book(List<List<Object>> rows) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "Matsuri", "1.0")) {
            Worksheet sheet = book.newWorksheet("Dates");
            for (int c = 0; c < COLUMNS.size(); c++) {
                sheet.value(0, c, COLUMNS.get(c));
                sheet.style(0, c).bold().set();
                sheet.width(c, WIDTHS[c]);
            }
            for (int r = 0; r < rows.size(); r++) {
                for (int c = 0; c < COLUMNS.size(); c++) {
                    Object cell = rows.get(r).get(c);
                    if (cell instanceof LocalDate day) {
                        sheet.value(r + 1, c, day);
                        sheet.style(r + 1, c).format("yyyy-mm-dd").set();
                    } else if (cell instanceof LocalDateTime at) {
                        sheet.value(r + 1, c, at);
                        sheet.style(r + 1, c)
                                .format(Say.twelveHours() ? "yyyy-mm-dd h:mm AM/PM" : "yyyy-mm-dd hh:mm")
                                .set();
                    } else {
                        sheet.value(r + 1, c, cell.toString());
                    }
                }
            }
            sheet.freezePane(0, 1);
            Worksheet how = book.newWorksheet("How to fill it in");
            for (int r = 0; r < HOW.size(); r++) {
                how.value(r, 0, HOW.get(r));
            }
            how.width(0, 100);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static final List<String> HOW = List.of(
            "A row is one thing in one section. Leave the section empty for all sections of the course.",
            "Things are told by course and id; where the id is empty or unknown, by title.",
            "Dates: 2026-10-08 23:59, 8 oct 5pm, next class, +2 days, CH2 +1 teaching day, due +2 days.",
            "An empty cell of a thing that has a date takes the date away. Write “same” to leave it to the plan.",
            "A notice opens when it begins and closes when it ends; a series is not in the table.",
            "Only what differs from Matsuri is proposed when the file is read again.");
}
