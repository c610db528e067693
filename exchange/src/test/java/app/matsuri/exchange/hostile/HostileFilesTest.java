package app.matsuri.exchange.hostile;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.TimeLimit;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Small files that would unfold to much: each reader reads them or says why not, and is soon done. */
class HostileFilesTest {

    private static final int MANY = 3_300_000;

    static Stream<String> hostile() {
        return files().keySet().stream();
    }

    private static Map<String, Given> files;

    private static synchronized Map<String, Given> files() {
        if (files == null) {
            try {
                files = made();
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        }
        return files;
    }

    private static Map<String, Given> made() throws IOException {
        Map<String, Given> all = new LinkedHashMap<>();
        all.put("zone.ics", text("zone.ics", zoned()));
        all.put(
                "recurring.ics",
                text("recurring.ics", calendar(event("FREQ=WEEKLY;BYDAY=MO").repeat(10_000))));
        all.put(
                "secondly.ics",
                text("secondly.ics", calendar(event("FREQ=SECONDLY").repeat(50))));
        all.put("excepted.ics", text("excepted.ics", calendar(event("FREQ=DAILY\r\nEXDATE:" + dates(100_000)))));
        all.put(
                "long.ics",
                text("long.ics", calendar("BEGIN:VEVENT\r\nSUMMARY:" + "x".repeat(1_000_000) + "\r\nEND:VEVENT\r\n")));
        all.put("deep.ics", text("deep.ics", "BEGIN:VCALENDAR\r\n" + "BEGIN:VEVENT\r\n".repeat(15_000)));
        all.put("strings.xlsx", workbook("<si/>".repeat(MANY), "<row r=\"1\"><c r=\"A1\" t=\"s\"><v>1</v></c></row>"));
        all.put("far-cell.xlsx", workbook("<si><t>a</t></si>", "<row r=\"1\"><c r=\"ZZZZZZ1\"><v>1</v></c></row>"));
        all.put(
                "far-string.xlsx",
                workbook("<si><t>a</t></si>", "<row r=\"1\"><c r=\"A1\" t=\"s\"><v>2000000000</v></c></row>"));
        all.put(
                "far-row.xlsx",
                workbook("<si><t>a</t></si>", "<row r=\"2147483647\"><c r=\"A2147483647\"><v>1</v></c></row>"));
        all.put(
                "cells.xlsx",
                workbook("<si><t>a</t></si>", "<row r=\"1\">" + "<c r=\"A1\"/>".repeat(3_000_000) + "</row>"));
        all.put("links.imscc", cartridge("<item identifierref=\"r\"><title>t</title></item>".repeat(4_900)));
        all.put("deep.imscc", cartridge("<item>".repeat(4_900) + "</item>".repeat(4_900)));
        all.put(
                "deep.docx",
                zip(
                        "deep.docx",
                        Map.of(
                                "word/document.xml",
                                "<w:document><w:body><w:p>" + "<w:r>".repeat(100_000)
                                        + "</w:p></w:body></w:document>")));
        all.put(
                "deep.odt",
                zip(
                        "deep.odt",
                        Map.of(
                                "content.xml",
                                "<office:body>" + "<text:list>".repeat(60_000) + "<text:list-item>".repeat(10_000)
                                        + "</office:body>")));
        all.put(
                "repeated.ods",
                zip(
                        "repeated.ods",
                        Map.of(
                                "content.xml",
                                "<office:body>"
                                        + ("<table:table-row table:number-rows-repeated=\"999\"><table:table-cell table:number-columns-repeated=\"9999\"><text:p>x</text:p></table:table-cell></table:table-row>")
                                                .repeat(8_000)
                                        + "</office:body>")));
        all.put("quotes.csv", text("quotes.csv", "\"".repeat(4_900_000)));
        all.put("pairs.csv", text("pairs.csv", "\"\",".repeat(1_600_000)));
        all.put("commas.csv", text("commas.csv", ",".repeat(4_900_000)));
        all.put("lines.csv", text("lines.csv", "title,due\n" + "a,5 Oct\n".repeat(19_000)));
        all.put("one-line.txt", text("one-line.txt", "Mon 5 Oct - ".repeat(90_000)));
        all.put("digits.txt", text("digits.txt", "1".repeat(1_000_000)));
        all.put("digits-and-dots.txt", text("digits-and-dots.txt", "1.".repeat(500_000)));
        all.put("blanks.txt", text("blanks.txt", "Mon" + " ".repeat(1_000_000) + "x"));
        all.put("tags.html", text("tags.html", "<html>" + "<table><tr><td>".repeat(60_000)));
        all.put("spans.html", text("spans.html", "<table>" + "<tr><td rowspan=65534 colspan=1000>x".repeat(20_000)));
        all.put("deep.json", text("deep.json", "{\"matsuri\":1,\"a\":" + "[".repeat(1_000_000)));
        all.put("many.json", text("many.json", "{\"matsuri\":1,\"a\":[" + "{},".repeat(1_500_000) + "{}]}"));
        return all;
    }

    private static Given text(String name, String text) {
        return new Given(name, text.getBytes(StandardCharsets.UTF_8));
    }

    private static String calendar(String events) {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\n" + events + "END:VCALENDAR\r\n";
    }

    private static String event(String rule) {
        return "BEGIN:VEVENT\r\nUID:a\r\nSUMMARY:HYD 210 A\r\nDTSTART:20260831T100000\r\nDTEND:20260831T105000\r\nRRULE:"
                + rule + "\r\nEND:VEVENT\r\n";
    }

    private static String dates(int count) {
        List<String> dates = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            dates.add(String.format("2026%02d%02dT%02d0000", i % 12 + 1, i % 28 + 1, i % 24));
        }
        return String.join(",", dates);
    }

    private static String zoned() {
        String observance =
                "BEGIN:%1$s\r\nDTSTART:1900010%2$dT000000\r\nTZOFFSETFROM:+0%2$d00\r\nTZOFFSETTO:+0%3$d00\r\nRRULE:FREQ=DAILY\r\nEND:%1$s\r\n";
        StringBuilder zone = new StringBuilder("BEGIN:VTIMEZONE\r\nTZID:Here\r\n");
        for (int i = 0; i < 50; i++) {
            zone.append(String.format(observance, i % 2 == 0 ? "STANDARD" : "DAYLIGHT", 1 + i % 8, 1 + (i + 1) % 8));
        }
        return calendar(zone + "END:VTIMEZONE\r\n"
                + event("FREQ=DAILY").replace("DTSTART:", "DTSTART;TZID=Here:").repeat(20));
    }

    private static Given workbook(String strings, String rows) throws IOException {
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put(
                "[Content_Types].xml",
                "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\"/>");
        parts.put("_rels/.rels", relations("officeDocument", "xl/workbook.xml"));
        parts.put(
                "xl/workbook.xml",
                "<workbook xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\" xmlns:r=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships\"><sheets><sheet name=\"a\" sheetId=\"1\" r:id=\"rId1\"/></sheets></workbook>");
        parts.put("xl/_rels/workbook.xml.rels", relations("worksheet", "worksheets/sheet1.xml"));
        parts.put(
                "xl/sharedStrings.xml",
                "<sst xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\">" + strings + "</sst>");
        parts.put(
                "xl/worksheets/sheet1.xml",
                "<worksheet xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\"><sheetData>" + rows
                        + "</sheetData></worksheet>");
        return zip("book.xlsx", parts);
    }

    private static String relations(String type, String target) {
        return "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"rId1\" Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/"
                + type + "\" Target=\"" + target + "\"/></Relationships>";
    }

    private static Given cartridge(String items) throws IOException {
        return zip(
                "links.imscc",
                Map.of(
                        "imsmanifest.xml",
                        "<manifest><organizations><organization><item><item><title>U</title>" + items
                                + "</item></item></organization></organizations><resources><resource identifier=\"r\" type=\"imswl_xmlv1p1\"><file href=\"l.xml\"/></resource></resources></manifest>",
                        "l.xml",
                        "<webLink><title>" + "x".repeat(900_000)
                                + "</title><url href=\"https://quillmarsh.example\"/></webLink>"));
    }

    private static Given zip(String name, Map<String, String> parts) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, String> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue().getBytes(StandardCharsets.UTF_8));
            }
        }
        return new Given(name, bytes.toByteArray());
    }

    @ParameterizedTest
    @MethodSource("hostile")
    @Timeout(300)
    void isReadOrRefused(String name) {
        Given given = files().get(name);
        EveryReader.ALL.forEach((reader, read) -> {
            // a safety net, many times what it takes: what never ends would hold up all tests
            TimeLimit.begin(Duration.ofSeconds(60));
            try {
                read.accept(given);
            } catch (Unreadable said) {
                assertThat(said.getMessage()).as(reader).isNotBlank();
            } finally {
                TimeLimit.end();
            }
        });
    }
}
