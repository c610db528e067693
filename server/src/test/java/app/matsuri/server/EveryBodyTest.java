package app.matsuri.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

/**
 * Every operation of the OpenAPI document that takes a body, with each of its fields missing, null, of other kinds and absurd:
 * always an answer that a person can act on, never 500, never the name of a Java class.
 */
class EveryBodyTest extends DemoTest {

    private static final List<Object> ABSURD = List.of(
            "",
            " ",
            "\u0000",
            "2026-02-30",
            "9".repeat(400),
            -1,
            2_000_000_000,
            1.5e300,
            true,
            List.of(),
            List.of(List.of(1)),
            Map.of(),
            Map.of("kind", Map.of("kind", "kind")));

    @Test
    void noFieldOfNoBodyEndsInAnError() throws Exception {
        List<String> wrong = new ArrayList<>();
        int asked = 0;
        for (Map.Entry<String, JsonNode> path : Bodies.operations().properties()) {
            for (Map.Entry<String, JsonNode> operation : path.getValue().properties()) {
                JsonNode schema = operation
                        .getValue()
                        .path("requestBody")
                        .path("content")
                        .path("application/json")
                        .path("schema");
                if (schema.isMissingNode()) {
                    continue;
                }
                HttpMethod method = HttpMethod.valueOf(operation.getKey().toUpperCase());
                String address = path.getKey()
                        .replace("{termId}", Long.toString(term))
                        .replaceAll("\\{seq\\}", "1")
                        .replaceAll("\\{\\w+\\}", "x");
                for (Object body : bodies(schema)) {
                    asked++;
                    Browser.Answer answer = browser.ask(
                            method,
                            address,
                            Json.MAPPER.writeValueAsString(body).getBytes(StandardCharsets.UTF_8),
                            "application/json");
                    String said = answer.body().toString();
                    if (answer.status() >= 500 || said.contains("app.matsuri") || said.contains("java.")) {
                        wrong.add(method + " " + path.getKey() + " " + answer.status() + " for "
                                + Json.MAPPER.writeValueAsString(body));
                    }
                }
            }
        }
        assertThat(wrong).as("of %s", asked).isEmpty();
        assertThat(asked).isGreaterThan(1_000);
    }

    /** What is missing is named with its place. */
    @Test
    void aMissingFieldIsNamed() throws Exception {
        Browser.Answer answer = browser.post(at + "/outline/line", "{\"course\":\"HYD 210\",\"text\":null}");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.body().path("faults").toString()).contains("/level").contains("/text");
        Browser.Answer kind = browser.post(at + "/undo", "{\"version\":\"soon\"}");
        assertThat(kind.status()).isEqualTo(400);
        assertThat(kind.body().path("faults").get(0).path("pointer").stringValue())
                .isEqualTo("/version");
        assertThat(kind.body().path("detail").stringValue()).isEqualTo("“version” is not a number.");
    }

    /** What is not there is answered alike wherever it is named. */
    @Test
    void whatIsNotThereIsNotFoundEverywhere() throws Exception {
        for (Browser.Answer answer : List.of(
                browser.get(at + "/wall?course=HYD%20210&section=ZZ"),
                browser.get(at + "/look-back?course=HYD%20210&section=ZZ"),
                browser.post(
                        at + "/proposals", "{\"kind\":\"remove-section\",\"course\":\"HYD 210\",\"section\":\"ZZ\"}"),
                browser.post(
                        at + "/outline/day",
                        "{\"course\":\"HYD 210\",\"section\":\"ZZ\",\"date\":\"2026-10-09\",\"text\":\"Quiz\"}"))) {
            assertThat(answer.status()).as(answer.body().toString()).isEqualTo(404);
            assertThat(answer.type()).isEqualTo("/problems/no-such-section");
            assertThat(answer.body().path("detail").stringValue()).isEqualTo("There is no section “ZZ” in HYD 210.");
        }
        assertThat(browser.get("/api/terms/999999/wall").type()).isEqualTo("/problems/no-such-term");
    }

    /** A usual body, then it with one field at a time changed, and what is no object at all. */
    private List<Object> bodies(JsonNode schema) {
        List<Object> bodies = new ArrayList<>(List.of(List.of(), "soon", 7, Map.of()));
        if (!(Bodies.usual(schema) instanceof Map<?, ?> whole)) {
            return bodies;
        }
        bodies.add(whole);
        for (Object field : whole.keySet()) {
            Map<Object, Object> without = new LinkedHashMap<>(whole);
            without.remove(field);
            bodies.add(without);
            Map<Object, Object> none = new LinkedHashMap<>(whole);
            none.put(field, null);
            bodies.add(none);
            for (Object absurd : ABSURD) {
                Map<Object, Object> other = new LinkedHashMap<>(whole);
                other.put(field, absurd);
                bodies.add(other);
            }
        }
        return bodies;
    }
}
