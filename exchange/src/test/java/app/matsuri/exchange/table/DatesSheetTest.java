package app.matsuri.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Together;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.Files;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.TableFile;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.words.CellWords;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The table of dates out and back; read by libraries other than those that write it (Apache POI, Commons CSV). */
class DatesSheetTest {

    private static Decisions demo;
    private static Schedule schedule;

    @BeforeAll
    static void readTheDemo() throws Exception {
        demo = PlanFile.read(java.nio.file.Files.readString(Files.demo("autumn-2026.json")))
                .decisions();
        schedule = Schedule.of(demo);
    }

    private static TableReading read(List<List<String>> rows) {
        return DatesSheetReader.read(rows, demo, words(demo));
    }

    private static List<List<String>> rows(String name, byte[] content) {
        return TableFile.rows(new Given(name, content));
    }

    @Test
    void aWorkbookHoldsDatesThatASpreadsheetReckonsWith() throws Exception {
        try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(DatesSheet.workbook(demo, schedule)))) {
            Sheet sheet = book.getSheetAt(0);
            assertThat(sheet.getLastRowNum())
                    .isEqualTo(DatesSheet.rows(demo, schedule).size());
            Row row = row(sheet, "A", "Lab report 3");
            LocalDateTime due = due(schedule, "A", "Lab report 3");
            assertThat(row.getCell(8).getLocalDateTimeCellValue()).isEqualTo(due);
        }
    }

    private static Row row(Sheet sheet, String section, String title) {
        for (Row row : sheet) {
            if (row.getCell(1).getStringCellValue().equals(section)
                    && row.getCell(3).getStringCellValue().equals(title)) {
                return row;
            }
        }
        throw new AssertionError("no row " + title);
    }

    /** On a clock of 12 hours, table and workbook say so, and what is read back is the same. */
    @Test
    void bothSpeakTheClockThatThePersonReads() throws Exception {
        Say.twelveHours(true);
        try {
            byte[] csv = DatesSheet.csv(demo, schedule).getBytes(StandardCharsets.UTF_8);
            byte[] workbook = DatesSheet.workbook(demo, schedule);
            assertThat(new String(csv, StandardCharsets.UTF_8))
                    .contains(" 11:59 pm")
                    .doesNotContain("23:59");
            try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(workbook))) {
                assertThat(new DataFormatter(Locale.US)
                                .formatCellValue(row(book.getSheetAt(0), "A", "Lab report 3")
                                        .getCell(8)))
                        .endsWith("PM");
            }
            for (List<List<String>> rows : List.of(rows("dates.csv", csv), rows("dates.xlsx", workbook))) {
                TableReading reading = read(rows);
                assertThat(reading.lines()).isEmpty();
                assertThat(reading.same())
                        .isEqualTo(3 * DatesSheet.rows(demo, schedule).size());
            }
        } finally {
            Say.twelveHours(false);
        }
    }

    @Test
    void theCsvSaysTheSame() throws Exception {
        String csv = DatesSheet.csv(demo, schedule);
        assertThat(csv).contains("\r\n");
        List<CSVRecord> records = CSVFormat.RFC4180.parse(new StringReader(csv)).getRecords();
        List<List<Object>> rows = DatesSheet.rows(demo, schedule);
        assertThat(records).hasSize(rows.size() + 1);
        for (int i = 0; i < rows.size(); i++) {
            assertThat(records.get(i + 1).get(2)).isEqualTo(rows.get(i).get(2));
            assertThat(records.get(i + 1).get(8).replace(' ', 'T'))
                    .isEqualTo(rows.get(i).get(8).toString());
        }
    }

    @Test
    void readAgainUneditedNothingDiffers() {
        byte[] csv = DatesSheet.csv(demo, schedule).getBytes(StandardCharsets.UTF_8);
        for (List<List<String>> rows :
                List.of(rows("dates.csv", csv), rows("dates.xlsx", DatesSheet.workbook(demo, schedule)))) {
            TableReading reading = read(rows);
            assertThat(reading.lines()).isEmpty();
            assertThat(reading.changes()).isEmpty();
            assertThat(reading.same())
                    .isEqualTo(3 * DatesSheet.rows(demo, schedule).size());
        }
    }

    @Test
    void onlyWhatWasEditedElsewhereIsProposed() throws Exception {
        byte[] edited;
        try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(DatesSheet.workbook(demo, schedule)))) {
            Sheet sheet = book.getSheetAt(0);
            row(sheet, "A", "Lab report 3").getCell(8).setCellValue(LocalDateTime.of(2026, 10, 27, 17, 0));
            Row byTitle = row(sheet, "A", "Field log 6");
            byTitle.getCell(2).setCellValue("");
            byTitle.getCell(8).setCellValue("30 oct 5pm");
            Row nobody = row(sheet, "B", "Field log 7");
            nobody.getCell(2).setCellValue("?");
            nobody.getCell(3).setCellValue("No such thing");
            row(sheet, "B", "Field log 8").getCell(9).setCellValue("whenever");
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            book.write(out);
            edited = out.toByteArray();
        }
        TableReading reading = read(rows("edited.xlsx", edited));
        assertThat(reading.lines())
                .extracting(TableReading.Line::title, TableReading.Line::state)
                .containsExactlyInAnyOrder(
                        org.assertj.core.groups.Tuple.tuple("Lab report 3", "changed"),
                        org.assertj.core.groups.Tuple.tuple("Field log 6", "doubt"),
                        org.assertj.core.groups.Tuple.tuple("No such thing", "unknown"),
                        org.assertj.core.groups.Tuple.tuple("Field log 8", "not-understood"));
        Decisions after = Change.make(Together.of(reading.changes()), demo).decisions();
        assertThat(due(Schedule.of(after), "A", "Lab report 3")).isEqualTo(LocalDateTime.of(2026, 10, 27, 17, 0));
        assertThat(due(Schedule.of(after), "B", "Lab report 3"))
                .as("the other section keeps its date")
                .isEqualTo(due(schedule, "B", "Lab report 3"));
    }

    private static LocalDateTime due(Schedule in, String section, String title) {
        return in.section("HYD 210", section).orElseThrow().dates().stream()
                .filter(d -> d.item().title().equals(title))
                .findFirst()
                .orElseThrow()
                .due()
                .at();
    }

    @Test
    void aTableWithoutAHeadingIsRefused() {
        assertThatThrownBy(() -> read(List.of(List.of("Lab report 3", "3 nov"))))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("first row");
    }

    @Test
    void theTemplateHasTheHeadingAndSaysHow() throws Exception {
        try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(DatesSheet.template()))) {
            Row head = book.getSheetAt(0).getRow(0);
            for (int c = 0; c < DatesSheet.COLUMNS.size(); c++) {
                assertThat(head.getCell(c).getStringCellValue()).isEqualTo(DatesSheet.COLUMNS.get(c));
            }
            assertThat(book.getSheetAt(1).getRow(0).getCell(0).getStringCellValue())
                    .contains("one thing in one section");
        }
    }

    @Test
    void noticesGoOutAndComeBackAsTheyAre() throws Exception {
        List<List<String>> rows = rows("d.csv", DatesSheet.csv(demo, schedule).getBytes(StandardCharsets.UTF_8));
        List<List<String>> notices =
                rows.stream().filter(r -> r.get(2).startsWith("notice:")).toList();
        assertThat(notices).isNotEmpty();
        assertThat(notices).extracting(r -> r.get(8)).as("never due").containsOnly("");
        assertThat(read(rows("d.xlsx", DatesSheet.workbook(demo, schedule))).lines())
                .isEmpty();
        List<List<String>> other = new java.util.ArrayList<>(rows);
        List<String> first = new java.util.ArrayList<>(notices.get(0));
        first.set(7, "2026-11-04");
        first.set(9, "");
        other.set(rows.indexOf(notices.get(0)), first);
        TableReading reading = read(other);
        assertThat(reading.lines()).extracting(TableReading.Line::state).containsOnly("changed");
        Decisions after = Change.make(Together.of(reading.changes()), demo).decisions();
        assertThat(Schedule.of(after)
                        .section(first.get(0), first.get(1))
                        .orElseThrow()
                        .dated(first.get(2))
                        .orElseThrow()
                        .get(Which.OPENS)
                        .at()
                        .toLocalDate())
                .isEqualTo(LocalDate.of(2026, 11, 4));
    }

    /** A row is read as a whole: what hangs on a date of the row hangs on the one that it gives. */
    @Test
    void aDateThatHangsOnAnotherOfItsRowGoesByTheNewOne() {
        List<String> heads = List.of("course", "id", "due", "closes");
        TableReading reading = read(List.of(heads, List.of("HYD 210", "lab-3", "2026-11-04 12:00", "due +1 days")));
        assertThat(reading.lines())
                .extracting(TableReading.Line::said)
                .satisfies(said -> assertThat(said)
                        .anyMatch(w -> w.endsWith("to Wed 4 Nov, 12:00"))
                        .anyMatch(w -> w.contains("to Thu 5 Nov")));
    }

    @Test
    void remindersOfItsOwnGoOutAndComeBack() {
        List<List<String>> rows =
                new ArrayList<>(rows("dates.csv", DatesSheet.csv(demo, schedule).getBytes(StandardCharsets.UTF_8)));
        int title = DatesSheet.COLUMNS.indexOf("title");
        int column = DatesSheet.COLUMNS.indexOf("reminders");
        rows.replaceAll(row -> {
            List<String> cells = new ArrayList<>(row);
            if (cells.get(title).equals("Lab report 3")) {
                cells.set(column, "2 days before at 8:00, by mail; closes: 30 min before, in feeds");
            }
            return cells;
        });
        TableReading reading = read(rows);
        assertThat(reading.lines())
                .extracting(TableReading.Line::said)
                .hasSize(1)
                .first()
                .asString()
                .isEqualTo("as the course does to 2 days before at 08:00, by mail; closes: 30 min before, in feeds");
        Decisions after = Change.make(Together.of(reading.changes()), demo).decisions();
        String csv = DatesSheet.csv(after, Schedule.of(after));
        assertThat(csv.lines().filter(l -> l.contains("Lab report 3")))
                .allMatch(l -> l.contains("2 days before at 08:00, by mail; closes: 30 min before, in feeds"));
        // read again, nothing differs; and an empty cell is what the course does
        assertThat(DatesSheetReader.read(rows, after, words(after)).changes()).isEmpty();
        List<List<String>> before =
                rows("dates.csv", DatesSheet.csv(demo, schedule).getBytes(StandardCharsets.UTF_8));
        TableReading back = DatesSheetReader.read(before, after, words(after));
        assertThat(Change.make(Together.of(back.changes()), after).decisions()).isEqualTo(demo);
    }

    private static CellWords words(Decisions decisions) {
        return new CellWords(decisions, Schedule.of(decisions), LocalDate.of(2026, 10, 7), false);
    }
}
