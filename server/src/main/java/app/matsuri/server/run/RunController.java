package app.matsuri.server.run;

import app.matsuri.core.runlist.RunClass;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.page.NothingHere;
import app.matsuri.server.page.PageWords;
import app.matsuri.server.page.PublicPage;
import app.matsuri.server.page.Readers;
import app.matsuri.server.page.SectionPages;
import app.matsuri.server.page.Seeing;
import app.matsuri.server.run.RunPage.ClassLine;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import io.swagger.v3.oas.annotations.Hidden;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** All classes of whoever is signed in on a day, in order of time, over all their courses. */
@Hidden
@PublicPage
@Controller
class RunController {

    private final TermStore store;
    private final Access access;
    private final Readers readers;
    private final Seeing seeing;
    private final Today today;

    RunController(TermStore store, Access access, Readers readers, Seeing seeing, Today today) {
        this.store = store;
        this.access = access;
        this.readers = readers;
        this.seeing = seeing;
        this.today = today;
    }

    /** A class with its words, so that classes of several terms come in order. */
    private record Timed(LocalDateTime start, ClassLine line) {}

    @GetMapping("/preview/day")
    String day(@AuthenticationPrincipal @Nullable SignedIn by, @RequestParam LocalDate day, Model model) {
        if (by == null) {
            throw new NothingHere();
        }
        PageWords words = seeing.words(Locale.ENGLISH);
        List<Timed> classes = new ArrayList<>();
        boolean live = false;
        for (Stored stored : terms(by)) {
            LocalDateTime now = today.now(stored.decisions().term().zone());
            live |= now.toLocalDate().equals(day);
            for (SectionSchedule in : readers.schedule(stored).sections()) {
                if (!own(in, by)) {
                    continue;
                }
                PageWords said = seeing.words(in.course().besides().publishing());
                words = classes.isEmpty() ? said : words;
                String files = "/api/terms/" + stored.termId() + "/files/";
                for (RunClass of : RunClass.of(in, day)) {
                    classes.add(new Timed(
                            of.start(),
                            new RunPages(said, now)
                                    .line(of, SectionPages.threads(in.course()), use -> files + use.file())));
                }
            }
        }
        classes.sort(Comparator.comparing(Timed::start));
        seeing.speak(words);
        model.addAttribute(
                "page",
                new RunPage(
                        words.language(),
                        words.longDay(day),
                        List.of(),
                        live,
                        classes.stream().map(Timed::line).toList()));
        return "run";
    }

    /** A section is one's own unless it says that somebody else teaches it. */
    private static boolean own(SectionSchedule in, SignedIn by) {
        String instructor = in.section().instructor();
        return instructor.isBlank() || instructor.equals(by.displayName());
    }

    private List<Stored> terms(SignedIn by) {
        Stream<Stored> shared = access.shared(by).stream()
                .filter(term ->
                        !term.role().equals("substitute") && !term.role().equals("reader"))
                .map(term -> access.shared(by, term.termId()));
        return Stream.concat(store.all(by.workspaceId()).stream(), shared).toList();
    }
}
