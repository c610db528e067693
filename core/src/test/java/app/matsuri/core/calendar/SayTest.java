package app.matsuri.core.calendar;

import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.plan.Decisions;
import java.time.LocalTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Days and times as sentences say them. */
class SayTest {

    private final Decisions plan = plan(sectionA(), unit(4));

    @AfterEach
    void forget() {
        Say.twelveHours(false);
    }

    @Test
    void saysTheYearOfADayInNoYearOfTheTerm() {
        Term term = plan.term();
        assertThat(Say.about(term, () -> Say.day(day("2026-10-09")))).isEqualTo("Fri 9 Oct");
        assertThat(Say.about(term, () -> Say.moment(day("2062-10-09").atTime(17, 0))))
                .isEqualTo("Mon 9 Oct 2062, 17:00");
        assertThat(Say.day(day("2062-10-09"))).isEqualTo("Mon 9 Oct");
    }

    @Test
    void refusesWithTheYearThatIsWrong() {
        Change flood = new AddClosure(Closure.of(day("2062-10-09"), day("2062-10-09"), "Flood", "weather"));
        assertThatThrownBy(() -> Change.make(flood, plan))
                .isInstanceOf(Refused.class)
                .hasMessageStartingWith("Mon 9 Oct 2062 lies outside the term");
        assertThat(Change.said(flood, plan)).startsWith("Day off Mon 9 Oct 2062");
    }

    @Test
    void saysWhereAPartOfADayEndsOnTheClockThatIsRead() {
        assertThat(Say.end(LocalTime.MIDNIGHT)).isEqualTo("24:00");
        assertThat(Say.end(LocalTime.of(17, 0))).isEqualTo("17:00");
        Say.twelveHours(true);
        assertThat(Say.end(LocalTime.MIDNIGHT)).isEqualTo("midnight");
        assertThat(Say.end(LocalTime.of(17, 0))).isEqualTo("5:00 pm");
    }
}
