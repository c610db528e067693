package app.matsuri.exchange.words;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Which;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanWriter;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Days, times, runs, due dates and meetings as people type them. */
class WordsTest {

    private static final DayWords DAYS =
            new DayWords(LocalDate.of(2026, 10, 7), LocalDate.of(2026, 8, 31), LocalDate.of(2027, 1, 29));

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3 nov | 2026-11-03",
                "Nov. 3, 2026 | 2026-11-03",
                "november 3rd | 2026-11-03",
                "Fri 9 Oct | 2026-10-09",
                "2026-11-03 | 2026-11-03",
                "3.11. | 2026-11-03",
                "3.11.2027 | 2027-11-03",
                "11/3 | 2026-11-03",
                "25/12 | 2026-12-25",
                "12/25/26 | 2026-12-25",
                "+2 weeks | 2026-10-21",
                "+3 | 2026-10-10",
                "today | 2026-10-07",
                "tomorrow | 2026-10-08",
                "next monday | 2026-10-12",
                "wed | 2026-10-14",
                "Sept. 7 (Mon) | 2026-09-07",
                "15 jan | 2027-01-15",
                "31 aug | 2026-08-31",
                "Sunday 8 Nov | 2026-11-08"
            })
    void days(String text, LocalDate day) {
        assertThat(DAYS.read(text)).contains(day);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "soon", "31 feb", "Mon 9 Oct", "32.1.", "13/13", "0000-01-01", "week"})
    void noDays(String text) {
        assertThat(DAYS.read(text)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "9 oct 8:00 | 2026-10-09 | 08:00",
                "20 oct, 17:00 | 2026-10-20 | 17:00",
                "20 oct 2026, 17:00 | 2026-10-20 | 17:00",
                "fri 5pm | 2026-10-09 | 17:00",
                "8 oct, 7am | 2026-10-08 | 07:00",
                "17:00 on 20 oct | 2026-10-20 | 17:00",
                "2026-10-09T17:00 | 2026-10-09 | 17:00",
                "Fri 9 Oct 2026, 5:30 pm | 2026-10-09 | 17:30",
                "3.11. 17 Uhr | 2026-11-03 | 17:00",
                "+2 weeks | 2026-10-21 | ",
                "tomorrow at noon | 2026-10-08 | 12:00",
                "30 oct 24:00 | 2026-10-30 | 23:59",
                "3 nov | 2026-11-03 | "
            })
    void daysWithATime(String text, LocalDate day, LocalTime time) {
        assertThat(MomentWords.read(text, DAYS)).contains(new MomentWords(day, time));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Tue 10 Nov12 nov",
                "30 februry, 5pm",
                "8 oct, 23:59, 7am",
                "5 times",
                "17:00",
                "Mon 9 Oct, 8:00",
                "oct 17:00",
                "9 oct 8:00 or so",
                "9 oct 8:75"
            })
    void noDaysWithATime(String text) {
        assertThat(MomentWords.read(text, DAYS)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Mon 9 Oct | 9 Oct 2026 is a Friday, not a Monday. Write the one you mean.",
                "Mon 9 Oct, 8:00 | 9 Oct 2026 is a Friday, not a Monday. Write the one you mean.",
                "30 februry | ",
                "30 february, 5pm | There is no 30 February.",
                "soon | "
            })
    void whyThereIsNoSuchDay(String text, String why) {
        assertThat(DAYS.why(text).orElse(null)).isEqualTo(why);
    }

    /** An opening without a time means the start of the day; what hangs on a class its start. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3 nov | {'at':'2026-11-03T00:00'}",
                "3 nov 8:00 | {'at':'2026-11-03T08:00'}",
                "2 days after | {'lesson':'L','edge':'end','plus':2,'in':'days','time':'00:00'}",
                "same day | {'lesson':'L','edge':'start'}"
            })
    void whenWorkOpens(String text, String rule) {
        DateRule read = new DueWords(DAYS).read(text, "L", Which.OPENS).orElseThrow();
        assertThat(Json.MAPPER.<tools.jackson.databind.JsonNode>valueToTree(PlanWriter.rule(read)))
                .isEqualTo(Json.read(rule.replace('\'', '"')));
    }

    @ParameterizedTest
    @CsvSource({
        "23:59, 23:59",
        "5 pm, 17:00",
        "5.30pm, 17:30",
        "12 am, 00:00",
        "17h, 17:00",
        "17h30, 17:30",
        "17 Uhr, 17:00",
        "um 8.15 Uhr, 08:15",
        "midi, 12:00",
        "noon, 12:00",
        "midnight, 23:59"
    })
    void times(String text, LocalTime time) {
        assertThat(TimeWords.read(text)).contains(time);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Fall break October 12-13 | 2026-10-12 | 2026-10-13",
                "Nov 25 to 27: Thanksgiving | 2026-11-25 | 2026-11-27",
                "12.-13.10. Herbstferien | 2026-10-12 | 2026-10-13",
                "Sept. 7 (Mon)   Public holiday | 2026-09-07 | 2026-09-07",
                "Winter break: Dec 21 - Jan 1 | 2026-12-21 | 2027-01-01",
                "25–27 November Holiday | 2026-11-25 | 2026-11-27",
                "2026-10-12 to 2026-10-13 Break | 2026-10-12 | 2026-10-13"
            })
    void runs(String text, LocalDate first, LocalDate last) {
        RunWords.Found found = RunWords.find(text, DAYS).orElseThrow();
        assertThat(found.first()).isEqualTo(first);
        assertThat(found.last()).isEqualTo(last);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "due next class | {'lesson':'L','edge':'start','plus':1,'in':'sessions'}",
                "due 2 days after, 23:59 | {'lesson':'L','edge':'end','plus':2,'in':'days','time':'23:59'}",
                "due 3 nov | {'at':'2026-11-03T23:59'}",
                "3 nov, 5pm | {'at':'2026-11-03T17:00'}",
                "Fri 9 Oct 2026, 17:00 | {'at':'2026-10-09T17:00'}",
                "same day | {'lesson':'L','edge':'start'}",
                "in class | {'lesson':'L','edge':'start'}",
                "end of class | {'lesson':'L','edge':'end'}",
                "two days after | {'lesson':'L','edge':'end','plus':2,'in':'days','time':'23:59'}",
                "+3 | {'lesson':'L','edge':'end','plus':3,'in':'teaching-days','time':'23:59'}",
                "3 teaching days later, 17:00 | {'lesson':'L','edge':'end','plus':3,'in':'teaching-days','time':'17:00'}",
                "a week later | {'lesson':'L','edge':'end','plus':1,'in':'weeks','time':'23:59'}",
                "next day | {'lesson':'L','edge':'end','plus':1,'in':'teaching-days','time':'23:59'}",
                "in 2 classes | {'lesson':'L','edge':'start','plus':2,'in':'sessions'}",
                "by friday, 17:00 | {'lesson':'L','edge':'end','snapTo':'FR','snap':'on-or-after','time':'17:00'}",
                "week 3 sunday | {'week':3,'counts':'term','weekday':'SU'}",
                "1 day after due, 12:00 | {'own':'due','plus':1,'in':'days','time':'12:00'}",
                "7 days before due | {'own':'due','plus':-7,'in':'days'}",
                "with CH2, next class | {'lesson':'CH2','edge':'start','plus':1,'in':'sessions'}",
                "with unit CH, end of class | {'unit':'CH','edge':'end'}",
                "2 hours after | {'lesson':'L','edge':'end','plus':2,'in':'hours'}"
            })
    void whenWorkIsDue(String text, String rule) {
        DateRule read = new DueWords(DAYS).read(text, "L").orElseThrow();
        assertThat(Json.MAPPER.<tools.jackson.databind.JsonNode>valueToTree(PlanWriter.rule(read)))
                .isEqualTo(Json.read(rule.replace('\'', '"')));
        String said = RuleSaid.beside(read, "L");
        assertThat(new DueWords(DAYS).read(said, "L")).as("said as “%s”", said).contains(read);
    }

    @ParameterizedTest
    @ValueSource(strings = {"due sometime soon", "due when ready", "due 99", "due"})
    void whatIsNotUnderstoodGivesNoRule(String text) {
        assertThat(new DueWords(DAYS).read(text, "L").filter(r -> !text.equals("due")))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"next class", "+3", "same day"})
    void withoutALessonOnlyADateOfItsOwnMeansSomething(String text) {
        assertThat(new DueWords(DAYS).read(text, null)).isEmpty();
        assertThat(new DueWords(DAYS).read("3 nov", null).orElseThrow().anchor())
                .isInstanceOf(Anchor.Fixed.class);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "MWF 10-10:50 Weir House 2 | MO,WE,FR | 10:00 | 50 | Weir House 2",
                "Tue Thu 1-2:15 pm | TU,TH | 13:00 | 75 | ''",
                "TR 13:00-14:15 in Boat shed | TU,TH | 13:00 | 75 | Boat shed",
                "daily 9:00 50 min | MO,TU,WE,TH,FR | 09:00 | 50 | ''",
                "Mondays and Wednesdays 11:30 am to 12:45 pm | MO,WE | 11:30 | 75 | ''",
                "TTh 2-3:30 | TU,TH | 14:00 | 90 | ''",
                "Mon-Fri 9-9:50 | MO,TU,WE,TH,FR | 09:00 | 50 | ''",
                "M-F 9-9:50 | MO,TU,WE,TH,FR | 09:00 | 50 | ''",
                "M–Th 8:00-8:50 Room 4 | MO,TU,WE,TH | 08:00 | 50 | Room 4",
                "Monday to Friday 9:00-9:50 am | MO,TU,WE,TH,FR | 09:00 | 50 | ''",
                "Mo-Fr 9-9:50 | MO,TU,WE,TH,FR | 09:00 | 50 | ''",
                "Mon-Wed, Fri 9-9:50 | MO,TU,WE,FR | 09:00 | 50 | ''",
                "MWF 10-10:50 Weir House 2 https://meet.example/abc | MO,WE,FR | 10:00 | 50 | Weir House 2"
            })
    void whenAClassMeets(String text, String days, LocalTime start, int minutes, String place) {
        MeetingPattern pattern = MeetsWords.read(text).orElseThrow();
        assertThat(pattern.rule()).isEqualTo("FREQ=WEEKLY;BYDAY=" + days);
        assertThat(pattern.start()).isEqualTo(start);
        assertThat(pattern.minutes()).isEqualTo(minutes);
        assertThat(pattern.place()).isEqualTo(place);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "every second Thu 15-16:50 Boat shed | FREQ=WEEKLY;INTERVAL=2;BYDAY=TH | '' | every 2 weeks Thu",
                "biweekly Mon 9:00 50 min | FREQ=WEEKLY;INTERVAL=2;BYDAY=MO | '' | every 2 weeks Mon",
                "first Tuesday of the month 16-17 | FREQ=MONTHLY;BYDAY=1TU | '' | first Tue of the month",
                "last Friday of the month 14-15 | FREQ=MONTHLY;BYDAY=-1FR | '' | last Fri of the month",
                "days A, C 9-9:50 | '' | A,C | day A, C",
                "day B 10-10:50 Room 4 | '' | B | day B",
                "Mo Mi Fr 10-10:50 | FREQ=WEEKLY;BYDAY=MO,WE,FR | '' | Mon, Wed, Fri",
                "Dienstag und Donnerstag 13:00-14:15 | FREQ=WEEKLY;BYDAY=TU,TH | '' | Tue, Thu",
                "lundi et jeudi 9-10 | FREQ=WEEKLY;BYDAY=MO,TH | '' | Mon, Thu"
            })
    void whenAClassMeetsOtherThanWeekly(String text, String rule, String letters, String said) {
        MeetingPattern pattern = MeetsWords.read(text).orElseThrow();
        assertThat(pattern.rule() == null ? "" : pattern.rule()).isEqualTo(rule);
        assertThat(String.join(",", pattern.letters())).isEqualTo(letters);
        assertThat(MeetsSaid.days(pattern)).isEqualTo(said);
    }

    /** Since when and in which weeks, in a term that begins on Monday 31 August. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "every second Thu from 3 sep 15-16:50 Boat shed | every 2 weeks Thu from Thu 3 Sep | Boat shed",
                "every second Thu 15-16:50 Boat shed from 3 sep | every 2 weeks Thu from Thu 3 Sep | Boat shed",
                "even weeks Thu 15-16:50 | every 2 weeks Thu from Mon 7 Sep | ''",
                "odd weeks Fri 9-9:50 | every 2 weeks Fri from Mon 31 Aug | ''",
                "Fri 9-9:50, weeks 2,4,6,8 | every 2 weeks Fri from Mon 7 Sep until Sun 25 Oct | ''",
                "weeks 3-5 Tue 9-9:50 Lab 2 | Tue from Mon 14 Sep until Sun 4 Oct | Lab 2",
                "Mon 9-9:50 until 4 dec | Mon until Fri 4 Dec | ''"
            })
    void inWhichWeeksAClassMeets(String text, String said, String place) {
        List<MeetingPattern> read = MeetsWords.readAll(text, DAYS);
        assertThat(read).hasSize(1);
        assertThat(MeetsSaid.days(read.get(0))).isEqualTo(said);
        assertThat(read.get(0).place()).isEqualTo(place);
    }

    @Test
    void weeksThatAreNotEvenlyApartAreSeveralSeries() {
        assertThat(MeetsWords.readAll("weeks 1,2,5,9 Fri 9-9:50", DAYS)).hasSize(2);
        assertThat(MeetsWords.readAll("Fri 9-9:50 from whenever", DAYS)).isEmpty();
        assertThat(MeetsWords.read("MWF 10-10:50 Weir House 2 https://meet.example/abc")
                        .orElseThrow()
                        .link())
                .isEqualTo("https://meet.example/abc");
    }

    @Test
    void severalSeriesAreParted() {
        assertThat(MeetsWords.readAll("MWF 10-10:50 Weir House 2; Th 15-16:50 Boat shed"))
                .hasSize(2);
        assertThat(MeetsWords.readAll("MWF 10-10:50; whenever")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "3. November, 2026-11-03",
        "3 de noviembre, 2026-11-03",
        "le 3 novembre, ''",
        "mardi 3 novembre, 2026-11-03",
        "Dienstag 3.11., 2026-11-03",
        "3.11.26, 2026-11-03",
        "Mittwoch 3.11., ''",
        "1er octobre, 2026-10-01",
        "15 août, 2026-08-15"
    })
    void daysInOtherLanguages(String text, String day) {
        assertThat(DAYS.read(text).map(Object::toString).orElse("")).isEqualTo(day);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "MWF", "10-10:50", "MWF 10", "MWF 25-26", "MWF 11-10"})
    void noMeetings(String text) {
        assertThat(MeetsWords.read(text)).isEmpty();
    }
}
