package app.matsuri.server.history;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.server.DemoTest;
import app.matsuri.server.ServerTest;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

/** Who did what, what can be taken back, and moments with names. */
class HistoryHttpTest extends DemoTest {

    private JsonNode history() throws Exception {
        return browser.get(at + "/history").body();
    }

    private int name(long seq, String name) throws Exception {
        return browser.ask(
                        HttpMethod.PUT,
                        at + "/history/" + seq + "/name",
                        ("{\"name\":" + name + "}").getBytes(),
                        "application/json")
                .status();
    }

    private long step(String way, long version) throws Exception {
        JsonNode made =
                browser.post(at + "/" + way, "{\"version\":" + version + "}").body();
        return made.path("version").asLong();
    }

    private static List<String> sentences(JsonNode history) {
        List<String> said = new ArrayList<>();
        history.path("lines").forEach(l -> said.add(l.path("sentence").stringValue()));
        return said;
    }

    @Test
    void itBeginsWithTheTermAndThereIsNothingToTakeBack() throws Exception {
        JsonNode begin = history();
        assertThat(sentences(begin)).containsExactly("Begin the term Autumn 2026");
        assertThat(begin.has("undo")).isFalse();
        assertThat(begin.has("redo")).isFalse();
        assertThat(begin.path("lines").get(0).path("accountName").stringValue())
                .isEqualTo(browser.person().displayName());
        assertThat(browser.post(at + "/undo", "{\"version\":1}").status()).isEqualTo(409);
        assertThat(browser.post(at + "/redo", "{\"version\":1}").status()).isEqualTo(409);
    }

    @Test
    void undoAndRedoPointAtWhatTheyWouldTakeBackAndMakeAgain() throws Exception {
        browser.change(term, 1, ServerTest.FLOOD);
        JsonNode made = history();
        long seq = made.path("undo").asLong();
        assertThat(made.path("lines").get(1).path("seq").asLong()).isEqualTo(seq);
        assertThat(made.has("redo")).isFalse();
        long undone = step("undo", 2);
        assertThat(history().path("redo").asLong()).isEqualTo(seq);
        assertThat(history().has("undo")).isFalse();
        step("redo", undone);
        JsonNode again = history();
        assertThat(again.path("undo").asLong()).isEqualTo(seq);
        assertThat(sentences(again).subList(2, 4))
                .containsExactly(
                        "Undo: " + sentences(again).get(1),
                        "Redo: " + sentences(again).get(1));
    }

    @Test
    void aNewChangeEndsWhatCouldBeMadeAgain() throws Exception {
        browser.change(term, 1, ServerTest.FLOOD);
        long version = step("undo", 2);
        browser.change(term, version, ServerTest.FLOOD.replace("2026-10-09", "2026-10-16"));
        assertThat(history().has("redo")).isFalse();
        assertThat(browser.post(at + "/redo", "{\"version\":4}").status()).isEqualTo(409);
    }

    @Test
    void returningToAMomentIsAStepThatCanBeTakenBack() throws Exception {
        String begin = browser.plan(term);
        browser.change(term, 1, ServerTest.FLOOD);
        String flooded = browser.plan(term);
        long first = history().path("lines").get(0).path("seq").asLong();
        assertThat(name(first, "\"As handed over\"")).isEqualTo(204);
        JsonNode made = browser.post(at + "/history/" + first + "/return", "{\"version\":2}")
                .body();
        assertThat(made.path("sentence").stringValue()).isEqualTo("Return to: “As handed over”");
        assertThat(browser.plan(term)).isEqualTo(begin);
        step("undo", made.path("version").asLong());
        assertThat(browser.plan(term)).isEqualTo(flooded);
        assertThat(browser.post(at + "/history/999/return", "{\"version\":4}").status())
                .isEqualTo(409);
    }

    @Test
    void aMomentGetsANameAndLosesIt() throws Exception {
        long seq = history().path("lines").get(0).path("seq").asLong();
        assertThat(name(seq, "\"  Before the flood \"")).isEqualTo(204);
        assertThat(history().path("lines").get(0).path("name").stringValue()).isEqualTo("Before the flood");
        assertThat(name(seq, "\" \"")).isEqualTo(204);
        assertThat(history().path("lines").get(0).has("name")).isFalse();
        assertThat(name(seq, "\"" + "x".repeat(101) + "\"")).isEqualTo(400);
        assertThat(name(999, "\"x\"")).isEqualTo(404);
    }
}
