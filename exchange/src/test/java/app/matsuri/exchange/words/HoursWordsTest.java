package app.matsuri.exchange.words;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.OfficeHours;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class HoursWordsTest {

    private static final DayWords DAYS =
            new DayWords(LocalDate.of(2026, 9, 2), LocalDate.of(2026, 8, 31), LocalDate.of(2026, 12, 18));

    private static String said(HoursWords.Read read) {
        if (!read.wrong().isEmpty()) {
            return read.wrong();
        }
        BookingRules b = read.booking();
        return read.windows().stream()
                        .map(w -> w.rule().replace("FREQ=WEEKLY;", "") + " " + w.start() + "+" + w.minutes()
                                + (w.place().isEmpty() ? "" : " " + w.place())
                                + (w.link().isEmpty() ? "" : " " + w.link())
                                + (w.from() == null ? "" : " from " + w.from())
                                + (w.until() == null ? "" : " until " + w.until()))
                        .collect(Collectors.joining("; "))
                + (b == null
                        ? ""
                        : " | " + b.minutes() + " pause " + b.pause() + " places " + b.places() + " group "
                                + b.groupFrom() + "-" + b.groupTo() + " week " + b.aWeek() + " term " + b.aTerm())
                + (read.courses().isEmpty() ? "" : " for " + read.courses())
                + (read.onDaysOff() ? " days off" : "");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "Fri 13-14 in 15 min, Weir House 1 | `BYDAY=FR 13:00+60 Weir House 1 | 15 pause 0 places 1 group 1-1 week null term null`",
                "Tue 13-15, Thu 9-10 Weir House 1 | BYDAY=TU 13:00+120 Weir House 1; BYDAY=TH 09:00+60 Weir House 1",
                "Tue 13-15 Weir House 14; Thu 15-16 https://meet.example/x in 20 min for HYD 210 and MAP 115, 2 a week"
                        + " | `BYDAY=TU 13:00+120 Weir House 14; BYDAY=TH 15:00+60 https://meet.example/x | 20 pause 0 places 1 group 1-1 week 2 term null for [HYD 210, MAP 115]`",
                "Wed 2-3:30pm in 20 min, 5 min pause, groups of 2 to 4, once a week, 5 a term"
                        + " | `BYDAY=WE 14:00+90 | 20 pause 5 places 4 group 2-4 week 1 term 5`",
                "every second Thu 15-16 in 20 minutes, 6 places, Mill 2 | `INTERVAL=2;BYDAY=TH 15:00+60 Mill 2 | 20 pause 0 places 6 group 1-1 week null term null`",
                "9 Oct 10-12 Weir House 1, on days off too | BYDAY=FR 10:00+120 Weir House 1 from 2026-10-09 until 2026-10-09 days off",
                "Mon Wed 10:00-11:00 in 10-minute slots until 30 Oct for all courses"
                        + " | `BYDAY=MO,WE 10:00+60 until 2026-10-30 | 10 pause 0 places 1 group 1-1 week null term null`",
                "whenever you like | `“whenever you like”: not understood. Write Tue 13-15 Weir House 1, or 9 Oct 10-12.`",
                "Fri 13-14, 2 a week | `Say how long a slot is, such as in 15 min.`",
                "Fri 13-14 in 2 min | A slot takes 5 minutes or more, within a day.",
                "Fri 13-14 in 15 min, groups of 3 to 2 | `A group has at least one, and at most as many as a slot has places.`"
            })
    void aLineSaysWhenAndHow(String line, String means) {
        assertThat(said(HoursWords.read(line, DAYS, List.of("HYD 210", "MAP 115"))))
                .isEqualTo(means);
    }

    /** What is said of office hours is read again as the same. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "Tue 13:00-15:00 Weir House 14; Thu 15:00-16:00 https://meet.example/x, in 20 min, 2 a week for HYD 210 and MAP 115",
                "Wed 14:00-15:30, in 20 min, 5 min pause, groups of 2 to 4, 4 places, 1 a week, 5 a term",
                "every 2 weeks Thu 15:00-16:00 Mill 2, in 20 min, 6 places",
                "Fri 9 Oct 10:00-12:00 Weir House 1, on days off",
                "Mon, Wed 10:00-11:00 from Mon 7 Sep until Fri 30 Oct, in 10 min"
            })
    void whatIsSaidIsReadAgain(String line) {
        HoursWords.Read read = HoursWords.read(line, DAYS, List.of("HYD 210", "MAP 115"));
        assertThat(read.wrong()).isEmpty();
        OfficeHours hours = OfficeHours.of("oh", "Office hours", read.windows(), read.booking())
                .withCourses(read.courses())
                .staying(read.onDaysOff());
        assertThat(HoursSaid.line(hours)).isEqualTo(line);
    }
}
