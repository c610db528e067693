package app.matsuri.server.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import app.matsuri.server.ServerTest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A term as it is set up, over HTTP. */
class CalendarHttpTest extends DemoTest {

    private static List<String> texts(JsonNode list, String field) {
        List<String> texts = new ArrayList<>();
        list.forEach(node -> texts.add(node.path(field).stringValue("")));
        return texts;
    }

    private static String json(Object value) {
        return Json.MAPPER.writeValueAsString(value);
    }

    private static String file(String name, String content) {
        return json(Map.of(
                "name", name, "content", Base64.getEncoder().encodeToString(content.getBytes(StandardCharsets.UTF_8))));
    }

    @Test
    void theCalendarSaysWhatTheTermGives() throws Exception {
        JsonNode view = browser.get(at + "/calendar").body();
        assertThat(view.path("teachingDays").asInt()).isEqualTo(74);
        assertThat(view.path("weeks").size()).isEqualTo(16);
        assertThat(view.at("/weeks/0/days").size()).isEqualTo(7);
        assertThat(view.at("/sections/0/sessions").asInt()).isEqualTo(44);
        assertThat(view.at("/sections/0/missing").asInt()).isEqualTo(50);
        assertThat(view.at("/weeks/1/counts/0/stand").asInt()).isEqualTo(2);
        assertThat(view.at("/weeks/1/counts/0/usual").asInt()).isEqualTo(3);
        assertThat(view.at("/weeks/1/days/0/off").asInt(-1)).isZero();
        assertThat(texts(view.path("closures"), "days")).contains("Mon 12 Oct to Tue 13 Oct");
    }

    @Test
    void aProposalShowsTheCalendarAsItWouldBe() throws Exception {
        JsonNode proposal =
                browser.post(at + "/proposals?view=term", ServerTest.FLOOD).body();
        assertThat(proposal.at("/calendar/teachingDays").asInt()).isEqualTo(73);
        assertThat(proposal.hasNonNull("wall")).isFalse();
        JsonNode last = proposal.at("/calendar/closures")
                .get(proposal.at("/calendar/closures").size() - 1);
        assertThat(last.path("proposed").asBoolean()).isTrue();
        assertThat(browser.get(at + "/calendar").body().path("teachingDays").asInt())
                .isEqualTo(74);
    }

    @Test
    void lettersAreShownOnDaysAndComeBackFromTheDatabase() throws Exception {
        String letters =
                "{\"kind\":\"set-rotation\",\"rotation\":{\"letters\":[\"A\",\"B\"],\"advances\":\"teaching-days\",\"restarts\":{\"2026-10-14\":\"A\"}}}";
        long term = Long.parseLong(at.replaceAll("\\D", ""));
        assertThat(browser.change(term, 1, letters).status()).isEqualTo(200);
        JsonNode view = browser.get(at + "/calendar").body();
        assertThat(view.at("/weeks/0/days/1/letter").stringValue()).isEqualTo("B");
        assertThat(view.at("/rotation/restarts/2026-10-14").stringValue()).isEqualTo("A");
        assertThat(browser.plan(term)).contains("\"rotation\"");
        assertThat(browser.post(at + "/undo", "{\"version\":2}").status()).isEqualTo(200);
        assertThat(browser.get(at + "/calendar").body().hasNonNull("rotation")).isFalse();
    }

    @Test
    void aPastedListIsReadLineByLineWithWhatEachWouldTake() throws Exception {
        JsonNode read = browser.post(
                        at + "/days-off/read",
                        json(Map.of("text", "Sept 7 Holiday, closed\nNov 11 Bridge Day, closed\nNov 31 no class")))
                .body();
        assertThat(texts(read.path("lines"), "state")).containsExactly("known", "off", "not-understood");
        assertThat(read.at("/lines/1/takes").stringValue()).startsWith("takes class 30 from HYD 210 A");
        assertThat(read.at("/lines/1/closure/first").stringValue()).isEqualTo("2026-11-11");
    }

    @Test
    void aFileThatIsReadAgainTellsOnlyWhatDiffers() throws Exception {
        String first = file("school.csv", "first,last,reason\n2026-11-11,2026-11-11,Bridge Day\n");
        assertThat(browser.post(at + "/days-off/read", first).body().hasNonNull("differences"))
                .isFalse();
        assertThat(browser.post(at + "/days-off/files", first).status()).isEqualTo(200);
        String added =
                "{\"kind\":\"add-closure\",\"closure\":{\"first\":\"2026-11-11\",\"last\":\"2026-11-11\",\"reason\":\"Bridge Day\",\"kind\":\"other\"}}";
        browser.change(Long.parseLong(at.replaceAll("\\D", "")), 1, added);
        String second = file("school.csv", "first,last,reason\n2026-11-12,2026-11-12,Bridge Day\n");
        JsonNode read = browser.post(at + "/days-off/read", second).body();
        assertThat(texts(read.path("differences").path("changes"), "kind")).containsExactly("put-closure");
        assertThat(read.path("differencesSaid").get(0).stringValue()).contains("Thu 12 Nov");
        assertThat(browser.post(at + "/proposals?view=term", json(read.path("differences")))
                        .status())
                .isEqualTo(200);
        assertThat(texts(browser.get(at + "/days-off/files").body(), "name")).containsExactly("school.csv");
    }

    @Test
    void hostileFilesAreAnsweredWithASentence() throws Exception {
        Browser.Answer pdf = browser.post(at + "/days-off/read", file("dates.pdf", "%PDF-1.7"));
        assertThat(pdf.status()).isEqualTo(422);
        assertThat(pdf.type()).isEqualTo("/problems/file-not-readable");
        assertThat(pdf.body().path("detail").stringValue()).contains("paste it");
        Browser.Answer broken =
                browser.post(at + "/days-off/read", file("dates.ics", "BEGIN:VCALENDAR\r\nBEGIN:VEVENT"));
        assertThat(broken.status()).isEqualTo(422);
        assertThat(browser.post(at + "/days-off/files", "{\"name\":\"x\"}").status())
                .isEqualTo(400);
    }

    @Test
    void publicHolidaysSayWhatEachWouldTake() throws Exception {
        JsonNode read = browser.get(at + "/holidays?country=us").body();
        assertThat(read.path("checked").asBoolean()).isTrue();
        assertThat(texts(read.path("holidays"), "state")).contains("off", "teaches");
        JsonNode veterans = null;
        for (JsonNode h : read.path("holidays")) {
            veterans = h.path("day").stringValue("").equals("2026-11-11") ? h : veterans;
        }
        assertThat(veterans.path("takes").stringValue()).contains("class 30 from HYD 210 A");
        assertThat(browser.get(at + "/holidays?country=zz").status()).isEqualTo(404);
        assertThat(browser.get(at + "/holidays?country=de&region=xx")
                        .body()
                        .path("detail")
                        .stringValue())
                .contains("no region");
        assertThat(browser.get("/api/holidays/countries?language=de").body().size())
                .isGreaterThan(50);
        assertThat(browser.get("/api/holidays/regions?country=de").body().size())
                .isEqualTo(16);
    }

    @Test
    void daysOffAndClassesAreTakenAwayAsFiles() throws Exception {
        var calendar = browser.get(at + "/days-off.ics").response();
        assertThat(calendar.getContentType()).startsWith("text/calendar");
        assertThat(calendar.getContentAsString(StandardCharsets.UTF_8)).contains("SUMMARY:Autumn break");
        assertThat(browser.get(at + "/days-off.csv").response().getContentAsString())
                .contains("2026-10-12,2026-10-13,,,Autumn break,break,yes,no,no,everyone");
        assertThat(browser.get(at + "/classes.ics").response().getContentAsString())
                .contains("TZID=America/Chicago");
        assertThat(browser.get(at + "/classes.csv").response().getContentAsString())
                .contains("HYD 210,A,44,2026-12-18,Friday,10:00,10:50,50,Weir House 2");
    }

    /** The last day of classes in a list is asked about where the term ends on another, and sets the term's. */
    @Test
    void theLastDayOfClassesSetsTheTerm() throws Exception {
        JsonNode lines = browser.post(
                        at + "/days-off/read",
                        json(Map.of("text", "August 31 First day of classes\nDecember 11 (Fri) Last day of classes")))
                .body()
                .path("lines");
        assertThat(lines.get(0).path("state").stringValue())
                .as("as the term has it")
                .isEqualTo("meets");
        JsonNode last = lines.get(1);
        assertThat(last.path("state").stringValue()).isEqualTo("doubtful");
        assertThat(last.path("said").stringValue()).contains("the term ends Fri 18 Dec", "Set it so?");
        browser.change(
                Long.parseLong(at.replaceAll("\\D", "")), 1, last.path("change").toString());
        assertThat(browser.get(at + "/calendar").body().path("last").stringValue())
                .isEqualTo("2026-12-11");
    }
}
