package app.matsuri.server.gradebook;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Which students a change makes late or no longer late, by the simulated grade book; hand-ins are never touched. */
@ServerTest
class GradeBookHttpTest {

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    private Browser browser;
    private long term;
    private String path;

    @BeforeEach
    void openTheDemo() throws Exception {
        browser = Browser.of(mvc, accounts);
        term = browser.open(Browser.demo());
        path = "/api/terms/" + term + "/grade-book";
    }

    private Browser.Answer read(byte[] file) throws Exception {
        String given =
                "{\"name\":\"grades.csv\",\"content\":\"" + Base64.getEncoder().encodeToString(file) + "\"}";
        return browser.ask(HttpMethod.PUT, path, given.getBytes(StandardCharsets.UTF_8), "application/json");
    }

    private JsonNode late(String change) throws Exception {
        return browser.post("/api/terms/" + term + "/proposals?view=wall&course=HYD%20210&section=A", change)
                .body()
                .path("late");
    }

    @Test
    void aProposalSaysWhomItMakesLateAndWhomNoLonger() throws Exception {
        String later = "{\"kind\":\"put-dates\",\"entries\":[{\"course\":\"HYD 210\",\"item\":\"log-4\","
                + "\"due\":{\"at\":\"2026-10-20T23:59\"}}]}";
        assertThat(late(later)).as("before the grade book knows anything").isEmpty();
        JsonNode known =
                read(Files.readAllBytes(Path.of("..", "demo", "hand-ins.csv"))).body();
        assertThat(known.path("wrong")).isEmpty();
        assertThat(known.path("handIns").asInt()).isGreaterThan(200);
        JsonNode a = late(later).get(0);
        assertThat(a.path("section").stringValue()).isEqualTo("A");
        assertThat(a.path("noLonger").asInt()).isPositive();
        assertThat(a.path("becomes").asInt()).isZero();
        String earlier = later.replace("2026-10-20", "2026-09-24");
        assertThat(late(earlier).get(0).path("becomes").asInt()).isPositive();
        // whoever's hand it is, students who become late are never made so at once
        String moved = "{\"kind\":\"move\",\"course\":\"HYD 210\",\"section\":\"A\",\"items\":[\"set-4\"],"
                + "\"to\":\"2026-09-29\",\"place\":\"last\"}";
        JsonNode asked = browser.post("/api/terms/" + term + "/proposals?view=wall&course=HYD%20210&section=A", moved)
                .body();
        assertThat(asked.path("late").get(0).path("becomes").asInt()).isPositive();
        assertThat(asked.path("quiet").booleanValue()).isFalse();
    }

    @Test
    void noChangeTouchesWhatWasHandedIn() throws Exception {
        read(Files.readAllBytes(Path.of("..", "demo", "hand-ins.csv")));
        int before = browser.get(path).body().path("handIns").asInt();
        browser.change(term, 1, "{\"kind\":\"remove-item\",\"course\":\"HYD 210\",\"item\":\"log-4\"}");
        assertThat(browser.get(path).body().path("handIns").asInt()).isEqualTo(before);
    }

    @Test
    void whatIsNotUnderstoodIsSaidAndTheRestTaken() throws Exception {
        JsonNode read =
                read("course,work,student,handed in\nHYD 210,log-4,4101,2026-09-28T10:00\nHYD 210,log-4,9999,x\n"
                                .getBytes(StandardCharsets.UTF_8))
                        .body();
        assertThat(read.path("handIns").asInt()).isEqualTo(1);
        assertThat(read.path("wrong").get(0).path("line").asInt()).isEqualTo(3);
    }
}
