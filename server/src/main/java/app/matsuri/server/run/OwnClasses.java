package app.matsuri.server.run;

import app.matsuri.core.runlist.RunClass;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.page.Readers;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The classes of whoever is signed in, over all their terms and those that they teach with others. */
@Component
class OwnClasses {

    private final TermStore store;
    private final Access access;
    private final Readers readers;
    private final Today today;

    OwnClasses(TermStore store, Access access, Readers readers, Today today) {
        this.store = store;
        this.access = access;
        this.readers = readers;
        this.today = today;
    }

    /**
     * A class.
     *
     * @param now the moment, where it is
     */
    record Own(Stored stored, SectionSchedule in, RunClass of, LocalDateTime now) {}

    /** Those of a day, in order of time. */
    List<Own> on(SignedIn by, LocalDate day) {
        List<Own> classes = new ArrayList<>();
        for (Stored stored : terms(by)) {
            classes(by, stored, day, classes);
        }
        return sorted(classes);
    }

    /** Those of today, wherever each is. */
    List<Own> today(SignedIn by) {
        List<Own> classes = new ArrayList<>();
        for (Stored stored : terms(by)) {
            classes(by, stored, today.in(stored.decisions().term().zone()), classes);
        }
        return sorted(classes);
    }

    private static List<Own> sorted(List<Own> classes) {
        classes.sort(Comparator.comparing(own -> own.of().start()));
        return classes;
    }

    private void classes(SignedIn by, Stored stored, LocalDate day, List<Own> classes) {
        LocalDateTime now = today.now(stored.decisions().term().zone());
        for (SectionSchedule in : readers.schedule(stored).sections()) {
            // a section is one's own unless it says that somebody else teaches it
            String instructor = in.section().instructor();
            if (instructor.isBlank() || instructor.equals(by.displayName())) {
                RunClass.of(in, day).forEach(of -> classes.add(new Own(stored, in, of, now)));
            }
        }
    }

    private List<Stored> terms(SignedIn by) {
        Stream<Stored> shared = access.shared(by).stream()
                .filter(term -> term.role().equals("co-teacher"))
                .map(term -> access.shared(by, term.termId()));
        return Stream.concat(store.all(by.workspaceId()).stream(), shared).toList();
    }
}
