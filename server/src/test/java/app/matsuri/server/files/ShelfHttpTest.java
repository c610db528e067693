package app.matsuri.server.files;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

/** Files that belong to no course, and those that units and notices have. */
class ShelfHttpTest extends DemoTest {

    private JsonNode put(String name, String text) throws Exception {
        Browser.Answer made = browser.ask(
                HttpMethod.POST,
                "/api/shelf?name=" + name,
                text.getBytes(StandardCharsets.UTF_8),
                "application/octet-stream");
        assertThat(made.status()).isEqualTo(201);
        return made.body();
    }

    private JsonNode shelf() throws Exception {
        return browser.get("/api/shelf").body();
    }

    @Test
    void aFileIsPutThereReplacedTakenOffAndNobodyElsesBusiness() throws Exception {
        long first = put("map.txt", "north is up").path("id").longValue();
        put("key.txt", "answers");
        long again = put("map.txt", "north is right").path("id").longValue();
        assertThat(again).isNotEqualTo(first);
        assertThat(shelf().path("files").findValuesAsString("name")).containsExactly("key.txt", "map.txt");
        assertThat(browser.get("/api/shelf/" + again).response().getContentAsString())
                .isEqualTo("north is right");
        assertThat(browser.get("/api/shelf/" + first).status()).isEqualTo(404);
        Browser other = Browser.of(mvc, accounts);
        assertThat(other.get("/api/shelf").body().path("files").isEmpty()).isTrue();
        assertThat(other.get("/api/shelf/" + again).status()).isEqualTo(404);
        assertThat(other.ask(HttpMethod.DELETE, "/api/shelf/" + again, null, "application/json")
                        .status())
                .isEqualTo(404);
        assertThat(browser.ask(HttpMethod.DELETE, "/api/shelf/" + again, null, "application/json")
                        .status())
                .isEqualTo(204);
        assertThat(shelf().path("files").findValuesAsString("name")).containsExactly("key.txt");
        assertThat(browser.ask(
                                HttpMethod.POST,
                                "/api/shelf?name=%20",
                                "x".getBytes(StandardCharsets.UTF_8),
                                "application/octet-stream")
                        .type())
                .isEqualTo("/problems/no-name");
    }

    @Test
    void aUnitAndANoticeTakeOneAndKeepItWhereItIsHeldBackIsSaid() throws Exception {
        long id = put("atlas.txt", "all rivers").path("id").longValue();
        String file = browser.ask(HttpMethod.POST, at + "/shelf/" + id, null, "application/json")
                .body()
                .path("file")
                .stringValue();
        long version = browser.get(at + "/wall").body().path("version").longValue();
        String use = "{\"file\":\"" + file + "\",\"name\":\"atlas.txt\"";
        assertThat(browser.change(
                                term,
                                version,
                                "{\"kind\":\"put-unit\",\"course\":\"HYD 210\",\"unit\":{\"id\":\"CH\",\"code\":\"CH\",\"title\":\"Channels\",\"lessons\":[],\"items\":[],"
                                        + "\"links\":[{\"url\":\"https://atlas.example/\"}],\"files\":[" + use
                                        + ",\"with\":\"CH2\"}]}}")
                        .status())
                .isEqualTo(200);
        assertThat(browser.change(
                                term,
                                version + 1,
                                "{\"kind\":\"put-notice\",\"course\":\"HYD 210\",\"notice\":{\"id\":\"bus\",\"title\":\"Bus\",\"allDay\":true,"
                                        + "\"begins\":{\"at\":\"2026-10-20T00:00\"},\"files\":[" + use
                                        + ",\"publish\":false}]}}")
                        .status())
                .isEqualTo(200);
        browser.ask(HttpMethod.DELETE, "/api/shelf/" + id, null, "application/json");
        JsonNode used = shelf().path("used");
        assertThat(used.findValuesAsString("what")).contains("unit", "notice");
        JsonNode unit = null;
        JsonNode notice = null;
        for (JsonNode one : used) {
            unit = one.path("what").stringValue().equals("unit") ? one : unit;
            notice = one.path("what").stringValue().equals("notice") ? one : notice;
        }
        assertThat(unit.path("with").stringValue()).isEqualTo("CH2");
        assertThat(notice.path("publish").booleanValue()).isFalse();
        assertThat(browser.get(at + "/files/" + file).response().getContentAsString())
                .isEqualTo("all rivers");
        // stored, written and read back it is the same
        String plan = browser.plan(term);
        assertThat(plan).contains("https://atlas.example/").contains("\"atlas.txt\"");
        long copy = browser.open(plan);
        assertThat(browser.plan(copy)).isEqualTo(plan);
    }
}
