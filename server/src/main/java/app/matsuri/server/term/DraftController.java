package app.matsuri.server.term;

import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import jakarta.persistence.EntityManager;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a person typed and has not finished, kept word for word for that person. */
@RestController
@RequestMapping(path = "/api/drafts/{name}", produces = "application/json")
class DraftController {

    /** How many drafts a person has. */
    private static final int MOST = 20;

    private static final int MOST_OF_NAME = 50;

    private final EntityManager entities;
    private final Clock clock;

    DraftController(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** A draft's text; empty where there is none. */
    record DraftText(@NotNull @Size(max = 4_000_000) String body) {}

    @GetMapping
    @Transactional(readOnly = true)
    DraftText read(@AuthenticationPrincipal SignedIn by, @PathVariable String name) {
        Draft draft = entities.find(Draft.class, new Draft.Key(by.accountId(), name));
        return new DraftText(draft == null ? "" : draft.body);
    }

    @PutMapping(consumes = "application/json")
    @Transactional
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(@AuthenticationPrincipal SignedIn by, @PathVariable String name, @Valid @RequestBody DraftText text) {
        if (name.length() > MOST_OF_NAME || others(by, name) >= MOST) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "too-many-drafts",
                    "Too many drafts",
                    "At most " + MOST + " drafts are kept, each under a name of at most " + MOST_OF_NAME
                            + " characters. Finish one of them first.");
        }
        Draft draft = new Draft();
        draft.accountId = by.accountId();
        draft.name = name;
        draft.body = text.body();
        draft.savedAt = Instant.now(clock);
        entities.merge(draft);
    }

    private long others(SignedIn by, String name) {
        return entities.createQuery("select count(*) from Draft where accountId = :a and name <> :n", Long.class)
                .setParameter("a", by.accountId())
                .setParameter("n", name)
                .getSingleResult();
    }

    @DeleteMapping
    @Transactional
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@AuthenticationPrincipal SignedIn by, @PathVariable String name) {
        Draft draft = entities.find(Draft.class, new Draft.Key(by.accountId(), name));
        if (draft != null) {
            entities.remove(draft);
        }
    }
}
