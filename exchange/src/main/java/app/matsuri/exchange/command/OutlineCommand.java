package app.matsuri.exchange.command;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.With;
import app.matsuri.exchange.file.Csv;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.outline.Into;
import app.matsuri.exchange.outline.OutlineFile;
import app.matsuri.exchange.outline.OutlineReader;
import app.matsuri.exchange.outline.OutlineRow;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.words.DayWords;
import java.io.IOException;
import java.io.PrintStream;
import java.io.Writer;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * The command <code>./matsuri outline FILE --plan TERM.json --course CODE [--section A] [--columns] [--out NEW.json]</code>: what a
 * teacher's sheet means for a course as CSV, without a server.
 */
public final class OutlineCommand {

    private static final String USAGE =
            "Usage: ./matsuri outline FILE --plan TERM.json --course 'HYD 210' [--section A] [--columns] [--out NEW.json]";
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm");

    private OutlineCommand() {}

    public static void main(String[] arguments) throws IOException {
        CommandLine.run(arguments, OutlineCommand::run);
    }

    /** Runs the command; the exit status: 0, with doubts 1, unreadable 2. */
    static int run(String[] arguments, Writer out, PrintStream err) throws IOException {
        Options asked;
        try {
            asked = Options.of(arguments, List.of("--plan", "--course", "--section", "--out"), List.of("--columns"))
                    .needing("--plan", "--course");
        } catch (IllegalArgumentException e) {
            err.println(e.getMessage());
            err.println(USAGE);
            return 2;
        }
        byte[] sheet = DatesCommand.bytes(asked.file(), err);
        byte[] plan = sheet == null ? null : DatesCommand.bytes(asked.needed("--plan"), err);
        if (sheet == null || plan == null) {
            return 2;
        }
        PlanFile.Reading reading = PlanFile.read(plan);
        reading.faults().forEach(fault -> err.println(fault.line(asked.needed("--plan"))));
        Decisions decisions = reading.decisions();
        if (decisions == null) {
            return 2;
        }
        Course course = decisions.course(asked.needed("--course")).orElse(null);
        String section = asked.text("--section");
        if (course == null || section != null && course.section(section).isEmpty()) {
            err.println(course == null ? none(decisions, asked.needed("--course")) : none(course, section));
            return 2;
        }
        OutlineReader.Reading read;
        try {
            String name = Path.of(asked.file()).getFileName().toString();
            DayWords days = new DayWords(
                    decisions.term().first(),
                    decisions.term().first(),
                    decisions.term().last());
            read = OutlineFile.read(new Given(name, sheet), Into.plan(days, decisions, course, section));
        } catch (Unreadable e) {
            err.println(asked.file() + ": " + e.getMessage());
            return 2;
        }
        if (asked.has("--columns")) {
            columns(read, out);
        } else {
            rows(read, out);
        }
        if (asked.has("--out")) {
            Decisions with = with(decisions, course.code(), read.units());
            OutlineReader.OfHalfGroups labs = read.labs();
            with = labs == null ? with : with(with, labs.course(), labs.units());
            Files.writeString(Path.of(asked.needed("--out")), PlanFile.write(with));
        }
        return read.doubtful() ? 1 : 0;
    }

    /** The plan with the units of a course where they were, new ones behind them. */
    private static Decisions with(Decisions decisions, String code, List<Unit> read) {
        Course course = decisions.course(code).orElseThrow();
        List<Unit> units = course.units();
        for (Unit unit : read) {
            units = With.put(units, u -> u.id().equals(unit.id()), unit);
        }
        return decisions.withCourse(course.withUnits(units));
    }

    private static String none(Decisions decisions, String code) {
        return "The plan has no course “" + code + "”, but "
                + String.join(
                        ", ", decisions.courses().stream().map(Course::code).toList()) + ".";
    }

    private static String none(Course course, @Nullable String section) {
        return course.code() + " has no section “" + section + "”, but "
                + String.join(
                        ", ", course.sections().stream().map(Section::code).toList()) + ".";
    }

    private static void columns(OutlineReader.Reading read, Writer out) throws IOException {
        try (Csv csv = Csv.to(out)) {
            csv.row("column", "head", "meaning");
            read.columns().forEach(c -> csv.row(String.valueOf(c.number()), c.head(), c.meaning()));
        }
    }

    private static void rows(OutlineReader.Reading read, Writer out) throws IOException {
        try (Csv csv = Csv.to(out)) {
            csv.row(
                    "row",
                    "what",
                    "unit",
                    "title",
                    "kind",
                    "sessions",
                    "date",
                    "lesson",
                    "opens",
                    "due",
                    "closes",
                    "points",
                    "percent",
                    "minutes",
                    "doubt");
            for (OutlineRow row : read.rows()) {
                csv.row(
                        String.valueOf(row.row()),
                        row.what(),
                        row.unit(),
                        row.title(),
                        row.kind(),
                        Objects.toString(row.sessions(), ""),
                        Objects.toString(row.date(), ""),
                        row.lesson(),
                        at(row.opens()),
                        at(row.due()),
                        at(row.closes()),
                        number(row.points()),
                        number(row.percent()),
                        Objects.toString(row.minutes(), ""),
                        row.doubt());
            }
        }
    }

    private static String at(@Nullable LocalDateTime moment) {
        return moment == null ? "" : MOMENT.format(moment);
    }

    private static String number(@Nullable BigDecimal number) {
        return number == null ? "" : number.stripTrailingZeros().toPlainString();
    }
}
