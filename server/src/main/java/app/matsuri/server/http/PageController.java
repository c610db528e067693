package app.matsuri.server.http;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.Base64;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** Serves the one page of the front end at every address that is not a file or an API, each time with a new nonce. */
@Hidden
@Controller
class PageController {

    private static final SecureRandom RANDOM = new SecureRandom();

    private final String page;

    PageController() throws IOException {
        ClassPathResource index = new ClassPathResource("static/index.html");
        page = index.exists()
                ? index.getContentAsString(StandardCharsets.UTF_8)
                : "<!doctype html><title>Matsuri</title><p>The front end is not built. Run ./matsuri build.";
    }

    @GetMapping(
            path = {
                "/",
                "/index.html",
                "/terms/**",
                "/invitation/*",
                "/{page:(?!api$|actuator$|assets$|see$|preview$)[^.]+}"
            },
            produces = MediaType.TEXT_HTML_VALUE)
    @ResponseBody
    String page(HttpServletResponse response) {
        byte[] bytes = new byte[16];
        RANDOM.nextBytes(bytes);
        String nonce = Base64.getEncoder().encodeToString(bytes);
        response.setHeader(
                "Content-Security-Policy",
                "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-" + nonce
                        + "'; style-src-attr 'unsafe-inline'; img-src 'self' data:; font-src 'self'; connect-src"
                        + " 'self'; manifest-src 'self'; frame-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'");
        response.setHeader("Cache-Control", "no-store");
        return page.replace("__NONCE__", nonce);
    }
}
