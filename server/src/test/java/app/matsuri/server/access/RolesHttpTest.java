package app.matsuri.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

/** Who was invited to look, or to take classes for some days, at every operation that reads a term and at those that change it. */
class RolesHttpTest extends DemoTest {

    private static final String FLOOD =
            "{\"kind\":\"add-closure\",\"closure\":{\"first\":\"2026-10-09\",\"last\":\"2026-10-09\",\"reason\":\"Flood\"}}";

    /** What only who owns the term is asked about. */
    private static final List<String> OWNERS =
            List.of("/colleagues", "/looks", "/goes", "/links/students.csv?course=HYD%20210&section=A");

    private Browser reader;
    private Browser substitute;
    private Browser stranger;

    @BeforeEach
    void invite() throws Exception {
        stranger = Browser.of(mvc, accounts);
        reader = invited("{\"role\":\"reader\",\"name\":\"Wren Oakes\",\"mail\":\"w@quillmarsh.example\"}");
        substitute = invited("{\"role\":\"substitute\",\"name\":\"Tove Lindqvist\",\"mail\":\"t@quillmarsh.example\","
                + "\"course\":\"HYD 210\",\"section\":\"A\",\"first\":\"2026-10-07\",\"last\":\"2026-10-16\"}");
    }

    private Browser invited(String form) throws Exception {
        Browser.Answer answer = browser.post(at + "/colleagues", form);
        assertThat(answer.status()).as(answer.body().toString()).isBetween(200, 201);
        String mail = browser.get("/api/outbox").body().get(0).path("body").stringValue();
        Matcher token = Pattern.compile("/invitation/(\\S+)").matcher(mail);
        assertThat(token.find()).isTrue();
        Browser person = Browser.of(mvc, accounts);
        assertThat(person.post("/api/invitations/" + token.group(1) + "/take", "{}")
                        .status())
                .isEqualTo(204);
        return person;
    }

    /** The paths of the contract that read something of a term and need nothing but the term, or the class that is looked at. */
    private List<String> reads() throws Exception {
        List<String> paths = new ArrayList<>();
        Json.read(Files.readString(Path.of("openapi.json")))
                .path("paths")
                .properties()
                .forEach(entry -> {
                    JsonNode get = entry.getValue().path("get");
                    if (!entry.getKey().startsWith("/api/terms/{termId}/") || get.isMissingNode()) {
                        return;
                    }
                    boolean needsMore = false;
                    boolean ofClass = false;
                    for (JsonNode parameter : get.path("parameters")) {
                        String name = parameter.path("name").stringValue();
                        ofClass |= name.equals("course") || name.equals("section");
                        needsMore |= parameter.path("required").booleanValue(false)
                                && !List.of("termId", "course", "section").contains(name);
                    }
                    if (!needsMore) {
                        paths.add(entry.getKey().replace("{termId}", "" + term)
                                + (ofClass ? "?course=HYD%20210&section=A" : ""));
                    }
                });
        assertThat(paths).hasSizeGreaterThan(20);
        return paths;
    }

    @Test
    void aReaderReadsAndAStrangerFindsNothing() throws Exception {
        for (String path : reads()) {
            int own = browser.get(path).status();
            if (own != 200 || OWNERS.stream().anyMatch(path::endsWith)) {
                continue;
            }
            assertThat(stranger.get(path).status()).as("a stranger at %s", path).isEqualTo(404);
            assertThat(reader.get(path).status()).as("a reader at %s", path).isEqualTo(200);
        }
        assertThat(reader.get(at + "/wall?course=HYD%20210&section=A").status()).isEqualTo(200);
        assertThat(reader.get(at + "/dates").status()).isEqualTo(200);
    }

    @Test
    void aSubstituteSeesTheSheetOfThoseDaysAndNothingElse() throws Exception {
        for (String path : reads()) {
            if (path.endsWith("/sheet")) {
                continue;
            }
            assertThat(substitute.get(path).status())
                    .as("a substitute at %s", path)
                    .isEqualTo(404);
        }
        JsonNode sheet = substitute.get(at + "/sheet").body();
        assertThat(sheet.path("course").stringValue()).isEqualTo("HYD 210");
        assertThat(sheet.path("classes").size()).isPositive();
        sheet.path("classes")
                .forEach(c -> assertThat(c.path("start").stringValue()).isBetween("2026-10-07", "2026-10-17"));
    }

    @Test
    void nobodyButWhoMayChangesAnything() throws Exception {
        String before = browser.plan(term);
        for (Browser by : List.of(reader, substitute, stranger)) {
            int refused = by == reader ? 403 : 404;
            assertThat(by.change(term, 1, FLOOD).status()).isEqualTo(refused);
            assertThat(by.post(at + "/undo", "{\"version\":1}").status()).isEqualTo(refused);
            assertThat(by.post(at + "/redo", "{\"version\":1}").status()).isEqualTo(refused);
            assertThat(by.post(at + "/what-ifs", "{\"name\":\"Mine\",\"change\":" + FLOOD + "}")
                            .status())
                    .isEqualTo(refused);
            assertThat(by.ask(HttpMethod.PUT, at + "/history/1/name", "{\"name\":\"x\"}".getBytes(), "application/json")
                            .status())
                    .isEqualTo(refused);
            assertThat(by.ask(HttpMethod.DELETE, at, null, null).status()).isIn(403, 404);
        }
        assertThat(browser.plan(term)).isEqualTo(before);
        assertThat(browser.get("/api/terms").body().toString()).contains("\"id\":" + term);
    }

    /** Whose rights are taken back has the term no longer, from the next request on. */
    @Test
    void aRightThatIsTakenBackIsGone() throws Exception {
        JsonNode colleagues = browser.get(at + "/colleagues").body();
        assertThat(colleagues.size()).isEqualTo(2);
        for (JsonNode colleague : colleagues) {
            browser.ask(
                    HttpMethod.DELETE,
                    at + "/colleagues/" + colleague.path("id").asLong(),
                    null,
                    null);
        }
        assertThat(reader.get(at + "/dates").status()).isEqualTo(404);
        assertThat(substitute.get(at + "/sheet").status()).isEqualTo(404);
        assertThat(reader.get("/api/terms").body().toString()).doesNotContain("\"id\":" + term);
    }

    /** Every GET of the contract that a reader may ask for has nothing private in it. */
    @Test
    void whoMayLookSeesNoAddressNoReasonAndNothingForOneself() throws Exception {
        JsonNode plan = Json.read(browser.plan(term));
        assertThat(browser.change(
                                term,
                                1,
                                "{\"kind\":\"put-roster\",\"course\":\"HYD 210\",\"section\":\"B\",\"students\":[{\"id\":\"secret.person@quillmarsh.example\",\"name\":\"Wren Oakes\",\"mail\":\"secret.person@quillmarsh.example\"}]}")
                        .status())
                .isEqualTo(200);
        change(
                "{'kind':'put-adjustment','course':'HYD 210','section':'B','adjustment':{'item':'report','student':'secret.person@quillmarsh.example','due':{'at':'2026-12-14T17:00'},'why':'secret illness'}}");
        change(
                "{'kind':'put-notice','course':'HYD 210','notice':{'id':'own','title':'Secret errand','on':'2026-10-09','reach':'own','begins':{'at':'2026-10-09T12:00'}}}");
        change(
                "{'kind':'put-day-note','course':'HYD 210','note':{'date':'2026-10-09','text':'secret words','own':true}}");
        assertThat(plan.path("courses").size()).isPositive();
        assertThat(browser.plan(term)).contains("secret.person@", "secret illness", "Secret errand", "secret words");
        List<String> seen = new ArrayList<>();
        for (String path : reads()) {
            Browser.Answer answer = reader.get(path);
            String said = answer.response().getContentAsString(StandardCharsets.UTF_8);
            int found = said.toLowerCase(Locale.ROOT).indexOf("secret");
            if (found >= 0) {
                seen.add(path + " " + said.substring(Math.max(0, found - 80), Math.min(said.length(), found + 40)));
            }
        }
        assertThat(seen).isEmpty();
        assertThat(reader.plan(term)).contains("Wren Oakes").contains("student-1");
        // what is cached for the one is not what the other gets
        assertThat(browser.plan(term)).contains("secret.person@", "secret illness");
        change("{'kind':'add-closure','closure':{'first':'2026-10-09','last':'2026-10-09','reason':'Flood'}}");
        assertThat(browser.plan(term)).as("and is never written").contains("secret.person@", "secret illness");
    }

    private void change(String change) throws Exception {
        long version = browser.get(at + "/standing").body().path("version").asLong();
        String json = change.replace('\'', '"');
        reader.post(at + "/proposals", json);
        Browser.Answer made = browser.change(term, version, json);
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
    }
}
