package app.matsuri.server;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import org.springframework.stereotype.Component;

/** Which day it is, on the clock of a zone; the same everywhere where a day is pinned. */
@Component
public class Today {

    private final Clock clock;
    private final MatsuriProperties properties;

    Today(Clock clock, MatsuriProperties properties) {
        this.clock = clock;
        this.properties = properties;
    }

    public LocalDate in(ZoneId zone) {
        return properties.today() == null ? LocalDate.now(clock.withZone(zone)) : properties.today();
    }
}
