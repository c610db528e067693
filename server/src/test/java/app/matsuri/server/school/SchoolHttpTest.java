package app.matsuri.server.school;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.calendar.CalendarReader;
import app.matsuri.exchange.file.Given;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

/** The school's calendar, kept once: its keeper has one account, who follows it another. */
class SchoolHttpTest extends DemoTest {

    private Browser keeper;
    private long dates;
    private long version = 1;
    private String link;
    private long calendar;

    @BeforeEach
    void publish() throws Exception {
        keeper = Browser.of(mvc, accounts);
        dates = keeper.open(Browser.demo());
        JsonNode made = keeper.post("/api/school-calendars", "{\"name\":\"Quillmarsh 2026\",\"terms\":[" + dates + "]}")
                .body();
        link = made.path("link").stringValue();
        calendar = made.path("id").longValue();
    }

    private void change(String json) throws Exception {
        Browser.Answer answer = keeper.change(dates, version, json);
        assertThat(answer.status()).as("%s", answer.body()).isEqualTo(200);
        version = answer.body().path("version").longValue();
    }

    private void closure(String first, String reason) throws Exception {
        change("{\"kind\":\"add-closure\",\"closure\":{\"first\":\"" + first + "\",\"last\":\"" + first
                + "\",\"reason\":\"" + reason + "\"}}");
    }

    private Browser.Answer follow(String to) throws Exception {
        return browser.ask(
                HttpMethod.PUT,
                at + "/school",
                ("{\"link\":\"" + to + "\"}").getBytes(StandardCharsets.UTF_8),
                "application/json");
    }

    private JsonNode lines() throws Exception {
        return browser.get(at + "/school").body().path("lines");
    }

    private void take(JsonNode line) throws Exception {
        long now = browser.get(at + "/wall").body().path("version").longValue();
        assertThat(browser.change(term, now, line.path("change").toString()).status())
                .isEqualTo(200);
    }

    @Test
    void whatChangesThereArrivesAndIsTakenOrLeftLineByLine() throws Exception {
        assertThat(browser.get(at + "/school").body().path("name").isMissingNode())
                .isTrue();
        assertThat(follow(link).body().path("lines").isEmpty()).isTrue();
        closure("2026-10-21", "Flood drill");
        closure("2026-11-04", "Election");
        assertThat(lines().findValuesAsString("state")).containsExactly("new", "new");
        assertThat(browser.get(at + "/findings").body().toString()).contains("Quillmarsh 2026");
        take(lines().get(0));
        assertThat(browser.plan(term)).contains("Flood drill").doesNotContain("Election");
        String key = lines().get(0).path("key").stringValue();
        JsonNode left = browser.post(at + "/school/left", "{\"keys\":[\"" + key + "\"]}")
                .body();
        assertThat(left.path("lines").isEmpty()).isTrue();
        assertThat(left.path("left").intValue()).isEqualTo(1);
        change(
                "{\"kind\":\"put-closure\",\"first\":\"2026-10-21\",\"last\":\"2026-10-21\",\"reason\":\"Flood drill\",\"closure\":{\"first\":\"2026-10-22\",\"last\":\"2026-10-22\",\"reason\":\"Flood drill\"}}");
        assertThat(lines().get(0).path("state").stringValue()).isEqualTo("changed");
        take(lines().get(0));
        assertThat(browser.plan(term)).contains("2026-10-22");
        change("{\"kind\":\"remove-closure\",\"first\":\"2026-10-22\",\"last\":\"2026-10-22\"}");
        assertThat(lines().get(0).path("state").stringValue()).isEqualTo("gone");
    }

    @Test
    void whatWasChangedByHandStaysAndAWithdrawnCalendarLosesNobodyADay() throws Exception {
        follow(link);
        long now = browser.get(at + "/wall").body().path("version").longValue();
        browser.change(
                term,
                now,
                "{\"kind\":\"put-closure\",\"first\":\"2026-10-12\",\"last\":\"2026-10-13\",\"reason\":\"Autumn break\",\"closure\":{\"first\":\"2026-10-12\",\"last\":\"2026-10-14\",\"reason\":\"Autumn break\"}}");
        assertThat(lines().get(0).path("state").stringValue()).isEqualTo("by-hand");
        assertThat(browser.get(at + "/findings").body().toString())
                .as("what is meant so is no finding")
                .doesNotContain("Quillmarsh 2026");
        change("{\"kind\":\"remove-closure\",\"first\":\"2026-10-12\",\"last\":\"2026-10-13\"}");
        assertThat(lines().isEmpty()).isTrue();
        String plan = browser.plan(term);
        keeper.ask(HttpMethod.DELETE, "/api/school-calendars/" + calendar, null, "application/json");
        JsonNode after = browser.get(at + "/school").body();
        assertThat(after.path("withdrawn").booleanValue()).isTrue();
        assertThat(after.path("lines").isEmpty()).isTrue();
        assertThat(browser.plan(term)).isEqualTo(plan);
        assertThat(follow(link).status()).isEqualTo(404);
        keeper.ask(HttpMethod.DELETE, "/api/terms/" + dates, null, "application/json");
        assertThat(browser.get(at + "/school").status()).isEqualTo(200);
    }

    @Test
    void whenItsTermIsDeletedNothingIsTakenBack() throws Exception {
        follow(link);
        keeper.ask(HttpMethod.DELETE, "/api/terms/" + dates, null, "application/json");
        JsonNode after = browser.get(at + "/school").body();
        assertThat(after.path("lines").isEmpty()).isTrue();
        assertThat(after.path("withdrawn").booleanValue()).isTrue();
    }

    @Test
    void aTermBeginsFromItAndOthersReadItAsACalendarFile() throws Exception {
        JsonNode read = browser.post("/api/school-calendars/reading", "{\"link\":\"" + link + "\"}")
                .body();
        assertThat(read.path("name").stringValue()).isEqualTo("Quillmarsh 2026");
        assertThat(read.path("terms").get(0).path("first").stringValue()).isEqualTo("2026-08-31");
        assertThat(read.path("terms").get(0).path("days").stringValue()).contains("Autumn break");
        String path = link.replaceFirst("^https?://[^/]+", "");
        byte[] file = Browser.of(mvc, accounts).get(path + ".ics").response().getContentAsByteArray();
        assertThat(CalendarReader.read(new Given("school.ics", file), ZoneOffset.UTC)
                        .events())
                .extracting(CalendarReader.Event::summary)
                .contains("Autumn break");
        assertThat(browser.get("/school/no-such-one.ics").status()).isEqualTo(404);
    }

    @Test
    void nobodyPublishesOrWithdrawsWhatIsNotTheirsAndATermDoesNotFollowItself() throws Exception {
        assertThat(browser.post("/api/school-calendars", "{\"name\":\"X\",\"terms\":[" + dates + "]}")
                        .status())
                .isEqualTo(404);
        assertThat(browser.ask(HttpMethod.DELETE, "/api/school-calendars/" + calendar, null, "application/json")
                        .status())
                .isEqualTo(404);
        assertThat(keeper.ask(
                                HttpMethod.PUT,
                                "/api/terms/" + dates + "/school",
                                ("{\"link\":\"" + link + "\"}").getBytes(StandardCharsets.UTF_8),
                                "application/json")
                        .type())
                .isEqualTo("/problems/own-calendar");
        follow(link);
        assertThat(browser.ask(HttpMethod.DELETE, at + "/school", null, "application/json")
                        .status())
                .isEqualTo(204);
        assertThat(browser.get(at + "/school").body().path("name").isMissingNode())
                .isTrue();
    }
}
