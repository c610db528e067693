package app.matsuri.server;

import java.time.Clock;
import java.time.ZoneId;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;

/** The server: HTTP, accounts, storage and history around the rules. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class MatsuriApplication {

    public static void main(String[] arguments) {
        SpringApplication.run(MatsuriApplication.class, arguments);
    }

    /** The one clock; pinned to a day where one is set. */
    @Bean
    Clock clock(MatsuriProperties properties) {
        return properties.today() == null
                ? Clock.systemUTC()
                : Clock.fixed(
                        properties.today().atTime(12, 0).atZone(ZoneId.of("UTC")).toInstant(), ZoneId.of("UTC"));
    }
}
