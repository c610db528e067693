package app.matsuri.server.section;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.DemoTest;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Sections over HTTP: classes, rosters, the timetable. */
class SectionHttpTest extends DemoTest {

    private static final String MAP = "?course=MAP%20115&section=A";
    private static final String A = "?course=HYD%20210&section=A";

    private static String json(Object value) {
        return Json.MAPPER.writeValueAsString(value);
    }

    @Test
    void classesAreListedWithThoseThatDoNotTakePlace() throws Exception {
        browser.change(
                term,
                1,
                "{\"kind\":\"change-session\",\"course\":\"HYD 210\",\"section\":\"A\",\"change\":{\"cancel\":\"2026-11-02T10:00\"}}");
        JsonNode lines = browser.get(at + "/classes" + A).body();
        int stand = 0;
        String cancelled = "";
        String off = "";
        for (JsonNode line : lines) {
            stand += line.hasNonNull("number") ? 1 : 0;
            cancelled += line.path("state").stringValue("").equals("cancelled")
                    ? line.path("name").stringValue("")
                    : "";
            off += line.path("state").stringValue("").equals("off")
                    ? line.path("reason").stringValue("") + ";"
                    : "";
        }
        assertThat(stand).isEqualTo(43);
        assertThat(cancelled).startsWith("2026-11-02T10:00");
        assertThat(off).contains("Public holiday;", "Autumn break;", "Holiday break;");
        assertThat(lines.get(0).path("series").asInt(-1)).isZero();
        assertThat(browser.get(at + "/classes?course=HYD%20210&section=Z").status())
                .isEqualTo(404);
    }

    @Test
    void whenAClassMeetsIsReadAsTyped() throws Exception {
        JsonNode read = browser.get(
                        at + "/meetings?text=MWF%2010-10:50%20Weir%20House%202;%20every%20second%20Thu%2015-16:50")
                .body();
        assertThat(read.path("patterns").size()).isEqualTo(2);
        assertThat(read.path("said").stringValue())
                .isEqualTo(
                        "Mon, Wed, Fri, 10:00 to 10:50, 50 minutes, Weir House 2; every 2 weeks Thu, 15:00 to 16:50, 110 minutes");
        assertThat(browser.get(at + "/meetings?text=whenever").status()).isEqualTo(422);
    }

    @Test
    void aRosterIsReadAddedToAndRemovedWithUndo() throws Exception {
        String list = json(Map.of(
                "course",
                "MAP 115",
                "section",
                "A",
                "text",
                "Oakes, Wren\nTove Lindqvist <tove@quillmarsh.example>\nWren Oakes"));
        JsonNode read = browser.post(at + "/roster/read", list).body();
        assertThat(read.at("/lines/2/state").stringValue()).isEqualTo("double");
        assertThat(browser.change(term, 1, json(read.path("change"))).status()).isEqualTo(200);
        assertThat(browser.get(at + "/roster" + MAP).body().size()).isEqualTo(2);
        JsonNode again = browser.post(
                        at + "/roster/read",
                        json(Map.of("course", "MAP 115", "section", "A", "text", "Wren Oakes\nBram Sayer")))
                .body();
        assertThat(again.at("/lines/0/state").stringValue()).isEqualTo("here");
        assertThat(again.at("/missing/0/name").stringValue()).isEqualTo("Tove Lindqvist");
        browser.change(term, 2, "{\"kind\":\"put-roster\",\"course\":\"MAP 115\",\"section\":\"A\",\"students\":[]}");
        assertThat(browser.get(at + "/roster" + MAP).body().size()).isZero();
        browser.post(at + "/undo", "{\"version\":3}");
        assertThat(browser.get(at + "/roster" + MAP).body().size()).isEqualTo(2);
    }

    @Test
    void aTimetableIsTakenAndReadAgainOnlyForWhatDiffers() throws Exception {
        String file = timetable("100000", "105000");
        JsonNode groups = browser.post(at + "/timetable/read", file).body();
        assertThat(groups.get(0).path("state").stringValue()).isEqualTo("new");
        assertThat(browser.change(term, 1, json(groups.get(0).path("change"))).status())
                .isEqualTo(200);
        JsonNode again = browser.post(at + "/timetable/read", file).body();
        assertThat(again.get(0).path("state").stringValue()).isEqualTo("same");
        JsonNode later = browser.post(at + "/timetable/read", timetable("110000", "115000"))
                .body();
        assertThat(later.get(0).path("state").stringValue()).isEqualTo("changed");
        assertThat(later.get(0).at("/change/kind").stringValue()).isEqualTo("put-section");
        assertThat(browser.post(at + "/timetable/read", json(Map.of("name", "a.txt", "content", "bm90aGluZw==")))
                        .status())
                .isEqualTo(422);
    }

    private static String timetable(String from, String to) {
        String text =
                "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//t//EN\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTAMP:20260801T000000Z\r\n"
                        + "SUMMARY:GEO 12 A Stones\r\nLOCATION:Alder Hall\r\nDTSTART:20260901T" + from
                        + "\r\nDTEND:20260901T" + to
                        + "\r\nRRULE:FREQ=WEEKLY;BYDAY=TU,TH\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        return json(Map.of(
                "name",
                "timetable.ics",
                "content",
                Base64.getEncoder().encodeToString(text.getBytes(StandardCharsets.UTF_8))));
    }
}
