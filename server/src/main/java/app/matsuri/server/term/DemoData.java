package app.matsuri.server.term;

import app.matsuri.core.gradebook.HandIn;
import app.matsuri.core.plan.Student;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.gradebook.HandInReader;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.DemoAccounts;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.change.ChangeService;
import app.matsuri.server.gradebook.GradeBook;
import app.matsuri.server.hours.Bookings;
import app.matsuri.server.link.Person;
import app.matsuri.server.settings.MatsuriProperties;
import app.matsuri.server.storage.Stored;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
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
    private final Bookings bookings;

    DemoData(
            MatsuriProperties properties, Accounts accounts, ChangeService changes, GradeBook book, Bookings bookings) {
        this.properties = properties;
        this.accounts = accounts;
        this.changes = changes;
        this.book = book;
        this.bookings = bookings;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (properties.demo() == null || !accounts.none()) {
            return;
        }
        SignedIn college = accounts.create("tolvanen", "I. Tolvanen", DemoAccounts.PASSWORD);
        Stored autumn = load(college, "autumn-2026.json");
        book.take(autumn.termId(), handIns(autumn));
        book(autumn);
        load(college, "spring-2026.json");
        load(college, "spring-2025.json");
        load(college, "spring-2027.json");
        SignedIn school = accounts.create("aldous", "K. Aldous", DemoAccounts.PASSWORD);
        load(school, "year-2026-27.json");
    }

    /**
     * Somebody who comes to office hours.
     *
     * @param section key of the section on whose roster the student is
     */
    private record Comes(String hours, String slot, String course, String section, int student, String about) {}

    private static final List<Comes> COMING = List.of(
            new Comes("weir-house", "2026-10-07T14:00", "HYD 210", "A", 0, "Field log 5"),
            new Comes("weir-house", "2026-10-07T14:30", "HYD 210", "A", 4, ""),
            new Comes("weir-house", "2026-10-07T14:45", "HYD 210", "B", 1, "Rating curves"),
            new Comes("map-clinic", "2026-10-08T11:20", "HYD 210", "B", 0, "Projections"),
            new Comes("map-clinic", "2026-10-08T11:20", "HYD 210", "B", 3, ""),
            new Comes("weir-house", "2026-10-14T14:15", "HYD 210", "A", 7, "Midterm"),
            new Comes("weir-house", "2026-10-20T11:15", "HYD 210", "A", 2, "Project"));

    private void book(Stored term) {
        for (Comes one : COMING) {
            Student student = term.decisions()
                    .course(one.course())
                    .flatMap(c -> c.section(one.section()))
                    .orElseThrow()
                    .students()
                    .get(one.student());
            bookings.book(
                    term.termId(),
                    new Bookings.Wish(
                            one.hours(),
                            LocalDateTime.parse(one.slot()),
                            1,
                            student.name(),
                            Person.of(student),
                            true,
                            one.about(),
                            "",
                            "en",
                            true));
        }
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
