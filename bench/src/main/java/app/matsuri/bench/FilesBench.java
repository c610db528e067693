package app.matsuri.bench;

import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.calendar.CalendarReader;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.TableFile;
import app.matsuri.exchange.holiday.PublicHolidays;
import app.matsuri.exchange.outline.Into;
import app.matsuri.exchange.outline.OutlineReader;
import app.matsuri.exchange.school.DaysOffFile;
import app.matsuri.exchange.school.DaysOffReader;
import app.matsuri.exchange.school.Finding;
import app.matsuri.exchange.school.SchoolCalendar;
import app.matsuri.exchange.sheet.Sheet;
import app.matsuri.exchange.table.DatesSheet;
import app.matsuri.exchange.table.DatesSheetReader;
import app.matsuri.exchange.table.TableReading;
import app.matsuri.exchange.words.CellWords;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.MeetsWords;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Reading a calendar file of 2,000 events, a country's holidays, and a school's list of dates. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class FilesBench {

    private Given calendar;
    private Term term;
    private DayWords words;
    private Decisions plan;
    private Given table;
    private String published;
    private String sheet;
    private Into into;

    @Setup
    public void write() {
        StringBuilder text = new StringBuilder("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//bench//EN\r\n");
        for (int i = 0; i < 2_000; i++) {
            String day = LocalDate.of(2026, 8, 31).plusDays(i % 110).toString().replace("-", "");
            text.append("BEGIN:VEVENT\r\nUID:")
                    .append(i)
                    .append("\r\nDTSTAMP:20260801T000000Z\r\nSUMMARY:Event ")
                    .append(i);
            text.append("\r\nDTSTART;VALUE=DATE:").append(day).append("\r\nEND:VEVENT\r\n");
        }
        text.append("END:VCALENDAR\r\n");
        calendar = new Given("bench.ics", text.toString().getBytes(StandardCharsets.UTF_8));
        term = Term.of("", LocalDate.of(2026, 8, 31), LocalDate.of(2026, 12, 18), ZoneId.of("America/Chicago"));
        words = new DayWords(term.first(), term.first(), term.last());
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < 1_000; i++) {
            LocalDateTime due = term.first().plusDays(i % 100).atTime(17, 0);
            items.add(Item.of("I" + i, null, "homework", "Work " + i, DateRule.at(due)));
        }
        Section section = Section.of("A", Section.Pace.SESSIONS, List.of());
        plan = Decisions.of(
                term, List.of(Course.of("C", "C", 50, List.of(section), List.of(Unit.of("U", "U", List.of(), items)))));
        byte[] book = DatesSheet.workbook(plan, Schedule.of(plan));
        // every other thing stands a day later here than in the table
        plan = plan.withCourse(
                "C",
                c -> c.withUnits(List.of(c.units()
                        .get(0)
                        .withItems(items.stream()
                                .map(i -> Integer.parseInt(i.id().substring(1)) % 2 == 0
                                        ? i
                                        : Item.of(
                                                i.id(),
                                                null,
                                                i.kind(),
                                                i.title(),
                                                DateRule.at(term.last().atTime(12, 0))))
                                .toList()))));
        table = new Given("dates.xlsx", book);
        outline();
        List<String> kinds = List.of(
                "Fall break, no classes",
                "Last day to withdraw with a W",
                "Classes follow a Monday schedule",
                "Career fair, 10-3",
                "no classes after 2 pm",
                "Founders' Day",
                "grades due, noon",
                "Early dismissal 12:30 pm");
        StringBuilder lines = new StringBuilder("Fall 2026\n");
        for (int i = 0; i < 199; i++) {
            LocalDate day = term.first().plusDays(i % 108);
            String month = day.getMonth().getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
            String weekday = day.getDayOfWeek().getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
            lines.append(
                    month + " " + day.getDayOfMonth() + " (" + weekday + ")\t" + kinds.get(i % kinds.size()) + "\n");
        }
        published = lines.toString();
    }

    @Benchmark
    public CalendarReader.Reading calendarOf2000Events() {
        return CalendarReader.read(calendar, term.zone());
    }

    @Benchmark
    public List<DaysOffReader.Line> daysOffOf2000Events() {
        return DaysOffFile.check(DaysOffFile.read(calendar, term, words), term);
    }

    /** 1,000 rows read from a workbook, and the 500 that differ found. */
    @Benchmark
    public TableReading tableOf1000Rows() {
        CellWords cells = new CellWords(plan, Schedule.of(plan), term.first(), false);
        return DatesSheetReader.read(TableFile.rows(table), plan, cells);
    }

    /** 200 lines of text, the dates of a year. */
    @Benchmark
    public List<Finding> schoolCalendarOf200Lines() {
        return SchoolCalendar.read(
                published, new SchoolCalendar.Term(term.first(), term.last(), term.weekdays(), null));
    }

    /** A course that meets each weekday for two years, and a row for each of its classes. */
    private void outline() {
        Term years = Term.of("", LocalDate.of(2026, 8, 31), LocalDate.of(2028, 8, 25), ZoneId.of("America/Chicago"));
        Section daily = Section.of(
                "A",
                Section.Pace.SESSIONS,
                MeetsWords.readAll("Mon-Fri 9-9:50", new DayWords(years.first(), years.first(), years.last())));
        Course course = Course.of("C", "C", 50, List.of(daily), List.of());
        into = Into.plan(
                new DayWords(years.first(), years.first(), years.last()),
                Decisions.of(years, List.of(course)),
                course,
                null);
        StringBuilder text = new StringBuilder("Week\tDate\tUnit\tTopic\tReading\tLab\tWork due\tQuiz\tPts\tNotes\n");
        LocalDate day = years.first();
        for (int i = 0; i < 500; i++, day = day.plusDays(day.getDayOfWeek() == DayOfWeek.FRIDAY ? 3 : 1)) {
            text.append(i / 5 + 1).append('\t').append(day).append('\t');
            text.append(i % 20 == 0 ? "Unit " + (i / 20 + 1) : "")
                    .append("\tTopic ")
                    .append(i);
            text.append("\tCh. ").append(i + 1).append(" (pp. 3–15)\t").append(i % 10 == 0 ? "Lab " + i : "");
            text.append('\t').append(i % 5 == 4 ? "HW " + i + " due " + day.plusDays(2) + " 11:59pm" : "");
            text.append('\t').append(i % 7 == 0 ? "Quiz " + i : "").append("\t10\tbring gloves\n");
        }
        sheet = text.toString();
    }

    /** 500 rows of a teacher's sheet with ten columns, laid on the classes of a section. */
    @Benchmark
    public OutlineReader.Reading teachersSheetOf500Rows() {
        return OutlineReader.read(Sheet.of(sheet), into);
    }

    @Benchmark
    public List<PublicHolidays.PublicHoliday> holidaysOfACountryAndYear() {
        return PublicHolidays.of("de", "by", LocalDate.of(2026, 1, 1), LocalDate.of(2026, 12, 31), Locale.GERMAN);
    }
}
