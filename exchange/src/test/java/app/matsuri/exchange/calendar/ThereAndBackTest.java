package app.matsuri.exchange.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.school.DaysOffFile;
import app.matsuri.exchange.school.DaysOffReader;
import app.matsuri.exchange.words.DayWords;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Laws over random terms: what is written reads back as the same, whatever the days and series. */
class ThereAndBackTest {

    private static final ZoneId CHICAGO = ZoneId.of("America/Chicago");
    private static final String[] DAYS = {"MO", "TU", "WE", "TH", "FR"};

    private static Term term(Random random) {
        LocalDate first = LocalDate.of(2026, 8, 1).plusDays(random.nextInt(60));
        Term plain = Term.of("T", first, first.plusDays(90 + random.nextInt(120)), CHICAGO);
        List<Closure> off = new ArrayList<>();
        LocalDate from = first.plusDays(random.nextInt(15));
        while (from.isBefore(plain.last().minusDays(10))) {
            LocalDate last = from.plusDays(random.nextInt(6));
            off.add(Closure.of(from, last, "Reason " + off.size(), "other"));
            from = last.plusDays(5 + random.nextInt(25));
        }
        return plain.withClosures(off);
    }

    private static List<LocalDateTime> starts(Section section, Term term) {
        return section.timetable("GEO 12").sessions(TeachingCalendar.of(term)).all().stream()
                .map(Session::start)
                .toList();
    }

    /** Classes written as a calendar and read as a timetable give the same classes. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void classesWrittenAndReadAsATimetableAreTheSame(long seed) {
        Random random = new Random(seed);
        Term term = term(random);
        List<MeetingPattern> meets = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(3); i++) {
            String every = random.nextInt(3) == 0 ? "INTERVAL=2;" : "";
            String day = DAYS[random.nextInt(5)];
            meets.add(MeetingPattern.of(
                            "FREQ=WEEKLY;" + every + "BYDAY=" + day,
                            LocalTime.of(8 + 2 * i, 15 * random.nextInt(4)),
                            50)
                    .at("Room " + i));
        }
        Section section = Section.of("A", Section.Pace.SESSIONS, meets);
        Course course = Course.of("GEO 12", "Stones", 50, List.of(section), List.of());
        String text = CalendarWriter.sessions(Schedule.of(Decisions.of(term, List.of(course))), Instant.EPOCH);
        var events = CalendarReader.read(new Given("t.ics", text.getBytes(StandardCharsets.UTF_8)), CHICAGO);
        assertThat(events.skipped()).isEmpty();
        List<TimetableReader.Group> groups = TimetableReader.read(events.events(), term);
        assertThat(groups).hasSize(1);
        TimetableReader.Group group = groups.get(0);
        assertThat(group.course()).isEqualTo("GEO 12");
        Section read = Section.of("A", Section.Pace.SESSIONS, group.meets()).withSessionChanges(group.changes());
        assertThat(starts(read, term)).isEqualTo(starts(section, term));
    }

    /** Days off written as a calendar, as a table, or as a person writes a list, read back as the same days. */
    @ParameterizedTest
    @ValueSource(longs = {21, 22, 23, 24, 25, 26, 27, 28})
    void daysOffWrittenInWhateverFormAreTheSame(long seed) {
        Term term = term(new Random(seed));
        DayWords words = new DayWords(term.first(), term.first(), term.last());
        List<String> expected =
                term.closures().stream().map(c -> c.first() + "/" + c.last()).toList();
        Given calendar =
                new Given("off.ics", CalendarWriter.daysOff(term, Instant.EPOCH).getBytes(StandardCharsets.UTF_8));
        assertThat(days(DaysOffFile.read(calendar, term, words))).isEqualTo(expected);
        for (DateTimeFormatter format : List.of(
                DateTimeFormatter.ISO_LOCAL_DATE,
                DateTimeFormatter.ofPattern("MMMM d, uuuu", Locale.ENGLISH),
                DateTimeFormatter.ofPattern("EEE d MMM uuuu", Locale.ENGLISH),
                DateTimeFormatter.ofPattern("d. MMMM uuuu", Locale.GERMAN),
                DateTimeFormatter.ofPattern("dd.MM.uuuu", Locale.GERMAN),
                DateTimeFormatter.ofPattern("EEEE d MMMM uuuu", Locale.FRENCH))) {
            StringBuilder list = new StringBuilder();
            for (Closure c : term.closures()) {
                list.append(c.first().format(format));
                if (!c.first().equals(c.last())) {
                    list.append(" - ").append(c.last().format(format));
                }
                list.append(": Frei\n");
            }
            assertThat(days(DaysOffReader.read(list.toString(), words, EnumSet.allOf(DayOfWeek.class))))
                    .as(list.toString())
                    .isEqualTo(expected);
        }
    }

    private static List<String> days(List<DaysOffReader.Line> lines) {
        return lines.stream()
                .map(DaysOffReader.Line::closure)
                .filter(c -> c != null)
                .map(c -> c.first() + "/" + c.last())
                .toList();
    }
}
