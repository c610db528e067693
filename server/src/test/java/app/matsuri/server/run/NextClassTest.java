package app.matsuri.server.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.runlist.RunClass;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.Preferences;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.run.OwnClasses.Own;
import app.matsuri.server.storage.Stored;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;

/** One's own reminder before the next class. */
class NextClassTest {

    private static final LocalDateTime TEN = LocalDateTime.parse("2026-10-07T10:00");
    private static final SignedIn BY = new SignedIn(1, 1, "t", "I. Tolvanen", "");

    private final OwnClasses own = mock(OwnClasses.class);
    private final Accounts accounts = mock(Accounts.class);
    private final NextClassController controller = new NextClassController(own, accounts);

    private String at(LocalDateTime now, Integer minutes) {
        RunClass of = new RunClass(
                new SectionRef("HYD 210", "A"),
                "Reading Rivers",
                TEN,
                TEN.plusMinutes(50),
                "Weir House 2",
                "",
                24,
                List.of(),
                List.of(),
                List.of(),
                List.of());
        Stored stored = mock(Stored.class);
        when(own.today(any())).thenReturn(List.of(new Own(stored, mock(SectionSchedule.class), of, now)));
        when(accounts.preferences(BY)).thenReturn(new Preferences(false, "MO", "", minutes, null));
        return controller.next(BY).sentence();
    }

    @Test
    void itIsSaidFromSoManyMinutesBeforeUntilTheClassBegins() {
        assertThat(at(TEN.minusMinutes(11), 10)).isEmpty();
        assertThat(at(TEN.minusMinutes(10), 10)).isEqualTo("HYD 210 A in 10 minutes, Weir House 2");
        assertThat(at(TEN.minusMinutes(1), 10)).isEqualTo("HYD 210 A in 1 minute, Weir House 2");
        assertThat(at(TEN, 10)).isEqualTo("HYD 210 A now, Weir House 2");
        assertThat(at(TEN.plusMinutes(1), 10)).isEmpty();
        assertThat(at(TEN.minusMinutes(1), null)).as("who asked for none").isEmpty();
    }
}
