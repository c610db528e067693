package app.matsuri.server.term;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Terms over HTTP: opening plan files, starting from what is typed, drafts, and the Wall. */
@ServerTest
class TermHttpTest {

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    private Browser browser;

    @BeforeEach
    void signIn() {
        browser = Browser.of(mvc, accounts);
    }

    private Browser.Answer open(byte[] file) throws Exception {
        return browser.ask(HttpMethod.POST, "/api/terms", file, "application/octet-stream");
    }

    @Test
    void aPlanFileComesBackAsItWentIn() throws Exception {
        long term = browser.open(Browser.demo());
        assertThat(Json.read(browser.plan(term)).at("/courses/0"))
                .isEqualTo(Json.read(browser.plan(browser.open(browser.plan(term))))
                        .at("/courses/0"));
        JsonNode terms = browser.get("/api/terms").body();
        assertThat(terms.size()).isEqualTo(2);
        assertThat(terms.get(0).path("sections").get(0).stringValue()).isEqualTo("HYD 210/A");
    }

    @Test
    void aFaultyPlanFileIsAnsweredWithEveryFaultAndStoresNothing() throws Exception {
        Browser.Answer answer = open("{ \"matsuri\": 1,\n \"term\": { \"first\": \"x\",\n \"last\": \"y\" } }"
                .getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.type()).isEqualTo("/problems/plan-file-at-fault");
        assertThat(answer.response().getContentType()).startsWith("application/problem+json");
        assertThat(answer.body().at("/faults/0/pointer").stringValue()).isEqualTo("/term/first");
        assertThat(answer.body().at("/faults/1/line").intValue()).isEqualTo(3);
        byte[] rubbish = new byte[2000];
        new Random(3).nextBytes(rubbish);
        assertThat(open(rubbish).status()).isEqualTo(422);
        assertThat(browser.get("/api/terms").body().size()).isZero();
    }

    @Test
    void fiftyMegabytesAreTurnedAwayWithASentence() throws Exception {
        Browser.Answer answer = open(new byte[50 * 1024 * 1024]);
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.body().path("detail").stringValue()).contains("50 MB").contains("at most 8 MB");
    }

    @Test
    void theWallHasEveryWeekAndDayAndWhatIsOnThem() throws Exception {
        long term = browser.open(Browser.demo());
        JsonNode wall = browser.get("/api/terms/" + term + "/wall?course=HYD%20210&section=A")
                .body();
        assertThat(wall.path("weeks").size()).isEqualTo(16);
        assertThat(wall.path("columns").size()).isEqualTo(5);
        assertThat(wall.at("/columns/0/meets").booleanValue()).isTrue();
        assertThat(wall.at("/columns/1/meets").booleanValue()).isFalse();
        assertThat(wall.at("/weeks/5/days/2/today").booleanValue()).isTrue();
        assertThat(wall.at("/weeks/0/days/0/lessons/0/id").stringValue()).isEqualTo("BA1");
        assertThat(wall.at("/weeks/0/days/0/lessons/0/taught").booleanValue()).isTrue();
        assertThat(wall.at("/weeks/1/days/0/off/reason").stringValue()).isEqualTo("Public holiday");
        assertThat(wall.at("/weeks/4/minutes").intValue()).isEqualTo(575);
        assertThat(wall.at("/outline/noDate").size()).isEqualTo(3);
        assertThat(wall.at("/section/sessions").intValue()).isEqualTo(44);
        JsonNode online = browser.get("/api/terms/" + term + "/wall?course=SOL%20101&section=A")
                .body();
        assertThat(online.path("columns").size()).as("work is due on Sundays").isEqualTo(6);
    }

    @Test
    void aTermWithoutASectionSaysWhatToDo() throws Exception {
        long term = browser.open("{\"matsuri\":1,\"term\":{\"first\":\"2026-08-31\",\"last\":\"2026-12-18\"}}");
        Browser.Answer answer = browser.get("/api/terms/" + term + "/wall");
        assertThat(answer.status()).isEqualTo(404);
        assertThat(answer.body().path("detail").stringValue()).contains("add a course");
    }

    @Test
    void aTermIsStartedFromWhatIsTyped() throws Exception {
        Map<String, Object> form = form();
        JsonNode understood = browser.post("/api/starts/understood", json(form)).body();
        assertThat(understood.path("ready").booleanValue()).isTrue();
        assertThat(understood.at("/wall/section/sessions").intValue()).isEqualTo(44);
        assertThat(understood.at("/outline/0/state").stringValue()).isEqualTo("unit");
        Browser.Answer made = browser.post("/api/starts", json(form));
        assertThat(made.status()).isEqualTo(201);
        assertThat(browser.plan(made.body().path("id").asLong())).contains("Divides and outlets");
    }

    /** What was in doubt is taken when the person says so, and only then. */
    @Test
    void doubtsAreTakenWhenTheyAreSettled() throws Exception {
        Map<String, Object> form = form();
        form.put("daysOff", "October 12-13 Autumn break\nNovember 3 Founders Day");
        form.put("outline", "Basins\n  Rain\n  Essay\n");
        JsonNode open = browser.post("/api/starts/understood", json(form)).body();
        assertThat(open.at("/daysOff/1/open").booleanValue()).isTrue();
        assertThat(open.path("lessons").intValue()).isEqualTo(2);
        form.put("daysOffTaken", List.of(2));
        form.put("outlineSettled", List.of(Map.of("number", 3, "as", "work")));
        JsonNode settled = browser.post("/api/starts/understood", json(form)).body();
        assertThat(settled.at("/daysOff/1/open").booleanValue()).isFalse();
        assertThat(settled.path("lessons").intValue()).isEqualTo(1);
        assertThat(settled.path("items").intValue()).isEqualTo(1);
        Browser.Answer made = browser.post("/api/starts", json(form));
        assertThat(browser.plan(made.body().path("id").asLong()))
                .contains("Founders Day", "Autumn break")
                .contains("Essay");
        form.put("outlineSettled", List.of(Map.of("number", 3, "as", "party")));
        assertThat(browser.post("/api/starts/understood", json(form)).status()).isEqualTo(400);
    }

    @Test
    void whatIsNotReadyIsNotMadeAndSaysWhatIsMissing() throws Exception {
        Map<String, Object> form = form();
        form.put("meets", "whenever");
        assertThat(browser.post("/api/starts/understood", json(form))
                        .body()
                        .path("ready")
                        .booleanValue())
                .isFalse();
        assertThat(browser.post("/api/starts", json(form)).type()).isEqualTo("/problems/start-not-ready");
        form.put("outline", "x".repeat(2_000_001));
        Browser.Answer tooLong = browser.post("/api/starts/understood", json(form));
        assertThat(tooLong.status()).isEqualTo(400);
        assertThat(tooLong.body().path("detail").stringValue()).contains("2,000,001 characters");
        form.remove("name");
        assertThat(browser.post("/api/starts", json(form)).status()).isEqualTo(400);
    }

    private static Map<String, Object> form() {
        Map<String, Object> form = new LinkedHashMap<>();
        form.put("name", "Autumn 2026");
        form.put("first", "31 aug");
        form.put("last", "18 dec");
        form.put("weekdays", List.of("MO", "TU", "WE", "TH", "FR"));
        form.put("zone", "America/Chicago");
        form.put("daysOff", "Sept. 7 Holiday\nOct. 12-13 Break, no classes\nNov. 25-27 Break");
        form.put("course", "HYD 210 Reading Rivers");
        form.put("section", "A");
        form.put("meets", "MWF 10-10:50 Weir House 2");
        form.put("credits", "3");
        form.put("outline", "Basins\n  Where rain goes\n    Set 1, due next class\n  Divides and outlets (2)");
        return form;
    }

    private static String json(Object value) {
        return Json.MAPPER.writeValueAsString(value);
    }

    @Test
    void aDraftIsKeptWordForWordForItsPersonOnly() throws Exception {
        assertThat(browser.get("/api/drafts/new-term").body().path("body").stringValue())
                .isEmpty();
        Browser.Answer kept = browser.ask(
                HttpMethod.PUT,
                "/api/drafts/new-term",
                "{\"body\":\"half a term …\"}".getBytes(StandardCharsets.UTF_8),
                "application/json");
        assertThat(kept.status()).isEqualTo(204);
        assertThat(browser.get("/api/drafts/new-term").body().path("body").stringValue())
                .isEqualTo("half a term …");
        assertThat(Browser.of(mvc, accounts)
                        .get("/api/drafts/new-term")
                        .body()
                        .path("body")
                        .stringValue())
                .isEmpty();
        browser.ask(HttpMethod.DELETE, "/api/drafts/new-term", null, null);
        assertThat(browser.get("/api/drafts/new-term").body().path("body").stringValue())
                .isEmpty();
    }

    @Test
    void daysAndRulesAreReadAsTyped() throws Exception {
        long term = browser.open(Browser.demo());
        String at = "/api/terms/" + term;
        assertThat(browser.get(at + "/days?text=3%20nov").body().path("date").stringValue())
                .isEqualTo("2026-11-03");
        assertThat(browser.get(at + "/days?text=next%20class&section=HYD%20210/A")
                        .body()
                        .path("date")
                        .stringValue())
                .isEqualTo("2026-10-09");
        assertThat(browser.get(at + "/days?text=soon").status()).isEqualTo(422);
        JsonNode rule = browser.get(at + "/rules?course=HYD%20210&lesson=CH2&text=next%20class")
                .body();
        assertThat(rule.at("/rule/lesson").stringValue()).isEqualTo("CH2");
        assertThat(rule.path("said").stringValue()).isEqualTo("next class");
        assertThat(browser.post(at + "/rules/said?course=HYD%20210", "{\"lesson\":\"CH2\",\"edge\":\"end\"}")
                        .body()
                        .path("said")
                        .stringValue())
                .isEqualTo("with CH2, end of class");
        assertThat(browser.get(at + "/rules?course=HYD%20210&text=soon").status())
                .isEqualTo(422);
    }

    @Test
    void aRequestWithoutItsTokenIsRefused() throws Exception {
        mvc.perform(post("/api/terms")
                        .with(user(browser.person()))
                        .contentType("application/octet-stream")
                        .content("{}"))
                .andExpect(status().isForbidden());
    }
}
