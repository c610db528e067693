package app.matsuri.server.feed;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.Reminder.Before;
import app.matsuri.core.plan.Reminder.Lead;
import app.matsuri.core.plan.Reminder.Whom;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Which;
import app.matsuri.core.shown.ShownThing;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;

/** Alarms of a feed's entries: as the address says, else as the course does; counted from the entry's end, as they are written. */
class AlarmsTest {

    private static final LocalDateTime DUE = LocalDateTime.parse("2026-10-15T17:00");

    private static Reminder reminder(Before before, Lead lead, Whom to, boolean feed) {
        return new Reminder("r" + before + to, List.of(), null, true, before, lead, to, true, feed);
    }

    private static ShownThing thing(BigDecimal points) {
        return new ShownThing(
                new ThingRef("HYD 210", "log-5"),
                "Field log 5",
                new ShownThing.About("homework", points, 75, "", "", "all", List.of()),
                "CH",
                Map.of(Which.DUE, DUE),
                true,
                false,
                false,
                "",
                List.of(),
                List.of());
    }

    private static Alarms alarms(String query, Whom to, Integer classes, Reminder... reminders) {
        MultiValueMap<String, String> said = new LinkedMultiValueMap<>();
        if (!query.isEmpty()) {
            said.add("remind", query);
        }
        return new Alarms("HYD 210", List.of(reminders), to, classes, FeedContents.of(said));
    }

    private static List<Duration> due(Alarms alarms, ShownThing thing) {
        return alarms.of(thing, Which.DUE, DUE, DUE);
    }

    @Test
    void theDayBeforeAtNineIsThirtyTwoHoursBeforeFiveInTheAfternoon() {
        Reminder usual = reminder(Before.DUE, Lead.days(1, LocalTime.of(9, 0)), Whom.STUDENTS, true);
        assertThat(due(alarms("", Whom.STUDENTS, null, usual), thing(BigDecimal.TEN)))
                .containsExactly(Duration.ofHours(32));
        assertThat(due(alarms("", Whom.STUDENTS, null, usual), thing(null)))
                .as("only what has points")
                .isEmpty();
        assertThat(alarms("", Whom.STUDENTS, null, usual).of(thing(BigDecimal.TEN), Which.OPENS, DUE, DUE))
                .as("not before another date")
                .isEmpty();
        LocalDateTime midnight = DUE.toLocalDate().plusDays(1).atStartOfDay();
        assertThat(alarms("", Whom.STUDENTS, null, usual).of(thing(BigDecimal.TEN), Which.DUE, DUE, midnight))
                .as("an entry of the whole day ends at midnight")
                .containsExactly(Duration.ofHours(39));
    }

    @Test
    void theAddressGoesBeforeTheCourse() {
        Reminder usual = reminder(Before.DUE, Lead.minutes(60), Whom.STUDENTS, true);
        assertThat(due(alarms("1440", Whom.STUDENTS, null, usual), thing(BigDecimal.TEN)))
                .containsExactly(Duration.ofDays(1));
        assertThat(due(alarms("none", Whom.STUDENTS, null, usual), thing(BigDecimal.TEN)))
                .isEmpty();
        assertThat(alarms("none", Whom.INSTRUCTOR, 10).ofClass(DUE, DUE.plusMinutes(50)))
                .isEmpty();
    }

    @Test
    void eachHasTheirOwnAndWhatIsForMailAloneHasNone() {
        Reminder mail = reminder(Before.DUE, Lead.minutes(60), Whom.STUDENTS, false);
        Reminder mine = reminder(Before.DUE, Lead.minutes(30), Whom.INSTRUCTOR, true);
        assertThat(due(alarms("", Whom.STUDENTS, null, mail, mine), thing(BigDecimal.TEN)))
                .isEmpty();
        assertThat(due(alarms("", Whom.INSTRUCTOR, null, mail, mine), thing(BigDecimal.TEN)))
                .containsExactly(Duration.ofMinutes(30));
    }

    @Test
    void aClassSoundsBeforeItBegins() {
        Reminder ten = reminder(Before.SESSION, Lead.minutes(10), Whom.INSTRUCTOR, true);
        assertThat(alarms("", Whom.INSTRUCTOR, 15, ten).ofClass(DUE, DUE.plusMinutes(50)))
                .containsExactly(Duration.ofMinutes(60), Duration.ofMinutes(65));
        assertThat(alarms("", Whom.INSTRUCTOR, 10, ten).ofClass(DUE, DUE.plusMinutes(50)))
                .as("the same said twice sounds once")
                .containsExactly(Duration.ofMinutes(60));
        assertThat(alarms("", Whom.STUDENTS, null, ten).ofClass(DUE, DUE.plusMinutes(50)))
                .isEmpty();
    }
}
