package app.matsuri.server.due;

import app.matsuri.core.due.DueThing;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.gradebook.GradeBook;
import app.matsuri.server.page.Readers;
import app.matsuri.server.storage.Stored;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is due over all courses of a person: of their own terms that are not put away, and of those that are shared with them. */
@RestController
class DueController {

    private final Access access;
    private final Readers readers;
    private final GradeBook book;
    private final Today today;

    DueController(Access access, Readers readers, GradeBook book, Today today) {
        this.access = access;
        this.readers = readers;
        this.book = book;
        this.today = today;
    }

    /**
     * All of it.
     *
     * @param today what is now
     */
    record DueView(LocalDate today, List<DueLine> lines) {}

    /**
     * Work that is due.
     *
     * @param sections codes of those that have it due then
     * @param when "today", "week", "month", "later" or "past"
     * @param waits what it still waits for: "not-told", "no-link" or "nothing-handed-in"
     */
    record DueLine(
            long termId,
            String term,
            String course,
            List<String> sections,
            String id,
            String title,
            String kind,
            LocalDateTime due,
            @Nullable LocalDateTime closes,
            String when,
            List<String> waits) {}

    @GetMapping(path = "/api/due", produces = "application/json")
    DueView due(@AuthenticationPrincipal SignedIn by) {
        List<Stored> terms = access.all(by).stream().map(Access.Seen::stored).toList();
        List<DueLine> lines = new ArrayList<>();
        terms.stream().filter(this::runs).forEach(term -> lines(term, lines));
        lines.sort(Comparator.comparing(DueLine::due));
        return new DueView(
                terms.isEmpty()
                        ? today.in(ZoneOffset.UTC)
                        : today.in(terms.get(0).decisions().term().zone()),
                lines);
    }

    /** A term that is over is no longer in the list four weeks on. */
    private boolean runs(Stored term) {
        Decisions decisions = term.decisions();
        return !decisions
                .term()
                .last()
                .plusWeeks(4)
                .isBefore(today.in(decisions.term().zone()));
    }

    private void lines(Stored term, List<DueLine> lines) {
        Set<ThingRef> handedIn = book.of(term.termId()).stream()
                .map(h -> new ThingRef(h.course(), h.item()))
                .collect(Collectors.toSet());
        LocalDateTime now = today.now(term.decisions().term().zone());
        for (DueThing one : DueThing.of(readers.schedule(term), handedIn, now)) {
            lines.add(new DueLine(
                    term.termId(),
                    term.decisions().term().name(),
                    one.course(),
                    one.sections(),
                    one.id(),
                    one.title(),
                    one.kind(),
                    one.due(),
                    one.closes(),
                    word(one.when()),
                    one.waits().stream().map(DueController::word).toList()));
        }
    }

    private static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
