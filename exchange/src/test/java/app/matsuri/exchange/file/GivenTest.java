package app.matsuri.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;

/** Files as they come, friendly and hostile. */
class GivenTest {

    private static Given given(String name, String text) {
        return new Given(name, text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void separatorsAreTold() {
        List<List<String>> expected = List.of(List.of("first", "reason"), List.of("2026-10-12", "Break, autumn"));
        assertThat(TableFile.rows(given("a.csv", "first,reason\r\n2026-10-12,\"Break, autumn\"\r\n")))
                .isEqualTo(expected);
        assertThat(TableFile.rows(given("a.csv", "first;reason\n2026-10-12;Break, autumn\n")))
                .isEqualTo(expected);
        assertThat(TableFile.rows(given("a.tsv", "first\treason\n2026-10-12\tBreak, autumn\n")))
                .isEqualTo(expected);
        assertThat(TableFile.rows(given("a.csv", "first|reason\n\n2026-10-12|Break, autumn")))
                .isEqualTo(expected);
    }

    /** RFC 4180 section 2, rules 6 and 7: quoted line breaks and doubled quotes. */
    @Test
    void quotesAreReadAsTheStandardSays() {
        assertThat(TableFile.rows(given("a.csv", "a,\"b \"\"c\"\"\r\nd\"\r\n")))
                .containsExactly(List.of("a", "b \"c\"\r\nd"));
    }

    @Test
    void charsetsAreTold() {
        String text = "Rentrée;Müller;año";
        assertThat(new Given("a", text.getBytes(StandardCharsets.UTF_8)).text()).isEqualTo(text);
        assertThat(new Given("a", text.getBytes(Charset.forName("windows-1252"))).text())
                .isEqualTo(text);
        assertThat(given("a", "\uFEFF" + text).text()).isEqualTo(text);
        assertThat(new Given("a", ("\uFEFF" + text).getBytes(StandardCharsets.UTF_16LE)).text())
                .isEqualTo(text);
    }

    @Test
    void aWorkbookGivesTheRowsOfItsFirstSheet() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "test", "1.0")) {
            Worksheet sheet = book.newWorksheet("Dates");
            sheet.value(0, 0, "Day");
            sheet.value(0, 1, "What");
            sheet.value(1, 0, LocalDate.parse("2026-10-12"));
            sheet.style(1, 0).format("yyyy-mm-dd").set();
            sheet.value(1, 1, "Autumn break");
        }
        assertThat(TableFile.rows(new Given("a.xlsx", out.toByteArray())))
                .containsExactly(List.of("Day", "What"), List.of("2026-10-12", "Autumn break"));
    }

    @Test
    void kindsThatAreNotReadAreRefusedWithWhatToDo() {
        assertThatThrownBy(() -> given("a.pdf", "%PDF-1.7 …").kind())
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("paste it");
        assertThatThrownBy(() -> given("a.csv", "").kind()).hasMessageContaining("is empty");
        assertThatThrownBy(() -> new Given("a.xls", new byte[] {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0, 0}).kind())
                .hasMessageContaining("Save it as .xlsx");
        assertThatThrownBy(() -> new Given("a.bin", new byte[200]).kind()).hasMessageContaining("no text");
        assertThatThrownBy(() -> new Given("a.ics", new byte[Given.MOST_BYTES + 1]).kind())
                .hasMessageContaining("at most 5 MB");
    }

    @Test
    void anUnclosedQuoteIsSaid() {
        assertThatThrownBy(() -> TableFile.rows(given("a.csv", "a,b\n\"c,d\ne,f\n")))
                .hasMessageContaining("not closed");
    }

    @Test
    void tooManyRowsAreRefused() {
        String rows = "2026-10-12,Break\n".repeat(TableFile.MOST_ROWS + 1);
        assertThatThrownBy(() -> TableFile.rows(given("a.csv", rows))).hasMessageContaining("20,000 rows");
    }

    private static Given zip(String part, byte[] content, int times) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry(part));
            for (int i = 0; i < times; i++) {
                zip.write(content);
            }
            zip.closeEntry();
        }
        return new Given("a.xlsx", out.toByteArray());
    }

    @Test
    void bombsEntitiesAndPathTricksNeverReachAParser() throws IOException {
        assertThatThrownBy(() -> TableFile.rows(zip("xl/workbook.xml", new byte[1_000_000], 100)))
                .hasMessageContaining("60 MB");
        byte[] entities = "<?xml version=\"1.0\"?><!DOCTYPE a [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><a>&x;</a>"
                .getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> TableFile.rows(zip("xl/workbook.xml", entities, 1)))
                .hasMessageContaining("document type");
        assertThatThrownBy(() -> TableFile.rows(zip("../../etc/passwd", new byte[1], 1)))
                .hasMessageContaining("no workbook");
        assertThatThrownBy(() -> TableFile.rows(zip("word/document.xml", new byte[] {'a'}, 1)))
                .isInstanceOf(Unreadable.class);
        assertThatThrownBy(() -> TableFile.rows(given("a.xlsx", "PK\u0003\u0004 broken")))
                .isInstanceOf(Unreadable.class);
    }
}
