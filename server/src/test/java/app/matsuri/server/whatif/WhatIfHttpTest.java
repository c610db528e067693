package app.matsuri.server.whatif;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Named what-ifs over HTTP: beside the plan, following it, compared with it, taken over as one change. */
@ServerTest
class WhatIfHttpTest {

    private static final String HERE = "course=HYD%20210&section=A";

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    private Browser browser;
    private long term;
    private String all;

    @BeforeEach
    void openTheDemo() throws Exception {
        browser = Browser.of(mvc, accounts);
        term = browser.open(Browser.demo());
        all = "/api/terms/" + term + "/what-ifs";
    }

    private long make(String name, String change) throws Exception {
        Browser.Answer made = browser.post(all, "{\"name\":\"" + name + "\",\"change\":" + change + "}");
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        return made.body().path("id").asLong();
    }

    private static String off(String day) {
        return "{\"kind\":\"add-closure\",\"closure\":{\"first\":\"" + day + "\",\"last\":\"" + day
                + "\",\"reason\":\"Lost\"}}";
    }

    private long version(Browser by) throws Exception {
        return by.get("/api/terms/" + term + "/wall?" + HERE)
                .body()
                .path("version")
                .asLong();
    }

    private JsonNode only() throws Exception {
        return browser.get(all).body().get(0);
    }

    @Test
    void changesInAWhatIfLeaveThePlanAsItIs() throws Exception {
        String begin = browser.plan(term);
        long id = make("Two days lost", off("2026-10-09"));
        Browser within = browser.within(id);
        long version = version(within);
        Browser.Answer made = within.change(term, version, off("2026-10-16"));
        assertThat(made.status()).isEqualTo(200);
        assertThat(version(within)).isEqualTo(made.body().path("version").asLong());
        assertThat(within.change(term, version, off("2026-10-23")).status()).isEqualTo(409);
        assertThat(browser.plan(term)).isEqualTo(begin);
        assertThat(within.plan(term)).contains("\"2026-10-16\"");
        JsonNode proposal = within.post("/api/terms/" + term + "/proposals?view=wall&" + HERE, off("2026-10-30"))
                .body();
        assertThat(proposal.path("altered").asInt())
                .as("students see nothing of it")
                .isZero();
        assertThat(within.change(term, version(within), "{\"kind\":\"tell\",\"course\":\"HYD 210\"}")
                        .type())
                .endsWith("what-if-tells");
    }

    @Test
    void stepsAreTakenBackAndMadeAgain() throws Exception {
        long id = make("Steps", off("2026-10-09"));
        Browser within = browser.within(id);
        within.change(term, version(within), off("2026-10-16"));
        JsonNode wall = within.get("/api/terms/" + term + "/wall?" + HERE).body();
        assertThat(wall.path("undo").stringValue()).startsWith("Day off Fri 16 Oct");
        step(within, "undo");
        assertThat(only().path("steps")).hasSize(1);
        assertThat(within.plan(term)).doesNotContain("\"2026-10-16\"");
        step(within, "redo");
        assertThat(only().path("steps")).hasSize(2);
        step(within, "undo");
        within.change(term, version(within), off("2026-10-23"));
        assertThat(within.post("/api/terms/" + term + "/redo", "{\"version\":" + version(within) + "}")
                        .status())
                .isEqualTo(409);
        assertThat(only().path("steps").toString())
                .contains("Fri 9 Oct")
                .contains("Fri 23 Oct")
                .doesNotContain("16");
    }

    private void step(Browser within, String way) throws Exception {
        assertThat(within.post("/api/terms/" + term + "/" + way, "{\"version\":" + version(within) + "}")
                        .status())
                .isEqualTo(200);
    }

    @Test
    void itFollowsThePlanOrSaysWhyItNoLongerCan() throws Exception {
        long id = make(
                "Without CH2", "{\"kind\":\"leave-out\",\"course\":\"HYD 210\",\"section\":\"A\",\"lesson\":\"CH2\"}");
        browser.change(term, 1, off("2026-10-09"));
        assertThat(browser.within(id).plan(term))
                .as("later edits of the plan are in it")
                .contains("2026-10-09");
        assertThat(only().path("broken").isString()).isFalse();
        browser.change(term, 2, "{\"kind\":\"remove-lesson\",\"course\":\"HYD 210\",\"lesson\":\"CH2\"}");
        assertThat(only().path("broken").stringValue())
                .contains("can no longer be made")
                .contains("CH2");
        Browser within = browser.within(id);
        assertThat(within.change(term, version(within), off("2026-10-23")).type())
                .endsWith("what-if-broken");
        browser.post("/api/terms/" + term + "/undo", "{\"version\":3}");
        assertThat(only().path("broken").isString())
                .as("as soon as the plan allows it again")
                .isFalse();
    }

    @Test
    void plansLieBesideEachOther() throws Exception {
        long lost = make("Lost", off("2026-10-09"));
        long left = make(
                "Lost, without CH2",
                "{\"kind\":\"together\",\"changes\":[" + off("2026-10-09")
                        + ",{\"kind\":\"leave-out\",\"course\":\"HYD 210\",\"section\":\"A\",\"lesson\":\"CH2\"}]}");
        JsonNode beside = browser.get(all + "/comparison?" + HERE + "&ids=" + lost + "," + left)
                .body();
        List<String> names = new ArrayList<>();
        beside.path("columns").forEach(c -> names.add(c.path("name").stringValue()));
        assertThat(names).containsExactly("The plan", "Lost", "Lost, without CH2");
        assertThat(beside.path("columns").get(0).path("weeks")).isNotEmpty();
        assertThat(beside.path("columns").get(1).path("problems").asInt())
                .isGreaterThan(beside.path("columns").get(0).path("problems").asInt());
        JsonNode first = beside.path("rows").get(0);
        assertThat(first.path("id").stringValue()).isEqualTo("CH2");
        assertThat(first.path("at").get(0).stringValue()).startsWith("2026-10-09T10:00");
        assertThat(first.path("at").get(1).stringValue()).startsWith("2026-10-14T10:00");
        assertThat(first.path("at").get(2).isNull()).isTrue();
    }

    @Test
    void oneIsTakenOverAsOneChangeWithOneUndo() throws Exception {
        String begin = browser.plan(term);
        make("Lost", off("2026-10-09"));
        Browser.Answer made = browser.change(term, 1, only().path("change").toString());
        assertThat(made.body().path("sentence").stringValue()).isEqualTo("Take over what-if “Lost”");
        assertThat(browser.plan(term)).contains("\"Lost\"");
        browser.post("/api/terms/" + term + "/undo", "{\"version\":2}");
        assertThat(browser.plan(term)).isEqualTo(begin);
    }

    @Test
    void namesAreNeededOnceEachAndWhatIsDroppedIsGone() throws Exception {
        assertThat(browser.post(all, "{\"name\":\" \"}").type()).endsWith("what-if-name");
        long id = make("Lost", off("2026-10-09"));
        assertThat(browser.post(all, "{\"name\":\"lost\"}").type()).endsWith("what-if-exists");
        assertThat(browser.post(
                                all,
                                "{\"name\":\"Odd\",\"change\":{\"kind\":\"leave-out\",\"course\":\"X\",\"section\":\"A\",\"lesson\":\"L\"}}")
                        .status())
                .isEqualTo(404);
        assertThat(browser.get(all).body()).as("nothing of it was stored").hasSize(1);
        assertThat(browser.ask(HttpMethod.DELETE, all + "/" + id, null, null).body())
                .isEmpty();
        assertThat(browser.within(id).get("/api/terms/" + term + "/wall").type())
                .endsWith("no-what-if");
    }
}
