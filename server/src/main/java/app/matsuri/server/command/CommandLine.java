package app.matsuri.server.command;

import app.matsuri.exchange.plan.Json;
import java.io.IOException;
import java.io.PrintStream;
import java.net.UnixDomainSocketAddress;
import java.nio.channels.SocketChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** Runs a command on a data folder: by the server that runs on it, else by one that is started for it and ends with it. */
public final class CommandLine {

    private static final int MOST_BYTES = 50_000_000;

    private CommandLine() {}

    /**
     * Runs it.
     *
     * @param application the server to be started where none runs
     * @param data the data folder
     * @return its exit status
     */
    public static int run(Class<?> application, Path data, List<String> arguments, PrintStream out, PrintStream err)
            throws IOException {
        Path socket = data.resolve(CommandSocket.NAME);
        Commands.Result result = null;
        if (Files.exists(socket)) {
            try (SocketChannel server = SocketChannel.open(UnixDomainSocketAddress.of(socket))) {
                CommandSocket.write(server, Json.MAPPER.writeValueAsString(arguments));
                server.shutdownOutput();
                JsonNode answer = Json.read(CommandSocket.read(server, MOST_BYTES));
                result = new Commands.Result(
                        answer.path("status").intValue(),
                        answer.path("out").stringValue(),
                        answer.path("err").stringValue());
            } catch (java.net.ConnectException e) {
                err.println("The server that ran on this folder has ended; starting one for this command.");
            }
        }
        if (result == null) {
            List<String> options = new ArrayList<>(List.of(
                    "--server.port=0",
                    "--server.address=127.0.0.1",
                    "--matsuri.data=" + data,
                    "--logging.level.root=error",
                    "--logging.level.app.matsuri=error"));
            try (ConfigurableApplicationContext started =
                    SpringApplication.run(application, options.toArray(String[]::new))) {
                result = started.getBean(Commands.class).run(arguments);
            }
        }
        out.print(result.out());
        err.print(result.err());
        return result.status();
    }
}
