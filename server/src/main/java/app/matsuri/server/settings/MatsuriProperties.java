package app.matsuri.server.settings;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How this server is run.
 *
 * @param demo folder with the demo's plan files; null for real use
 * @param today the day that counts as today; null for the real one
 */
@ConfigurationProperties("matsuri")
public record MatsuriProperties(
        @Nullable String demo, @Nullable LocalDate today) {}
