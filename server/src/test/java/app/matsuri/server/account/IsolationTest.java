package app.matsuri.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Bodies;
import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Two accounts cannot see each other's terms, asked of every endpoint that the OpenAPI document names. */
@ServerTest
class IsolationTest {

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    private record Endpoint(HttpMethod method, String path) {}

    private static List<Endpoint> endpoints() throws Exception {
        JsonNode document = Json.read(Files.readString(Path.of("openapi.json")));
        List<Endpoint> all = new ArrayList<>();
        document.path("paths")
                .properties()
                .forEach(path -> path.getValue()
                        .propertyNames()
                        .forEach(method ->
                                all.add(new Endpoint(HttpMethod.valueOf(method.toUpperCase()), path.getKey()))));
        return all;
    }

    @Test
    void noEndpointOfATermAnswersAnotherWorkspace() throws Exception {
        Browser owner = Browser.of(mvc, accounts);
        Browser other = Browser.of(mvc, accounts);
        long term = owner.open(Browser.demo());
        String before = owner.plan(term);
        int asked = 0;
        for (Endpoint endpoint : endpoints()) {
            if (!endpoint.path().contains("{termId}")) {
                continue;
            }
            String path = endpoint.path()
                            .replace("{termId}", "" + term)
                            .replace("{seq}", "1")
                            .replace("{id}", "1")
                            .replace("{colleagueId}", "1")
                            .replace("{linkId}", "1")
                            .replace("{uid}", "abc")
                            .replace("{file}", "abc")
                    + "?text=today&name=x&course=HYD%20210&section=A&ids=1&past=1&student=x";
            String type = endpoint.path().endsWith("}/files") ? "application/octet-stream" : "application/json";
            byte[] content = endpoint.method() == HttpMethod.GET
                    ? null
                    : Bodies.of(endpoint.method(), endpoint.path()).getBytes();
            Browser.Answer answer = other.ask(endpoint.method(), path, content, type);
            assertThat(answer.status()).as("%s", endpoint).isEqualTo(404);
            assertThat(answer.type()).as("%s", endpoint).isEqualTo("/problems/no-such-term");
            asked++;
        }
        assertThat(asked).isGreaterThanOrEqualTo(12);
        assertThat(owner.plan(term)).isEqualTo(before);
        assertThat(other.get("/api/terms").body().size()).isZero();
    }

    @Test
    void nothingButTheWayInAnswersWithoutASignIn() throws Exception {
        List<String> open = List.of("/api/welcome", "/api/accounts");
        for (Endpoint endpoint : endpoints()) {
            if (open.contains(endpoint.path())
                    || endpoint.path().startsWith("/api/invitations/")
                    || endpoint.path().startsWith("/api/password-resets")) {
                continue;
            }
            String path = endpoint.path().replaceAll("\\{\\w+}", "1");
            int status = mvc.perform(
                            request(endpoint.method(), URI.create(path)).with(csrf()))
                    .andReturn()
                    .getResponse()
                    .getStatus();
            assertThat(status).as("%s", endpoint).isEqualTo(401);
        }
    }
}
