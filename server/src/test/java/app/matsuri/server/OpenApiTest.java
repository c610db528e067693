package app.matsuri.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.account.SignedIn;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** The OpenAPI document that is kept is the one that the server gives; what differs is written beside it. */
@ServerTest
class OpenApiTest {

    @Autowired
    MockMvc mvc;

    @Test
    void theKeptDocumentIsTheServers() throws Exception {
        String given = mvc.perform(get("/v3/api-docs").with(user(new SignedIn(1, 1, "x", "X", "x"))))
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        String pretty = Json.pretty(Json.read(given));
        Path kept = Path.of("openapi.json");
        if (!Files.exists(kept) || !Files.readString(kept).equals(pretty)) {
            Files.writeString(Path.of("target", "openapi.json"), pretty);
        }
        assertThat(Files.readString(kept))
                .as("copy target/openapi.json here, then run npm run types in web/")
                .isEqualTo(pretty);
        assertThat(given).doesNotContain("\"*/*\"");
    }

    /** What a course, a section, an item may hold is said of them as the plan file's schema says it: no word is taken for something else. */
    @Test
    void thePlanInTheDocumentIsThePlanFiles() throws Exception {
        JsonNode schemas = Json.read(Files.readString(Path.of("openapi.json")))
                .path("components")
                .path("schemas");
        JsonNode definitions = Json.read(Json.pretty(Json.MAPPER.valueToTree(PlanFile.definitions())));
        int words = 0;
        for (Map.Entry<String, JsonNode> definition : definitions.properties()) {
            String name = definition.getKey().equals("plan")
                    ? "Plan"
                    : "Plan" + Character.toUpperCase(definition.getKey().charAt(0))
                            + definition.getKey().substring(1);
            JsonNode given = schemas.path(name).path("properties");
            for (Map.Entry<String, JsonNode> property :
                    definition.getValue().path("properties").properties()) {
                JsonNode said = given.path(property.getKey());
                assertThat(said.isMissingNode())
                        .as("%s.%s", name, property.getKey())
                        .isFalse();
                JsonNode only = property.getValue().path("enum");
                if (!only.isMissingNode()) {
                    assertThat(said.path("enum"))
                            .as("%s.%s", name, property.getKey())
                            .isEqualTo(only);
                    words++;
                }
            }
        }
        assertThat(words).isGreaterThan(10);
    }
}
