package app.matsuri.exchange.school;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.change.calendar.MarkDays;
import app.matsuri.core.change.calendar.MarkDays.Mark;
import app.matsuri.exchange.words.DayWords;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DaysOffReaderTest {

    private static final DayWords YEAR =
            new DayWords(LocalDate.parse("2026-08-24"), LocalDate.parse("2026-08-24"), LocalDate.parse("2027-06-30"));

    private static final Set<DayOfWeek> WEEK = EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY);

    private static DaysOffReader.Line one(String text) {
        List<DaysOffReader.Line> lines = DaysOffReader.read(text, YEAR, WEEK);
        assertThat(lines).hasSize(1);
        return lines.get(0);
    }

    /** Forms in which schools publish their dates (common practice, from memory; names made up). */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Fall break October 12-13|2026-10-12|2026-10-13|Fall break|break",
                "Nov 25 to 27: Thanksgiving|2026-11-25|2026-11-27|Thanksgiving|public-holiday",
                "12.-13.10. Herbstferien|2026-10-12|2026-10-13|Herbstferien|break",
                "12.10.-13.10.2026 Herbstferien|2026-10-12|2026-10-13|Herbstferien|break",
                "Herbstferien: vom 12. bis 24. Oktober 2026|2026-10-12|2026-10-24|Herbstferien|break",
                "Weihnachtsferien 23.12.2026 - 06.01.2027|2026-12-23|2027-01-06|Weihnachtsferien|break",
                "Wednesday-Friday, November 25-27 Harvest Recess (no school)|2026-11-25|2026-11-27|Harvest Recess|break",
                "Monday, December 21, 2026 through Friday, January 1, 2027 - Winter Break|2026-12-21|2027-01-01|Winter Break|break",
                "Dec 21 - Jan 1 Winter recess|2026-12-21|2027-01-01|Winter recess|break",
                "Half term: Monday 26 October – Friday 30 October 2026|2026-10-26|2026-10-30|Half term|break",
                "INSET day: Monday 4 January 2027|2027-01-04|2027-01-04|INSET day|staff-day",
                "Vacances d'automne : du samedi 17 octobre au lundi 2 novembre 2026|2026-10-17|2026-11-02|Vacances d'automne|break",
                "Vacaciones de Navidad: del 23 de diciembre de 2026 al 7 de enero de 2027|2026-12-23|2027-01-07|Vacaciones de Navidad|break",
                "Sept. 7 (Mon)   Workers' Day, college closed|2026-09-07|2026-09-07|Workers' Day|public-holiday",
                "9/7 Workers' Day, closed|2026-09-07|2026-09-07|Workers' Day|public-holiday",
                "2026-10-12 Teacher work day|2026-10-12|2026-10-12|Teacher work day|staff-day",
                "Oct 12 & 13 Autumn days off|2026-10-12|2026-10-13|Autumn days off|other",
                "March 15-19, 2027 Spring Break|2027-03-15|2027-03-19|Spring Break|break",
                "le 11 novembre Jour de mémoire, férié|2026-11-11|2026-11-11|Jour de mémoire, férié|public-holiday",
            })
    void runsOfDaysAsSchoolsPublishThem(String text, LocalDate first, LocalDate last, String reason, String kind) {
        DaysOffReader.Line line = one(text);
        assertThat(line.state()).as(line.said()).isEqualTo("off");
        assertThat(List.of(line.closure().first(), line.closure().last())).containsExactly(first, last);
        assertThat(line.closure().reason()).isEqualTo(reason);
        assertThat(line.closure().kind()).isEqualTo(kind);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Aug 24 First day of classes|meets",
                "Jan 11 Classes resume|meets",
                "Sept 4 Last day to add/drop|passed",
                "Dec 18 Grades due|passed",
                "32.13. Nothing|not-understood",
                "Academic Calendar 2026-27|heading",
            })
    void datesThatAreNoDaysOffAreKeptAndSaidSo(String text, String state) {
        assertThat(one(text).state()).isEqualTo(state);
        assertThat(one(text).closure()).isNull();
        assertThat(one(text).text()).isEqualTo(text);
    }

    /** What may be a day off and does not say so is never taken in silence: it is shown, and taken when somebody says so. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Nov 24 Early release|from which hour|It does not say at which hour classes end.",
                "Nov 11 Bridge Day|whether|It does not say whether classes meet.",
                "Oct 13 (Mon) No classes|the weekday|2026-10-13 is a Tuesday, and Monday is printed.",
                "Oct 30 Classes may be cancelled|whether|It says that this may be so",
            })
    void whatIsNotClearIsADoubt(String text, String what, String why) {
        DaysOffReader.Line line = one(text);
        assertThat(line.state()).isEqualTo("doubtful");
        assertThat(line.taken()).as(what).isFalse();
        assertThat(line.closure()).isNotNull();
        assertThat(line.said()).contains(why);
    }

    @Test
    void whatIsNoDayOffIsSaid() {
        assertThat(one("Oct 1 Career fair").said()).isEqualTo("no day off");
        assertThat(one("Dec 5 make-up day if needed").said()).contains("in reserve for days that are lost");
    }

    @Test
    void daysThatRunAsAnotherOrTeachAreMarked() {
        DaysOffReader.Line monday = one("Oct 20 (Tue) follows a Monday schedule");
        assertThat(monday.said()).isEqualTo("Tue 20 Oct: runs as a Monday");
        assertThat(monday.mark())
                .isEqualTo(new MarkDays(
                        LocalDate.of(2026, 10, 20), LocalDate.of(2026, 10, 20), Mark.RUNS_AS, DayOfWeek.MONDAY));
        assertThat(monday.taken()).isTrue();
        assertThat(one("Sat Oct 24 classes meet to make up for Oct 12").mark().as())
                .isEqualTo(Mark.TEACHES);
        assertThat(one("Sat Oct 24: Friday schedule").mark().as()).isEqualTo(Mark.RUNS_AS);
        DaysOffReader.Line doubt = one("Oct 20 (Wed) follows a Monday schedule");
        assertThat(doubt.taken()).isFalse();
        assertThat(doubt.said())
                .isEqualTo("Tue 20 Oct: runs as a Monday? 2026-10-20 is a Tuesday, and Wednesday is printed.");
    }

    @Test
    void rowsOfATableGiveFirstAndLastDay() {
        DaysOffReader.Line line = one("2026-10-12\t2026-10-13\tAutumn break");
        assertThat(line.closure().last()).isEqualTo(LocalDate.parse("2026-10-13"));
        assertThat(line.closure().reason()).isEqualTo("Autumn break");
        assertThat(one("Workers' Day\tSeptember 7, 2026\tMonday").closure().reason())
                .isEqualTo("Workers' Day");
    }

    @Test
    void aMonthStandsOverTheLinesBelowIt() {
        List<DaysOffReader.Line> lines = DaysOffReader.read(
                "October 2026\n12-13 Fall break\nMon 26 Staff day\nMarch 2027\n15-19 Spring break", YEAR, WEEK);
        assertThat(lines)
                .extracting(DaysOffReader.Line::state)
                .containsExactly("heading", "off", "off", "heading", "off");
        assertThat(lines.get(2).closure().first()).isEqualTo(LocalDate.parse("2026-10-26"));
        assertThat(lines.get(4).closure().last()).isEqualTo(LocalDate.parse("2027-03-19"));
    }

    @Test
    void anEarlyEndTakesPartOfTheDay() {
        DaysOffReader.Line line = one("Nov 24 Early dismissal at 12:30 pm");
        assertThat(line.closure().wholeDay()).isFalse();
        assertThat(line.closure().from()).hasToString("12:30");
        assertThat(one("Sept 23 Drill, no classes 10:10-10:35").closure().to()).hasToString("10:35");
    }

    @Test
    void dayFirstSlashesAreReadWhereTheyAreUsual() {
        DayWords british = new DayWords(YEAR.base(), YEAR.first(), YEAR.last(), true);
        assertThat(DaysOffReader.read("12/10/2026 Staff day", british, WEEK)
                        .get(0)
                        .closure()
                        .first())
                .isEqualTo(LocalDate.parse("2026-10-12"));
        assertThat(one("12/10/2026 Staff day").closure().first()).isEqualTo(LocalDate.parse("2026-12-10"));
    }

    @Test
    void aHundredThousandLinesAreBounded() {
        List<DaysOffReader.Line> lines = DaysOffReader.read("Oct 12 Off\n".repeat(100_000), YEAR, WEEK);
        assertThat(lines).hasSize(DaysOffReader.MOST_LINES + 1);
        assertThat(lines.get(DaysOffReader.MOST_LINES).said()).contains("not read");
    }
}
