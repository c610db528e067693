package app.matsuri.exchange.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.calendar.PutClosure;
import app.matsuri.core.change.calendar.RemoveClosure;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.exchange.calendar.CalendarReader.Event;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.school.DaysOffFile;
import app.matsuri.exchange.school.DaysOffReader.Line;
import app.matsuri.exchange.table.TermTables;
import app.matsuri.exchange.words.DayWords;
import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.io.ParseWarning;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.threeten.extra.LocalDateRange;

class CalendarFilesTest {

    private static final ZoneId CHICAGO = ZoneId.of("America/Chicago");
    private static final Instant MADE = Instant.parse("2026-08-01T12:00:00Z");

    private static LocalDate day(String iso) {
        return LocalDate.parse(iso);
    }

    private static Decisions demo() throws IOException {
        return PlanFile.read(Files.readString(Path.of("../demo/autumn-2026.json")))
                .decisions();
    }

    private static DayWords words(Term term) {
        return new DayWords(term.first(), term.first(), term.last());
    }

    private static Given ics(String... lines) {
        String text = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//test//EN\r\n" + String.join("\r\n", lines)
                + "\r\nEND:VCALENDAR\r\n";
        return new Given("calendar.ics", text.getBytes(StandardCharsets.UTF_8));
    }

    private static String[] event(String uid, String summary, String... more) {
        List<String> lines = new ArrayList<>(
                List.of("BEGIN:VEVENT", "UID:" + uid, "DTSTAMP:20260801T120000Z", "SUMMARY:" + summary));
        lines.addAll(Arrays.asList(more));
        lines.add("END:VEVENT");
        return lines.toArray(String[]::new);
    }

    /** RFC 5545 section 3.6.1 (DTEND is exclusive), read back by another library than the one that writes. */
    @Test
    void daysOffAreWrittenWithAnExclusiveEndAndSeenAsFree() throws IOException {
        String text = CalendarWriter.daysOff(demo().term(), MADE);
        List<List<ParseWarning>> warnings = new ArrayList<>();
        ICalendar calendar = Biweekly.parse(text).warnings(warnings).first();
        assertThat(warnings).allMatch(List::isEmpty);
        VEvent autumn = calendar.getEvents().get(1);
        assertThat(autumn.getSummary().getValue()).isEqualTo("Autumn break");
        assertThat(autumn.getDateStart().getValue().getRawComponents().toString(false, false))
                .isEqualTo("20261012");
        assertThat(autumn.getDateEnd().getValue().getRawComponents().toString(false, false))
                .isEqualTo("20261014");
        assertThat(autumn.getTransparency().isTransparent()).isTrue();
        assertThat(calendar.validate(biweekly.ICalVersion.V2_0).isEmpty()).isTrue();
    }

    /** RFC 5545 section 3.1: lines of at most 75 octets, ended by CRLF; section 3.3.11: text escaped. */
    @Test
    void longAndForeignNamesAreFoldedByOctetsAndComeBackWhole() throws IOException {
        String name = "Ferienfahrt über Grüße, Flüsse; und \\ noch viel längere Namen — "
                .repeat(3)
                .strip();
        Term term =
                demo().term().withClosures(List.of(Closure.of(day("2026-10-12"), day("2026-10-13"), name, "break")));
        String text = CalendarWriter.daysOff(term, MADE);
        for (String line : text.split("\r\n")) {
            assertThat(line.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(75);
            assertThat(line).doesNotContain("\n");
        }
        assertThat(Biweekly.parse(text).first().getEvents().get(0).getSummary().getValue())
                .isEqualTo(name);
    }

    @Test
    void classesKeepTheirClockTimeOnBothSidesOfAClockChange() throws IOException {
        Schedule schedule = Schedule.of(demo());
        ICalendar calendar =
                Biweekly.parse(CalendarWriter.sessions(schedule, MADE)).first();
        int classes = schedule.sections().stream()
                .filter(s -> !s.section().meets().isEmpty())
                .mapToInt(s -> s.sessions().size())
                .sum();
        assertThat(calendar.getEvents()).hasSize(classes);
        assertThat(calendar.getEvents().stream().map(e -> e.getUid().getValue()).distinct())
                .hasSize(classes);
        // the US clock change of 2026-11-01 (IANA tz database)
        List<Instant> starts = calendar.getEvents().stream()
                .filter(e -> e.getSummary().getValue().equals("HYD 210 A"))
                .map(e -> e.getDateStart().getValue().toInstant())
                .toList();
        assertThat(starts).contains(Instant.parse("2026-10-30T15:00:00Z"), Instant.parse("2026-11-02T16:00:00Z"));
    }

    /** The EU change of 2026-03-29: 02:00 to 03:00 is skipped (IANA tz database). */
    @Test
    void aClassAtATimeThatTheClockSkipsKeepsItsLength() throws IOException {
        Section night = Section.of(
                "A",
                Section.Pace.SESSIONS,
                List.of(MeetingPattern.of("FREQ=WEEKLY;BYDAY=SU", LocalTime.of(2, 30), 50)));
        Term term = Term.of(
                        "Spring",
                        LocalDate.parse("2026-03-23"),
                        LocalDate.parse("2026-04-05"),
                        ZoneId.of("Europe/Berlin"))
                .withClosures(List.of());
        Schedule schedule =
                Schedule.of(Decisions.of(term, List.of(Course.of("OWL", "Owls", 50, List.of(night), List.of()))));
        Biweekly.parse(CalendarWriter.sessions(schedule, MADE))
                .first()
                .getEvents()
                .forEach(e -> assertThat(Duration.between(
                                e.getDateStart().getValue().toInstant(),
                                e.getDateEnd().getValue().toInstant()))
                        .isEqualTo(Duration.ofMinutes(50)));
    }

    @Test
    void daysOffWrittenAsTableOrCalendarReadBackTheSame() throws IOException {
        Term term = demo().term();
        Given csv = new Given("off.csv", TermTables.daysOff(term).getBytes(StandardCharsets.UTF_8));
        assertThat(DaysOffFile.read(csv, term, words(term)).stream()
                        .filter(l -> l.closure() != null)
                        .map(Line::closure))
                .isEqualTo(term.closures());
        Given calendar = new Given("off.ics", CalendarWriter.daysOff(term, MADE).getBytes(StandardCharsets.UTF_8));
        assertThat(DaysOffFile.read(calendar, term, words(term)).stream()
                        .map(Line::closure)
                        .filter(Objects::nonNull) // a drill has hours and is passed over
                        .map(c -> c.first() + " " + c.last() + " " + c.reason()))
                .containsExactlyElementsOf(term.closures().stream()
                        .filter(Closure::wholeDay)
                        .map(c -> c.first() + " " + c.last() + " " + c.reason())
                        .toList());
    }

    /** The tables say times on the clock that the person reads, and are read back from either. */
    @Test
    void tablesAreWrittenOnTheClockThatIsReadAndReadBackTheSame() throws IOException {
        Closure drill = new Closure(
                LocalDateRange.ofClosed(day("2026-10-07"), day("2026-10-07")),
                LocalTime.of(13, 30),
                LocalTime.MIDNIGHT,
                "Drill",
                "drill",
                true,
                false,
                false,
                null,
                false,
                Extra.NONE);
        Term term = demo().term().withClosures(List.of(drill));
        Say.twelveHours(true);
        try {
            String text = TermTables.daysOff(term);
            assertThat(text).contains("1:30 pm,midnight,Drill").doesNotContain("13:30");
            Given csv = new Given("off.csv", text.getBytes(StandardCharsets.UTF_8));
            assertThat(DaysOffFile.read(csv, term, words(term)))
                    .extracting(Line::closure)
                    .filteredOn(Objects::nonNull)
                    .containsExactly(drill);
        } finally {
            Say.twelveHours(false);
        }
    }

    /** Hours that are not understood make no whole day off. */
    @Test
    void hoursInATableThatAreNoPartOfADayAreNotUnderstood() throws IOException {
        Term term = demo().term().withClosures(List.of());
        for (String hours : List.of("1:30 pm,", ",15:00", "15:00,13:30", "after lunch,15:00", "13:30,the bell")) {
            String text = "first,last,from,to,reason\n2026-10-07,2026-10-07," + hours + ",Drill\n";
            Given csv = new Given("off.csv", text.getBytes(StandardCharsets.UTF_8));
            assertThat(DaysOffFile.read(csv, term, words(term)))
                    .as(hours)
                    .extracting(Line::state)
                    .containsExactly("heading", "not-understood");
        }
    }

    /** RFC 4180, read back by another library than the one that writes (Apache Commons CSV in its RFC 4180 form). */
    @Test
    void tablesAreReadBackByAnotherLibrary() throws IOException {
        String reason = "Break, \"autumn\"\r\nsecond line";
        Term term =
                demo().term().withClosures(List.of(Closure.of(day("2026-10-12"), day("2026-10-13"), reason, "break")));
        String text = TermTables.daysOff(term);
        assertThat(text).endsWith("\r\n");
        List<CSVRecord> rows = CSVFormat.RFC4180.parse(new StringReader(text)).getRecords();
        assertThat(rows).hasSize(2).allMatch(row -> row.size() == 10);
        assertThat(rows.get(1).get(4)).isEqualTo(reason);
    }

    @Test
    void eventsOfASchoolsCalendarAreJudgedLikeLines() throws IOException {
        Term term = demo().term();
        List<String> lines = new ArrayList<>();
        lines.addAll(List.of(event("1", "Staff day\\, no students", "DTSTART;VALUE=DATE:20261023")));
        lines.addAll(List.of(event("2", "Harvest break", "DTSTART;VALUE=DATE:20261012", "DTEND;VALUE=DATE:20261017")));
        lines.addAll(List.of(event("3", "Grades due", "DTSTART;VALUE=DATE:20261221")));
        lines.addAll(List.of(event("4", "First day of classes", "DTSTART;VALUE=DATE:20260831")));
        lines.addAll(List.of(event("5", "Choir", "DTSTART:20261001T190000Z", "DTEND:20261001T200000Z")));
        List<Line> read = DaysOffFile.read(ics(lines.toArray(String[]::new)), term, words(term));
        assertThat(read).extracting(Line::state).containsExactly("off", "off", "passed", "meets", "passed");
        assertThat(read.get(1).closure().last()).isEqualTo(day("2026-10-16"));
        assertThat(read.get(0).closure().kind()).isEqualTo("staff-day");
    }

    @Test
    void doublesOverlapsAndWhatIsOffAlreadyAreFound() throws IOException {
        Term term = demo().term();
        Given list = new Given(
                "list.txt",
                "Oct 12-13 Autumn break\nOct 23 Staff day\nOct 23 Staff day\nOct 21-23 Camp, no classes\nJul 4 Picnic day, closed"
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(DaysOffFile.check(DaysOffFile.read(list, term, words(term)), term))
                .extracting(Line::state)
                .containsExactly("known", "off", "double", "overlap", "outside");
    }

    @Test
    void aFileReadAgainGivesOnlyWhatDiffers() throws IOException {
        Closure moved = Closure.of(day("2026-10-12"), day("2026-10-13"), "Autumn break", "break");
        Closure later = Closure.of(day("2026-10-19"), day("2026-10-20"), "Autumn break", "break");
        Closure gone = Closure.of(day("2026-11-25"), day("2026-11-27"), "Holiday break", "break");
        Closure more = Closure.of(day("2026-11-11"), day("2026-11-11"), "Bridge Day", "public-holiday");
        Closure byHand = Closure.of(day("2026-10-09"), day("2026-10-09"), "Flood warning", "weather");
        Term term = demo().term().withClosures(List.of(moved, gone, byHand));
        List<Change> changes = DaysOffFile.differences(List.of(moved, gone), List.of(later, more), term);
        assertThat(changes)
                .containsExactlyInAnyOrder(
                        new PutClosure(moved.first(), moved.last(), "Autumn break", later),
                        new AddClosure(more),
                        new RemoveClosure(gone.first(), gone.last(), "Holiday break"));
        assertThat(DaysOffFile.differences(List.of(moved), List.of(moved), term))
                .isEmpty();
        assertThat(DaysOffFile.differences(List.of(more), List.of(), term)).isEmpty();
    }

    @Test
    void aTimetableBecomesSections() throws IOException {
        Term term = demo().term();
        List<String> lines = new ArrayList<>();
        lines.addAll(List.of(event(
                "r",
                "HYD 210 A Reading Rivers",
                "LOCATION:Weir House 2",
                "DTSTART;TZID=America/Chicago:20260831T100000",
                "DTEND;TZID=America/Chicago:20260831T105000",
                "RRULE:FREQ=WEEKLY;BYDAY=MO,WE,FR;UNTIL=20261218T235959Z",
                "EXDATE;TZID=America/Chicago:20261002T100000")));
        lines.addAll(List.of(event(
                "r",
                "HYD 210 A Reading Rivers",
                "RECURRENCE-ID;TZID=America/Chicago:20261005T100000",
                "DTSTART;TZID=America/Chicago:20261006T090000",
                "DTEND;TZID=America/Chicago:20261006T095000")));
        for (int week = 0; week < 6; week++) {
            String d = day("2026-09-03").plusWeeks(2L * week).toString().replace("-", "");
            lines.addAll(
                    List.of(event("l" + week, "HYD 210L-L1", "DTSTART:" + d + "T150000", "DTEND:" + d + "T165000")));
        }
        lines.addAll(List.of(event("x", "Open house", "DTSTART:20261007T180000", "DTEND:20261007T190000")));
        List<Event> events =
                CalendarReader.read(ics(lines.toArray(String[]::new)), CHICAGO).events();
        List<TimetableReader.Group> groups = TimetableReader.read(events, term);
        assertThat(groups)
                .extracting(g -> g.course() + "/" + g.section())
                .containsExactly("HYD 210/A", "HYD 210L/L1", "Open house/A");
        var a = groups.get(0);
        assertThat(a.title()).isEqualTo("Reading Rivers");
        assertThat(a.meets()).hasSize(1);
        assertThat(a.meets().get(0).rule()).isEqualTo("FREQ=WEEKLY;BYDAY=MO,WE,FR");
        assertThat(a.meets().get(0).until()).isEqualTo(day("2026-12-18"));
        assertThat(a.meets().get(0).place()).isEqualTo("Weir House 2");
        assertThat(a.changes()).hasSize(2);
        assertThat(groups.get(1).meets().get(0).rule()).isEqualTo("FREQ=WEEKLY;INTERVAL=2;BYDAY=TH");
        assertThat(groups.get(1).meets().get(0).start()).isEqualTo(LocalTime.of(15, 0));
        assertThat(groups.get(2).changes()).hasSize(1);
    }

    @Test
    void hostileCalendarsAreRefusedOrBounded() throws IOException {
        String many = "BEGIN:VCALENDAR\r\n" + "BEGIN:VEVENT\r\nEND:VEVENT\r\n".repeat(100_000) + "END:VCALENDAR\r\n";
        assertThatThrownBy(() ->
                        CalendarReader.read(new Given("many.ics", many.getBytes(StandardCharsets.UTF_8)), CHICAGO))
                .hasMessageContaining("more than 20,000 events");
        assertThatThrownBy(() -> CalendarReader.read(
                        new Given("cut.ics", "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\n".getBytes(StandardCharsets.UTF_8)),
                        CHICAGO))
                .hasMessageContaining("no calendar that can be read");
        // a rule without an end is kept as a rule and only asked for the term's days
        List<Event> endless = CalendarReader.read(
                        ics(event(
                                "1",
                                "HYD 1 A",
                                "DTSTART:20260831T100000",
                                "DTEND:20260831T105000",
                                "RRULE:FREQ=DAILY")),
                        CHICAGO)
                .events();
        Term term = demo().term();
        assertThat(TimetableReader.read(endless, term)).hasSize(1);
        // wrong dates cost one event, not the file
        CalendarReader.Reading wrong =
                CalendarReader.read(ics(event("1", "Wrong", "DTSTART;VALUE=DATE:20261399")), CHICAGO);
        assertThat(wrong.events().size() + wrong.skipped().size()).isEqualTo(1);
    }

    @Test
    void partsOfDaysAreWrittenWithTheirHours() throws IOException {
        Closure drill = new Closure(
                LocalDateRange.ofClosed(day("2026-09-23"), day("2026-09-24")),
                LocalTime.of(10, 10),
                LocalTime.of(10, 35),
                "Drill",
                "event",
                true,
                false,
                false,
                null,
                false,
                Extra.NONE);
        String text = CalendarWriter.daysOff(demo().term().withClosures(List.of(drill)), MADE);
        VEvent event = Biweekly.parse(text).first().getEvents().get(0);
        assertThat(LocalDateTime.ofInstant(event.getDateStart().getValue().toInstant(), CHICAGO))
                .isEqualTo(LocalDateTime.parse("2026-09-23T10:10"));
        assertThat(event.getRecurrenceRule().getValue().getCount()).isEqualTo(2);
    }
}
