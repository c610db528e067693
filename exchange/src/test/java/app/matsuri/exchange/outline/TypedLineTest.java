package app.matsuri.exchange.outline;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Which;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.PlanNames;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Lines as people type them into Thursday 8 October of a term from 31 August on; today is Wednesday. */
class TypedLineTest {

    private static final DayWords DAYS =
            new DayWords(LocalDate.parse("2026-10-07"), LocalDate.parse("2026-08-31"), LocalDate.parse("2026-12-18"));

    private static TypedLine read(String text) {
        return TypedLine.read(
                text, new TypedLine.Place(DAYS, LocalDate.parse("2026-10-08"), null, false, PlanNames.NONE));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "quiz 3, 5pm | quiz | quiz 3 | | 2026-10-08T17:00 | ",
                "Beta set | homework | Beta set | | 2026-10-08T23:59 | ",
                "homework: Test assignment | homework | Test assignment | | 2026-10-08T23:59 | ",
                "Test the meter (homework) | homework | Test the meter | | 2026-10-08T23:59 | ",
                "Problem set 5, opens 1 oct, due 8 oct 17:00, closes 10 oct | homework | Problem set 5 | 2026-10-01T00:00 | 2026-10-08T17:00 | 2026-10-10T23:59",
                "closes 10 oct, Problem set 5 due 8 oct | homework | Problem set 5 | | 2026-10-08T23:59 | 2026-10-10T23:59",
                "Lab report, due 20 oct, 17:00 | lab | Lab report | | 2026-10-20T17:00 | ",
                "Lab report due 20 oct 2026, 17:00 | lab | Lab report | | 2026-10-20T17:00 | ",
                "Take-home, 19 oct 9:00 to 20 oct 17:00 | other | Take-home | 2026-10-19T09:00 | 2026-10-20T17:00 | ",
                "Quiz 4, 2-3pm | quiz | Quiz 4 | 2026-10-08T14:00 | 2026-10-08T15:00 | ",
                "Quiz 4, Fri 9 Oct, 14:00-15:00, Room 4 | quiz | Quiz 4 | 2026-10-09T14:00 | 2026-10-09T15:00 | ",
                "Post 3 fri 5pm | discussion | Post 3 | | 2026-10-09T17:00 | ",
                "Read pages 11/3 | reading | Read pages 11/3 | | 2026-10-08T23:59 | ",
                "Read 12, two by two | reading | Read 12, two by two | | 2026-10-08T23:59 | "
            })
    void work(String text, String kind, String title, String opens, String due, String closes) {
        TypedLine line = read(text);
        assertThat(line.wrong()).isEmpty();
        assertThat(line.sort()).isEqualTo(TypedLine.Sort.WORK);
        assertThat(line.kind()).isEqualTo(kind);
        assertThat(line.title()).isEqualTo(title);
        assertThat(at(line, Which.OPENS)).isEqualTo(opens);
        assertThat(at(line, Which.DUE)).isEqualTo(due);
        assertThat(at(line, Which.CLOSES)).isEqualTo(closes);
    }

    private static String at(TypedLine line, Which which) {
        DateRule rule = line.date(which);
        return rule == null ? null : RuleSaid.beside(rule, null).isEmpty() ? "" : moment(rule);
    }

    private static String moment(DateRule rule) {
        return ((app.matsuri.core.plan.Anchor.Fixed) rule.anchor()).at().toString();
    }

    @Test
    void pointsMinutesAndWhereInAnyOrder() {
        TypedLine line = read("20 points, Problem set 5 (30 min), due 9 oct, Room 14");
        assertThat(line.wrong()).isEmpty();
        assertThat(line.title()).isEqualTo("Problem set 5");
        assertThat(line.points()).isEqualTo(new BigDecimal(20));
        assertThat(line.minutes()).isEqualTo(30);
        assertThat(line.place()).isEqualTo("Room 14");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Quiz 5, 30 februry, 5pm",
                "Quiz 5 due sometime soon",
                "Quiz 5, opens whenever",
                "Quiz 5, Mon 9 Oct",
                "Quiz 5, 8 oct, 9 oct",
                "Quiz 5, every Tue, 8 oct",
                "Quiz 5, every Tue, due 8 oct",
                "Quiz 5, 5 times",
                "notice: Hut, every blue moon",
                "notice: Hut, 25:10"
            })
    void whatIsNotUnderstoodIsSaid(String text) {
        assertThat(read(text).wrong()).isPresent();
    }

    @Test
    void workRepeatsToo() {
        TypedLine line = read("Quiz, every Tue 9:00, 5 times");
        assertThat(line.wrong()).isEmpty();
        assertThat(line.repeats()).isTrue();
        assertThat(line.title()).isEqualTo("Quiz");
        assertThat(line.date(Which.DUE)).isNull();
    }

    @Test
    void aLessonAndANote() {
        assertThat(read("lesson: Review").sort()).isEqualTo(TypedLine.Sort.LESSON);
        assertThat(read("lesson: Review").title()).isEqualTo("Review");
        assertThat(read("note: bring the wide tapes, 3 of them").title()).isEqualTo("bring the wide tapes, 3 of them");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "notice: Field day, 24 oct, 8:15-15:30 | 2026-10-24T08:15 | 2026-10-24T15:30 | ",
                "notice: Field trip, 19 oct 9:00 to 20 oct 17:00 | 2026-10-19T09:00 | 2026-10-20T17:00 | ",
                "notice: Talk, 2-3pm | 2026-10-08T14:00 | 2026-10-08T15:00 | ",
                "notice: Talk, 14:00-15:00, Room 4 | 2026-10-08T14:00 | 2026-10-08T15:00 | Room 4",
                "notice: Hut closed, today to friday | 2026-10-07T00:00 | 2026-10-09T00:00 | ",
                "notice: Order waders, until 30 oct, 17:00 | 2026-10-08T00:00 | 2026-10-30T17:00 | "
            })
    void notices(String text, LocalDateTime begins, LocalDateTime ends, String place) {
        TypedLine line = read(text);
        assertThat(line.wrong()).isEmpty();
        assertThat(line.when().begins()).isEqualTo(DateRule.at(begins));
        assertThat(line.when().ends()).isEqualTo(DateRule.at(ends));
        assertThat(line.place()).isEqualTo(place == null ? "" : place);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "notice: Office, every Tue and Thu 1-2:30pm, Room 14 | FREQ=WEEKLY;BYDAY=TU,TH | 2026-10-08 | | 13:00 | 90 | Room 14",
                "notice: Log in, daily | FREQ=DAILY | 2026-10-08 | | | 0 | ",
                "notice: Log in, weekdays until 4 dec | FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR | 2026-10-08 | 2026-12-04 | | 0 | ",
                "notice: Hut, every second week from 3 sep, 15:00 | FREQ=WEEKLY;INTERVAL=2;BYDAY=TH | 2026-09-03 | | 15:00 | 0 | ",
                "notice: Hut every second Thu 15-16:30 | FREQ=WEEKLY;INTERVAL=2;BYDAY=TH | 2026-10-08 | | 15:00 | 90 | ",
                "notice: Hut, every Thu, 5 times | FREQ=WEEKLY;BYDAY=TH | 2026-10-08 | 2026-11-05 | | 0 | ",
                "notice: Hut, every Thu, until 4 dec | FREQ=WEEKLY;BYDAY=TH | 2026-10-08 | 2026-12-04 | | 0 | "
            })
    void series(String text, String rule, LocalDate from, LocalDate until, String time, int minutes, String place) {
        TypedLine line = read(text);
        assertThat(line.wrong()).isEmpty();
        NoticeTime.Repeat repeat = line.when().repeats().get(0);
        assertThat(repeat.rule()).isEqualTo(rule);
        assertThat(repeat.from()).isEqualTo(from);
        assertThat(repeat.until()).isEqualTo(until);
        assertThat(repeat.time() == null ? null : repeat.time().toString()).isEqualTo(time);
        assertThat(repeat.minutes()).isEqualTo(minutes);
        assertThat(line.place()).isEqualTo(place == null ? "" : place);
    }
}
