package app.matsuri.server.clock;

import app.matsuri.core.calendar.Term;
import app.matsuri.exchange.words.CellWords;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.server.settings.MatsuriProperties;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
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

    /** The moment on the clock of a zone, to the minute, on the pinned day where one is. */
    public LocalDateTime now(ZoneId zone) {
        return in(zone).atTime(LocalTime.now(clock.withZone(zone)).truncatedTo(ChronoUnit.MINUTES));
    }

    /** Reads days within a term as somebody of the locale writes them. */
    public DayWords words(Term term, Locale locale) {
        return new DayWords(in(term.zone()), term.first(), term.last(), CellWords.dayFirst(locale));
    }

    public LocalDate in(ZoneId zone) {
        return properties.today() == null ? LocalDate.now(clock.withZone(zone)) : properties.today();
    }
}
