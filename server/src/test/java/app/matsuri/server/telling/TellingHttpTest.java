package app.matsuri.server.telling;

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

/** What students were told over HTTP: a change tells it unless it is kept back, and undo takes the telling back too. */
@ServerTest
class TellingHttpTest {

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

    private JsonNode told(String section) throws Exception {
        JsonNode found = browser.get("/api/terms/" + term + "/telling").body();
        for (JsonNode one : found.path("sections")) {
            if (one.path("course").stringValue().equals("HYD 210")
                    && one.path("section").stringValue().equals(section)) {
                return one;
            }
        }
        throw new AssertionError("no section " + section + " in " + found);
    }

    private List<String> dates(String section) throws Exception {
        List<String> dates = new ArrayList<>();
        told(section)
                .path("dates")
                .forEach(d -> dates.add(
                        d.path("title").stringValue() + " " + d.path("what").stringValue() + " " + d.path("days")));
        return dates;
    }

    private long make(long version, String change, boolean seen) throws Exception {
        Browser.Answer made = browser.post(
                "/api/terms/" + term + "/changes",
                "{\"version\":" + version + ",\"seen\":" + seen + ",\"change\":" + change + "}");
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        return made.body().path("version").asLong();
    }

    @Test
    void theDemoHasThreeDatesThatStudentsWereToldOtherwise() throws Exception {
        assertThat(dates("A")).containsExactly("Problem set 5 due -1", "Field log 5 due 1", "Lab report 3 due 1");
        assertThat(told("A").path("last").stringValue()).isEqualTo("2026-09-24T17:40:00");
        assertThat(dates("B")).isEmpty();
        JsonNode wall = browser.get("/api/terms/" + term + "/wall").body();
        assertThat(wall.path("section").path("toldUpTo").stringValue()).isEqualTo("2026-10-23");
        assertThat(wall.path("weeks").toString()).contains("told Wed 7 Oct, 23:59");
        assertThat(browser.get("/api/terms/" + term + "/dates")
                        .body()
                        .path("rows")
                        .toString())
                .contains("told Thu 22 Oct, 23:59");
    }

    @Test
    void aChangeTellsWhatItAltersUnlessItIsKeptBackAndUndoTakesItBack() throws Exception {
        String begin = browser.plan(term);
        JsonNode proposal = browser.post(
                        "/api/terms/" + term + "/proposals?view=wall&course=HYD%20210&section=A", ServerTest.FLOOD)
                .body();
        assertThat(proposal.path("altered").asInt()).isGreaterThan(10);
        long version = make(1, ServerTest.FLOOD, true);
        assertThat(dates("A")).as("what waited and was not touched waits on").containsExactly("Field log 5 due 1");
        assertThat(told("A").path("last").stringValue()).startsWith("2026-10-07T");
        version = undo(version);
        assertThat(browser.plan(term)).isEqualTo(begin);
        version = make(version, ServerTest.FLOOD, false);
        assertThat(dates("A")).hasSizeGreaterThan(10);
        JsonNode found = browser.get("/api/terms/" + term + "/findings").body();
        assertThat(found.toString()).contains("told-otherwise");
        String tell =
                "{\"kind\":\"tell\",\"course\":\"HYD 210\",\"section\":\"A\",\"upTo\":\"2026-10-23\",\"why\":\"The river\"}";
        version = make(version, tell, true);
        assertThat(dates("A")).isEmpty();
        assertThat(told("A").path("why").stringValue()).isEqualTo("The river");
        assertThat(browser.change(term, version, tell).status()).isEqualTo(422);
        assertThat(browser.plan(term)).as("the plan file carries it").contains("The river");
    }

    private long undo(long version) throws Exception {
        return browser.post("/api/terms/" + term + "/undo", "{\"version\":" + version + "}")
                .body()
                .path("version")
                .asLong();
    }

    @Test
    void aClassInAnotherRoomIsNotToldUntilItIs() throws Exception {
        assertThat(told("A").path("sessions")).isEmpty();
        int before = browser.get("/api/terms/" + term + "/telling")
                .body()
                .path("differ")
                .asInt();
        String move = "{\"kind\":\"change-session\",\"course\":\"HYD 210\",\"section\":\"A\","
                + "\"change\":{\"move\":\"2026-10-09T10:00\",\"to\":\"2026-10-09T11:00\"}}";
        long version = make(1, move, false);
        assertThat(told("A").path("sessions")).singleElement().satisfies(s -> {
            assertThat(s.path("told").stringValue()).isEqualTo("Fri 9 Oct, 10:00 to 10:50, Weir House 2");
            assertThat(s.path("now").stringValue()).isEqualTo("Fri 9 Oct, 11:00 to 11:50, Weir House 2");
        });
        assertThat(browser.get("/api/terms/" + term + "/telling")
                        .body()
                        .path("differ")
                        .asInt())
                .isGreaterThan(before);
        make(version, "{\"kind\":\"tell\",\"course\":\"HYD 210\",\"section\":\"A\",\"upTo\":\"2026-10-23\"}", true);
        assertThat(told("A").path("sessions")).isEmpty();
    }
}
