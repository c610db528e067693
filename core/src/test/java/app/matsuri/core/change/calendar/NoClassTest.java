package app.matsuri.core.change.calendar;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.Schedule;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;

/** "There was no class yesterday." */
class NoClassTest {

    private static final Decisions BEFORE = plan(sectionA(), unit(4));

    @Test
    void theLessonGoesToTheNextClassAndOnlyTheSectionHasTheDayOff() {
        Change change = NoClass.on(BEFORE, "HYD 210", "A", day("2026-09-02"));
        Decisions after = Change.make(change, BEFORE).decisions();
        assertThat(change.sentence(BEFORE)).isEqualTo("No class on Wed 2 Sep in HYD 210 A");
        assertThat(Schedule.of(after).sections().get(0).start("L2")).contains(LocalDateTime.parse("2026-09-04T10:00"));
        assertThat(after.term().closures())
                .filteredOn(c -> c.first().equals(day("2026-09-02")))
                .singleElement()
                .satisfies(c -> {
                    assertThat(c.only()).containsExactly("HYD 210/A");
                    assertThat(c.noClass()).isTrue();
                    assertThat(c.nothingDue()).as("work is due all the same").isFalse();
                });
    }

    @Test
    void whatWasRecordedForTheDayGoes() {
        Decisions recorded = Change.make(
                        new RecordTaught("HYD 210", "A", at("2026-09-02T10:00"), List.of("L2"), false, ""), BEFORE)
                .decisions();
        Decisions after = Change.make(NoClass.on(recorded, "HYD 210", "A", day("2026-09-02")), recorded)
                .decisions();
        assertThat(after.courses().get(0).sections().get(0).taught()).isEmpty();
    }

    @Test
    void aDayWithoutAClassAndASectionThatIsNotThereAreSaid() {
        assertThatThrownBy(() -> NoClass.on(BEFORE, "HYD 210", "A", day("2026-09-01")))
                .isInstanceOf(Refused.class)
                .hasMessage("Section A has no class on Tue 1 Sep.");
        assertThatThrownBy(() -> NoClass.on(BEFORE, "HYD 210", "Z", day("2026-09-02")))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Z");
    }
}
