package app.matsuri.server.change;

import app.matsuri.core.change.Refused;
import app.matsuri.core.gradebook.Lateness;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.proposal.Moved;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.findings.FindingView;
import app.matsuri.server.gradebook.GradeBook;
import app.matsuri.server.http.ChangeGiven;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.StaleVersion;
import app.matsuri.server.storage.Stored;
import com.fasterxml.jackson.annotation.JsonAnyGetter;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Proposing and making changes, and taking them back. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class ChangeController {

    private final ChangeService changes;
    private final Proposals proposals;
    private final Access access;
    private final ViewParts parts;
    private final GradeBook book;
    private final Today today;
    private final List<Remarks> remarks;

    ChangeController(
            ChangeService changes,
            Proposals proposals,
            Access access,
            ViewParts parts,
            GradeBook book,
            Today today,
            List<Remarks> remarks) {
        this.changes = changes;
        this.proposals = proposals;
        this.access = access;
        this.parts = parts;
        this.book = book;
        this.today = today;
        this.remarks = remarks;
    }

    /**
     * What a change would do, and the view that is asked for as it would be.
     *
     * @param held what counts as held as planned and is recorded with it, in words; empty for nothing
     * @param leavesUnit a lesson comes into another unit with it
     * @param altered dates that it makes other than what students were told; they are told with it where it is seen
     * @param late work with which it makes students late, or no longer late
     * @param quiet nothing else moves, nobody becomes late and no finding appears: it may be made at once
     * @param nothing everything is so already
     * @param view what the view that is asked for would show, by its field
     */
    record ProposalView(
            long version,
            String does,
            String sentence,
            boolean quiet,
            boolean nothing,
            List<String> notes,
            String held,
            boolean leavesUnit,
            int altered,
            List<LateView> late,
            List<MoveView> moves,
            List<FindingView> appear,
            List<FindingView> goAway,
            @JsonAnyGetter @Schema(hidden = true) Map<String, Object> view) {}

    /** How many students a change makes late with a piece of work, or no longer late, and how many handed it in. */
    record LateView(String course, String section, String id, String title, int becomes, int noLonger, int handedIn) {}

    /** One thing that a change moves. */
    record MoveView(
            String course,
            String section,
            String what,
            String id,
            String title,
            @Nullable LocalDateTime from,
            @Nullable LocalDateTime to,
            String why,
            boolean hand) {

        static MoveView of(Moved m) {
            return new MoveView(
                    m.course(), m.section(), m.what(), m.id(), m.title(), m.from(), m.to(), m.why(), m.hand());
        }
    }

    /**
     * A change on top of the version on which it was looked at.
     *
     * @param seen whether students who were told anything are told what it alters; yes where not said
     * @param digest whether those who are told that something moved get a letter of it; no where not said
     */
    record ChangeRequest(
            long version,
            @Nullable Boolean seen,
            @Nullable Boolean digest,

            @Schema(type = "object", description = "See docs/plan-file.md")
            JsonNode change) {}

    /** A step on top of a version. */
    record StepRequest(long version) {}

    /**
     * A step that was made.
     *
     * @param view what the view that is asked for shows now, by its field
     */
    record Made(
            long version,
            String sentence,
            @JsonAnyGetter @Schema(hidden = true) Map<String, Object> view) {}

    /**
     * What is looked at, so that the answer carries it.
     *
     * @param view the view's name; null for none
     * @param course the course that is shown in it; null for the first
     * @param section likewise
     */
    record Looked(
            @Nullable String view,
            @Nullable String course,
            @Nullable String section) {

        private ViewPart.Asked at(Stored stored, Proposal proposal) {
            return new ViewPart.Asked(stored, proposal.after(), proposal.schedule(), proposal, course, section);
        }

        private ViewPart.Asked at(ChangeService.Made made) {
            Decisions decisions = made.stored().decisions();
            Schedule schedule = made.schedule() == null ? Schedule.of(decisions) : made.schedule();
            return new ViewPart.Asked(made.stored(), decisions, schedule, null, course, section);
        }
    }

    @PostMapping(path = "/proposals", consumes = "application/json")
    ProposalView propose(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @ParameterObject @ModelAttribute Looked looked,
            @RequestParam(defaultValue = "true") boolean seen,
            @RequestBody @Schema(type = "object") JsonNode change) {
        Stored stored = access.look(by, termId);
        Proposal proposal = proposals.of(stored, ChangeGiven.read(change), seen);
        List<LateView> late = late(stored, proposal.base().schedule(), proposal);
        List<String> notes = new ArrayList<>(proposal.notes());
        if (stored.whatIf() == null) {
            remarks.forEach(r -> notes.addAll(r.of(stored, proposal.after())));
        }
        return new ProposalView(
                stored.version(),
                proposal.does(),
                proposal.sentence(),
                proposal.quiet()
                        && late.isEmpty()
                        && notes.size() == proposal.notes().size(),
                proposal.nothing(),
                notes,
                proposal.held().sentence(),
                proposal.leavesUnit(),
                stored.whatIf() == null ? proposal.altered() : 0,
                late,
                proposal.moves().stream().map(MoveView::of).toList(),
                proposal.appear().stream().map(FindingView::of).toList(),
                proposal.goAway().stream().map(FindingView::of).toList(),
                parts.of(looked.view(), looked.at(stored, proposal)));
    }

    private List<LateView> late(Stored stored, Schedule before, Proposal proposal) {
        return Lateness.between(
                        before,
                        proposal.schedule(),
                        book.of(stored.termId()),
                        today.now(stored.decisions().term().zone()))
                .stream()
                .filter(l -> l.becomes() + l.noLonger() > 0)
                .map(l -> new LateView(
                        l.course(), l.section(), l.item(), l.title(), l.becomes(), l.noLonger(), l.handedIn()))
                .toList();
    }

    @PostMapping(path = "/changes", consumes = "application/json")
    Made make(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @ParameterObject @ModelAttribute Looked looked,
            @RequestBody ChangeRequest request) {
        boolean seen = !Boolean.FALSE.equals(request.seen());
        ChangeGiven given = ChangeGiven.read(request.change());
        ChangeService.Telling telling = new ChangeService.Telling(seen, Boolean.TRUE.equals(request.digest()));
        try {
            return made(changes.make(by, termId, request.version(), given, telling), looked);
        } catch (StaleVersion stale) {
            throw fresh(stale, () -> propose(by, termId, looked, seen, request.change()));
        }
    }

    /** With what the change does on top of what was changed elsewhere, where it can still be made. */
    private static StaleVersion fresh(StaleVersion stale, Supplier<ProposalView> proposal) {
        try {
            return stale.with(proposal.get());
        } catch (Problem | Refused no) {
            stale.addSuppressed(no);
            return stale;
        }
    }

    @PostMapping(path = "/undo", consumes = "application/json")
    Made undo(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @ParameterObject @ModelAttribute Looked looked,
            @RequestBody StepRequest request) {
        return made(changes.undo(by, termId, request.version()), looked);
    }

    @PostMapping(path = "/redo", consumes = "application/json")
    Made redo(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @ParameterObject @ModelAttribute Looked looked,
            @RequestBody StepRequest request) {
        return made(changes.redo(by, termId, request.version()), looked);
    }

    @PostMapping(path = "/history/{seq}/return", consumes = "application/json")
    Made returnTo(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @PathVariable long seq,
            @RequestBody StepRequest request) {
        return made(changes.returnTo(by, termId, request.version(), seq), new Looked(null, null, null));
    }

    private Made made(ChangeService.Made made, Looked looked) {
        Map<String, Object> view = looked.view() == null ? Map.of() : parts.of(looked.view(), looked.at(made));
        return new Made(made.stored().version(), made.sentence(), view);
    }
}
