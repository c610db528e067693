package app.matsuri.server.history;

import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Reading the history and naming moments in it. */
@RestController
@RequestMapping(path = "/api/terms/{termId}/history", produces = "application/json")
class HistoryController {

    private final History history;
    private final Access access;

    HistoryController(History history, Access access) {
        this.history = history;
        this.access = access;
    }

    /**
     * The history of a term.
     *
     * @param undo seq of the entry that an undo takes back; null for none
     * @param redo seq of the entry that a redo makes again; null for none
     * @param lines oldest first
     */
    record HistoryView(
            long version,
            String termName,
            @Nullable Long undo,
            @Nullable Long redo,
            List<History.Line> lines) {}

    /** A name for a moment; empty to take it away. */
    record MomentName(
            @Size(max = 100, message = "A name has at most 100 characters.")
            String name) {}

    @GetMapping
    HistoryView read(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Stored stored = access.look(by, termId);
        History.Ends ends = stored.shortened() ? history.ends(stored) : history.ends(termId);
        return new HistoryView(
                stored.version(),
                stored.decisions().term().name(),
                ends.undo().map(History.Line::seq).orElse(null),
                ends.redo().map(History.Line::seq).orElse(null),
                history.lines(stored));
    }

    @PutMapping(path = "/{seq}/name", consumes = "application/json")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void name(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @PathVariable long seq,
            @Valid @RequestBody MomentName moment) {
        access.change(by, termId);
        String name = moment.name() == null || moment.name().isBlank()
                ? null
                : moment.name().strip();
        if (!history.name(termId, seq, name)) {
            throw new Problem(
                    HttpStatus.NOT_FOUND, "no-such-moment", "No such moment", "The history has no entry " + seq + ".");
        }
    }
}
