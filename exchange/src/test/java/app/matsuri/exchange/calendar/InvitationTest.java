package app.matsuri.exchange.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Invitations against RFC 5546, as ical4j reads and validates them. */
class InvitationTest {

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void itIsValidAsITip(boolean cancelled) throws Exception {
        String text = new Invitation(
                        cancelled,
                        "b1@matsuri",
                        cancelled ? 1 : 0,
                        Instant.parse("2026-10-01T08:00:00Z"),
                        ZoneId.of("America/Chicago"),
                        LocalDateTime.of(2026, 10, 30, 14, 15),
                        LocalDateTime.of(2026, 10, 30, 14, 30),
                        "Office hours, I. Tolvanen\r\nATTENDEE:mailto:sneaky@x.example",
                        "About the log, and more; a very long line that goes on until it must be folded somewhere behind 75 octets",
                        "Weir House 14",
                        "http://localhost:8460/see/x/hours",
                        new Invitation.Who("I. Tolvanen", "tolvanen@quillmarsh.example"),
                        List.of(new Invitation.Who("Mika Sund", "msund@quillmarsh.example")))
                .text();
        Calendar calendar = new CalendarBuilder().build(new StringReader(text));
        assertThat(calendar.validate().hasErrors()).isFalse();
        assertThat(calendar.getProperty(Property.METHOD).orElseThrow().getValue())
                .isEqualTo(cancelled ? "CANCEL" : "REQUEST");
        Component event = calendar.getComponent(Component.VEVENT).orElseThrow();
        assertThat(event.getProperties(Property.ATTENDEE)).hasSize(1);
        assertThat(event.getProperty(Property.UID).orElseThrow().getValue()).isEqualTo("b1@matsuri");
        assertThat(event.getProperty(Property.SEQUENCE).orElseThrow().getValue())
                .isEqualTo(cancelled ? "1" : "0");
        assertThat(event.getProperty(Property.STATUS).orElseThrow().getValue())
                .isEqualTo(cancelled ? "CANCELLED" : "CONFIRMED");
        assertThat(text)
                .contains("DTSTART;TZID=America/Chicago:20261030T141500")
                .contains("BEGIN:VTIMEZONE");
    }
}
