package app.matsuri.server.lookback;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Looking back over HTTP: this term beside earlier ones, an earlier pace taken over, the weeks of a past term. */
@ServerTest
class LookBackHttpTest {

    private static final String HERE = "?course=HYD%20210&section=A";

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    private Browser browser;
    private long autumn;
    private long past;

    @BeforeEach
    void openTheTerms() throws Exception {
        browser = Browser.of(mvc, accounts);
        autumn = browser.open(Browser.demo());
        past = browser.open(Files.readString(Path.of("../demo/spring-2026.json")));
        browser.open(Files.readString(Path.of("../demo/spring-2025.json")));
        browser.open(Files.readString(Path.of("../demo/spring-2027.json")));
    }

    private JsonNode sediment(JsonNode view) {
        return view.path("units").get(3);
    }

    @Test
    void thisTermStandsBesideEarlierOnesNewestFirst() throws Exception {
        JsonNode view =
                browser.get("/api/terms/" + autumn + "/look-back" + HERE).body();
        assertThat(view.path("terms").findValuesAsString("name")).containsExactly("Spring 2026", "Spring 2025");
        JsonNode rows = sediment(view).path("rows");
        assertThat(rows.findValuesAsString("term")).containsExactly("Autumn 2026", "Spring 2026", "Spring 2025");
        JsonNode then = rows.get(1);
        assertThat(then.path("sentence").asString()).isEqualTo("Six weeks, of which one was a break: 11 sessions");
        assertThat(then.path("beside").asString()).isEqualTo("3 more than planned");
        assertThat(then.path("lost").get(0).asString()).isEqualTo("Spring break Mon 16 Mar to Fri 20 Mar");
        assertThat(then.path("notes").get(0).asString()).contains("Sieves came late");
        assertThat(sediment(view).path("range").asString()).isEqualTo("8 to 11");
        assertThat(view.path("remember").isObject()).as("the demo's plan knows").isFalse();
        JsonNode one = browser.get("/api/terms/" + autumn + "/look-back" + HERE + "&terms=" + past)
                .body();
        assertThat(sediment(one).path("rows").size()).isEqualTo(2);
    }

    @Test
    void anEarlierPaceBecomesTheLengthsOfThisPlanInOneChange() throws Exception {
        JsonNode view =
                browser.get("/api/terms/" + autumn + "/look-back" + HERE).body();
        String pace = Json.write(sediment(view).path("rows").get(1).path("pace"));
        Browser.Answer made = browser.change(autumn, view.path("version").asLong(), pace);
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        JsonNode after =
                browser.get("/api/terms/" + autumn + "/look-back" + HERE).body();
        assertThat(sediment(after).path("rows").get(1).path("pace").isObject())
                .as("nothing is left to take over")
                .isFalse();
        assertThat(browser.plan(autumn)).contains("\"SE5\" : 3");
    }

    @Test
    void aPlanThatKnowsNothingIsOfferedToKeepItInMind() throws Exception {
        String plain = Browser.demo().replaceAll("\"took\": \\[[^\\]]*\\]", "\"took\": []");
        Browser other = Browser.of(mvc, accounts);
        long term = other.open(plain);
        other.open(Files.readString(Path.of("../demo/spring-2026.json")));
        JsonNode view = other.get("/api/terms/" + term + "/look-back" + HERE).body();
        String keep = Json.write(view.path("remember"));
        assertThat(other.change(term, view.path("version").asLong(), keep).status())
                .isEqualTo(200);
        JsonNode after = other.get("/api/terms/" + term + "/look-back" + HERE).body();
        assertThat(after.path("remember").isObject()).isFalse();
        assertThat(other.plan(term)).contains("Spring 2026");
    }

    @Test
    void theTableAndThePastWeeks() throws Exception {
        String table = browser.get("/api/terms/" + autumn + "/look-back.csv" + HERE)
                .response()
                .getContentAsString(StandardCharsets.UTF_8);
        assertThat(table).startsWith("unit,title,term,section,state,planned,taught,sessions,first,last,weeks");
        assertThat(table).contains("SE,Sediment,Spring 2026,A,taught,8,11,11,2026-03-11,2026-04-13,6,5");
        JsonNode weeks = browser.get("/api/terms/" + autumn + "/past-weeks" + HERE + "&past=" + past)
                .body();
        assertThat(weeks.path("name").asString()).isEqualTo("Spring 2026");
        assertThat(weeks.path("weeks").size()).isEqualTo(16);
        assertThat(weeks.path("weeks").get(8).path("days").get(0).path("off").asString())
                .isEqualTo("Spring break");
        assertThat(browser.get("/api/terms/" + autumn + "/look-back?course=XYZ").status())
                .isEqualTo(404);
    }
}
