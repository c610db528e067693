package app.matsuri.server.term;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mockStatic;
import static org.mockito.Mockito.when;

import app.matsuri.core.schedule.Schedule;
import app.matsuri.server.Browser;
import app.matsuri.server.SpiedTest;
import app.matsuri.server.storage.TermStore;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.mockito.MockedStatic;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;

/** Terms that are deleted, archived, or cannot be worked out any more. */
class PutAwayHttpTest extends SpiedTest {

    @Autowired
    TermStore store;

    private int asked(HttpMethod method, String path, String body) throws Exception {
        return browser.ask(method, path, body == null ? null : body.getBytes(), "application/json")
                .status();
    }

    @Test
    void aDeletedTermIsGoneFromTheListsAndComesBackWhole() throws Exception {
        String plan = browser.plan(term);
        var goes = browser.get(at + "/goes").body();
        assertThat(goes.path("parts").toString()).contains("6 sections").contains("records of classes");
        assertThat(asked(HttpMethod.DELETE, at, null)).isEqualTo(204);
        assertThat(browser.get("/api/terms").body().size()).isZero();
        assertThat(browser.get(at + "/wall").status()).isEqualTo(404);
        var deleted = browser.get("/api/terms/deleted").body();
        assertThat(deleted.get(0).path("name").stringValue()).isEqualTo("Autumn 2026");
        assertThat(asked(HttpMethod.POST, at + "/bring-back", null)).isEqualTo(204);
        assertThat(browser.plan(term)).isEqualTo(plan);
        assertThat(browser.get("/api/terms/deleted").body().size()).isZero();
    }

    @Test
    void afterThirtyDaysItIsGoneForGood() throws Exception {
        assertThat(browser.change(term, 1, "{'kind':'remove-course','course':'SOL 101'}".replace('\'', '"'))
                        .status())
                .isEqualTo(200);
        assertThat(asked(HttpMethod.DELETE, at, null)).isEqualTo(204);
        Instant then = Instant.now(clock);
        when(clock.instant()).thenReturn(then.plus(Duration.ofDays(30)));
        assertThat(browser.get("/api/terms/deleted").body().size()).isEqualTo(1);
        when(clock.instant()).thenReturn(then.plus(Duration.ofDays(32)));
        assertThat(browser.get("/api/terms/deleted").body().size()).isZero();
        assertThat(asked(HttpMethod.POST, at + "/bring-back", null)).isEqualTo(404);
        assertThat(clock.getZone()).isEqualTo(ZoneOffset.UTC);
    }

    @Test
    void onlyTheOwnerPutsATermAway() throws Exception {
        Browser other = Browser.of(mvc, accounts);
        assertThat(other.ask(HttpMethod.DELETE, at, null, "application/json").status())
                .isEqualTo(404);
        assertThat(other.get(at + "/goes").status()).isEqualTo(404);
        assertThat(browser.get("/api/terms").body().size()).isEqualTo(1);
    }

    @Test
    void anArchivedTermSaysSoInTheList() throws Exception {
        assertThat(asked(HttpMethod.PUT, at + "/archived", "{\"archived\":true}"))
                .isEqualTo(204);
        assertThat(browser.get("/api/terms").body().get(0).path("archived").booleanValue())
                .isTrue();
        assertThat(browser.get(at + "/wall").status()).isEqualTo(200);
    }

    @Test
    void aPlanThatCannotBeWorkedOutIsRefusedWithWhatAndWhere() throws Exception {
        String plan = browser.plan(term);
        try (MockedStatic<Schedule> failing = mockStatic(Schedule.class)) {
            failing.when(() -> Schedule.of(any())).thenThrow(new IllegalStateException("no place to stand"));
            Browser.Answer answer =
                    browser.ask(HttpMethod.POST, "/api/terms", plan.getBytes("UTF-8"), "application/octet-stream");
            assertThat(answer.status()).isEqualTo(422);
            assertThat(answer.type()).isEqualTo("/problems/cannot-be-computed");
            assertThat(answer.body().path("detail").stringValue())
                    .contains("HYD 210")
                    .contains("Nothing was stored");
            assertThat(answer.body().at("/faults/0/pointer").stringValue()).isEqualTo("/courses/0/sections/0");
        }
        assertThat(browser.get("/api/terms").body().size()).isEqualTo(1);
    }

    @Test
    void aTermThatCannotBeWorkedOutSaysSoAndKeepsItsHistoryUndoAndPlanFile() throws Exception {
        assertThat(browser.change(term, 1, "{'kind':'first-plan-day','day':'2026-09-01'}".replace('\'', '"'))
                        .status())
                .isEqualTo(200);
        try (MockedStatic<Schedule> failing = mockStatic(Schedule.class)) {
            failing.when(() -> Schedule.of(any())).thenThrow(new IllegalStateException("no place to stand"));
            Browser.Answer wall = browser.get(at + "/wall");
            assertThat(wall.type()).isEqualTo("/problems/term-stuck");
            assertThat(wall.body().path("detail").stringValue()).contains("undo the last step");
            assertThat(browser.get(at + "/history").body().path("lines").size()).isEqualTo(2);
            assertThat(browser.get(at + "/plan").status()).isEqualTo(200);
            assertThat(browser.post(at + "/undo", "{\"version\":2}").status()).isEqualTo(200);
        }
        assertThat(browser.get(at + "/wall").status()).isEqualTo(200);
    }
}
