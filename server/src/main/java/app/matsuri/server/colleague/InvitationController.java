package app.matsuri.server.colleague;

import app.matsuri.server.access.Colleague;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.NewPassword;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import app.matsuri.server.settings.Tokens;
import jakarta.persistence.EntityManager;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
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

    InvitationController(EntityManager entities, Accounts accounts) {
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
        c.accountId =
                accounts.create(account.signIn(), c.name, account.password()).accountId();
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
        open(token).accountId = by.accountId();
    }

    private Colleague open(String token) {
        Colleague c = find(token);
        if (c.accountId != null) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "invitation-taken",
                    "Taken already",
                    "This invitation was taken before. Sign in with the account that took it.");
        }
        return c;
    }

    private Colleague find(String token) {
        return entities.createQuery("from Colleague where tokenHash = :h and withdrawn = false", Colleague.class)
                .setParameter("h", Tokens.hash(token))
                .getResultStream()
                .findFirst()
                .orElseThrow(() -> new Problem(
                        HttpStatus.NOT_FOUND,
                        "no-such-invitation",
                        "No such invitation",
                        "This invitation does not exist or was withdrawn. Ask for a new one."));
    }
}
