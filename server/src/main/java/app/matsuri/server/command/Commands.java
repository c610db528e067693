package app.matsuri.server.command;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.change.NoSuch;
import app.matsuri.core.change.Refused;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.bundle.Bundles;
import app.matsuri.server.disk.Copies;
import app.matsuri.server.disk.Room;
import app.matsuri.server.http.Problem;
import app.matsuri.server.settings.MatsuriProperties;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.springframework.stereotype.Component;

/**
 * Commands for whoever owns the data folder: {@code bundle TERM --out FILE.zip [--history]}, {@code open FILE.zip --account NAME}
 * {@code backup FILE.zip} and {@code admin …}.
 */
@Component
public class Commands {

    private final TermStore store;
    private final Bundles bundles;
    private final Accounts accounts;
    private final Administration administration;
    private final DataSource connections;
    private final Room room;
    private final MatsuriProperties settings;

    Commands(
            TermStore store,
            Bundles bundles,
            Accounts accounts,
            Administration administration,
            DataSource connections,
            Room room,
            MatsuriProperties settings) {
        this.room = room;
        this.administration = administration;
        this.connections = connections;
        this.settings = settings;
        this.store = store;
        this.bundles = bundles;
        this.accounts = accounts;
    }

    /**
     * What a command came to.
     *
     * @param status its exit status: 0, or 2 where it could not be done
     * @param out what it prints; empty for nothing
     * @param err what went wrong, or is worth knowing; empty for nothing
     */
    public record Result(int status, String out, String err) {

        static Result wrong(String why) {
            return new Result(2, "", why + "\n");
        }
    }

    /** Runs a command; paths in it are absolute. */
    public Result run(List<String> arguments) {
        try {
            String name = arguments.isEmpty() ? "" : arguments.get(0);
            List<String> rest = arguments.isEmpty() ? List.of() : arguments.subList(1, arguments.size());
            return switch (name) {
                case "bundle" -> bundle(rest);
                case "open" -> open(rest);
                case "backup" -> backup(rest);
                case "admin" -> admin(rest);
                default -> Result.wrong("There is no command “" + name + "”.");
            };
        } catch (Problem e) {
            return Result.wrong(e.getMessage() + said(e.faults()));
        } catch (NoSuch e) {
            return Result.wrong("There is no term " + arguments.get(1)
                    + " here; ./matsuri admin terms prints those that there are.");
        } catch (Refused | Unreadable | IllegalArgumentException e) {
            return Result.wrong(Known.message(e));
        } catch (IOException e) {
            return Result.wrong("The file could not be read or written: " + e.getMessage());
        }
    }

    private static String said(List<Fault> faults) {
        return faults.stream().map(f -> "\n" + f.line("plan.json")).collect(Collectors.joining());
    }

    private static Map<String, String> options(List<String> arguments, List<String> values, List<String> flags) {
        Map<String, String> given = new LinkedHashMap<>();
        for (int i = 1; i < arguments.size(); i++) {
            String name = arguments.get(i);
            boolean value = values.contains(name);
            if (!value && !flags.contains(name) || given.containsKey(name) || value && i + 1 >= arguments.size()) {
                throw new IllegalArgumentException("“" + name + "” is not understood.");
            }
            given.put(name, value ? arguments.get(++i) : "");
        }
        return given;
    }

    private Result bundle(List<String> arguments) throws IOException {
        Map<String, String> given =
                arguments.isEmpty() ? Map.of() : options(arguments, List.of("--out"), List.of("--history"));
        if (!given.containsKey("--out") || !arguments.get(0).matches("\\d{1,18}")) {
            return Result.wrong("Usage: ./matsuri bundle TERM --out FILE.zip [--history]; TERM is a number that"
                    + " ./matsuri admin terms prints.");
        }
        Stored stored = store.any(Long.parseLong(arguments.get(0)));
        Path out = Path.of(given.get("--out"));
        Path written = Files.createTempFile(out.toAbsolutePath().getParent(), ".bundle", ".zip");
        try {
            try (OutputStream to = new BufferedOutputStream(Files.newOutputStream(written))) {
                bundles.write(stored, given.containsKey("--history"), to);
            }
            Files.move(written, out, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(written);
        }
        return new Result(0, "", "");
    }

    private Result open(List<String> arguments) throws IOException {
        Map<String, String> given =
                arguments.isEmpty() ? Map.of() : options(arguments, List.of("--account"), List.of());
        if (!given.containsKey("--account")) {
            return Result.wrong(
                    "Usage: ./matsuri open FILE.zip --account NAME; NAME is what that person signs in with.");
        }
        Path file = Path.of(arguments.get(0));
        if (!Files.isRegularFile(file)) {
            return Result.wrong(arguments.get(0) + ": there is no such file.");
        }
        SignedIn by = accounts.find(given.get("--account"))
                .orElseThrow(() ->
                        new IllegalArgumentException("There is no account “" + given.get("--account") + "” here."));
        Bundles.Opened opened = bundles.open(by, file);
        String faults = opened.faults().stream().map(f -> f.message() + "\n").collect(Collectors.joining());
        return new Result(0, opened.termId() + "\n", faults);
    }

    private Result backup(List<String> arguments) throws IOException {
        if (arguments.size() != 1) {
            return Result.wrong("Usage: ./matsuri backup FILE.zip");
        }
        if (!room.database()) {
            return Result.wrong(
                    "The database is on another server; copy it with that server's own tool, such as pg_dump."
                            + " Nothing was copied.");
        }
        try {
            Copies.write(connections, Path.of(settings.data()).toAbsolutePath(), Path.of(arguments.get(0)));
            return new Result(0, "", "");
        } catch (Copies.NoCopy e) {
            return Result.wrong(Known.message(e));
        }
    }

    private Result admin(List<String> arguments) throws IOException {
        if (!arguments.equals(List.of("terms"))) {
            return administration.run(arguments);
        }
        List<String> lines = new ArrayList<>();
        for (TermStore.Owned owned : store.everywhere()) {
            lines.add(owned.stored().termId() + "\t" + accounts.namesOf(owned.workspaceId()) + "\t"
                    + owned.stored().decisions().term().name() + "\t"
                    + owned.stored().decisions().term().first() + "\t"
                    + owned.stored().decisions().term().last());
        }
        return new Result(0, lines.stream().map(l -> l + "\n").collect(Collectors.joining()), "");
    }
}
