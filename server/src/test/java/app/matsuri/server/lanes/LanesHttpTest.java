package app.matsuri.server.lanes;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Sections beside each other over HTTP, and what brings one back into step. */
@ServerTest
class LanesHttpTest {

    private static final String HOLD = "{\"kind\":\"hold-empty\",\"course\":\"HYD 210\",\"section\":\"B\","
            + "\"session\":\"2026-10-08T13:00\",\"hold\":true}";

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

    private JsonNode lane(JsonNode view, String section) {
        for (JsonNode lane : view.path("lanes")) {
            if (lane.path("course").stringValue().equals("HYD 210")
                    && lane.path("section").stringValue().equals(section)) {
                return lane;
            }
        }
        throw new AssertionError("no " + section);
    }

    private JsonNode lanes() throws Exception {
        return browser.get("/api/terms/" + term + "/lanes").body();
    }

    private JsonNode inStep(String section) throws Exception {
        return browser.get("/api/terms/" + term + "/lanes/in-step?course=HYD%20210&section=" + section)
                .body();
    }

    @Test
    void aClassLostPutsASectionBehindAndAWayBackIsProposed() throws Exception {
        JsonNode begin = lanes();
        assertThat(begin.path("weeks").size()).isEqualTo(16);
        assertThat(begin.path("days").asInt()).isEqualTo(7 * 16);
        assertThat(lane(begin, "B").path("behind").asInt()).isZero();
        assertThat(inStep("B").size()).isZero();
        JsonNode first = lane(begin, "A").path("knots").get(0);
        assertThat(first.path("lesson").stringValue()).isEqualTo("BA1");
        assertThat(first.path("at").asInt()).as("Monday of week 1").isZero();
        assertThat(first.path("taught").booleanValue()).isTrue();

        browser.change(term, 1, HOLD);
        JsonNode after = lane(lanes(), "B");
        assertThat(after.path("behind").asInt()).isEqualTo(2);
        assertThat(after.path("standing").stringValue()).isEqualTo("2 lessons behind A");
        JsonNode ways = inStep("B");
        assertThat(ways.size()).isEqualTo(3);
        assertThat(ways.get(0).path("sentence").stringValue())
                .isEqualTo("Let A wait: its next 2 classes are kept free");
        assertThat(ways.get(0).path("week").asInt()).isEqualTo(7);

        JsonNode proposal = browser.post(
                        "/api/terms/" + term + "/proposals?view=lanes",
                        ways.get(0).path("change").toString())
                .body();
        JsonNode proposed = proposal.path("lanes");
        assertThat(proposal.path("wall").isObject()).isFalse();
        assertThat(lane(proposed, "A").path("stands").size())
                .as("as it stands, beside what is proposed")
                .isEqualTo(lane(lanes(), "A").path("knots").size());
        assertThat(lane(proposed, "B").path("stands").isArray())
                .as("not touched")
                .isFalse();
        long moved = lane(proposed, "A")
                .path("knots")
                .valueStream()
                .filter(k -> k.path("moved").booleanValue())
                .count();
        assertThat(moved).isPositive();
    }

    @Test
    void aSectionThatIsNotThereIsSaid() throws Exception {
        assertThat(browser.get("/api/terms/" + term + "/lanes/in-step?course=HYD%20210&section=Z")
                        .status())
                .isEqualTo(404);
    }

    /** Parallel courses with a shared test: it stands on each of their lanes, and where its days differ that is said. */
    @Test
    void aTestThatCoursesShareStandsOnTheirLanes() throws Exception {
        assertThat(lanes().path("apart")).isEmpty();
        ObjectNode midterm = null;
        for (JsonNode unit :
                Json.read(browser.plan(term)).path("courses").get(0).path("units")) {
            for (JsonNode item : unit.path("items")) {
                midterm = item.path("id").stringValue("").equals("midterm") ? (ObjectNode) item : midterm;
            }
        }
        assertThat(midterm).isNotNull();
        midterm.putArray("shared").add("MAP 115");
        browser.change(term, 1, "{\"kind\":\"put-item\",\"course\":\"HYD 210\",\"item\":" + Json.write(midterm) + "}");
        JsonNode view = lanes();
        assertThat(lane(view, "A").path("tests").get(0).path("date").stringValue())
                .isEqualTo("2026-10-30");
        JsonNode map = null;
        for (JsonNode lane : view.path("lanes")) {
            map = lane.path("course").stringValue().equals("MAP 115") ? lane : map;
        }
        assertThat(map).isNotNull();
        assertThat(map.path("tests").get(0).path("title").stringValue()).isEqualTo("Midterm, in class");
        assertThat(view.path("apart").get(0).stringValue())
                .startsWith("HYD 210 “Midterm, in class” is on")
                .contains("HYD 210 A, MAP 115 A")
                .contains("HYD 210 B");
    }

    @Test
    void aNewLessonIsProposedWithTheLanesInView() throws Exception {
        Browser.Answer answer = browser.post(
                "/api/terms/" + term + "/proposals?view=lanes&course=HYD%20210&section=A",
                "{\"kind\":\"put-lesson\",\"course\":\"HYD 210\",\"unit\":\"RE\",\"lesson\":{\"id\":\"RE0\",\"title\":\"Before all\"},"
                        + "\"before\":\"RE1\"}");
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        JsonNode knots = lane(answer.body().path("lanes"), "A").path("knots");
        assertThat(knots.toString()).contains("\"RE0\"");
    }
}
