package app.matsuri.server.clock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.Browser;
import app.matsuri.server.http.ChangeGiven;
import app.matsuri.server.settings.MatsuriProperties;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What day it is for a term, and what a change knows of it; on clocks that are stand-ins. */
class MomentTest {

    private static final ZoneId HERE = ZoneId.of("America/Chicago");
    private static final Decisions DEMO = PlanFile.read(Browser.demo()).decisions();

    private static Today at(String utc, LocalDate pinned) {
        return new Today(
                Clock.fixed(Instant.parse(utc), ZoneOffset.UTC),
                new MatsuriProperties(null, pinned, "data", 7, null, 10, 20000));
    }

    private static Moment moment(String utc) {
        return new Moment(at(utc, null));
    }

    private static Change change(String json) {
        return ChangeJson.read(Json.read(json.replace('\'', '"'))).change();
    }

    /** The day turns at midnight of the zone, also where the clocks change (IANA tz database). */
    @ParameterizedTest
    @CsvSource({
        "2026-10-07T04:59:00Z, America/Chicago, 2026-10-06T23:59",
        "2026-10-07T05:00:00Z, America/Chicago, 2026-10-07T00:00",
        "2026-11-01T06:30:00Z, America/Chicago, 2026-11-01T01:30",
        "2026-11-01T07:30:00Z, America/Chicago, 2026-11-01T01:30",
        "2026-10-24T22:30:59Z, Europe/Berlin,   2026-10-25T00:30",
        "2026-10-07T10:00:00Z, Pacific/Kiritimati, 2026-10-08T00:00"
    })
    void itIsTheMomentOfTheZoneToTheMinute(String utc, String zone, LocalDateTime there) {
        Today today = at(utc, null);
        assertThat(today.now(ZoneId.of(zone))).isEqualTo(there);
        assertThat(today.in(ZoneId.of(zone))).isEqualTo(there.toLocalDate());
    }

    @Test
    void aPinnedDayIsThatDayEverywhereAtTheTimeOfTheClock() {
        Today today = at("2027-01-03T17:20:30Z", LocalDate.of(2026, 10, 7));
        assertThat(today.in(HERE)).isEqualTo("2026-10-07");
        assertThat(today.in(ZoneId.of("Asia/Tokyo"))).isEqualTo("2026-10-07");
        assertThat(today.now(HERE)).isEqualTo(LocalDateTime.of(2026, 10, 7, 11, 20));
    }

    @Test
    void daysAreReadAsTheLocaleWritesThemFromToday() {
        Today today = at("2026-10-07T15:00:00Z", null);
        assertThat(today.words(DEMO.term(), Locale.US).read("11/10")).hasValue(LocalDate.of(2026, 11, 10));
        assertThat(today.words(DEMO.term(), Locale.UK).read("11/10")).hasValue(LocalDate.of(2026, 10, 11));
        assertThat(today.words(DEMO.term(), Locale.UK).read("tomorrow")).hasValue(LocalDate.of(2026, 10, 8));
    }

    @Test
    void aTellingKnowsWhenItWas() {
        Change tell = moment("2026-10-07T15:00:00Z")
                .now(change("{'kind':'tell','course':'HYD 210','section':'A','why':'Flood'}"), DEMO);
        assertThat(ChangeJson.write(tell)).containsEntry("at", "2026-10-07T10:00");
    }

    @Test
    void aClassThatIsToComeHasNoRecordYet() {
        Moment moment = moment("2026-10-07T15:00:00Z");
        RecordTaught today = record("2026-10-07T10:00");
        RecordTaught tomorrow = record("2026-10-08T10:00");
        assertThat(moment.now(today, DEMO)).isEqualTo(today);
        assertThatThrownBy(() -> moment.now(tomorrow, DEMO))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Thu 8 Oct is still to come");
        Together both = new Together("Two records", List.of(today, tomorrow));
        assertThatThrownBy(() -> moment.now(both, DEMO)).isInstanceOf(Refused.class);
    }

    private static RecordTaught record(String session) {
        return new RecordTaught("HYD 210", "A", LocalDateTime.parse(session), List.of("CH1"), false, "");
    }

    /** What stands in the plan for classes that are over is recorded with a change that repairs, and with no other. */
    @Test
    void whatCountsAsHeldAsPlannedGoesWithARepairOnly() {
        Moment moment = moment("2026-10-20T15:00:00Z");
        Change shift =
                change("{'kind':'shift','course':'HYD 210','section':'A','lessons':['SE4'],'by':1,'in':'sessions'}");
        assertThat(moment.now(new ChangeGiven(shift, false), DEMO)).isEqualTo(shift);
        assertThat(moment.now(new ChangeGiven(shift, true), DEMO)).isInstanceOfSatisfying(Together.class, both -> {
            assertThat(both.changes()).last().isEqualTo(shift);
            assertThat(both.changes()).hasSizeGreaterThan(1);
        });
        Change off =
                change("{'kind':'add-closure','closure':{'first':'2026-11-09','last':'2026-11-09','reason':'Flood'}}");
        assertThat(moment.now(new ChangeGiven(off, true), DEMO)).isEqualTo(off);
    }

    /** A clock that cannot say the time stops the change; nothing is made at a wrong moment. */
    @Test
    void aClockThatFailsMakesNothing() {
        Clock broken = mock(Clock.class);
        when(broken.withZone(any())).thenReturn(broken);
        when(broken.instant()).thenThrow(new DateTimeException("the clock is set to no year that there is"));
        Moment moment = new Moment(new Today(broken, new MatsuriProperties(null, null, "data", 7, null, 10, 20000)));
        when(broken.getZone()).thenReturn(HERE);
        assertThatThrownBy(() -> moment.now(record("2026-10-07T10:00"), DEMO))
                .isInstanceOf(DateTimeException.class)
                .hasMessageContaining("no year");
    }
}
