package app.matsuri.exchange.command;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.change.ProposalJson;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.table.DatesTable;
import java.io.IOException;
import java.io.PrintStream;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;

/**
 * The command <code>./matsuri dates FILE [--change CHANGE.json [--today DATE]]</code>: dates of a plan, or the proposal of a change,
 * without a server.
 */
public final class DatesCommand {

    private static final String USAGE = "Usage: ./matsuri dates FILE [--change CHANGE.json [--today 2026-10-07]]";

    private DatesCommand() {}

    public static void main(String[] arguments) throws IOException {
        CommandLine.run(arguments, DatesCommand::run);
    }

    /** Runs the command; the exit status. */
    static int run(String[] arguments, Writer out, PrintStream err) throws IOException {
        Options asked;
        LocalDate today;
        try {
            asked = Options.of(arguments, List.of("--change", "--today"), List.of());
            today = asked.date("--today");
        } catch (IllegalArgumentException e) {
            err.println(e.getMessage());
            err.println(USAGE);
            return 2;
        }
        byte[] file = bytes(asked.file(), err);
        if (file == null) {
            return 2;
        }
        PlanFile.Reading reading = PlanFile.read(file);
        reading.faults().forEach(fault -> err.println(fault.line(asked.file())));
        if (reading.decisions() == null) {
            return 2;
        }
        if (asked.has("--change")) {
            return propose(reading.decisions(), asked.needed("--change"), today, out, err);
        }
        DatesTable.write(reading.decisions(), Schedule.of(reading.decisions()), out);
        return reading.faulty() ? 2 : 0;
    }

    /** The bytes of a file; null where there are none to read, which is said. */
    static byte @Nullable [] bytes(String name, PrintStream err) throws IOException {
        Path path = Path.of(name);
        if (!Files.isRegularFile(path)) {
            err.println(name + ": there is no such file.");
            return null;
        }
        if (Files.size(path) > PlanFile.MOST_BYTES) {
            err.println(name + ": the file has " + Files.size(path) / 1024 / 1024 + " MB; at most "
                    + PlanFile.MOST_BYTES / 1024 / 1024 + " MB are read.");
            return null;
        }
        return Files.readAllBytes(path);
    }

    private static int propose(Decisions decisions, String name, @Nullable LocalDate today, Writer out, PrintStream err)
            throws IOException {
        ChangeJson.Reading reading = change(name, err);
        if (reading == null) {
            return 2;
        }
        try {
            Change given = Known.there(reading.change(), "a change without faults");
            Change change = today == null ? given : given.at(today.atStartOfDay());
            Proposal proposal = Proposal.of(Proposal.Before.of(decisions, today), change, false, reading.held());
            out.write(Json.pretty(ProposalJson.write(proposal)));
            return 0;
        } catch (Refused e) {
            err.println(name + ": " + e.getMessage());
            return 2;
        }
    }

    /** The change in a file; null where there is none to read, which is said. */
    static ChangeJson.@Nullable Reading change(String name, PrintStream err) throws IOException {
        byte[] file = bytes(name, err);
        if (file == null) {
            return null;
        }
        ChangeJson.Reading reading;
        try {
            reading = ChangeJson.read(Json.read(new String(file, StandardCharsets.UTF_8)));
        } catch (JacksonException e) {
            err.println(name + ": this is no JSON: " + e.getOriginalMessage());
            return null;
        }
        reading.faults().forEach(fault -> err.println(fault.line(name)));
        return reading.change() == null ? null : reading;
    }
}
