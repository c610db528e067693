package app.matsuri.server;

import app.matsuri.server.command.CommandLine;
import app.matsuri.server.disk.Copies;
import app.matsuri.server.disk.DataFolder;
import app.matsuri.server.disk.Move;
import app.matsuri.server.settings.MatsuriProperties;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The server: HTTP, accounts, storage and history around the rules. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class MatsuriApplication {

    private static final String DATA = "--matsuri.data=";

    public static void main(String[] arguments) throws IOException {
        if (arguments.length > 1 && arguments[0].equals("--command")) {
            List<String> command = List.of(arguments).subList(2, arguments.length);
            System.exit(
                    CommandLine.run(MatsuriApplication.class, Path.of(arguments[1]), command, System.out, System.err));
        }
        if (arguments.length == 3 && arguments[0].equals("--restore")) {
            System.exit(restored(Path.of(arguments[1]), Path.of(arguments[2])));
        }
        if (arguments.length == 3 && arguments[0].equals("--move")) {
            System.exit(moved(Path.of(arguments[1]), arguments[2]));
        }
        for (String argument : arguments) {
            Optional<String> wrong = argument.startsWith(DATA)
                    ? DataFolder.wrong(Path.of(argument.substring(DATA.length())))
                    : Optional.empty();
            if (wrong.isPresent()) {
                System.err.println("matsuri: " + wrong.get());
                System.exit(2);
            }
        }
        SpringApplication.run(MatsuriApplication.class, arguments);
    }

    private static int restored(Path copy, Path folder) throws IOException {
        try {
            Path before = Copies.restore(copy, folder);
            System.out.println("Brought back from " + copy + ". What was there before lies in " + before + ".");
            return 0;
        } catch (Copies.NoCopy e) {
            System.err.println("matsuri: " + e.getMessage());
            return 2;
        }
    }

    private static int moved(Path folder, String url) throws IOException {
        Map<String, String> said = System.getenv();
        try {
            Map<String, Long> taken = Move.over(
                    folder,
                    url,
                    said.getOrDefault("MATSURI_DATABASE_USER", ""),
                    said.getOrDefault("MATSURI_DATABASE_PASSWORD", ""));
            long rows = taken.values().stream().mapToLong(Long::longValue).sum();
            System.out.println(rows + " rows of " + taken.size() + " tables were taken over, each table compared with"
                    + " the folder's. Start with --database " + url + " and the same --data: the key of the links lies"
                    + " there.");
            return 0;
        } catch (Copies.NoCopy e) {
            System.err.println("matsuri: " + e.getMessage());
            return 2;
        }
    }

    /** The one clock; set to the pinned day where there is one, its time of day going on. */
    @Bean
    Clock clock(MatsuriProperties properties) {
        Clock system = machine();
        if (properties.today() == null) {
            return system;
        }
        long days = ChronoUnit.DAYS.between(LocalDate.now(system), properties.today());
        return Clock.offset(system, Duration.ofDays(days));
    }

    /** The machine's own time, for what has nothing to do with plans: how long somebody is signed in. */
    @Bean(defaultCandidate = false)
    Clock machine() {
        return Clock.systemUTC();
    }
}
