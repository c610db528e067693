package app.matsuri.server.metrics;

import app.matsuri.server.disk.DataFolder;
import app.matsuri.server.settings.DatabaseAddress;
import app.matsuri.server.settings.MatsuriProperties;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;

/** {@code /actuator/prometheus}, for who has the token of the settings; without one for nobody. */
@Configuration
class MetricsConfiguration {

    private static final Logger LOG = LoggerFactory.getLogger(MetricsConfiguration.class);

    private static final String AT = "/actuator/prometheus";

    /** Asked instead of the usual one where metrics are asked for: no session, and a token. */
    @Bean
    @Order(1)
    SecurityFilterChain metrics(HttpSecurity http, @Value("${matsuri.metrics-token:}") String token) throws Exception {
        byte[] wanted = ("Bearer " + token).getBytes(StandardCharsets.UTF_8);
        return http.securityMatcher(AT)
                .authorizeHttpRequests(a -> a.anyRequest().access((who, asked) -> {
                    String given = asked.getRequest().getHeader("Authorization");
                    return new AuthorizationDecision(!token.isEmpty()
                            && given != null
                            && MessageDigest.isEqual(wanted, given.getBytes(StandardCharsets.UTF_8)));
                }))
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(AbstractHttpConfigurer::disable)
                .csrf(AbstractHttpConfigurer::disable)
                .build();
    }

    /** Letters that wait, and how large the database is; each is looked at when it is asked for. */
    @Bean
    MeterBinder ours(JdbcTemplate sql, MatsuriProperties settings, @Value("${spring.datasource.url}") String url) {
        Path file = Path.of(settings.data()).resolve(DataFolder.DATABASE);
        boolean elsewhere = DatabaseAddress.elsewhere(url);
        return registry -> {
            gauge(
                    registry,
                    "matsuri.mail.waiting",
                    "Letters that wait to go out",
                    () -> number(sql, "select count(*) from letter where state = 'WAITING'"));
            gauge(
                    registry,
                    "matsuri.database.bytes",
                    "Size of the database",
                    () -> elsewhere ? number(sql, "select pg_database_size(current_database())") : size(file));
        };
    }

    private static void gauge(
            MeterRegistry registry, String name, String what, java.util.function.Supplier<Number> of) {
        Gauge.builder(name, of).description(what).register(registry);
    }

    private static double number(JdbcTemplate sql, String question) {
        try {
            Long found = sql.queryForObject(question, Long.class);
            return found == null ? Double.NaN : found;
        } catch (DataAccessException e) {
            LOG.warn("not measured: {}", e.getMessage());
            return Double.NaN;
        }
    }

    private static double size(Path file) {
        try {
            return Files.exists(file) ? Files.size(file) : 0;
        } catch (IOException e) {
            LOG.warn("not measured: {}", e.getMessage());
            return Double.NaN;
        }
    }
}
