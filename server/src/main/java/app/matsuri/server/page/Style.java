package app.matsuri.server.page;

import app.matsuri.exchange.plan.Json;
import java.io.IOException;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The stylesheet of pages of links, which is built with the front end and shares its colours and type. */
@Component
class Style {

    private final String address;

    Style() throws IOException {
        ClassPathResource manifest = new ClassPathResource("static/.vite/manifest.json");
        address = manifest.exists()
                ? "/"
                        + Json.read(manifest.getContentAsString(java.nio.charset.StandardCharsets.UTF_8))
                                .path("src/see/see.css")
                                .path("file")
                                .stringValue("")
                : "/see.css";
    }

    String address() {
        return address;
    }
}
