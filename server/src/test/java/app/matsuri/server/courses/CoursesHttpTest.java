package app.matsuri.server.courses;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

/** All courses of a person at once. */
class CoursesHttpTest extends DemoTest {

    private static List<String> texts(JsonNode list, String field) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(one -> one.path(field).stringValue())
                .toList();
    }

    private static JsonNode named(JsonNode list, String field, String value) {
        return StreamSupport.stream(list.spliterator(), false)
                .filter(one -> one.path(field).stringValue().equals(value))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void eachCourseHasItsLetterItsDaysAndWhatTheWallSaysOfThem() throws Exception {
        JsonNode all = browser.get("/api/courses").body();
        assertThat(texts(all.path("courses"), "letter"))
                .contains("A", "B", "M", "S")
                .doesNotHaveDuplicates();
        JsonNode a = named(all.path("courses"), "letter", "A");
        assertThat(a.path("meets").stringValue()).isEqualTo("Mon, Wed, Fri 10:00");
        JsonNode lane = named(
                all.path("terms").get(0).path("lanes"), "key", a.path("key").stringValue());
        JsonNode wall = browser.get("/api/terms/" + term + "/wall?course=HYD%20210&section=A")
                .body();
        int seen = 0;
        for (JsonNode week : wall.path("weeks")) {
            for (JsonNode day : week.path("days")) {
                if (!day.path("lessons").isEmpty()) {
                    seen++;
                    assertThat(named(lane.path("days"), "date", day.path("date").stringValue()))
                            .isEqualTo(day);
                }
            }
        }
        assertThat(seen).isGreaterThan(30);
    }

    @Test
    void everyDayWithAnythingHasAColumnInAWeek() throws Exception {
        JsonNode all = browser.get("/api/courses").body();
        Set<String> days = new TreeSet<>();
        for (JsonNode week : all.path("weeks")) {
            week.path("days").forEach(d -> days.add(d.stringValue()));
        }
        for (JsonNode lane : all.path("terms").get(0).path("lanes")) {
            for (JsonNode day : lane.path("days")) {
                if (day.path("inTerm").booleanValue() && !day.path("lessons").isEmpty()) {
                    assertThat(days).contains(day.path("date").stringValue());
                }
            }
        }
        assertThat(all.path("weeks").get(0).path("first").stringValue()).isEqualTo("2026-08-31");
    }

    @Test
    void whatIsProposedComesWithTheCoursesOfItsTerm() throws Exception {
        JsonNode found = browser.post(
                        "/api/terms/" + term + "/proposals?view=courses",
                        "{\"kind\":\"move\",\"course\":\"HYD 210\",\"seenIn\":\"A\",\"lessons\":[],\"items\":[\"set-5\"],"
                                + "\"to\":\"2026-10-23\",\"place\":\"last\",\"fixed\":true}")
                .body();
        JsonNode lane = named(found.path("courses").path("lanes"), "key", term + "/HYD 210/A");
        JsonNode item = named(named(lane.path("days"), "date", "2026-10-23").path("items"), "id", "set-5");
        assertThat(item.path("proposed").booleanValue()).isTrue();
    }

    @Test
    void whatIsOverIsNamedAndLaidOutWhereItIsAskedFor() throws Exception {
        browser.open(browser.plan(term).replace("2026-", "2024-").replace("2027-", "2025-"));
        JsonNode all = browser.get("/api/courses").body();
        assertThat(all.path("terms")).hasSize(1);
        assertThat(all.path("courses").findValuesAsString("finished")).contains("true", "false");
        String key = StreamSupport.stream(all.path("courses").spliterator(), false)
                .filter(c -> c.path("finished").booleanValue())
                .findFirst()
                .orElseThrow()
                .path("key")
                .stringValue();
        browser.ask(
                HttpMethod.PUT,
                "/api/me/preferences",
                ("{\"twelveHours\":false,\"weekStart\":\"SU\",\"display\":{\"theme\":\"system\",\"density\":\"wide\","
                                + "\"landing\":\"terms\",\"hiddenKinds\":[],\"hiddenCourses\":[],\"shownCourses\":[\""
                                + key
                                + "\"],\"mutedReminders\":[]}}")
                        .getBytes(StandardCharsets.UTF_8),
                "application/json");
        JsonNode both = browser.get("/api/courses").body();
        assertThat(both.path("terms")).hasSize(2);
        assertThat(both.path("columns").get(0).intValue()).isEqualTo(7);
    }

    @Test
    void nobodyElseSeesThem() throws Exception {
        Browser other = Browser.of(mvc, accounts);
        assertThat(other.get("/api/courses").body().path("courses").isEmpty()).isTrue();
        assertThat(other.get("/api/terms/" + term + "/courses").status()).isEqualTo(404);
    }
}
