package app.matsuri.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.account.SignedIn;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

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
}
