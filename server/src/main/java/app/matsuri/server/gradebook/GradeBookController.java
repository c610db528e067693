package app.matsuri.server.gradebook;

import app.matsuri.core.gradebook.HandIn;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.gradebook.HandInReader;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The simulated grade book: what it knows, and reading it from a file. */
@RestController
@RequestMapping(path = "/api/terms/{termId}/grade-book", produces = "application/json")
class GradeBookController {

    private final Access access;
    private final GradeBook book;

    GradeBookController(Access access, GradeBook book) {
        this.access = access;
        this.book = book;
    }

    /**
     * What the grade book knows.
     *
     * @param handIns how often something was handed in
     * @param works how many pieces of work
     * @param students by how many students
     * @param wrong lines of the file just read that were not understood
     */
    record GradeBookView(int handIns, int works, int students, List<WrongLine> wrong) {}

    /**
     * A table of hand-ins.
     *
     * @param content of the file, in base 64
     */
    record HandInsGiven(String name, byte[] content) {}

    /** A line that was not understood, and what to do. */
    record WrongLine(int line, String text, String said) {}

    @GetMapping
    GradeBookView look(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        access.look(by, termId);
        return view(termId, List.of());
    }

    /** Reads a table of hand-ins; what is understood is taken, the rest is said. */
    @PutMapping(consumes = "application/json")
    GradeBookView read(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody HandInsGiven given) {
        access.change(by, termId);
        HandInReader.Read read;
        try {
            read = HandInReader.read(
                    new Given(given.name(), given.content()),
                    access.stands(by, termId).decisions());
        } catch (Unreadable e) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT, "no-table", "No table", e.getMessage() + " Nothing was stored.");
        }
        book.take(termId, read.handIns());
        return view(
                termId,
                read.wrong().stream()
                        .map(w -> new WrongLine(w.line(), w.text(), w.said()))
                        .toList());
    }

    private GradeBookView view(long termId, List<WrongLine> wrong) {
        List<HandIn> all = book.of(termId);
        return new GradeBookView(
                all.size(),
                (int) all.stream()
                        .map(h -> new ThingRef(h.course(), h.item()))
                        .distinct()
                        .count(),
                (int) all.stream().map(HandIn::student).distinct().count(),
                wrong);
    }
}
