package app.matsuri.core.calendar;

import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.calendar.DayRotation.Advance;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DayRotationTest {

    private static String letters(Term term, String first, String last) {
        TeachingCalendar calendar = TeachingCalendar.of(term);
        StringBuilder said = new StringBuilder();
        day(first)
                .datesUntil(day(last).plusDays(1))
                .forEach(d -> said.append(calendar.letter(d).orElse("-")));
        return said.toString();
    }

    /** Common practice: after a day off the cycle goes on where it stopped. */
    @Test
    void byTeachingDaysADayOffUsesUpNoLetter() {
        Term term = demoTerm().withRotation(DayRotation.of(Advance.TEACHING_DAYS, "A", "B", "C", "D"));
        assertThat(letters(term, "2026-08-31", "2026-09-11")).isEqualTo("ABCDA--" + "-BCDA");
    }

    @Test
    void byWeekdaysADayOffUsesUpItsLetter() {
        Term term = demoTerm().withRotation(DayRotation.of(Advance.WEEKDAYS, "A", "B", "C", "D"));
        assertThat(letters(term, "2026-08-31", "2026-09-11")).isEqualTo("ABCDA--" + "BCDAB");
    }

    @Test
    void aRestartHoldsFromItsDayOrTheNextThatAdvances() {
        var restarts = new TreeMap<>(Map.of(day("2026-09-05"), "A", day("2026-09-10"), "C"));
        Term term = demoTerm()
                .withRotation(new DayRotation(List.of("A", "B", "C"), Advance.TEACHING_DAYS, restarts, Extra.NONE));
        assertThat(letters(term, "2026-08-31", "2026-09-14")).isEqualTo("ABCAB--" + "-ABCA--" + "B");
    }

    @Test
    void outsideTheTermAndWithoutARotationThereIsNoLetter() {
        assertThat(TeachingCalendar.of(demoTerm()).letter(day("2026-09-01"))).isEmpty();
        Term term = demoTerm().withRotation(DayRotation.of(Advance.WEEKDAYS, "A", "B"));
        assertThat(TeachingCalendar.of(term).letter(day("2026-08-30"))).isEmpty();
        assertThat(TeachingCalendar.of(term).letter(day("2026-12-19"))).isEmpty();
    }

    @Test
    void tooFewTooManyOrTheSameLettersAreRefused() {
        assertThatThrownBy(() -> DayRotation.of(Advance.WEEKDAYS, "A")).hasMessageContaining("two to ten");
        assertThatThrownBy(() -> DayRotation.of(Advance.WEEKDAYS, "A", "A")).hasMessageContaining("differ");
        assertThatThrownBy(() -> new DayRotation(
                        List.of("A", "B"), Advance.WEEKDAYS, new TreeMap<>(Map.of(day("2026-09-01"), "Q")), Extra.NONE))
                .hasMessageContaining("“Q”");
    }

    /** Law: by teaching days, the k-th teaching day has letter k modulo their number, whatever is off. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void theKthTeachingDayHasTheKthLetter(long seed) {
        Random random = new Random(seed);
        List<String> all = List.of("A", "B", "C", "D", "E", "F", "G", "H", "I", "J");
        List<String> letters = all.subList(0, 2 + random.nextInt(9));
        List<Closure> off = new java.util.ArrayList<>();
        for (int i = 0; i < 8; i++) {
            LocalDate first = day("2026-08-31").plusDays(random.nextInt(100));
            off.add(Closure.of(first, first.plusDays(random.nextInt(5)), "Off", "other"));
        }
        Term term = demoTerm()
                .withClosures(off)
                .withRotation(new DayRotation(letters, Advance.TEACHING_DAYS, new TreeMap<>(), Extra.NONE));
        TeachingCalendar calendar = TeachingCalendar.of(term);
        for (int k = 0; k < calendar.teachingDays().size(); k++) {
            assertThat(calendar.letter(calendar.teachingDays().get(k))).contains(letters.get(k % letters.size()));
        }
        assertThat(new TreeSet<>(letters)).hasSizeBetween(2, 10);
    }
}
