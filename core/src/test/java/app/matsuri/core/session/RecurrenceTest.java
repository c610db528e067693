package app.matsuri.core.session;

import static app.matsuri.core.Plans.day;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.fortuna.ical4j.model.Recur;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Recurring days. */
class RecurrenceTest {

    /** Published: RFC 5545 section 3.8.5.3, the worked examples, by their rules and the dates printed there. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "FREQ=DAILY;COUNT=10 | 1997-09-02 | 1997-09-02 1997-09-03 1997-09-04 1997-09-05 1997-09-06 1997-09-07 1997-09-08 1997-09-09 1997-09-10 1997-09-11",
                "FREQ=DAILY;INTERVAL=10;COUNT=5 | 1997-09-02 | 1997-09-02 1997-09-12 1997-09-22 1997-10-02 1997-10-12",
                "FREQ=WEEKLY;COUNT=10 | 1997-09-02 | 1997-09-02 1997-09-09 1997-09-16 1997-09-23 1997-09-30 1997-10-07 1997-10-14 1997-10-21 1997-10-28 1997-11-04",
                "FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH | 1997-09-02 | 1997-09-02 1997-09-04 1997-09-09 1997-09-11 1997-09-16 1997-09-18 1997-09-23 1997-09-25 1997-09-30 1997-10-02",
                "FREQ=WEEKLY;INTERVAL=2;COUNT=8;WKST=SU;BYDAY=TU,TH | 1997-09-02 | 1997-09-02 1997-09-04 1997-09-16 1997-09-18 1997-09-30 1997-10-02 1997-10-14 1997-10-16",
                "FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224;WKST=SU;BYDAY=MO,WE,FR | 1997-09-01 | 1997-09-01 1997-09-03 1997-09-05 1997-09-15 1997-09-17 1997-09-19 1997-09-29 1997-10-01 1997-10-03 1997-10-13 1997-10-15 1997-10-17 1997-10-27 1997-10-29 1997-10-31 1997-11-10 1997-11-12 1997-11-14 1997-11-24 1997-11-26 1997-11-28 1997-12-08 1997-12-10 1997-12-12 1997-12-22 1997-12-24",
                "FREQ=MONTHLY;COUNT=10;BYDAY=1FR | 1997-09-05 | 1997-09-05 1997-10-03 1997-11-07 1997-12-05 1998-01-02 1998-02-06 1998-03-06 1998-04-03 1998-05-01 1998-06-05",
                "FREQ=MONTHLY;INTERVAL=2;COUNT=10;BYDAY=1SU,-1SU | 1997-09-07 | 1997-09-07 1997-09-28 1997-11-02 1997-11-30 1998-01-04 1998-01-25 1998-03-01 1998-03-29 1998-05-03 1998-05-31",
                "FREQ=MONTHLY;COUNT=6;BYDAY=-2MO | 1997-09-22 | 1997-09-22 1997-10-20 1997-11-17 1997-12-22 1998-01-19 1998-02-16",
                "FREQ=MONTHLY;COUNT=10;BYMONTHDAY=2,15 | 1997-09-02 | 1997-09-02 1997-09-15 1997-10-02 1997-10-15 1997-11-02 1997-11-15 1997-12-02 1997-12-15 1998-01-02 1998-01-15",
                "FREQ=MONTHLY;COUNT=10;BYMONTHDAY=1,-1 | 1997-09-30 | 1997-09-30 1997-10-01 1997-10-31 1997-11-01 1997-11-30 1997-12-01 1997-12-31 1998-01-01 1998-01-31 1998-02-01",
                "FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13;COUNT=4 | 1997-09-02 | 1998-02-13 1998-03-13 1998-11-13 1999-08-13",
                "FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE,TH;BYSETPOS=3 | 1997-09-04 | 1997-09-04 1997-10-07 1997-11-06",
                "FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO | 1997-08-05 | 1997-08-05 1997-08-10 1997-08-19 1997-08-24",
                "FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=SU | 1997-08-05 | 1997-08-05 1997-08-17 1997-08-19 1997-08-31"
            })
    void rfc5545WorkedExamples(String rule, LocalDate anchor, String printed) {
        List<LocalDate> dates = List.of(printed.trim().split(" ")).stream()
                .map(LocalDate::parse)
                .toList();
        assertThat(Recurrence.of(rule).dates(anchor, day("1999-12-31"))).isEqualTo(dates);
    }

    /** Reference library: ical4j over random rules, WKST always written; anchored on a day that fits the rule. */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
    void agreesWithAnotherLibrary(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 40; i++) {
            String rule = rule(random);
            LocalDate anchor = LocalDate.of(2026, 1 + random.nextInt(12), 1 + random.nextInt(28));
            LocalDate last = anchor.plusDays(200);
            List<LocalDate> ours = Recurrence.of(rule).dates(anchor, last);
            if (ours.isEmpty() || rule.contains("COUNT") && !ours.get(0).equals(anchor)) {
                continue; // a start that does not fit the rule is undefined there
            }
            LocalDate start = ours.get(0);
            if (!start.equals(anchor) && rule.contains("INTERVAL")) {
                continue;
            }
            List<LocalDate> theirs = new ArrayList<>(new Recur<LocalDate>(rule).getDates(start, start, last));
            assertThat(ours).as("%s from %s", rule, anchor).isEqualTo(theirs);
        }
    }

    private static String rule(Random random) {
        String[] days = {"MO", "TU", "WE", "TH", "FR", "SA", "SU"};
        String wkst = ";WKST=" + (random.nextBoolean() ? "MO" : "SU");
        String interval = random.nextInt(3) == 0 ? ";INTERVAL=" + (2 + random.nextInt(2)) : "";
        String count = random.nextInt(4) == 0 ? ";COUNT=" + (1 + random.nextInt(12)) : "";
        List<String> some = new ArrayList<>();
        for (String name : days) {
            if (random.nextInt(3) == 0) {
                some.add(name);
            }
        }
        String byDay = some.isEmpty() ? ";BYDAY=WE" : ";BYDAY=" + String.join(",", some);
        return switch (random.nextInt(3)) {
            case 0 -> "FREQ=WEEKLY" + interval + byDay + count + wkst;
            case 1 -> "FREQ=DAILY" + interval + count + wkst;
            default ->
                "FREQ=MONTHLY;BYDAY=" + (1 + random.nextInt(4)) + days[random.nextInt(7)] + interval + count + wkst;
        };
    }

    @Test
    void anAnchorThatDoesNotFitIsNoOccurrence() {
        assertThat(Recurrence.of("FREQ=WEEKLY;BYDAY=MO").dates(day("2026-09-02"), day("2026-09-15")))
                .containsExactly(day("2026-09-07"), day("2026-09-14"));
    }

    @Test
    void aDayThatRunsAsAnotherBelongsToItsOwnWeek() {
        Recurrence everySecond = Recurrence.of("FREQ=WEEKLY;INTERVAL=2;BYDAY=MO");
        LocalDate anchor = day("2026-08-31");
        assertThat(everySecond.meetsAs(day("2026-09-01"), DayOfWeek.MONDAY, anchor))
                .isTrue();
        assertThat(everySecond.meetsAs(day("2026-09-08"), DayOfWeek.MONDAY, anchor))
                .isFalse();
        assertThat(everySecond.meetsAs(day("2026-09-15"), DayOfWeek.MONDAY, anchor))
                .isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "FREQ=YEARLY",
                "FREQ=WEEKLY;BYHOUR=9",
                "FREQ=WEEKLY;BYDAY=1MO",
                "every monday",
                "FREQ=WEEKLY;BYDAY=XX"
            })
    void whatIsOutsideThePartThatIsReadIsRefused(String rule) {
        assertThatThrownBy(() -> Recurrence.of(rule)).isInstanceOf(IllegalArgumentException.class);
    }
}
