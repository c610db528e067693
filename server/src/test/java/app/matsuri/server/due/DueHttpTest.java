package app.matsuri.server.due;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

/** What is due over all courses of a person. */
class DueHttpTest extends DemoTest {

    private JsonNode lines() throws Exception {
        return browser.get("/api/due").body().path("lines");
    }

    private static JsonNode line(JsonNode lines, String id, String when) {
        return StreamSupport.stream(lines.spliterator(), false)
                .filter(l -> l.path("id").stringValue().equals(id)
                        && l.path("when").stringValue().equals(when))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void allCoursesOfAllTermsStandInOrderOfTime() throws Exception {
        JsonNode lines = lines();
        assertThat(lines.toString()).contains("HYD 210", "HYD 210L", "MAP 115", "SOL 101");
        JsonNode log = line(lines, "read-11", "today");
        assertThat(log.path("sections").toString()).contains("A");
        assertThat(line(lines, "report", "later").path("due").stringValue()).startsWith("2026-1");
        String last = "";
        for (JsonNode one : lines) {
            assertThat(one.path("due").stringValue()).isGreaterThanOrEqualTo(last);
            last = one.path("due").stringValue();
        }
    }

    @Test
    void whatWasPutAwayIsNotInItAndNobodyElsesIs() throws Exception {
        assertThat(Browser.of(mvc, accounts)
                        .get("/api/due")
                        .body()
                        .path("lines")
                        .isEmpty())
                .isTrue();
        browser.ask(
                HttpMethod.PUT,
                "/api/terms/" + term + "/archived",
                "{\"archived\":true}".getBytes(),
                "application/json");
        assertThat(lines().isEmpty()).isTrue();
    }
}
