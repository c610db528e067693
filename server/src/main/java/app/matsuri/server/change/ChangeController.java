package app.matsuri.server.change;

import app.matsuri.core.gradebook.Lateness;
import app.matsuri.core.proposal.Moved;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.server.Today;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.calendar.CalendarView;
import app.matsuri.server.calendar.Calendars;
import app.matsuri.server.colleague.Access;
import app.matsuri.server.dates.DatesTables;
import app.matsuri.server.dates.DatesView;
import app.matsuri.server.gradebook.GradeBook;
import app.matsuri.server.lanes.Lanes;
import app.matsuri.server.lanes.LanesView;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.wall.WallBuilder;
import app.matsuri.server.wall.WallView;
import app.matsuri.server.wall.Walls;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
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
    private final Access access;
    private final Walls walls;
    private final Calendars calendars;
    private final DatesTables dates;
    private final Lanes lanes;
    private final GradeBook book;
    private final Today today;
    private final Moment moment;

    ChangeController(
            ChangeService changes,
            Access access,
            Walls walls,
            Calendars calendars,
            DatesTables dates,
            Lanes lanes,
            GradeBook book,
            Today today,
            Moment moment) {
        this.changes = changes;
        this.access = access;
        this.walls = walls;
        this.calendars = calendars;
        this.dates = dates;
        this.lanes = lanes;
        this.book = book;
        this.today = today;
        this.moment = moment;
    }

    /**
     * What a change would do, and the wall as it would be.
     *
     * @param held what counts as held as planned and is recorded with it, in words; empty for nothing
     * @param leavesUnit a lesson comes into another unit with it
     * @param altered dates that it makes other than what students were told; they are told with it where it is seen
     * @param late work with which it makes students late, or no longer late
     * @param wall null where the term has no section, or another view was asked for
     * @param calendar the set-up view; null where it was not asked for
     * @param dates the table of dates; null where it was not asked for
     * @param lanes the sections beside each other; null where they were not asked for
     * @param quiet nothing else moves, nobody becomes late and no finding appears: it may be made at once
     * @param nothing everything is so already
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
            List<WallView.FindingView> appear,
            List<WallView.FindingView> goAway,
            @Nullable WallView wall,
            @Nullable CalendarView calendar,
            @Nullable DatesView dates,
            @Nullable LanesView lanes) {}

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
     */
    record ChangeRequest(
            long version,
            @Nullable Boolean seen,

            @Schema(type = "object", description = "See docs/plan-file.md")
            JsonNode change) {}

    /** A step on top of a version. */
    record StepRequest(long version) {}

    /** A step that was made. */
    record Made(long version, String sentence) {}

    @PostMapping(path = "/proposals", consumes = "application/json")
    ProposalView propose(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam(required = false) String course,
            @RequestParam(required = false) String section,
            @RequestParam(required = false) String view,
            @RequestParam(defaultValue = "true") boolean seen,
            @RequestBody @Schema(type = "object") JsonNode change) {
        Stored stored = access.look(by, termId);
        Proposal.Before before = Proposal.Before.of(stored.decisions(), moment.day(stored.decisions()));
        ChangeGiven given = ChangeGiven.read(change);
        Proposal proposal = Proposal.of(
                before, moment.now(given.change(), stored.decisions()), seen && stored.beside() == null, given.held());
        List<LateView> late = late(stored, before.schedule(), proposal);
        boolean setUp = "term".equals(view);
        boolean table = "dates".equals(view);
        boolean beside = "lanes".equals(view);
        return new ProposalView(
                stored.version(),
                proposal.does(),
                proposal.sentence(),
                proposal.quiet() && late.isEmpty(),
                proposal.nothing(),
                proposal.notes(),
                proposal.held().sentence(),
                proposal.leavesUnit(),
                stored.beside() == null ? proposal.altered() : 0,
                late,
                proposal.moves().stream().map(MoveView::of).toList(),
                proposal.appear().stream().map(WallBuilder::view).toList(),
                proposal.goAway().stream().map(WallBuilder::view).toList(),
                setUp || table || beside || proposal.schedule().sections().isEmpty()
                        ? null
                        : walls.proposed(stored, proposal, course, section),
                setUp ? calendars.proposed(stored, proposal) : null,
                table ? dates.proposed(stored, proposal) : null,
                beside ? lanes.proposed(stored, proposal) : null);
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
    Made make(@AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody ChangeRequest request) {
        boolean seen = !Boolean.FALSE.equals(request.seen());
        return made(changes.make(by, termId, request.version(), ChangeGiven.read(request.change()), seen));
    }

    @PostMapping(path = "/undo", consumes = "application/json")
    Made undo(@AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody StepRequest request) {
        return made(changes.undo(by, termId, request.version()));
    }

    @PostMapping(path = "/redo", consumes = "application/json")
    Made redo(@AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody StepRequest request) {
        return made(changes.redo(by, termId, request.version()));
    }

    @PostMapping(path = "/history/{seq}/return", consumes = "application/json")
    Made returnTo(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @PathVariable long seq,
            @RequestBody StepRequest request) {
        return made(changes.returnTo(by, termId, request.version(), seq));
    }

    private static Made made(ChangeService.Made made) {
        return new Made(made.stored().version(), made.sentence());
    }
}
