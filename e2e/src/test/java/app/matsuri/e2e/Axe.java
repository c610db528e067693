package app.matsuri.e2e;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;

/** axe-core in a page: it is read in once for each document, and answers only with what is wrong. */
final class Axe {

    private static final String SOURCE = source();

    private static final String RUN = """
            const [context, options, done] = arguments;
            axe.run(context, options).then(
              (found) => done(found.violations.flatMap((v) =>
                v.nodes.map((n) => v.id + ' ' + n.html + ' ' + n.any.map((a) => a.message).join('; ')))),
              (e) => done(['axe did not run: ' + e]));
            """;

    private Axe() {}

    private static String source() {
        try (InputStream in = Axe.class.getResourceAsStream("/axe.min.js")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * What is wrong, a line for each place.
     *
     * @param context what is looked at, as axe takes it
     * @param rules "tag" or "rule", and which
     */
    static List<?> violations(Page page, Map<String, ?> context, Map.Entry<String, List<String>> rules) {
        if (!Boolean.TRUE.equals(page.js("return 'axe' in window"))) {
            page.js(SOURCE);
        }
        page.driver.manage().timeouts().scriptTimeout(Duration.ofMinutes(2));
        Map<String, ?> options = Map.of(
                "resultTypes",
                List.of("violations"),
                "preload",
                false,
                "runOnly",
                Map.of("type", rules.getKey(), "values", rules.getValue()));
        return (List<?>) page.driver.executeAsyncScript(RUN, context, options);
    }
}
