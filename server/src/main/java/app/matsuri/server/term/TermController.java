package app.matsuri.server.term;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.bundle.Bundles;
import app.matsuri.server.change.ChangeService;
import app.matsuri.server.clock.Today;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import app.matsuri.server.wall.WallView;
import app.matsuri.server.wall.Walls;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The terms of a workspace: listing them, opening plan files, and their Walls. */
@RestController
@RequestMapping(path = "/api/terms", produces = "application/json")
class TermController {

    private final TermStore store;
    private final Access access;
    private final ChangeService changes;
    private final Walls walls;
    private final Bundles bundles;
    private final Today today;

    TermController(TermStore store, Access access, ChangeService changes, Walls walls, Bundles bundles, Today today) {
        this.store = store;
        this.access = access;
        this.changes = changes;
        this.walls = walls;
        this.bundles = bundles;
        this.today = today;
    }

    /**
     * A term in the list of terms.
     *
     * @param role "own", or as what it was shared: "co-teacher", "reader" or "substitute"
     * @param now whether today lies in it
     * @param archived kept out of the lists
     */
    record TermLine(
            long id,
            String name,
            LocalDate first,
            LocalDate last,
            List<String> sections,
            String role,
            boolean now,
            boolean archived) {}

    /** A term that was made, with what is worth knowing about its file. */
    record MadeTerm(long id, List<Fault> faults) {}

    @GetMapping
    List<TermLine> all(@AuthenticationPrincipal SignedIn by) {
        List<TermLine> lines = new ArrayList<>(
                store.all(by.workspaceId()).stream().map(t -> line(t, "own")).toList());
        for (Access.SharedTerm shared : access.shared(by)) {
            lines.add(line(access.shared(by, shared.termId()), shared.role()));
        }
        return lines;
    }

    private TermLine line(Stored stored, String role) {
        Term term = stored.decisions().term();
        List<String> sections = stored.decisions().courses().stream()
                .flatMap(c -> c.sections().stream().map(s -> new SectionRef(c.code(), s.code()).toString()))
                .filter(s -> !role.equals("substitute"))
                .toList();
        return new TermLine(
                stored.termId(),
                term.name(),
                term.first(),
                term.last(),
                sections,
                role,
                term.contains(today.in(term.zone())),
                role.equals("own") && store.archived(stored.termId()));
    }

    /** Makes a term from a plan file; faults that leave it a meaning are told. */
    @PostMapping(consumes = "application/octet-stream")
    @ResponseStatus(HttpStatus.CREATED)
    MadeTerm open(@AuthenticationPrincipal SignedIn by, @RequestBody byte[] file) {
        PlanFile.Reading reading = Bundles.read(file);
        Decisions decisions = Known.there(reading.decisions(), "a plan file that was read");
        long termId = changes.begin(by, decisions).termId();
        List<Fault> faults = new ArrayList<>(reading.faults());
        faults.addAll(bundles.lacking(termId, decisions));
        return new MadeTerm(termId, faults);
    }

    @GetMapping("/{termId}/plan")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "application/json", schema = @Schema(ref = "#/components/schemas/Plan")))
    ResponseEntity<byte[]> plan(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Stored stored = access.look(by, termId);
        String name = stored.decisions()
                .term()
                .name()
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .toLowerCase();
        return ResponseEntity.ok()
                .eTag("\"" + stored.version() + "\"")
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment()
                                .filename((name.isEmpty() ? "plan" : name) + ".json", StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(PlanFile.write(stored.decisions()).getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/{termId}/wall")
    ResponseEntity<WallView> wall(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam(required = false) String course,
            @RequestParam(required = false) String section) {
        Stored stored = access.look(by, termId);
        WallView view = walls.stands(stored, course, section);
        return ResponseEntity.ok()
                .eTag("\"" + stored.version() + "-" + view.today() + "\"")
                .body(view);
    }
}
