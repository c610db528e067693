package app.matsuri.bench;

import app.matsuri.core.calendar.Term;
import app.matsuri.exchange.calendar.CalendarReader;
import app.matsuri.exchange.calendar.DaysOffFile;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.holiday.PublicHolidays;
import app.matsuri.exchange.outline.DayWords;
import app.matsuri.exchange.outline.DaysOffReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
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
    }

    @Benchmark
    public CalendarReader.Reading calendarOf2000Events() {
        return CalendarReader.read(calendar, term.zone());
    }

    @Benchmark
    public List<DaysOffReader.Line> daysOffOf2000Events() {
        return DaysOffFile.check(DaysOffFile.read(calendar, term, words), term);
    }

    @Benchmark
    public List<PublicHolidays.PublicHoliday> holidaysOfACountryAndYear() {
        return PublicHolidays.of("de", "by", LocalDate.of(2026, 1, 1), LocalDate.of(2026, 12, 31), Locale.GERMAN);
    }
}
