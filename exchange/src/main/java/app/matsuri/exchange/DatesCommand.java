package app.matsuri.exchange;

import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.table.DatesTable;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.PrintStream;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/** The command <code>./matsuri dates FILE [--change CHANGE.json]</code>: dates of a plan without a server. */
public final class DatesCommand {

    private DatesCommand() {}

    public static void main(String[] arguments) throws IOException {
        PrintStream err = new PrintStream(System.err, true, StandardCharsets.UTF_8);
        Writer out = new BufferedWriter(new OutputStreamWriter(System.out, StandardCharsets.UTF_8));
        int status = run(arguments, out, err);
        out.flush();
        System.exit(status);
    }

    /** Runs the command; the exit status. */
    static int run(String[] arguments, Writer out, PrintStream err) throws IOException {
        String file = arguments[0];
        PlanFile.Reading reading = PlanFile.read(Files.readAllBytes(Path.of(file)));
        reading.faults().forEach(fault -> err.println(fault.line(file)));
        if (reading.decisions() == null) {
            return 2;
        }
        DatesTable.write(reading.decisions(), Schedule.of(reading.decisions()), out);
        return reading.faulty() ? 2 : 0;
    }
}
