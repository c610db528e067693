package app.matsuri.server.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import org.junit.jupiter.api.Test;

/** A hundred wrong addresses within a minute are enough, from each place by itself. */
class GuessesTest {

    private final Clock clock = mock(Clock.class);

    @Test
    void aHundredWithinAMinuteAreEnoughAndAMinuteLaterAllIsForgotten() {
        when(clock.millis()).thenReturn(1_000_000L);
        Guesses guesses = new Guesses(clock);
        for (int n = 0; n < Guesses.MOST; n++) {
            assertThat(guesses.tooMany("10.0.0.1")).as("after %d", n).isFalse();
            guesses.wrong("10.0.0.1");
        }
        assertThat(guesses.tooMany("10.0.0.1")).isTrue();
        assertThat(guesses.tooMany("10.0.0.2")).as("another place").isFalse();
        when(clock.millis()).thenReturn(1_060_001L);
        assertThat(guesses.tooMany("10.0.0.1")).isFalse();
    }
}
