package app.matsuri.exchange.rollover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;

/** A table of dated work of another system: whatever order of columns, text and spreadsheet dates. */
class DatesOfAnotherTest {

    private static DatesOfAnother.Read csv(String text) {
        return DatesOfAnother.read(
                new Given("dates.csv", text.getBytes(StandardCharsets.UTF_8)), "HYD 210", null, ZoneOffset.UTC, false);
    }

    @Test
    void readsTitlesAndDatesInAnyOrderOfColumns() {
        Decisions read = csv("Due date,Name,Chapter,Available from\r\n"
                        + "2026-09-11 17:00,Log 1,Basins,2026-09-09T10:00:00\r\n"
                        + "9/18/2026 5pm,Log 2,Basins,\r\n"
                        + "25 Sep 2026,\"Report, short\",Gauging,\r\n")
                .decisions();
        Course course = read.courses().get(0);
        assertThat(course.units()).extracting(u -> u.title()).containsExactly("Basins", "Gauging");
        assertThat(course.items()).extracting(Item::title).containsExactly("Log 1", "Log 2", "Report, short");
        assertThat(course.items())
                .extracting(Item::due)
                .containsExactly(
                        DateRule.at(LocalDateTime.parse("2026-09-11T17:00")),
                        DateRule.at(LocalDateTime.parse("2026-09-18T17:00")),
                        DateRule.at(LocalDateTime.parse("2026-09-25T23:59")));
        assertThat(course.items().get(0).opens()).isEqualTo(DateRule.at(LocalDateTime.parse("2026-09-09T10:00")));
        assertThat(read.term().first()).as("the Monday before").isEqualTo(LocalDate.parse("2026-09-07"));
        assertThat(read.term().last()).as("the Sunday behind").isEqualTo(LocalDate.parse("2026-09-27"));
    }

    /** Reference library: Apache POI writes the workbook, with real spreadsheet dates. */
    @Test
    void readsSpreadsheetDates() throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (XSSFWorkbook book = new XSSFWorkbook()) {
            CellStyle dated = book.createCellStyle();
            dated.setDataFormat(book.getCreationHelper().createDataFormat().getFormat("yyyy-mm-dd hh:mm"));
            Sheet sheet = book.createSheet();
            Row head = sheet.createRow(0);
            head.createCell(0).setCellValue("Title");
            head.createCell(1).setCellValue("Due");
            Row row = sheet.createRow(1);
            row.createCell(0).setCellValue("Log 1");
            row.createCell(1).setCellValue(LocalDateTime.parse("2026-09-11T17:00"));
            row.getCell(1).setCellStyle(dated);
            book.write(bytes);
        }
        Decisions read = DatesOfAnother.read(
                        new Given("dates.xlsx", bytes.toByteArray()), "X", null, ZoneOffset.UTC, false)
                .decisions();
        assertThat(read.courses().get(0).items().get(0).due())
                .isEqualTo(DateRule.at(LocalDateTime.parse("2026-09-11T17:00")));
    }

    @Test
    void saysWhatLacksAndPassesOverWhatIsNoDate() {
        assertThatThrownBy(() -> csv("a,b\r\n1,2\r\n"))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("title, and due, opens or closes");
        assertThatThrownBy(() -> csv("title,due\r\nLog 1,soon\r\n")).hasMessageContaining("No row");
        DatesOfAnother.Read read = csv("title,due\r\nLog 1,2026-09-11\r\nLog 2,soon\r\n");
        assertThat(read.wrong()).extracting(w -> w.row() + " " + w.text()).containsExactly("3 soon");
        assertThat(read.decisions().courses().get(0).items()).hasSize(2);
    }
}
