package app.matsuri.core.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Rules that never yield a day, and rules that rarely do. */
class RecurrenceNeverTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "FREQ=MONTHLY;BYMONTHDAY=31;BYDAY=1MO",
                "FREQ=MONTHLY;BYDAY=MO;BYSETPOS=6",
                "FREQ=WEEKLY;BYDAY=MO,WE;BYSETPOS=3",
                "FREQ=MONTHLY;BYDAY=5MO;BYMONTHDAY=1,2,3",
            })
    void whatNeverOccursIsRefusedWithWhatToWrite(String rule) {
        assertThatThrownBy(() -> Recurrence.of(rule))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("never occurs")
                .hasMessageContaining("such as FREQ=WEEKLY;BYDAY=MO");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "FREQ=MONTHLY;BYMONTHDAY=31",
                "FREQ=MONTHLY;INTERVAL=12;BYMONTHDAY=31",
                "FREQ=MONTHLY;BYDAY=5MO",
                "FREQ=DAILY;INTERVAL=7;BYDAY=SU",
                "FREQ=WEEKLY;BYDAY=MO;UNTIL=19991231",
                "FREQ=MONTHLY;BYDAY=MO;BYSETPOS=5",
            })
    void whatOccursRarelyIsARule(String rule) {
        assertThat(Recurrence.of(rule)).isNotNull();
    }

    @ParameterizedTest
    @ValueSource(strings = {"FREQ=DAILY;INTERVAL=7;BYDAY=MO", "FREQ=MONTHLY;INTERVAL=12;BYMONTHDAY=31"})
    void fromADayThatNeverComesRoundItYieldsNothing(String rule) {
        assertThat(Recurrence.of(rule).dates(LocalDate.parse("2026-09-01"), LocalDate.parse("2030-09-01")))
                .isEmpty();
    }
}
