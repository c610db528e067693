package app.matsuri.server.repace;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** The ways out of a lost day over HTTP, and that each is one change with one undo. */
@ServerTest
class WaysHttpTest {

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    private Browser browser;
    private long term;

    @BeforeEach
    void openTheDemo() throws Exception {
        browser = Browser.of(mvc, accounts);
        term = browser.open(Browser.demo());
    }

    private Browser.Answer ways(String section, String more) throws Exception {
        return browser.post(
                "/api/terms/" + term + "/ways",
                "{\"course\":\"HYD 210\",\"section\":\"" + section + "\",\"tidy\":true" + more + "}");
    }

    private static List<String> names(JsonNode found) {
        List<String> names = new ArrayList<>();
        found.path("ways").forEach(way -> names.add(way.path("name").stringValue()));
        return names;
    }

    @Test
    void theFloodDayHasItsWaysOutEachOneChangeWithOneUndo() throws Exception {
        String begin = browser.plan(term);
        JsonNode found = ways("A", ",\"change\":" + ServerTest.FLOOD + "").body();
        assertThat(names(found))
                .containsExactly("let-it-slide", "catch-up-in-unit", "catch-up-by-break", "catch-up-by-pin");
        assertThat(browser.plan(term)).as("nothing is stored").isEqualTo(begin);
        long version = 1;
        for (JsonNode way : found.path("ways")) {
            JsonNode made =
                    browser.change(term, version, way.path("change").toString()).body();
            version = made.path("version").asLong();
            assertThat(browser.plan(term)).as(way.path("name").stringValue()).contains("Flood warning");
            JsonNode wall = browser.get("/api/terms/" + term + "/wall?course=HYD%20210&section=A")
                    .body();
            way.path("weeks")
                    .forEach(week -> week.path("days").forEach(day -> {
                        String at = day.path("date").stringValue();
                        assertThat(lessons(wall, at))
                                .as("%s on %s", way.path("name"), at)
                                .isEqualTo(lessons(way, at));
                    }));
            version = browser.post("/api/terms/" + term + "/undo", "{\"version\":" + version + "}")
                    .body()
                    .path("version")
                    .asLong();
            assertThat(browser.plan(term)).isEqualTo(begin);
        }
    }

    private static List<String> lessons(JsonNode wall, String date) {
        List<String> ids = new ArrayList<>();
        wall.path("weeks")
                .forEach(week -> week.path("days").forEach(day -> {
                    if (day.path("date").stringValue().equals(date)) {
                        day.path("lessons").forEach(l -> ids.add(l.path("id").stringValue()));
                    }
                }));
        return ids;
    }

    /** That of another day than a unit's, a break's or a fixed one's; one that comes to the same as another is that other. */
    @Test
    void byADayThatIsAskedFor() throws Exception {
        String flood = ",\"change\":" + ServerTest.FLOOD;
        assertThat(names(ways("A", flood + ",\"by\":\"2026-10-21\"").body())).contains("catch-up-by-date");
        assertThat(names(ways("A", flood + ",\"by\":\"2026-10-26\"").body())).doesNotContain("catch-up-by-date");
    }

    @Test
    void aDayWithoutItsClassLosesItsRecordToo() throws Exception {
        JsonNode found = ways("A", ",\"noClassOn\":\"2026-10-05\"").body();
        assertThat(found.path("said").stringValue()).isEqualTo("No class on Mon 5 Oct in HYD 210 A");
        assertThat(found.path("change").path("changes").get(0).path("kind").stringValue())
                .isEqualTo("remove-record");
        assertThat(names(found)).containsExactly("let-it-slide", "catch-up-in-unit");
        assertThat(ways("A", ",\"noClassOn\":\"2026-10-06\"").status()).isEqualTo(422);
    }

    @Test
    void whatCannotBeAskedIsSaid() throws Exception {
        assertThat(ways("Z", "").body().path("detail").stringValue()).contains("There is no section “HYD 210/Z”");
        assertThat(ways("B", "").body().path("ways").size())
                .as("by minutes too")
                .isPositive();
    }

    /** What a way leaves out, shortens or joins for one section, it does for all of the course where that is asked for. */
    @Test
    void aWayHoldsForAllSectionsWhereAsked() throws Exception {
        String flood = ",\"change\":" + ServerTest.FLOOD;
        JsonNode one = ways("A", flood).body();
        assertThat(one.path("sections").asInt()).isEqualTo(2);
        JsonNode all = ways("A", flood + ",\"everywhere\":true").body();
        assertThat(one.path("ways").toString()).doesNotContain("in all sections");
        assertThat(all.path("ways").toString()).contains("in all sections");
        assertThat(all.path("ways").get(1).path("total"))
                .isEqualTo(one.path("ways").get(1).path("total"));
    }
}
