package app.matsuri.server.term;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Terms put away: archived out of the lists, or deleted, which for 30 days can be taken back. Only their owner may. */
@RestController
@RequestMapping(path = "/api/terms", produces = "application/json")
class Deleted {

    private final TermStore store;
    private final EntityManager entities;
    private final Today today;

    Deleted(TermStore store, EntityManager entities, Today today) {
        this.store = store;
        this.entities = entities;
        this.today = today;
    }

    /**
     * What goes with a term.
     *
     * @param parts "2 courses with 3 sections", "40 lessons" and the like
     * @param until the last day on which it can be brought back
     */
    record Goes(String name, List<String> parts, LocalDate until) {}

    /**
     * A term that was deleted.
     *
     * @param until the last day on which it can be brought back
     */
    record DeletedTerm(long id, String name, LocalDate first, LocalDate last, LocalDate until) {}

    /** Whether a term is kept out of the lists; yes where not said. */
    record Archiving(@Nullable Boolean archived) {}

    @GetMapping("/{termId}/goes")
    @Operation(summary = "What would go with the term")
    @Transactional(readOnly = true)
    public Goes goes(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Stored stored = store.load(by.workspaceId(), termId);
        Decisions decisions = stored.decisions();
        List<Section> sections =
                decisions.courses().stream().flatMap(c -> c.sections().stream()).toList();
        List<String> parts = new ArrayList<>();
        add(parts, decisions.courses().size(), "course");
        add(parts, sections.size(), "section");
        add(
                parts,
                decisions.courses().stream().mapToInt(c -> c.lessons().size()).sum(),
                "lesson");
        add(parts, decisions.courses().stream().mapToInt(Deleted::work).sum(), "piece of work", "pieces of work");
        add(
                parts,
                sections.stream().mapToInt(s -> s.students().size()).sum(),
                "student on rosters",
                "students on rosters");
        add(parts, sections.stream().mapToInt(s -> s.taught().size()).sum(), "record of a class", "records of classes");
        add(parts, sections.stream().mapToInt(s -> s.told().tellings().size()).sum(), "telling");
        add(parts, count("StoredFile where termId", termId), "attached file");
        add(parts, count("WhatIf where termId", termId), "what-if");
        add(
                parts,
                count("Colleague where withdrawn = false and termId", termId),
                "colleague's way in",
                "colleagues' ways in");
        add(parts, count("HistoryEntry where termId", termId), "line of its history", "lines of its history");
        return new Goes(decisions.term().name(), parts, today.in(ZoneOffset.UTC).plusDays(TermStore.DAYS_KEPT));
    }

    @EventListener(ApplicationReadyEvent.class)
    @Transactional
    public void forget() {
        store.forget();
    }

    private static int work(Course course) {
        return course.items().size() + course.besides().notices().size();
    }

    private static void add(List<String> parts, int n, String one) {
        add(parts, n, one, one + "s");
    }

    private static void add(List<String> parts, int n, String one, String many) {
        if (n > 0) {
            parts.add(n == 1 ? "1 " + one : n + " " + many);
        }
    }

    private int count(String what, long termId) {
        return entities.createQuery("select count(*) from " + what + " = :t", Long.class)
                .setParameter("t", termId)
                .getSingleResult()
                .intValue();
    }

    @DeleteMapping("/{termId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(summary = "Deletes the term; for 30 days it can be brought back")
    @Transactional
    public void delete(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        store.delete(by.workspaceId(), termId);
    }

    @PostMapping("/{termId}/bring-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(summary = "Brings a deleted term back")
    @Transactional
    public void bringBack(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        store.bringBack(by.workspaceId(), termId);
    }

    @GetMapping("/deleted")
    @Operation(summary = "The terms that were deleted and can be brought back")
    @Transactional
    public List<DeletedTerm> deleted(@AuthenticationPrincipal SignedIn by) {
        store.forget();
        return store.deleted(by.workspaceId()).stream()
                .map(d -> new DeletedTerm(
                        d.stored().termId(),
                        d.stored().decisions().term().name(),
                        d.stored().decisions().term().first(),
                        d.stored().decisions().term().last(),
                        d.at().atZone(ZoneOffset.UTC).toLocalDate().plusDays(TermStore.DAYS_KEPT)))
                .toList();
    }

    @PutMapping(path = "/{termId}/archived", consumes = "application/json")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(summary = "Keeps the term out of the lists, or takes it in again")
    @Transactional
    public void archive(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody Archiving archiving) {
        store.archive(by.workspaceId(), termId, !Boolean.FALSE.equals(archiving.archived()));
    }
}
