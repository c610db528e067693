package app.matsuri.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.junit.jupiter.api.Test;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.STMerge;

/** Documents come to plain cells and lines. Text documents are made by Apache POI, which is none of ours. */
class PlainTest {

    private static List<List<String>> rows(Given file) {
        return TableFile.rows(Plain.of(file));
    }

    private static Given given(String name, String text) {
        return new Given(name, text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void aTableOfAPageKeepsMergedCellsLinesAndLinks() {
        assertThat(rows(given("page.html", """
                <!doctype html><html><body><script>no()</script><p>Rivers</p><table>
                <tr><th>Unit<th>Topic<th>Reading</tr>
                <tr><td rowspan=2>Basins<td>Rain<br>and snow<td><a href="https://x.example/1">Notes</a></tr>
                <tr><td colspan=2>Fog</tr></table></body></html>""")))
                .containsExactly(
                        List.of("Rivers"),
                        List.of("Unit", "Topic", "Reading"),
                        List.of("Basins", "Rain\nand snow", "Notes (https://x.example/1)"),
                        List.of("", "Fog", ""));
    }

    @Test
    void listsOfAPageKeepTheirDepth() {
        assertThat(Plain.of(given("x.htm", "<h2>Basins</h2><ul><li>Rain<ul><li>Read 1</li></ul></li><li>Fog</li></ul>"))
                        .text())
                .isEqualTo("## Basins\n  - Rain\n    - Read 1\n  - Fog");
    }

    @Test
    void aTextDocumentWithATable() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (XWPFDocument document = new XWPFDocument()) {
            document.createParagraph().createRun().setText("Rivers, autumn 2026");
            XWPFTable table = document.createTable(3, 2);
            String[][] cells = {{"Unit", "Topic"}, {"Basins", "Rain"}, {"", "Fog"}};
            for (int r = 0; r < 3; r++) {
                for (int c = 0; c < 2; c++) {
                    table.getRow(r).getCell(c).setText(cells[r][c]);
                }
            }
            table.getRow(1).getCell(0).getCTTc().addNewTcPr().addNewVMerge().setVal(STMerge.RESTART);
            table.getRow(2).getCell(0).getCTTc().addNewTcPr().addNewVMerge().setVal(STMerge.CONTINUE);
            table.getRow(2)
                    .getCell(1)
                    .getParagraphs()
                    .get(0)
                    .createHyperlinkRun("https://x.example/fog")
                    .setText(" and mist");
            document.write(out);
        }
        assertThat(rows(new Given("sheet.docx", out.toByteArray())))
                .containsExactly(
                        List.of("Rivers, autumn 2026"),
                        List.of("Unit", "Topic"),
                        List.of("Basins", "Rain"),
                        List.of("", "Fog and mist (https://x.example/fog)"));
    }

    @Test
    void anOpenSpreadsheetWithRepeatedCellsAndDates() throws IOException {
        String content = """
                <office:document-content xmlns:office="o" xmlns:table="t" xmlns:text="x"><office:body><office:spreadsheet>
                <table:table><table:table-row><table:table-cell><text:p>Date</text:p></table:table-cell>
                <table:table-cell table:number-columns-repeated="2"><text:p>Topic</text:p></table:table-cell></table:table-row>
                <table:table-row><table:table-cell office:date-value="2026-09-02"><text:p>2. Sept.</text:p></table:table-cell>
                <table:table-cell><text:p>Rain</text:p><text:p>Snow</text:p></table:table-cell>
                <table:covered-table-cell/></table:table-row>
                <table:table-row table:number-rows-repeated="1000"><table:table-cell table:number-columns-repeated="900"/></table:table-row>
                </table:table></office:spreadsheet></office:body></office:document-content>""";
        assertThat(rows(zip("sheet.ods", Map.of("content.xml", content))))
                .containsExactly(List.of("Date", "Topic", "Topic"), List.of("2026-09-02", "Rain\nSnow"));
    }

    private static Given zip(String name, Map<String, String> parts) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> part : new TreeMap<>(parts).entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue().getBytes(StandardCharsets.UTF_8));
            }
        }
        return new Given(name, out.toByteArray());
    }

    private static byte[] pdf(boolean locked, String... lines) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage();
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.beginText();
                content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 11);
                content.setLeading(14);
                content.newLineAtOffset(60, 700);
                for (String line : lines) {
                    content.showText(line);
                    content.newLine();
                }
                content.endText();
            }
            if (locked) {
                document.protect(new StandardProtectionPolicy("owner", "reader", new AccessPermission()));
            }
            document.save(out);
        }
        return out.toByteArray();
    }

    @Test
    void theTextOfAPdfIsReadLineByLine() throws IOException {
        byte[] content = pdf(false, "Academic calendar", "Oct 12-13  Autumn break, no classes");
        assertThat(Plain.of(new Given("dates.pdf", content)).text().lines())
                .containsExactly("Academic calendar", "Oct 12-13  Autumn break, no classes");
    }

    @Test
    void whatCannotBeReadSaysWhatToDo() throws IOException {
        byte[] locked = pdf(true, "Dates");
        assertThatThrownBy(() -> Plain.of(new Given("dates.pdf", locked)))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("“dates.pdf” is locked with a password");
        byte[] empty = pdf(false);
        assertThatThrownBy(() -> Plain.of(new Given("scan.pdf", empty)))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("no text, only pictures");
        assertThatThrownBy(() -> Plain.of(given("odd.pdf", "%PDF-1.4 nothing of the kind")))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("no PDF that can be read");
        assertThatThrownBy(() -> Plain.of(given("blank.html", "<html><body> </body></html>")))
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining("“blank.html” has no text");
    }

    @Test
    void whatIsPlainStaysAsItIs() {
        Given csv = given("x.csv", "a,b\n1,2");
        assertThat(Plain.of(csv)).isSameAs(csv);
        assertThat(Plain.of(given("mail.txt", "Fall break <all offices>: Oct 12"))
                        .text())
                .contains("<all offices>");
    }
}
