package app.matsuri.exchange.command;

import app.matsuri.core.calendar.Known;
import app.matsuri.exchange.file.Csv;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.Words;
import app.matsuri.exchange.school.Finding;
import app.matsuri.exchange.school.SchoolCalendar;
import java.io.IOException;
import java.io.PrintStream;
import java.io.Writer;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The command <code>./matsuri calendar FILE --first DATE --last DATE [--teaches MO,TU,WE,TH,FR]</code>: what a school's calendar means for a
 * term, line by line, without a server.
 */
public final class CalendarCommand {

    private static final String USAGE =
            "Usage: ./matsuri calendar FILE --first DATE --last DATE [--teaches MO,TU,WE,TH,FR]\n"
                    + "FILE is text, .ics, .csv or .xlsx; DATE is a date such as 2026-08-31, the first and the last day of classes.";
    private static final List<String> VALUES = List.of("--first", "--last", "--teaches");

    private CalendarCommand() {}

    public static void main(String[] arguments) throws IOException {
        CommandLine.run(arguments, CalendarCommand::run);
    }

    /** Runs the command; the exit status: 1 with doubts, 2 where it cannot be read. */
    static int run(String[] arguments, Writer out, PrintStream err) throws IOException {
        Options asked;
        LocalDate first;
        LocalDate last;
        Set<DayOfWeek> teaches;
        try {
            asked = Options.of(arguments, VALUES, List.of()).needing("--first", "--last");
            first = Known.there(asked.date("--first"), "--first");
            last = Known.there(asked.date("--last"), "--last");
            teaches = weekdays(asked.text("--teaches"));
            if (last.isBefore(first) || first.plusYears(5).isBefore(last)) {
                throw new IllegalArgumentException(
                        "The last day is before the first, or more than five years behind it.");
            }
        } catch (IllegalArgumentException e) {
            err.println(e.getMessage());
            err.println(USAGE);
            return 2;
        }
        byte[] bytes = DatesCommand.bytes(asked.file(), err);
        if (bytes == null) {
            return 2;
        }
        List<Finding> found;
        try {
            String name = Path.of(asked.file()).getFileName().toString();
            found = SchoolCalendar.read(new Given(name, bytes), new SchoolCalendar.Term(first, last, teaches, null));
        } catch (Unreadable e) {
            err.println(asked.file() + ": " + e.getMessage());
            return 2;
        }
        try (Csv csv = Csv.to(out)) {
            csv.row("line", "what", "first", "last", "from", "to", "as", "reason", "doubt");
            found.forEach(one -> write(csv, one));
        }
        return found.stream().anyMatch(f -> !f.doubt().isEmpty()) ? 1 : 0;
    }

    private static void write(Csv csv, Finding one) {
        csv.row(
                String.valueOf(one.line()),
                one.what().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                one.first() == null ? "" : one.first().toString(),
                one.last() == null ? "" : one.last().toString(),
                one.from() == null ? "" : one.from().toString(),
                one.to() == null ? "" : end(one.to()),
                one.as() == null ? "" : Words.weekday(one.as()),
                one.reason(),
                one.doubt());
    }

    private static String end(@Nullable LocalTime to) {
        return LocalTime.MIDNIGHT.equals(to) ? "24:00" : String.valueOf(to);
    }

    private static Set<DayOfWeek> weekdays(@Nullable String given) {
        if (given == null) {
            return EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY);
        }
        EnumSet<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        for (String word : given.split("\\s*,\\s*")) {
            days.add(List.of(DayOfWeek.values()).stream()
                    .filter(day -> Words.weekday(day).equals(word))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("“" + word + "” is no weekday such as MO.")));
        }
        return days;
    }
}
