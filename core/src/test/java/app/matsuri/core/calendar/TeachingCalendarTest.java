package app.matsuri.core.calendar;

import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.Plans;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.threeten.extra.LocalDateRange;

/** The calendar section of the rules. */
class TeachingCalendarTest {

    private final TeachingCalendar demo = TeachingCalendar.of(demoTerm());

    @Test
    void theDemoTermHas74TeachingDaysIn16Weeks() {
        assertThat(demo.teachingDays()).hasSize(74);
        assertThat(demo.weeks()).isEqualTo(16);
    }

    @ParameterizedTest
    @CsvSource({
        "2026-10-09, 1, 2026-10-14",
        "2026-10-09, 5, 2026-10-20",
        "2026-11-30, -1, 2026-11-24",
        "2026-09-07, 0, 2026-09-08",
        "2026-09-07, -1, 2026-09-04",
        "2026-08-01, 1, 2026-08-31",
        "2026-08-01, 0, 2026-08-31",
        "2026-12-31, -1, 2026-12-18",
        "2026-12-18, 0, 2026-12-18"
    })
    void plusCountsTeachingDays(LocalDate from, int n, LocalDate found) {
        assertThat(demo.plus(from, n)).contains(found);
    }

    @ParameterizedTest
    @CsvSource({"2026-12-18, 1", "2026-08-31, -1", "2026-12-19, 0", "2026-10-09, 1000", "2026-10-09, -2000000000"})
    void plusHasNoAnswerOutsideTheTerm(LocalDate from, int n) {
        assertThat(demo.plus(from, n)).isEmpty();
    }

    @Test
    void countIncludesBothEnds() {
        assertThat(demo.count(day("2026-10-09"), day("2026-10-14"))).isEqualTo(2);
        assertThat(demo.count(day("2026-10-14"), day("2026-10-09"))).isZero();
        assertThat(demo.count(day("2020-01-01"), day("2030-01-01"))).isEqualTo(74);
    }

    @Test
    void dayNumberIsTheNthTeachingDay() {
        assertThat(demo.dayNumber(day("2026-08-31"))).hasValue(1);
        assertThat(demo.dayNumber(day("2026-12-18"))).hasValue(74);
        assertThat(demo.dayNumber(day("2026-09-07"))).isEmpty();
    }

    /** Published: OpenFormula (ODF 1.2 part 2) section 6.10.22, WORKDAY, by its documented example. */
    @Test
    void workdayPublishedExamples() {
        Term plain = Term.of("", day("2008-10-01"), day("2009-12-31"), Plans.CHICAGO);
        assertThat(TeachingCalendar.of(plain).plus(day("2008-10-01"), 151)).contains(day("2009-04-30"));
        Term closed = plain.withClosures(List.of(
                Closure.of(day("2008-11-26"), day("2008-11-26"), "", "other"),
                Closure.of(day("2008-12-04"), day("2008-12-04"), "", "other"),
                Closure.of(day("2009-01-21"), day("2009-01-21"), "", "other")));
        assertThat(TeachingCalendar.of(closed).plus(day("2008-10-01"), 151)).contains(day("2009-05-05"));
    }

    /** Published: OpenFormula (ODF 1.2 part 2), NETWORKDAYS, by its documented example. */
    @Test
    void networkdaysPublishedExamples() {
        Term plain = Term.of("", day("2012-10-01"), day("2013-03-01"), Plans.CHICAGO);
        assertThat(TeachingCalendar.of(plain).count(day("2012-10-01"), day("2013-03-01")))
                .isEqualTo(110);
        Term closed = plain.withClosures(List.of(Closure.of(day("2012-11-22"), day("2012-11-22"), "", "other")));
        assertThat(TeachingCalendar.of(closed).count(day("2012-10-01"), day("2013-03-01")))
                .isEqualTo(109);
    }

    /**
     * Published: ISDA definitions 2006, section 4.12: <em>following</em> is the first following business day,
     * <em>preceding</em> the first preceding one.
     */
    @Test
    void rollsLikeFollowingAndPreceding() {
        assertThat(demo.plus(day("2026-10-10"), 0)).contains(day("2026-10-14"));
        assertThat(demo.plus(day("2026-10-10"), -1)).contains(day("2026-10-09"));
        assertThat(demo.plus(day("2026-10-09"), 0)).contains(day("2026-10-09"));
    }

    /** Published: ISO 8601, the week is that of its Thursday; 2008-12-29 is 2009-W01-1, 2010-01-03 is 2009-W53-7. */
    @Test
    void weeksBeginOnTheTermsFirstDayOfTheWeek() {
        Term year = Term.of("", day("2008-12-29"), day("2010-01-03"), Plans.CHICAGO);
        TeachingCalendar calendar = TeachingCalendar.of(year);
        assertThat(calendar.weekNumber(day("2008-12-29"))).hasValue(1);
        assertThat(calendar.weekNumber(day("2009-01-04"))).hasValue(1);
        assertThat(calendar.weekNumber(day("2010-01-03"))).hasValue(53);
        assertThat(calendar.weeks()).isEqualTo(53);
    }

    @Test
    void aWeekFromSundayHoldsTheSundayBefore() {
        Term term = new Term(
                "",
                day("2026-08-31"),
                day("2026-12-18"),
                Plans.CHICAGO,
                EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY),
                DayOfWeek.SUNDAY,
                null,
                List.of(),
                new TreeSet<>(),
                new TreeMap<>(),
                null,
                Extra.NONE);
        assertThat(TeachingCalendar.of(term).week(1)).contains(day("2026-08-30"));
        assertThat(TeachingCalendar.of(term).weekNumber(day("2026-09-06"))).hasValue(2);
    }

    /** Common practice: four calendar weeks of which one is a break are three teaching weeks. */
    @Test
    void weeksWithoutTeachingAreNotCountedAsTeachingWeeks() {
        Term term = Term.of("", day("2026-11-09"), day("2026-12-04"), Plans.CHICAGO)
                .withClosures(List.of(Closure.of(day("2026-11-23"), day("2026-11-27"), "Break", "break")));
        TeachingCalendar calendar = TeachingCalendar.of(term);
        assertThat(calendar.weeks()).isEqualTo(4);
        assertThat(calendar.teachingWeek(3)).contains(day("2026-11-30"));
        assertThat(calendar.teachingWeek(4)).isEmpty();
        assertThat(calendar.teachingWeekNumber(day("2026-11-25"))).isEmpty();
        assertThat(calendar.teachingWeekNumber(day("2026-12-01"))).hasValue(3);
    }

    @Test
    void aBreakIsFourOrMoreDaysWithoutTeaching() {
        assertThat(demo.breaks())
                .containsExactly(
                        LocalDateRange.ofClosed(day("2026-10-10"), day("2026-10-13")),
                        LocalDateRange.ofClosed(day("2026-11-25"), day("2026-11-29")));
    }

    @Test
    void anExtraDayTeachesWhateverCoversIt() {
        Term term = with(Set.of(day("2026-10-12"), day("2026-10-17"), day("2027-01-01")), Map.of());
        TeachingCalendar calendar = TeachingCalendar.of(term);
        assertThat(calendar.teaches(day("2026-10-12"))).isTrue();
        assertThat(calendar.teaches(day("2026-10-17"))).isTrue();
        assertThat(calendar.teaches(day("2027-01-01"))).as("outside the term").isFalse();
    }

    @Test
    void aDayThatRunsAsAnotherTeachesIfTheOtherDoes() {
        Term term = with(
                Set.of(),
                Map.of(
                        day("2026-10-17"), DayOfWeek.MONDAY,
                        day("2026-10-20"), DayOfWeek.SUNDAY,
                        day("2026-10-12"), DayOfWeek.WEDNESDAY));
        TeachingCalendar calendar = TeachingCalendar.of(term);
        assertThat(calendar.teaches(day("2026-10-17"))).isTrue();
        assertThat(calendar.teaches(day("2026-10-20"))).isFalse();
        assertThat(calendar.teaches(day("2026-10-12")))
                .as("closed all the same")
                .isFalse();
    }

    @Test
    void onlyWholeDaysForEveryoneTakeATeachingDay() {
        Closure forOne = new Closure(
                LocalDateRange.ofClosed(day("2026-09-09"), day("2026-09-09")),
                null,
                null,
                "",
                "other",
                true,
                false,
                true,
                List.of("HYD 210"),
                false,
                Extra.NONE);
        Closure pauses =
                new Closure(forOne.days(), null, null, "", "other", false, true, true, null, false, Extra.NONE);
        TeachingCalendar calendar = TeachingCalendar.of(demoTerm().withClosures(List.of(forOne, pauses)));
        assertThat(calendar.teaches(day("2026-09-09"))).isTrue();
    }

    private static Term with(Set<LocalDate> extra, Map<LocalDate, DayOfWeek> runsAs) {
        Term term = demoTerm();
        return new Term(
                term.name(),
                term.first(),
                term.last(),
                term.zone(),
                term.weekdays(),
                term.weekStart(),
                null,
                term.closures(),
                new TreeSet<>(extra),
                new TreeMap<>(runsAs),
                null,
                Extra.NONE);
    }
}
