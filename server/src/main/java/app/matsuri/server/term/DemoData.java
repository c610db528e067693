package app.matsuri.server.term;

import app.matsuri.core.gradebook.HandIn;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.gradebook.HandInReader;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.DemoAccounts;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.change.ChangeService;
import app.matsuri.server.gradebook.GradeBook;
import app.matsuri.server.settings.MatsuriProperties;
import app.matsuri.server.storage.Stored;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;

/** Fills an empty database with the demo's people and plans, before the first request is answered. */
@Component
class DemoData implements SmartInitializingSingleton {

    private final MatsuriProperties properties;
    private final Accounts accounts;
    private final ChangeService changes;
    private final GradeBook book;

    DemoData(MatsuriProperties properties, Accounts accounts, ChangeService changes, GradeBook book) {
        this.properties = properties;
        this.accounts = accounts;
        this.changes = changes;
        this.book = book;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (properties.demo() == null || !accounts.none()) {
            return;
        }
        SignedIn college = accounts.create("tolvanen", "I. Tolvanen", DemoAccounts.PASSWORD);
        Stored autumn = load(college, "autumn-2026.json");
        book.take(autumn.termId(), handIns(autumn));
        load(college, "spring-2026.json");
        load(college, "spring-2025.json");
        load(college, "spring-2027.json");
        SignedIn school = accounts.create("aldous", "K. Aldous", DemoAccounts.PASSWORD);
        load(school, "year-2026-27.json");
    }

    private List<HandIn> handIns(Stored term) {
        try {
            Path file = Path.of(properties.demo(), "hand-ins.csv");
            return HandInReader.read(new Given("hand-ins.csv", Files.readAllBytes(file)), term.decisions())
                    .handIns();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Stored load(SignedIn by, String file) {
        PlanFile.Reading reading;
        try {
            reading = PlanFile.read(Files.readAllBytes(Path.of(properties.demo(), file)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        if (reading.decisions() == null) {
            throw new IllegalStateException("the demo's " + file + " cannot be read: " + reading.faults());
        }
        return changes.begin(by, reading.decisions());
    }
}
