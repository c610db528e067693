package app.matsuri.server.colleague;

import app.matsuri.server.access.Colleague;
import app.matsuri.server.account.AccessLog;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.NewPassword;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import app.matsuri.server.settings.Tokens;
import jakarta.persistence.EntityManager;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What an invitation is for, and taking it. */
@RestController
@RequestMapping(path = "/api", produces = "application/json")
class InvitationController {

    private final EntityManager entities;
    private final Accounts accounts;
    private final AccessLog log;
    private final Clock clock;

    InvitationController(EntityManager entities, Accounts accounts, AccessLog log, Clock clock) {
        this.log = log;
        this.clock = clock;
        this.entities = entities;
        this.accounts = accounts;
    }

    /** What an invitation is for. */
    record InvitationView(String term, String by, String role, String name, boolean taken) {}

    @GetMapping("/invitations/{token}")
    @Transactional(readOnly = true)
    public InvitationView invitation(@PathVariable String token) {
        Colleague c = find(token);
        String by = entities.createQuery(
                        "select w.name from Workspace w, TermRecord t where t.id = :t and w.id = t.workspaceId",
                        String.class)
                .setParameter("t", c.termId)
                .getSingleResult();
        String term = entities.createQuery("select name from CalendarRow where termId = :t", String.class)
                .setParameter("t", c.termId)
                .getSingleResult();
        return new InvitationView(term, by, ColleagueController.word(c.role), c.name, c.accountId != null);
    }

    /** An account to take the invitation with, where the person has none. */
    record InvitedAccount(
            @NotBlank(message = "Give a sign-in name.") @Size(max = 100, message = "At most 100 characters.")
            String signIn,

            @NewPassword String password) {}

    /** Takes an invitation with a new account. Signing in with it is a step of its own. */
    @PostMapping(path = "/invitations/{token}/account", consumes = "application/json")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void takeWithAccount(@PathVariable String token, @Valid @RequestBody InvitedAccount account) {
        Colleague c = open(token);
        if (accounts.known(account.signIn())) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "sign-in-taken",
                    "That name is taken",
                    "Somebody signs in as “" + account.signIn().strip()
                            + "” already. If that is you, sign in first and open the link again; else choose another.");
        }
        SignedIn made = accounts.create(account.signIn(), c.name, account.password(), !c.makesTerms);
        taken(c, made);
    }

    /** Takes an invitation as the one who is signed in. */
    @PostMapping("/invitations/{token}/take")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void take(@AuthenticationPrincipal SignedIn by, @PathVariable String token) {
        if (by == null) {
            throw new Problem(
                    HttpStatus.UNAUTHORIZED,
                    "not-signed-in",
                    "Not signed in",
                    "Sign in first, then open the link again.");
        }
        Colleague c = open(token);
        boolean own =
                entities.createQuery("select count(*) from TermRecord where id = :t and workspaceId = :w", Long.class)
                                .setParameter("t", c.termId)
                                .setParameter("w", by.workspaceId())
                                .getSingleResult()
                        > 0;
        if (own) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "own-term",
                    "This term is your own",
                    "The invitation is for somebody else: you may do everything in this term, and that stays so.");
        }
        taken(c, by);
    }

    /** Of several who take it at once one does. */
    private void taken(Colleague c, SignedIn by) {
        entities.flush();
        int one = entities.createQuery(
                        "update Colleague set accountId = :a where id = :i and accountId is null and withdrawn = false")
                .setParameter("a", by.accountId())
                .setParameter("i", c.id)
                .executeUpdate();
        if (one == 0) {
            throw taken();
        }
        log.say("invitation to term " + c.termId + " taken", by.signIn());
    }

    private static Problem taken() {
        return new Problem(
                HttpStatus.CONFLICT,
                "invitation-taken",
                "Taken already",
                "This invitation was taken before. Sign in with the account that took it.");
    }

    private Colleague open(String token) {
        Colleague c = find(token);
        if (c.accountId != null) {
            throw taken();
        }
        return c;
    }

    private Colleague find(String token) {
        return entities.createQuery("from Colleague where tokenHash = :h and withdrawn = false", Colleague.class)
                .setParameter("h", Tokens.hash(token))
                .getResultStream()
                .findFirst()
                .filter(c -> c.accountId != null
                        || Instant.now(clock).isBefore(c.invitedAt.plus(Duration.ofDays(Colleague.DAYS_OPEN))))
                .orElseThrow(() -> new Problem(
                        HttpStatus.NOT_FOUND,
                        "no-such-invitation",
                        "No such invitation",
                        "This invitation does not exist, was withdrawn or is too old. Ask for a new one."));
    }
}
