package app.matsuri.core.calendar;

import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.util.List;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

class WeekdayBalanceTest {

    private static final Term UNEVEN = demoTerm()
            .withClosures(List.of(
                    Closure.of(day("2026-09-07"), day("2026-09-07"), "Public holiday", "public-holiday"),
                    Closure.of(day("2026-10-12"), day("2026-10-12"), "Public holiday", "public-holiday")));

    @Test
    void mondaysTakenByHolidaysAreCounted() {
        WeekdayBalance balance = WeekdayBalance.of(TeachingCalendar.of(UNEVEN));
        assertThat(balance.days()).containsEntry(DayOfWeek.MONDAY, 14).containsEntry(DayOfWeek.WEDNESDAY, 16);
        assertThat(balance.uneven()).isTrue();
    }

    /** Common practice: in the week of a Monday holiday, the Tuesday runs as a Monday. */
    @Test
    void theTuesdayAfterALostMondayRunsAsAMondayAndThatMendsIt() {
        WeekdayBalance.Swap mend =
                WeekdayBalance.of(TeachingCalendar.of(UNEVEN)).mend();
        assertThat(mend).isEqualTo(new WeekdayBalance.Swap(day("2026-09-08"), DayOfWeek.MONDAY));
        TreeMap<java.time.LocalDate, DayOfWeek> runsAs = new TreeMap<>();
        runsAs.put(mend.day(), mend.as());
        Term mended = UNEVEN.withMarks(new TreeSet<>(), runsAs);
        WeekdayBalance after = WeekdayBalance.of(TeachingCalendar.of(mended));
        assertThat(after.days()).containsEntry(DayOfWeek.MONDAY, 15).containsEntry(DayOfWeek.TUESDAY, 15);
        assertThat(after.uneven()).isFalse();
    }

    @Test
    void anEvenTermNeedsNoMend() {
        WeekdayBalance balance =
                WeekdayBalance.of(TeachingCalendar.of(demoTerm().withClosures(List.of())));
        assertThat(balance.uneven()).isFalse();
        assertThat(balance.mend()).isNull();
    }
}
