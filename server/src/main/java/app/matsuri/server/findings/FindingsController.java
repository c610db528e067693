package app.matsuri.server.findings;

import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Moment;
import app.matsuri.server.history.History;
import app.matsuri.server.storage.Stored;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** All findings of a term, across its courses. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class FindingsController {

    private final Access access;
    private final Moment moment;
    private final AllFindings all;
    private final History history;

    FindingsController(Access access, Moment moment, AllFindings all, History history) {
        this.access = access;
        this.history = history;
        this.moment = moment;
        this.all = all;
    }

    /**
     * What the band of every view says of a term.
     *
     * @param undo what an undo would take back; null for nothing
     * @param redo what a redo would make again; null for nothing
     */
    record StandingView(
            long version,
            int findings,
            @Nullable String undo,
            @Nullable String redo) {}

    @GetMapping("/standing")
    StandingView standing(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Stored stored = access.look(by, termId);
        Decisions decisions = stored.decisions();
        History.Ends ends = history.ends(stored);
        return new StandingView(
                stored.version(),
                Findings.of(Schedule.of(decisions), moment.day(decisions)).size(),
                ends.undo().map(History.Line::sentence).orElse(null),
                ends.redo().map(History.Line::sentence).orElse(null));
    }

    @GetMapping("/findings")
    List<FindingView> findings(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        return all.of(access.look(by, termId)).stream().map(FindingView::of).toList();
    }
}
