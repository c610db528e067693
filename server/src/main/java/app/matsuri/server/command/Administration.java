package app.matsuri.server.command;

import app.matsuri.server.account.AccessLog;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.SecondFactor;
import app.matsuri.server.account.Sessions;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.command.Commands.Result;
import app.matsuri.server.disk.DataFolder;
import app.matsuri.server.person.PersonalData;
import app.matsuri.server.settings.MatsuriProperties;
import app.matsuri.server.settings.Tokens;
import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What whoever runs the server may do with its accounts. */
@Component
class Administration {

    private static final String USAGE =
            "Usage: ./matsuri admin terms | accounts | statistics | lock NAME | unlock NAME |"
                    + " reset NAME | delete NAME [--to OTHER]; NAME is what a person signs in with.";

    private final Accounts accounts;
    private final SecondFactor factor;
    private final Sessions sessions;
    private final AccessLog log;
    private final EntityManager entities;
    private final PersonalData personal;
    private final MatsuriProperties settings;

    Administration(
            Accounts accounts,
            SecondFactor factor,
            Sessions sessions,
            AccessLog log,
            EntityManager entities,
            PersonalData personal,
            MatsuriProperties settings) {
        this.personal = personal;
        this.accounts = accounts;
        this.factor = factor;
        this.sessions = sessions;
        this.log = log;
        this.entities = entities;
        this.settings = settings;
    }

    /** Runs {@code admin} with what follows it. */
    @Transactional
    public Result run(List<String> arguments) throws IOException {
        String what = arguments.isEmpty() ? "" : arguments.get(0);
        if (arguments.size() == 1 && what.equals("accounts")) {
            return new Result(
                    0, accounts.lines().stream().map(Administration::line).collect(Collectors.joining()), "");
        }
        if (arguments.size() == 1 && what.equals("statistics")) {
            return new Result(0, statistics(), "");
        }
        boolean deletes = what.equals("delete")
                && arguments.size() == 4
                && arguments.get(2).equals("--to");
        if (!deletes
                && (arguments.size() != 2
                        || !List.of("lock", "unlock", "reset", "delete").contains(what))) {
            return Result.wrong(USAGE);
        }
        Optional<SignedIn> found = accounts.find(arguments.get(1));
        if (found.isEmpty()) {
            return Result.wrong("There is no account “" + arguments.get(1) + "” here; ./matsuri admin accounts prints"
                    + " those that there are.");
        }
        SignedIn by = found.get();
        String said = "";
        if (what.equals("delete")) {
            Optional<SignedIn> to = deletes ? accounts.find(arguments.get(3)) : Optional.empty();
            if (deletes && to.isEmpty()) {
                return Result.wrong("There is no account “" + arguments.get(3) + "” here. Nothing was changed.");
            }
            personal.close(by, to.orElse(null));
            log.say("account: closed by whoever runs the server", by.signIn());
            return new Result(0, "", "");
        }
        if (what.equals("reset")) {
            String password = Tokens.fresh();
            accounts.reset(by, password);
            factor.end(by);
            said = password + "\n";
        } else {
            accounts.lock(by, what.equals("lock"));
        }
        if (!what.equals("unlock")) {
            sessions.endAll(by);
        }
        log.say("account: " + what + " by whoever runs the server", by.signIn());
        return new Result(0, said, "");
    }

    private static String line(Accounts.Line of) {
        return of.id() + "\t" + of.signIn() + "\t" + of.displayName() + "\t"
                + (of.locked() ? "locked" : of.guest() ? "guest" : "") + "\t" + of.terms() + "\t" + of.createdAt()
                + "\n";
    }

    private String statistics() throws IOException {
        Map<String, Long> all = new LinkedHashMap<>();
        all.put("accounts", count("Account"));
        all.put("terms", count("TermRecord"));
        all.put("steps of history", count("HistoryEntry"));
        all.put("files", count("StoredFile"));
        all.put("letters", count("Letter"));
        Path database = Path.of(settings.data()).resolve(DataFolder.DATABASE);
        all.put("bytes of the database", Files.exists(database) ? Files.size(database) : 0L);
        return all.entrySet().stream()
                .map(e -> e.getKey() + "\t" + e.getValue() + "\n")
                .collect(Collectors.joining());
    }

    private long count(String of) {
        return entities.createQuery("select count(*) from " + of, Long.class).getSingleResult();
    }
}
