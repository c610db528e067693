package app.matsuri.server.rollover;

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
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Rolling over over HTTP: looked at without a trace, made as one step with one undo, from terms and from files. */
@ServerTest
class RolloverHttpTest {

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    private Browser browser;
    private long autumn;
    private long spring;

    @BeforeEach
    void openBothTerms() throws Exception {
        browser = Browser.of(mvc, accounts);
        autumn = browser.open(Browser.demo());
        spring = browser.open(Files.readString(Path.of("../demo/spring-2027.json")));
    }

    private String form(String by, String more) {
        return "{\"from\":" + autumn + ",\"to\":" + spring
                + ",\"courses\":[\"HYD 210\"],\"units\":[],\"by\":\"" + by
                + "\",\"taken\":[],\"fit\":false,\"again\":false"
                + more + "}";
    }

    private static String roll(long version, String form) {
        return "{\"version\":" + version + ",\"form\":" + form + "}";
    }

    /** The table of a rollover says times on the clock of who asks. */
    @Test
    void theTableIsOnTheClockThatIsRead() throws Exception {
        String content = browser.onTwelveHours()
                .post("/api/rollover-tables", form("rule", ""))
                .body()
                .path("content")
                .asString();
        assertThat(content)
                .startsWith("section,what,id,title,old,new,why,state\r\n")
                .contains(" 11:59 pm,")
                .doesNotContain("23:59,");
    }

    @Test
    void everyWayIsLookedAtWithoutATraceAndMadeAsOneStep() throws Exception {
        String before = browser.plan(spring);
        JsonNode choices = browser.get("/api/terms/" + autumn + "/rollover").body();
        assertThat(choices.path("next").asLong()).isEqualTo(spring);
        JsonNode view = browser.post("/api/rollover-previews", form("rule", "")).body();
        assertThat(view.path("days").asInt()).isEqualTo(141);
        assertThat(view.path("ways").size()).isEqualTo(7);
        assertThat(view.path("ways").findValuesAsString("by"))
                .containsExactly("class", "week", "teaching-week", "days=141", "days=140", "days=147", "rule");
        assertThat(view.path("ways").path(3).path("messes").asString()).contains("140 or 147");
        assertThat(view.path("rows").size()).isGreaterThan(250);
        assertThat(browser.plan(spring)).isEqualTo(before);

        for (String by : new String[] {"class", "week", "days=141", "rule"}) {
            long version = browser.post("/api/rollover-previews", form(by, ""))
                    .body()
                    .path("version")
                    .asLong();
            Browser.Answer made = browser.post("/api/rollovers", roll(version, form(by, "")));
            assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
            assertThat(browser.plan(spring)).contains("HYD 210").doesNotContain("\"students\"");
            JsonNode again =
                    browser.post("/api/rollover-previews", form(by, "")).body();
            assertThat(again.path("refused").asString()).contains("was rolled over to Spring 2027 before");
            assertThat(again.path("there").asBoolean()).isTrue();
            assertThat(browser.post("/api/terms/" + spring + "/undo", "{\"version\":" + (version + 1) + "}")
                            .status())
                    .isEqualTo(200);
            assertThat(browser.plan(spring))
                    .as("undo takes all of it back, " + by)
                    .isEqualTo(before);
        }
    }

    @Test
    void anOlderVersionIsRefusedAndNothingIsStored() throws Exception {
        String before = browser.plan(spring);
        assertThat(browser.post("/api/rollovers", roll(77, form("rule", ""))).status())
                .isEqualTo(409);
        assertThat(browser.post("/api/rollovers", roll(1, form("moon", ""))).type())
                .isEqualTo("/problems/rollover-way");
        assertThat(browser.plan(spring)).isEqualTo(before);
    }

    @Test
    void aNewTermIsMadeWithItsHolidays() throws Exception {
        String form = form("rule", "")
                .replace(
                        "\"to\":" + spring,
                        "\"term\":{\"name\":\"Autumn 2027\",\"first\":\"2027-08-30\",\"last\":\"2027-12-17\","
                                + "\"country\":\"us\",\"region\":\"\",\"without\":[\"2027-10-11\"]}");
        JsonNode view = browser.post("/api/rollover-previews", form).body();
        assertThat(view.path("off").findValuesAsString("first"))
                .contains("2027-09-06")
                .doesNotContain("2027-10-11");
        Browser.Answer made = browser.post("/api/rollovers", roll(0, form));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        long id = made.body().path("termId").asLong();
        assertThat(browser.plan(id)).contains("Autumn 2027").contains("HYD 210").contains("2027-09-06");
        browser.post("/api/terms/" + id + "/undo", "{\"version\":2}");
        assertThat(browser.plan(id)).contains("Autumn 2027").doesNotContain("HYD 210");
    }

    @Test
    void severalCoursesGoAtOnceAndKeepEachOther() throws Exception {
        String form = form("rule", "").replace("[\"HYD 210\"]", "[\"HYD 210\",\"HYD 210L\"]");
        assertThat(browser.post("/api/rollovers", roll(1, form)).status()).isEqualTo(201);
        assertThat(browser.plan(spring)).contains("\"partOf\" : \"HYD 210/A\"");
    }

    @Test
    void fromAPlanFileAndFromATable() throws Exception {
        byte[] table = "Title,Due\r\nLog 1,2026-09-11 17:00\r\n".getBytes(StandardCharsets.UTF_8);
        JsonNode source = source("dates.csv", table);
        assertThat(source.path("items").asInt()).isEqualTo(1);
        String form = form("week", "")
                .replace(
                        "\"from\":" + autumn,
                        "\"source\":\"" + source.path("id").asString() + "\"");
        JsonNode view = browser.post("/api/rollover-previews", form).body();
        assertThat(view.path("rows").get(0).path("now").asString()).isEqualTo("2027-01-29T17:00:00");
        assertThat(browser.post("/api/rollovers", roll(1, form)).status()).isEqualTo(201);
        assertThat(browser.plan(spring)).contains("Log 1");

        JsonNode plan = source("plan.json", Files.readAllBytes(Path.of("../demo/year-2026-27.json")));
        assertThat(plan.path("courses").size()).isPositive();
        Browser other = Browser.of(mvc, accounts);
        long theirs = other.open(Files.readString(Path.of("../demo/spring-2027.json")));
        assertThat(other.post("/api/rollover-previews", form.replace("\"to\":" + spring, "\"to\":" + theirs))
                        .type())
                .as("a file that another read")
                .isEqualTo("/problems/no-such-source");
        assertThat(browser.post("/api/rollover-sources", given("x.csv", "a,b".getBytes(StandardCharsets.UTF_8)))
                        .type())
                .isEqualTo("/problems/table-at-fault");
    }

    private String given(String name, byte[] content) {
        return "{\"name\":\"" + name + "\",\"content\":\"" + Base64.getEncoder().encodeToString(content)
                + "\",\"term\":" + autumn + ",\"course\":\"HYD 210\"}";
    }

    private JsonNode source(String name, byte[] content) throws Exception {
        Browser.Answer answer = browser.post("/api/rollover-sources", given(name, content));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(201);
        return answer.body();
    }

    @Test
    void termsOfOthersAreNeitherSourceNorTarget() throws Exception {
        Browser other = Browser.of(mvc, accounts);
        long theirs = other.open(Files.readString(Path.of("../demo/spring-2027.json")));
        assertThat(other.post(
                                "/api/rollover-previews",
                                form("rule", "").replace("\"to\":" + spring, "\"to\":" + theirs))
                        .status())
                .isEqualTo(404);
        assertThat(browser.post(
                                "/api/rollovers",
                                roll(1, form("rule", "").replace("\"to\":" + spring, "\"to\":" + theirs)))
                        .status())
                .isEqualTo(404);
        assertThat(other.plan(theirs)).doesNotContain("HYD 210");
    }
}
