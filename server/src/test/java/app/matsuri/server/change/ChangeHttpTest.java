package app.matsuri.server.change;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Proposing, making, undoing: the one way to write, over HTTP. */
@ServerTest
class ChangeHttpTest {

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    @Autowired
    TermStore store;

    private Browser browser;
    private long term;
    private String begin;

    @BeforeEach
    void openTheDemo() throws Exception {
        browser = Browser.of(mvc, accounts);
        term = browser.open(Browser.demo());
        begin = browser.plan(term);
    }

    private Browser.Answer step(String way, long version) throws Exception {
        return browser.post("/api/terms/" + term + "/" + way, "{\"version\":" + version + "}");
    }

    @Test
    void aProposalStoresNothingAndShowsTheWallAsItWouldBe() throws Exception {
        Browser.Answer proposal = browser.post(
                "/api/terms/" + term + "/proposals?view=wall&course=HYD%20210&section=A", ServerTest.FLOOD);
        assertThat(proposal.status()).isEqualTo(200);
        assertThat(proposal.body().path("quiet").booleanValue()).isFalse();
        JsonNode friday = day(proposal.body().path("wall"), "2026-10-09");
        assertThat(friday.path("off").path("proposed").booleanValue()).isTrue();
        assertThat(friday.path("gone").get(0).path("id").stringValue()).isEqualTo("CH2");
        assertThat(day(proposal.body().path("wall"), "2026-10-14")
                        .at("/lessons/0/proposed")
                        .booleanValue())
                .isTrue();
        assertThat(browser.plan(term)).isEqualTo(begin);
    }

    /** The answers to a change, an undo and a redo carry the view that is asked for as it would be loaded. */
    @Test
    void whatWasMadeCarriesTheView() throws Exception {
        Map<String, String> views = Map.of("wall", "wall", "term", "calendar", "dates", "dates", "lanes", "lanes");
        long version = 1;
        for (Map.Entry<String, String> view : views.entrySet()) {
            String at = "/api/terms/" + term;
            String asked = "?view=" + view.getKey() + "&course=HYD%20210&section=B";
            for (String way : List.of("changes", "undo", "redo", "undo")) {
                String change = way.equals("changes") ? ",\"change\":" + ServerTest.FLOOD : "";
                JsonNode made = browser.post(at + "/" + way + asked, "{\"version\":" + version + change + "}")
                        .body();
                String path =
                        view.getValue().equals("wall") ? "/wall?course=HYD%20210&section=B" : "/" + view.getValue();
                assertThat(made.path(view.getValue()))
                        .as(view + " " + way)
                        .isEqualTo(browser.get(at + path).body());
                assertThat(made.size()).isEqualTo(3);
                version = made.path("version").asLong();
            }
        }
        assertThat(browser.change(term, version, ServerTest.FLOOD).body().size())
                .as("nothing asked for, nothing carried")
                .isEqualTo(2);
    }

    /** What somebody else looked at a moment ago is said on one's own clock all the same. */
    @Test
    void eachReadsAProposalOnTheirOwnClock() throws Exception {
        String class9 = "{\"kind\":\"change-session\",\"course\":\"HYD 210\",\"section\":\"A\",\"change\":"
                + "{\"move\":\"2026-10-09T10:00\",\"to\":\"2026-10-09T13:30\",\"minutes\":50}}";
        String at = "/api/terms/" + term + "/proposals";
        assertThat(browser.post(at, class9).body().path("does").stringValue()).contains("13:30");
        assertThat(browser.onTwelveHours().post(at, class9).body().path("does").stringValue())
                .contains("1:30 pm");
    }

    /** What a proposal worked out serves the change; the store keeps the value that it wrote, and reads it back equal. */
    @Test
    void whatIsKeptReadsBackEqual() throws Exception {
        String[] changes = {
            ServerTest.FLOOD,
            "{\"kind\":\"shift\",\"course\":\"HYD 210\",\"section\":\"A\",\"lessons\":[\"CH4\"],\"by\":2}",
            "{\"kind\":\"remove-lesson\",\"course\":\"HYD 210\",\"lesson\":\"CH3\"}",
        };
        long version = 1;
        for (String change : changes) {
            browser.post("/api/terms/" + term + "/proposals?view=wall", change);
            Browser.Answer made = browser.change(term, version, change);
            assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
            version = made.body().path("version").asLong();
            Stored kept = store.any(term);
            assertThat(store.everywhere().stream()
                            .map(TermStore.Owned::stored)
                            .filter(s -> s.termId() == term)
                            .findFirst()
                            .orElseThrow()
                            .decisions())
                    .as(change)
                    .isEqualTo(kept.decisions());
        }
    }

    private static JsonNode day(JsonNode wall, String date) {
        for (JsonNode week : wall.path("weeks")) {
            for (JsonNode day : week.path("days")) {
                if (day.path("date").stringValue().equals(date)) {
                    return day;
                }
            }
        }
        throw new AssertionError("no " + date);
    }

    @Test
    void aChangeIsMadeUndoneAndMadeAgain() throws Exception {
        assertThat(browser.change(term, 1, ServerTest.FLOOD)
                        .body()
                        .path("version")
                        .asLong())
                .isEqualTo(2);
        String flooded = browser.plan(term);
        assertThat(flooded).contains("Flood warning");
        assertThat(step("undo", 2).body().path("sentence").stringValue())
                .isEqualTo("Undo: Day off Fri 9 Oct, Flood warning");
        assertThat(browser.plan(term)).isEqualTo(begin);
        assertThat(step("undo", 3).type()).isEqualTo("/problems/nothing-to-undo");
        assertThat(step("redo", 3).status()).isEqualTo(200);
        assertThat(browser.plan(term)).isEqualTo(flooded);
        assertThat(step("redo", 4).status()).isEqualTo(409);
        JsonNode lines = browser.get("/api/terms/" + term + "/history").body().path("lines");
        assertThat(lines.size()).isEqualTo(4);
        assertThat(lines.get(2).path("kind").stringValue()).isEqualTo("UNDO");
    }

    @Test
    void anOlderVersionGets409AndNothingIsStored() throws Exception {
        browser.change(term, 1, ServerTest.FLOOD);
        Browser.Answer late = browser.change(
                term,
                1,
                "{\"kind\":\"pin\",\"course\":\"HYD 210\",\"section\":\"A\",\"lesson\":\"CH3\",\"date\":\"2026-10-16\"}");
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.type()).isEqualTo("/problems/version-conflict");
        assertThat(late.body().path("version").asLong()).isEqualTo(2);
        // with what it does now; not where it can no longer be made
        assertThat(late.body().path("proposal").path("version").asLong()).isEqualTo(2);
        assertThat(late.body().path("proposal").path("does").stringValue()).contains("16 Oct");
        Browser.Answer gone = browser.change(
                term, 1, "{\"kind\":\"remove-lesson\",\"course\":\"HYD 210\",\"lesson\":\"no such lesson\"}");
        assertThat(gone.type()).isEqualTo("/problems/version-conflict");
        assertThat(gone.body().has("proposal")).isFalse();
        assertThat(browser.get("/api/terms/" + term + "/history")
                        .body()
                        .path("lines")
                        .size())
                .isEqualTo(2);
    }

    @Test
    void ofTwoTabsAtOnceOneWins() throws Exception {
        AtomicInteger made = new AtomicInteger();
        AtomicInteger stale = new AtomicInteger();
        CountDownLatch ready = new CountDownLatch(4);
        var pool = Executors.newFixedThreadPool(4);
        for (int i = 0; i < 4; i++) {
            String reason = "Tab " + i;
            pool.submit(() -> {
                ready.countDown();
                ready.await();
                int status = browser.change(term, 1, ServerTest.FLOOD.replace("Flood warning", reason))
                        .status();
                (status == 200 ? made : stale).incrementAndGet();
                return status;
            });
        }
        pool.shutdown();
        assertThat(pool.awaitTermination(60, java.util.concurrent.TimeUnit.SECONDS))
                .isTrue();
        assertThat(made.get()).isEqualTo(1);
        assertThat(stale.get()).isEqualTo(3);
        assertThat(browser.plan(term).split("Tab ", -1)).hasSize(2);
    }

    @Test
    void aRefusalSaysWhyAndWhatToDo() throws Exception {
        Browser.Answer refused = browser.change(
                term, 1, "{\"kind\":\"remove-closure\",\"first\":\"2026-10-09\",\"last\":\"2026-10-09\"}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.type()).isEqualTo("/problems/change-refused");
        assertThat(refused.body().path("detail").stringValue()).contains("no day off on Fri 9 Oct");
        Browser.Answer wrong = browser.change(term, 1, "{\"kind\":\"shift\",\"course\":\"HYD 210\",\"by\":\"x\"}");
        assertThat(wrong.status()).isEqualTo(400);
        assertThat(wrong.body().path("faults").size()).isGreaterThanOrEqualTo(2);
        assertThat(browser.post("/api/terms/" + term + "/changes", "{").status())
                .isEqualTo(400);
    }

    @Test
    void aMomentCanBeNamedAndReturnedTo() throws Exception {
        browser.change(term, 1, ServerTest.FLOOD);
        String flooded = browser.plan(term);
        browser.change(term, 2, "{\"kind\":\"remove-unit\",\"course\":\"HYD 210\",\"unit\":\"RE\"}");
        browser.change(term, 3, "{\"kind\":\"remove-course\",\"course\":\"MAP 115\"}");
        Browser.Answer named = browser.ask(
                HttpMethod.PUT,
                "/api/terms/" + term + "/history/2/name",
                "{\"name\":\"After the flood\"}".getBytes(),
                "application/json");
        assertThat(named.status()).isEqualTo(204);
        Browser.Answer back = browser.post("/api/terms/" + term + "/history/2/return", "{\"version\":4}");
        assertThat(back.body().path("sentence").stringValue()).isEqualTo("Return to: “After the flood”");
        assertThat(browser.plan(term)).isEqualTo(flooded);
        assertThat(step("undo", 5).status()).isEqualTo(200);
        assertThat(browser.plan(term)).doesNotContain("MAP 115").doesNotContain("Reach survey");
        assertThat(browser.post("/api/terms/" + term + "/history/99/return", "{\"version\":6}")
                        .status())
                .isEqualTo(409);
    }

    @Test
    void everyStepOfALongSessionIsStoredAsItWasMade() throws Exception {
        String[] changes = {
            ServerTest.FLOOD,
            "{\"kind\":\"shift\",\"course\":\"HYD 210\",\"section\":\"A\",\"lessons\":[\"CH2\"],\"by\":1,\"in\":\"sessions\"}",
            "{\"kind\":\"move\",\"course\":\"HYD 210\",\"section\":\"A\",\"items\":[\"report\"],\"to\":\"2026-12-16\"}",
            "{\"kind\":\"move\",\"course\":\"HYD 210\",\"section\":\"A\",\"lessons\":[\"CH4\"],\"to\":\"2026-10-30\"}",
            "{\"kind\":\"record-taught\",\"course\":\"HYD 210\",\"section\":\"A\",\"session\":\"2026-10-07T10:00\",\"lessons\":[\"CH1\"],\"partly\":true}",
            "{\"kind\":\"put-course\",\"was\":\"MAP 115\",\"course\":{\"code\":\"MAP 116\",\"title\":\"Maps\"}}",
            "{\"kind\":\"put-section\",\"course\":\"HYD 210L\",\"section\":{\"code\":\"L3\",\"meets\":[{\"rule\":\"FREQ=WEEKLY;BYDAY=FR\",\"start\":\"15:00\",\"minutes\":110}]}}",
            "{\"kind\":\"remove-section\",\"course\":\"HYD 210L\",\"section\":\"L1\"}"
        };
        java.util.List<String> plans = new java.util.ArrayList<>(java.util.List.of(begin));
        for (int i = 0; i < changes.length; i++) {
            Browser.Answer made = browser.change(term, i + 1, changes[i]);
            assertThat(made.status()).as(changes[i] + made.body()).isEqualTo(200);
            plans.add(browser.plan(term));
        }
        for (int i = changes.length - 1; i >= 0; i--) {
            step("undo", changes.length + (changes.length - i));
            assertThat(Json.read(browser.plan(term))).isEqualTo(Json.read(plans.get(i)));
        }
    }
}
