package app.matsuri.server.account;

import app.matsuri.server.clock.Today;
import app.matsuri.server.http.Problem;
import app.matsuri.server.settings.MatsuriProperties;
import app.matsuri.server.settings.OpenIdProperties;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in, and the first account. */
@RestController
@RequestMapping(path = "/api", produces = "application/json")
class AccountController {

    private final Accounts accounts;
    private final FirstAccount first;
    private final Sessions sessions;
    private final Attempts attempts;
    private final Confirmation confirmation;
    private final AccessLog log;
    private final MatsuriProperties properties;
    private final OpenIdProperties elsewhere;
    private final Today today;

    AccountController(
            Accounts accounts,
            FirstAccount first,
            Sessions sessions,
            Attempts attempts,
            Confirmation confirmation,
            AccessLog log,
            MatsuriProperties properties,
            OpenIdProperties elsewhere,
            Today today) {
        this.accounts = accounts;
        this.first = first;
        this.attempts = attempts;
        this.confirmation = confirmation;
        this.log = log;
        this.sessions = sessions;
        this.properties = properties;
        this.elsewhere = elsewhere;
        this.today = today;
    }

    /** A sign-in of the demo. */
    record DemoSignIn(String signIn, String displayName, String password, String what) {}

    /**
     * What the sign-in page shows.
     *
     * @param elsewhere what the provider is called at which one signs in as well; null for none
     */
    record Welcome(
            boolean firstVisit,
            boolean demo,
            LocalDate today,
            List<DemoSignIn> demoSignIns,
            @Nullable String elsewhere) {}

    /** Who is signed in. */
    record Me(String signIn, String displayName, Preferences preferences) {}

    /** A new account. */
    record NewAccount(
            @NotBlank(message = "Give a sign-in name.") @Size(max = 100, message = "At most 100 characters.")
            String signIn,

            @NotBlank(message = "Give your name as it should be shown.")
            @Size(max = 100, message = "At most 100 characters.")
            String displayName,

            @NewPassword String password,

            @NotBlank(message = "Give the code that the server printed when it started.")
            @Size(max = 100, message = "At most 100 characters.")
            String code) {}

    /** Another password, and the one so far. */
    record OtherPassword(
            @NotBlank(message = "Give the password that you have now.")
            @Size(max = 1000, message = "At most 1000 characters.")
            String now,

            @NewPassword String password) {}

    @GetMapping("/welcome")
    Welcome welcome() {
        boolean demo = properties.demo() != null;
        return new Welcome(
                accounts.none(),
                demo,
                today.in(ZoneOffset.UTC),
                demo ? DemoAccounts.SIGN_INS : List.of(),
                elsewhere.issuer() == null ? null : elsewhere.name());
    }

    @GetMapping("/me")
    Me me(@AuthenticationPrincipal SignedIn by) {
        return new Me(by.signIn(), by.displayName(), accounts.preferences(by));
    }

    /** Keeps how who is signed in reads times and weeks. */
    @PutMapping("/me/preferences")
    Me prefer(@AuthenticationPrincipal SignedIn by, @Valid @RequestBody Preferences preferences) {
        accounts.prefer(by, preferences);
        return me(by);
    }

    /** Changes the password of who is signed in; everywhere else they are signed out. */
    @PutMapping("/me/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void password(
            @AuthenticationPrincipal SignedIn by, @Valid @RequestBody OtherPassword other, HttpServletRequest request) {
        confirmation.password(by, other.now(), request, "change of password");
        accounts.reset(by, other.password());
        sessions.endOthers(by, request);
        log.say("password changed", by.signIn(), request);
    }

    /** Where who is signed in is signed in. */
    @GetMapping("/me/sessions")
    List<Sessions.OpenSession> sessions(@AuthenticationPrincipal SignedIn by, HttpServletRequest request) {
        return sessions.of(by, request);
    }

    /** Signs out somewhere else. */
    @DeleteMapping("/me/sessions/{name}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endSession(@AuthenticationPrincipal SignedIn by, @PathVariable String name) {
        if (!sessions.end(by, name)) {
            throw new Problem(
                    HttpStatus.NOT_FOUND,
                    "no-such-session",
                    "Nobody is signed in there",
                    "That sign-in has ended already. Nothing was changed.");
        }
    }

    /** Makes the first account and signs it in; refused when there is one. */
    @PostMapping("/accounts")
    @ResponseStatus(HttpStatus.CREATED)
    Me create(@Valid @RequestBody NewAccount account, HttpServletRequest request, HttpServletResponse response) {
        // by the address alone: a stranger who guesses keeps nobody else from it
        String guesser = "first account from " + request.getRemoteAddr();
        attempts.look(guesser, request.getRemoteAddr());
        SignedIn by;
        try {
            by = first.make(account.code(), account.signIn(), account.displayName(), account.password());
        } catch (Problem refused) {
            if (refused.status() != HttpStatus.FORBIDDEN) {
                throw refused; // it was no guess
            }
            attempts.failed(guesser, request.getRemoteAddr());
            log.say("first account refused", account.signIn(), request);
            throw refused;
        }
        log.say("first account made", account.signIn(), request);
        sessions.signIn(by, request, response);
        return me(by);
    }
}
