package app.matsuri.exchange.school;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.words.DayWords;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/**
 * Whole academic calendars in the forms in which a university, a school district and schools in Europe publish them: the
 * kinds of dates and the wording are from memory, all names and days are made up. Each is set up from pasted text alone.
 */
class WholeCalendarsTest {

    private record Set(List<DaysOffReader.Line> lines, Term term) {

        List<String> off() {
            return term.closures().stream()
                    .map(c -> (c.first() + "/" + c.last() + (c.wholeDay() ? "" : " " + c.from()) + " " + c.reason())
                            .strip())
                    .toList();
        }
    }

    private static Set set(String name, String first, String last) throws IOException {
        Path file = Path.of("src/test/resources/calendars", name);
        Term term = Term.of(name, LocalDate.parse(first), LocalDate.parse(last), ZoneOffset.UTC);
        DayWords words = new DayWords(term.first(), term.first(), term.last());
        List<DaysOffReader.Line> lines =
                DaysOffFile.check(DaysOffFile.read(new Given(name, Files.readAllBytes(file)), term, words), term);
        return new Set(
                lines,
                term.withClosures(lines.stream()
                        .filter(l -> l.state().equals("off"))
                        .map(DaysOffReader.Line::closure)
                        .filter(Objects::nonNull)
                        .toList()));
    }

    @Test
    void aUniversityOfTheUnitedStates() throws IOException {
        Set autumn = set("university-us.txt", "2026-08-31", "2026-12-18");
        assertThat(autumn.off())
                .containsExactly(
                        "2026-09-07/2026-09-07 Workers' Day",
                        "2026-10-12/2026-10-13 Autumn break",
                        "2026-11-25/2026-11-27 Harvest holiday",
                        "2026-12-14/2026-12-14 Reading day");
        assertThat(autumn.lines()).noneMatch(l -> l.state().equals("not-understood"));
        assertThat(TeachingCalendar.of(autumn.term()).teachingDays()).hasSize(74 - 1);
        assertThat(set("university-us.txt", "2027-01-19", "2027-05-07").off())
                .containsExactly(
                        "2027-02-15/2027-02-15 Founders' Day",
                        "2027-03-15/2027-03-19 Spring break",
                        "2027-04-02/2027-04-02 Spring holiday");
    }

    @Test
    void aSchoolDistrictOfTheUnitedStates() throws IOException {
        Set year = set("district-us.txt", "2026-08-24", "2027-05-28");
        assertThat(year.off())
                .containsExactly(
                        "2026-09-07/2026-09-07 Workers' Day",
                        "2026-09-23/2026-09-23 12:30 Early dismissal 12:30 pm",
                        "2026-10-12/2026-10-12 Professional Development Day",
                        "2026-11-03/2026-11-03 Parent/Teacher Conferences",
                        "2026-11-11/2026-11-11 Bridge Day",
                        "2026-11-23/2026-11-27 Harvest Recess",
                        "2026-12-21/2026-12-31 Winter Break",
                        "2027-01-01/2027-01-01 Winter Break",
                        "2027-01-18/2027-01-18 Holiday",
                        "2027-02-15/2027-02-15 Founders' Day",
                        "2027-03-12/2027-03-12 Teacher planning day",
                        "2027-03-22/2027-03-26 Spring Break",
                        "2027-04-02/2027-04-02 No School");
        assertThat(year.lines()).noneMatch(l -> l.state().equals("not-understood"));
    }

    @Test
    void aSchoolInGermany() throws IOException {
        Set year = set("school-de.txt", "2026-09-14", "2027-07-30");
        assertThat(year.off())
                .containsExactly(
                        "2026-11-02/2026-11-06 Herbstferien",
                        "2026-11-18/2026-11-18 Buß- und Bettag",
                        "2026-10-03/2026-10-03 Feiertag",
                        "2026-12-24/2027-01-08 Weihnachtsferien",
                        "2027-02-08/2027-02-12 Frühjahrsferien",
                        "2027-03-22/2027-04-02 Osterferien",
                        "2027-05-01/2027-05-01 Maifeiertag",
                        "2027-05-06/2027-05-06 Himmelfahrt",
                        "2027-05-07/2027-05-07 beweglicher Ferientag",
                        "2027-05-18/2027-05-28 Pfingstferien");
        assertThat(year.lines()).noneMatch(l -> l.state().equals("not-understood"));
    }

    @Test
    void aSchoolInBritain() throws IOException {
        Set year = set("school-uk.txt", "2026-09-02", "2027-07-21");
        assertThat(year.off())
                .containsExactly(
                        "2026-10-26/2026-10-30 Half term",
                        "2026-11-02/2026-11-02 INSET day",
                        "2026-12-21/2027-01-01 Christmas holidays",
                        "2027-02-15/2027-02-19 Half term",
                        "2027-03-26/2027-04-09 Easter holidays",
                        "2027-05-03/2027-05-03 May Day bank holiday",
                        "2027-05-31/2027-06-04 Half term");
        assertThat(year.lines()).noneMatch(l -> l.state().equals("not-understood"));
    }
}
