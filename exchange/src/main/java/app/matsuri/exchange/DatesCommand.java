package app.matsuri.exchange;

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
import tools.jackson.core.JacksonException;

/** The command <code>./matsuri dates FILE [--change CHANGE.json]</code>: dates of a plan without a server. */
public final class DatesCommand {

    private DatesCommand() {}

    public static void main(String[] arguments) throws IOException {
        CommandLine.run(arguments, DatesCommand::run);
    }

    /** Runs the command; the exit status. */
    static int run(String[] arguments, Writer out, PrintStream err) throws IOException {
        if (arguments.length != 1 && !(arguments.length == 3 && arguments[1].equals("--change"))) {
            err.println("Usage: ./matsuri dates FILE [--change CHANGE.json]");
            return 2;
        }
        byte[] file = bytes(arguments[0], err);
        if (file == null) {
            return 2;
        }
        PlanFile.Reading reading = PlanFile.read(file);
        reading.faults().forEach(fault -> err.println(fault.line(arguments[0])));
        if (reading.decisions() == null) {
            return 2;
        }
        if (arguments.length == 3) {
            return propose(reading.decisions(), arguments[2], out, err);
        }
        DatesTable.write(reading.decisions(), Schedule.of(reading.decisions()), out);
        return reading.faulty() ? 2 : 0;
    }

    /** The bytes of a file; null where there are none to read, which is said. */
    static byte[] bytes(String name, PrintStream err) throws IOException {
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

    private static int propose(Decisions decisions, String name, Writer out, PrintStream err) throws IOException {
        byte[] file = bytes(name, err);
        if (file == null) {
            return 2;
        }
        String text = new String(file, StandardCharsets.UTF_8);
        ChangeJson.Reading reading;
        try {
            reading = ChangeJson.read(Json.read(text));
        } catch (JacksonException e) {
            err.println(name + ": this is no JSON: " + e.getOriginalMessage());
            return 2;
        }
        reading.faults().forEach(fault -> err.println(fault.line(name)));
        if (reading.change() == null) {
            return 2;
        }
        try {
            out.write(Json.pretty(ProposalJson.write(Proposal.of(decisions, reading.change()))));
            return 0;
        } catch (Refused e) {
            err.println(name + ": " + e.getMessage());
            return 2;
        }
    }
}
