package app.matsuri.exchange.command;

import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.rollover.RollBy;
import app.matsuri.core.rollover.RolledOver;
import app.matsuri.core.rollover.Rollover;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.plan.Words;
import app.matsuri.exchange.rollover.DatesOfAnother;
import app.matsuri.exchange.table.RolloverTable;
import java.io.IOException;
import java.io.PrintStream;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The command <code>./matsuri roll FILE --course 'HYD 210' --to TERM.json --by class|week|teaching-week|days=141|rule</code>: a
 * course rolled over to another term without a server. Prints the table of every date, old and new; writes the new plan file
 * where one is asked for.
 */
public final class RollCommand {

    private static final String USAGE = "Usage: ./matsuri roll FILE --course 'HYD 210' --to TERM.json"
            + " --by class|week|teaching-week|days=141|rule [--units BA,CH] [--fit] [--again] [--out NEW.json]\n"
            + "FILE is a plan file, or a table (.csv, .xlsx) with columns title and due, opens or closes; its dates are of the term"
            + " of --from OLD.json.";
    private static final List<String> VALUES = List.of("--course", "--to", "--by", "--units", "--out", "--from");
    private static final List<String> FLAGS = List.of("--fit", "--again");

    private RollCommand() {}

    public static void main(String[] arguments) throws IOException {
        CommandLine.run(arguments, RollCommand::run);
    }

    /** Runs the command; the exit status. */
    static int run(String[] arguments, Writer out, PrintStream err) throws IOException {
        Options asked;
        RollBy by;
        try {
            asked = Options.of(arguments, VALUES, FLAGS).needing("--course", "--to", "--by");
            by = by(asked.needed("--by"));
        } catch (IllegalArgumentException e) {
            err.println(e.getMessage());
            err.println(USAGE);
            return 2;
        }
        PlanFile.Reading from = arguments[0].endsWith(".json")
                ? read(arguments[0], err)
                : table(arguments[0], asked.needed("--course"), asked.text("--from"), err);
        PlanFile.Reading to = from == null ? null : read(asked.needed("--to"), err);
        Decisions old = from == null ? null : from.decisions();
        Decisions fresh = to == null ? null : to.decisions();
        if (from == null || old == null || to == null || fresh == null) {
            return 2;
        }
        boolean faulty = from.faulty() || to.faulty();
        Decisions after;
        try {
            RolledOver over = new Rollover(
                            old,
                            List.of(asked.needed("--course")),
                            units(asked.text("--units")),
                            by,
                            Map.of(),
                            asked.has("--fit"),
                            asked.has("--again"))
                    .into(fresh);
            RolloverTable.write(over.rows(), false, Words::moment, out);
            over.notes().forEach(err::println);
            after = over.after();
        } catch (Refused e) {
            err.println(arguments[0] + ": " + e.getMessage());
            return 2;
        }
        if (asked.has("--out")) {
            Files.writeString(Path.of(asked.text("--out")), PlanFile.write(after));
        }
        return faulty ? 2 : 0;
    }

    private static PlanFile.@Nullable Reading read(String name, PrintStream err) throws IOException {
        byte[] bytes = DatesCommand.bytes(name, err);
        if (bytes == null) {
            return null;
        }
        PlanFile.Reading reading = PlanFile.read(bytes);
        for (Fault fault : reading.faults()) {
            err.println(fault.line(name));
        }
        return reading.decisions() == null ? null : reading;
    }

    private static PlanFile.@Nullable Reading table(String name, String course, @Nullable String old, PrintStream err)
            throws IOException {
        byte[] bytes = DatesCommand.bytes(name, err);
        PlanFile.Reading then = old == null ? null : read(old, err);
        if (bytes == null || old != null && then == null) {
            return null;
        }
        try {
            DatesOfAnother.Read read = DatesOfAnother.read(
                    new Given(Path.of(name).getFileName().toString(), bytes),
                    course,
                    then == null ? null : then.decisions(),
                    ZoneOffset.UTC,
                    false);
            read.wrong().forEach(w -> err.println(name + ": row " + w.row() + ": “" + w.text() + "”: " + w.said()));
            return new PlanFile.Reading(read.decisions(), List.of());
        } catch (Unreadable e) {
            err.println(name + ": " + e.getMessage());
            return null;
        }
    }

    private static Set<String> units(@Nullable String given) {
        return given == null ? Set.of() : new LinkedHashSet<>(List.of(given.split("\\s*,\\s*")));
    }

    /**
     * Reads "class", "week", "teaching-week", "days=141" or "rule".
     *
     * @throws IllegalArgumentException for anything else
     */
    public static RollBy by(String word) {
        if (word.startsWith("days=")) {
            try {
                return new RollBy.ByDays(Integer.parseInt(word.substring("days=".length())));
            } catch (NumberFormatException e) {
                throw new IllegalArgumentException("“" + word + "” names no number of days such as days=141.", e);
            }
        }
        return switch (word) {
            case "class" -> new RollBy.ByClass();
            case "week" -> new RollBy.ByWeek(false);
            case "teaching-week" -> new RollBy.ByWeek(true);
            case "rule" -> new RollBy.ByRule();
            default -> throw new IllegalArgumentException("There is no way “" + word + "”.");
        };
    }
}
