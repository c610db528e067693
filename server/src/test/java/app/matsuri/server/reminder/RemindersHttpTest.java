package app.matsuri.server.reminder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import app.matsuri.server.mail.Letter;
import app.matsuri.server.mail.Letters;
import jakarta.persistence.EntityManager;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import tools.jackson.databind.JsonNode;

/** Reminders over HTTP: what will go out is listed, goes out once, and to nobody who wants none. public.md, "Reminders and mail". */
class RemindersHttpTest extends DemoTest {

    private static final String USUAL =
            "{\"kind\":\"put-reminders\",\"course\":\"HYD 210\",\"reminders\":[{\"id\":\"day-before\",\"lead\":"
                    + "{\"days\":1,\"at\":\"09:00\"}}]}";

    @Autowired
    Letters letters;

    @Autowired
    ReminderRounds rounds;

    @Autowired
    EntityManager entities;

    private long version = 1;

    @BeforeEach
    void remindOfAllThatIsDue() throws Exception {
        view();
        version = browser.change(term, version, USUAL).body().path("version").asLong();
    }

    private JsonNode view() throws Exception {
        Browser.Answer answer = browser.get(at + "/reminders?course=HYD%20210");
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private int run(String until) throws Exception {
        Browser.Answer answer = browser.post(at + "/reminders/clock", "{\"until\":\"" + until + "\"}");
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body().path("letters").asInt();
    }

    private List<Letter> outbox() {
        return letters.of(browser.person().workspaceId());
    }

    private static JsonNode first(JsonNode view) {
        return view.path("coming").path(0);
    }

    @Test
    void whatWillGoOutIsListedAndThenGoesOutOnceToEach() throws Exception {
        JsonNode view = view();
        assertThat(view.path("still").asBoolean()).isTrue();
        assertThat(view.path("simulated").asBoolean()).isTrue();
        JsonNode first = first(view);
        assertThat(first.path("readers").asInt()).isPositive();
        String at = first.path("at").stringValue();
        assertThat(at).endsWith("T09:00:00");
        assertThat(outbox()).as("nothing goes out before").isEmpty();
        int expected = (int) StreamSupport.stream(view.path("coming").spliterator(), false)
                .filter(c -> c.path("at").stringValue().equals(at))
                .filter(c -> c.path("section")
                        .stringValue()
                        .equals(first.path("section").stringValue()))
                .mapToInt(c -> c.path("readers").asInt())
                .max()
                .orElseThrow();
        assertThat(run(at)).isGreaterThanOrEqualTo(expected);
        List<String> readers = outbox().stream().map(l -> l.recipient).toList();
        assertThat(readers).as("one letter to each").doesNotHaveDuplicates();
        int sent = outbox().size();
        assertThat(run(at)).as("the same moment again").isZero();
        assertThat(outbox()).hasSize(sent);
        JsonNode gone = view().path("gone").path(0);
        assertThat(gone.path("sent").asInt()).isEqualTo(first.path("readers").asInt());
        assertThat(first(view()).path("at").stringValue()).isGreaterThan(at);
    }

    @Test
    void aLetterSaysWhatIsDueInWordsAndHowToGetNoMore() throws Exception {
        String at = first(view()).path("at").stringValue();
        run(at);
        Letter letter = outbox().get(0);
        assertThat(letter.body).contains("due", "No reminders any more <" + letter.stopAddress + ">");
        assertThat(letter.html).contains(letter.stopAddress).doesNotContain("<script");
        MockHttpServletResponse wire =
                browser.get("/api/outbox/" + letter.id + "/letter.eml").response();
        assertThat(wire.getContentAsString())
                .contains("List-Unsubscribe: <" + letter.stopAddress + ">")
                .contains("List-Unsubscribe-Post: List-Unsubscribe=One-Click")
                .contains("multipart");
        JsonNode first = browser.get("/api/outbox").body().path(0);
        assertThat(first.path("state").stringValue()).isEqualTo("sent");
        assertThat(first.path("sentAt").stringValue())
                .as("on the clock of the term")
                .startsWith(at);
    }

    @Test
    void whoSaysNoRemindersGetsNoneUntilTheyWantThemAgain() throws Exception {
        browser.change(term, version, "{\"kind\":\"tell\",\"course\":\"HYD 210\",\"section\":\"A\"}");
        run("2026-10-20T12:00");
        Letter letter = outbox().get(0);
        String path = URI.create(letter.stopAddress).getPath();
        assertThat(page(path)).contains(letter.recipient);
        run("2026-10-30T12:00");
        long had = to(letter.recipient);
        assertThat(had).as("looking changes nothing").isGreaterThan(1);
        MockHttpServletResponse pressed = mvc.perform(post(path)
                        .contentType("application/x-www-form-urlencoded")
                        .content("List-Unsubscribe=One-Click"))
                .andReturn()
                .getResponse();
        assertThat(pressed.getStatus()).as("one press, without a cookie").isEqualTo(200);
        run("2026-11-15T12:00");
        assertThat(to(letter.recipient)).isEqualTo(had);
        assertThat(StreamSupport.stream(view().path("coming").spliterator(), false))
                .as("the list says that one gets none")
                .anyMatch(c -> c.path("withoutAddress").asInt() > 0);
        mvc.perform(post(path).param("again", "true"));
        run("2026-12-18T12:00");
        assertThat(to(letter.recipient)).isGreaterThan(had);
        assertThat(mvc.perform(get(path + "x")).andReturn().getResponse().getStatus())
                .as("an address that somebody made up")
                .isEqualTo(404);
    }

    private long to(String recipient) {
        return entities.createQuery("select count(*) from Letter where recipient = :r and workspaceId = :w", Long.class)
                .setParameter("r", recipient)
                .setParameter("w", browser.person().workspaceId())
                .getSingleResult();
    }

    private String page(String path) throws Exception {
        return mvc.perform(get(path)).andReturn().getResponse().getContentAsString(StandardCharsets.UTF_8);
    }

    @Test
    void oneThatWasStoppedDoesNotGoOut() throws Exception {
        JsonNode first = first(view());
        String name = Json.MAPPER.writeValueAsString(first.path("name").stringValue());
        browser.post(at + "/reminders/stop", "{\"name\":" + name + ",\"stopped\":true}");
        assertThat(first(view()).path("stopped").asBoolean()).isTrue();
        run(first.path("at").stringValue());
        assertThat(outbox().stream()
                        .filter(l -> l.body.contains(first.path("title").stringValue())))
                .isEmpty();
    }

    @Test
    void aServerThatWasDownSendsLateOnlyWhatIsStillToCome() throws Exception {
        JsonNode view = view();
        List<Instant> moments = new ArrayList<>();
        view.path("coming")
                .forEach(c -> moments.add(LocalDateTime.parse(c.path("date").stringValue())
                        .atZone(ZoneId.of("America/Chicago"))
                        .toInstant()));
        rounds.run(browser.person().workspaceId(), moments.get(0).plusSeconds(60));
        List<Letter.State> states =
                outbox().stream().map(l -> l.state).distinct().toList();
        assertThat(states).contains(Letter.State.MISSED);
        assertThat(view().path("gone").toString()).contains("\"missed\":");
        int written = outbox().size();
        rounds.run(browser.person().workspaceId(), moments.get(0).plusSeconds(60));
        assertThat(outbox()).hasSize(written);
    }

    @Test
    void aLetterIsLookedAtBeforeItGoesAndTimeDoesNotRunBack() throws Exception {
        JsonNode first = first(view());
        String name = URLEncoder.encode(first.path("name").stringValue(), StandardCharsets.UTF_8)
                .replace("+", "%20");
        JsonNode letter = browser.get(at + "/reminders/letter?course=HYD%20210&name=" + name)
                .body();
        assertThat(letter.path("body").stringValue())
                .contains(first.path("title").stringValue());
        run("2026-10-20T12:00");
        assertThat(browser.post(at + "/reminders/clock", "{\"until\":\"2026-10-10T12:00\"}")
                        .status())
                .isEqualTo(409);
        assertThat(browser.get(at + "/reminders/letter?course=HYD%20210&name=nothing")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void theInstructorIsRemindedWhereThereIsAnAddress() throws Exception {
        browser.change(
                term,
                version,
                "{\"kind\":\"put-reminders\",\"course\":\"HYD 210\",\"reminders\":[{\"id\":\"c\",\"before\":\"session\","
                        + "\"to\":\"instructor\",\"lead\":{\"minutes\":60}}]}");
        assertThat(first(view()).path("readers").asInt()).isZero();
        assertThat(run(first(view()).path("at").stringValue())).isZero();
    }

    @Test
    void whoIsToldThatSomethingMovedMayGetOneLetterOfItWithItsWhy() throws Exception {
        String tell = "{\"kind\":\"tell\",\"course\":\"HYD 210\",\"section\":\"A\",\"why\":\"The river is high.\"}";
        String move = "{\"kind\":\"put-dates\",\"entries\":[{\"course\":\"HYD 210\",\"item\":\"log-6\",\"due\":"
                + "{\"at\":\"2026-10-16T12:00\"}}]}";
        String told = "{\"version\":%d,\"seen\":false,\"change\":%s}";
        long now = browser.post(at + "/changes", told.formatted(version, move))
                .body()
                .path("version")
                .asLong();
        Browser.Answer quiet =
                browser.post(at + "/changes", "{\"version\":" + now + ",\"digest\":true,\"change\":" + tell + "}");
        assertThat(quiet.status()).as(quiet.body().toString()).isEqualTo(200);
        assertThat(outbox().stream().map(l -> l.recipient)).isNotEmpty().doesNotHaveDuplicates();
        assertThat(outbox())
                .allSatisfy(letter -> assertThat(letter.body)
                        .contains("to Fri 16 Oct, 12:00", "The river is high.")
                        .doesNotContain("Hello ,"));
        assertThat(outbox().get(0).subject).isEqualTo("What has moved in HYD 210");
        int written = outbox().size();
        browser.post(
                at + "/undo", "{\"version\":" + quiet.body().path("version").asLong() + "}");
        assertThat(outbox()).as("taking it back writes nothing").hasSize(written);
    }

    @Test
    void ofTwoServersOnOneDatabaseEachLetterIsWrittenOnce() throws Exception {
        view();
        Instant until = Instant.parse("2026-10-16T12:00:00Z");
        long workspace = browser.person().workspaceId();
        ExecutorService servers = Executors.newFixedThreadPool(3);
        try {
            int written = 0;
            Callable<Integer> round = () -> rounds.run(workspace, until);
            for (Future<Integer> one : servers.invokeAll(List.of(round, round, round))) {
                written += one.get();
            }
            assertThat(written).isPositive();
            assertThat(outbox()).hasSize(written);
        } finally {
            servers.shutdownNow();
        }
        assertThat(outbox().stream().map(l -> l.name)).doesNotHaveDuplicates();
    }

    /** Two sections, and who has dates of their own: each letter has what that student was told, over both in one. */
    @Test
    void whatMovedIsOneLetterForEachOverAllThatWasTold() throws Exception {
        String extension = "{\"kind\":\"put-adjustment\",\"course\":\"HYD 210\",\"section\":\"A\",\"adjustment\":"
                + "{\"item\":\"log-6\",\"student\":\"4101\",\"due\":{\"at\":\"2026-10-20T12:00\"},\"why\":\"ill\"}}";
        version =
                browser.change(term, version, extension).body().path("version").asLong();
        String move = "{\"kind\":\"put-dates\",\"entries\":[{\"course\":\"HYD 210\",\"item\":\"log-6\",\"due\":"
                + "{\"at\":\"2026-10-16T12:00\"}}]}";
        version = browser.post(at + "/changes", "{\"version\":" + version + ",\"seen\":false,\"change\":" + move + "}")
                .body()
                .path("version")
                .asLong();
        String both = "{\"kind\":\"together\",\"does\":\"Tell both\",\"changes\":["
                + "{\"kind\":\"tell\",\"course\":\"HYD 210\",\"section\":\"A\",\"why\":\"High water.\"},"
                + "{\"kind\":\"tell\",\"course\":\"HYD 210\",\"section\":\"B\",\"why\":\"High water.\"}]}";
        Browser.Answer told =
                browser.post(at + "/changes", "{\"version\":" + version + ",\"digest\":true,\"change\":" + both + "}");
        assertThat(told.status()).as(told.body().toString()).isEqualTo(200);
        List<Letter> letters = outbox();
        assertThat(letters.stream().map(l -> l.recipient))
                .doesNotHaveDuplicates()
                .hasSizeGreaterThan(24);
        assertThat(letters.stream().filter(l -> l.recipient.startsWith("wren.oakes")))
                .as("whose own date stays is told nothing of the class's")
                .noneMatch(l -> l.body.contains("Field log 6"));
        assertThat(letters.stream().filter(l -> l.body.contains("Field log 6"))).isNotEmpty();
        assertThat(letters).noneMatch(l -> l.body.contains("ill") && l.body.contains("2026-10-20"));
    }

    @Test
    void withoutAWordOfItNoLetterIsWritten() throws Exception {
        browser.change(term, version, "{\"kind\":\"tell\",\"course\":\"HYD 210\",\"section\":\"A\"}");
        assertThat(outbox()).isEmpty();
    }

    @Test
    void lettersOfAnotherWorkspaceAreNobodyElses() throws Exception {
        run(first(view()).path("at").stringValue());
        long id = outbox().get(0).id;
        Browser other = Browser.of(mvc, accounts);
        assertThat(other.get("/api/outbox").body().size()).isZero();
        assertThat(other.get("/api/outbox/" + id + "/letter.eml").status()).isEqualTo(404);
        assertThat(other.get("/api/outbox/" + id + "/page").status()).isEqualTo(404);
        assertThat(other.post("/api/outbox/" + id + "/again", "{}").status()).isEqualTo(404);
        assertThat(other.get(at + "/reminders?course=HYD%20210").status()).isEqualTo(404);
        assertThat(other.post(at + "/reminders/stop", "{\"name\":\"x\",\"stopped\":true}")
                        .status())
                .isEqualTo(404);
        assertThat(other.post(at + "/reminders/clock", "{\"until\":\"2026-10-20T12:00\"}")
                        .status())
                .isEqualTo(404);
        assertThat(browser.post("/api/outbox/" + id + "/again", "{}").status())
                .as("what went out does not go out again")
                .isEqualTo(404);
        assertThat(browser.get("/api/outbox/" + id + "/page").response().getContentAsString(StandardCharsets.UTF_8))
                .contains("this is coming up:");
    }
}
