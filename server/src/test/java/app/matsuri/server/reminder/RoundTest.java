package app.matsuri.server.reminder;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.server.Browser;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.mail.Letters;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.boot.webmvc.test.autoconfigure.MockMvcPrint;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.test.web.servlet.MockMvc;

/** Rounds by a clock that runs, which the test sets: nothing before its moment, nothing from a time in which nobody was reminded. */
@Tag("database")
@SpringBootTest(properties = "matsuri.test.name=rounds")
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
class RoundTest {

    private static final ZoneId CHICAGO = ZoneId.of("America/Chicago");

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    @Autowired
    ReminderRounds rounds;

    @Autowired
    Letters letters;

    private static final AtomicReference<Instant> NOW = new AtomicReference<>();

    static {
        at("2026-10-07T12:00");
    }

    /** A clock that stands where it is set. */
    @TestConfiguration
    static class Standing {

        @Bean
        @Primary
        Clock standing() {
            Clock clock = Mockito.mock(Clock.class);
            Mockito.when(clock.instant()).thenAnswer(call -> NOW.get());
            Mockito.when(clock.getZone()).thenReturn(ZoneOffset.UTC);
            Mockito.when(clock.withZone(Mockito.any()))
                    .thenAnswer(call -> Clock.fixed(NOW.get(), call.<ZoneId>getArgument(0)));
            return clock;
        }
    }

    private Browser browser;
    private long term;
    private long version;

    private static void at(String local) {
        NOW.set(LocalDateTime.parse(local).atZone(CHICAGO).toInstant());
    }

    private void remind(String reminders) throws Exception {
        version = browser.change(
                        term,
                        version,
                        "{\"kind\":\"put-reminders\",\"course\":\"HYD 210\",\"reminders\":[" + reminders + "]}")
                .body()
                .path("version")
                .asLong();
    }

    private int sent() {
        return letters.of(browser.person().workspaceId()).size();
    }

    @BeforeEach
    void openTheDemo() throws Exception {
        at("2026-10-07T12:00");
        browser = Browser.of(mvc, accounts);
        term = browser.open(Browser.demo());
        version = 1;
    }

    @Test
    void whatIsDueGoesOutAtItsMomentAndNotBefore() throws Exception {
        remind("{\"id\":\"r\",\"lead\":{\"days\":1,\"at\":\"09:00\"}}");
        rounds.round();
        at("2026-10-08T08:59");
        rounds.round();
        assertThat(sent()).isZero();
        at("2026-10-08T09:00");
        rounds.round();
        int first = sent();
        assertThat(first).isPositive();
        rounds.round();
        assertThat(sent()).isEqualTo(first);
    }

    @Test
    void aTimeInWhichNobodyWasRemindedIsNotMadeUpFor() throws Exception {
        remind("{\"id\":\"r\",\"lead\":{\"days\":1,\"at\":\"09:00\"}}");
        rounds.round();
        remind("");
        at("2026-10-15T12:00");
        rounds.round();
        remind("{\"id\":\"r\",\"lead\":{\"days\":1,\"at\":\"09:00\"}}");
        rounds.round();
        assertThat(sent()).as("neither late nor missed").isZero();
    }

    /** Who booked is reminded before it by the course's rule, and of what was given back nobody is. */
    @Test
    void aBookingIsRemindedOf() throws Exception {
        version = browser.change(
                        term,
                        version,
                        "{\"kind\":\"put-office-hours\",\"hours\":{\"id\":\"oh\",\"title\":\"Open door\",\"windows\":"
                                + "[{\"rule\":\"FREQ=WEEKLY;BYDAY=FR\",\"start\":\"13:00\",\"minutes\":60}],\"booking\":{\"minutes\":15}}}")
                .body()
                .path("version")
                .asLong();
        remind("{\"id\":\"r\",\"before\":\"booking\",\"lead\":{\"minutes\":60}}");
        for (String student : List.of("4101", "4102")) {
            browser.post(
                    "/api/terms/" + term + "/hours/bookings",
                    "{\"hours\":\"oh\",\"slot\":\"2026-10-09T13:" + (student.equals("4101") ? "00" : "15")
                            + "\",\"course\":\"HYD 210\",\"section\":\"A\",\"student\":\"" + student
                            + "\",\"people\":1}");
        }
        browser.post(
                "/api/terms/" + term + "/hours/bookings",
                "{\"hours\":\"oh\",\"slot\":\"2026-10-09T13:30\",\"name\":\"Guest\",\"mail\":\"guest@elsewhere.example\",\"people\":1}");
        String uid = browser.get("/api/terms/" + term + "/hours")
                .body()
                .path("bookings")
                .get(1)
                .path("uid")
                .stringValue();
        browser.post("/api/terms/" + term + "/hours/bookings/" + uid + "/back", "{\"why\":\"\"}");
        rounds.round();
        int before = sent();
        at("2026-10-09T12:30");
        rounds.round();
        assertThat(sent()).isEqualTo(before + 2);
        assertThat(letters.of(browser.person().workspaceId()).stream().limit(2))
                .extracting(letter -> letter.subject)
                .containsExactlyInAnyOrder(
                        "HYD 210: Open door: Fri 9 Oct, 13:00", "HYD 210: Open door: Fri 9 Oct, 13:30");
        assertThat(letters.of(browser.person().workspaceId()).stream().limit(2))
                .as("also who is on no roster")
                .extracting(letter -> letter.recipient)
                .contains("guest@elsewhere.example");
    }
}
