package app.matsuri.server.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import java.io.StringReader;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** A class at midnight while the clocks change, 400 things in a week, 200 kB of words, students who move about, and any letters. */
@ServerTest
class BadDaysTest {

    private static final String NAME = "Ælfgifu “𐌰” <b>O'Brien</b> אבג";
    private static final int THINGS = 400;

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    private Browser browser;
    private long term;

    private static Map<String, Object> student(String id, String name) {
        return Map.of("id", id, "name", name, "mail", id + "@bad.example");
    }

    private static Map<String, Object> section(String code, Object... students) {
        return Map.of(
                "code",
                code,
                "meets",
                List.of(Map.of("rule", "FREQ=WEEKLY;BYDAY=SU", "start", "00:00", "minutes", 50)),
                "students",
                List.of(students));
    }

    @BeforeEach
    void openATermOfBadDays() throws Exception {
        browser = Browser.of(mvc, accounts);
        open(5);
    }

    private void open(int things) throws Exception {
        List<Object> items = new ArrayList<>();
        for (int i = 0; i < things; i++) {
            items.add(Map.of(
                    "id",
                    "i" + i,
                    "kind",
                    "homework",
                    "title",
                    "Work " + i,
                    "due",
                    Map.of("at", "2026-10-2%dT%02d:%02d".formatted(i % 5, i / 5 % 24, i % 60))));
        }
        items.add(Map.of(
                "id",
                "long",
                "kind",
                "essay",
                "title",
                "Long & <i>wide</i>",
                "instructions",
                "# Words\n\n"
                        + "**bold** and <script>alert(1)</script> words, [a link](javascript:alert(2))\n\n"
                                .repeat(3_200),
                "due",
                Map.of("at", "2026-10-25T02:30")));
        Map<String, Object> plan = Map.of(
                "matsuri",
                1,
                "term",
                Map.of("name", "Bad days", "first", "2026-10-12", "last", "2026-11-15", "zone", "Europe/Berlin"),
                "courses",
                List.of(Map.of(
                        "code",
                        "BAD 1",
                        "title",
                        "Bad days",
                        "sections",
                        List.of(
                                section("A", student("1", NAME), student("2", "Two")),
                                section("B", student("2", "Two"))),
                        "units",
                        List.of(Map.of(
                                "id",
                                "U1",
                                "code",
                                "U1",
                                "title",
                                "One",
                                "lessons",
                                List.of(Map.of("id", "L1", "title", "First"), Map.of("id", "L2", "title", "Second")),
                                "items",
                                items)))));
        term = browser.open(Json.MAPPER.writeValueAsString(plan));
        for (String section : List.of("A", "B")) {
            change("{\"kind\":\"tell\",\"course\":\"BAD 1\",\"section\":\"" + section + "\"}");
        }
    }

    private void change(String change) throws Exception {
        long version = browser.get("/api/terms/" + term + "/dates")
                .body()
                .path("version")
                .longValue();
        Browser.Answer answer = browser.post(
                "/api/terms/" + term + "/changes",
                "{\"version\":" + version + ",\"seen\":true,\"change\":" + change + "}");
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    }

    private String path(String section, String student) throws Exception {
        String of = student == null ? "" : ",\"student\":\"" + student + "\"";
        JsonNode made = browser.post(
                        "/api/terms/" + term + "/links",
                        "{\"course\":\"BAD 1\",\"section\":\"" + section + "\"" + of + "}")
                .body();
        return URI.create(made.path("address").stringValue("")).getPath();
    }

    private String see(String path, int status) throws Exception {
        MockHttpServletResponse response =
                mvc.perform(get(URI.create(path))).andReturn().getResponse();
        assertThat(response.getStatus()).as(path).isEqualTo(status);
        return response.getContentAsString(StandardCharsets.UTF_8);
    }

    @Test
    void fourHundredThingsInAWeekStandOnThePageAndInTheFeed() throws Exception {
        open(THINGS);
        String path = path("A", null);
        String page = see(path + "?week=2", 200);
        assertThat(Jsoup.parse(page).text()).contains("Work 0 ", "Work 399");
        String feed = see(path + "/dates.ics", 200);
        Calendar calendar = new CalendarBuilder().build(new StringReader(feed));
        assertThat(calendar.getComponentList().getAll())
                .filteredOn(e -> e.toString().contains("UID:due-"))
                .hasSize(THINGS + 1);
        see(path + "/sheet?week=2", 200);
    }

    @Test
    void aClassAtMidnightAndADueHourThatComesTwiceAreWhereTheClockSays() throws Exception {
        String feed = see(path("A", null) + "/dates.ics?classes=single", 200).replace("\r\n ", "");
        assertThat(feed)
                .contains("DTSTART;TZID=Europe/Berlin:20261018T000000", "DTEND;TZID=Europe/Berlin:20261018T005000");
        assertThat(feed).contains("DTEND;TZID=Europe/Berlin:20261025T023000");
        assertThat(see(path("A", null) + "?week=1", 200)).contains("00:00 to 00:50");
    }

    @Test
    void wordsOfTwoHundredThousandLettersAreShownAndNothingOfThemRuns() throws Exception {
        String page = see(path("A", null) + "/thing?course=BAD%201&id=long", 200);
        assertThat(page).doesNotContain("<script", "href=\"javascript");
        assertThat(Jsoup.parse(page).select("strong"))
                .as("to the last paragraph")
                .hasSize(3_200);
        assertThat(Jsoup.parse(page).text()).contains("Long & <i>wide</i>");
    }

    @Test
    void whoIsInTwoSectionsSeesBothAndWhoMovesSeesTheOther() throws Exception {
        String two = path("A", "2");
        assertThat(Jsoup.parse(see(two, 200)).text()).contains("Bad days, A", "Bad days, B");
        String one = path("A", "1");
        assertThat(see(one, 200)).contains("Bad days, A");
        change("{\"kind\":\"put-roster\",\"course\":\"BAD 1\",\"section\":\"A\",\"students\":[]}");
        assertThat(Jsoup.parse(see(one, 404)).text()).doesNotContain("BAD 1");
        assertThat(see(two, 200)).contains("Bad days, B");
        change("{\"kind\":\"put-roster\",\"course\":\"BAD 1\",\"section\":\"B\",\"students\":["
                + Json.MAPPER.writeValueAsString(student("1", NAME)) + "]}");
        assertThat(see(one, 200)).contains("Bad days, B");
    }

    @Test
    void aNameOfAnyLettersStandsInTheTableAndInMail() throws Exception {
        browser.post("/api/terms/" + term + "/links/mail", "{\"course\":\"BAD 1\",\"section\":\"A\"}");
        String table = browser.get("/api/terms/" + term + "/links/students.csv?course=BAD%201&section=A")
                .response()
                .getContentAsString(StandardCharsets.UTF_8);
        assertThat(table).contains(NAME);
    }
}
