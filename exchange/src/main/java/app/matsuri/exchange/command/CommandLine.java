package app.matsuri.exchange.command;

import java.io.IOException;
import java.io.PrintStream;
import java.io.StringWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;

/** How a command without a server ends: what it prints goes out whole and in UTF-8, then comes its status. */
public final class CommandLine {

    private CommandLine() {}

    /** What a command does. */
    interface Command {
        /** Runs it; the exit status. */
        int run(String[] arguments, Writer out, PrintStream err) throws IOException;
    }

    static void run(String[] arguments, Command command) throws IOException {
        PrintStream err = new PrintStream(System.err, true, StandardCharsets.UTF_8);
        StringWriter text = new StringWriter();
        int status = command.run(arguments, text, err);
        System.out.write(text.toString().getBytes(StandardCharsets.UTF_8));
        System.out.flush();
        System.exit(status);
    }
}
