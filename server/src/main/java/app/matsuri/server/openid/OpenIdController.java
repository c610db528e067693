package app.matsuri.server.openid;

import app.matsuri.server.account.AccessLog;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.Confirmation;
import app.matsuri.server.account.PasswordAgain;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import app.matsuri.server.settings.OpenIdProperties;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Whether who is signed in signs in elsewhere, and connecting an account with that. */
@RestController
@RequestMapping(path = "/api/me/openid", produces = "application/json")
class OpenIdController {

    private final Accounts accounts;
    private final Confirmation confirmation;
    private final Connecting connecting;
    private final OpenIdProperties settings;
    private final AccessLog log;

    OpenIdController(
            Accounts accounts,
            Confirmation confirmation,
            Connecting connecting,
            OpenIdProperties settings,
            AccessLog log) {
        this.accounts = accounts;
        this.confirmation = confirmation;
        this.connecting = connecting;
        this.settings = settings;
        this.log = log;
    }

    /**
     * How a person's account stands to the provider.
     *
     * @param provider what it is called; null where none is set
     * @param connected whether the person signs in there
     * @param password whether the person has a password here as well
     */
    record OpenIdState(@Nullable String provider, boolean connected, boolean password) {}

    /** Where a sign-in at the provider begins. */
    record OpenIdBegun(String address) {}

    @GetMapping
    OpenIdState state(@AuthenticationPrincipal SignedIn by) {
        return new OpenIdState(
                settings.issuer() == null ? null : settings.name(), accounts.connected(by), accounts.hasPassword(by));
    }

    /** Begins to connect: whoever signs in at the provider next, in this browser, is the person. */
    @PostMapping(consumes = "application/json")
    OpenIdBegun begin(
            @AuthenticationPrincipal SignedIn by, @Valid @RequestBody PasswordAgain again, HttpServletRequest request) {
        if (settings.issuer() == null) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "no-provider",
                    "There is nowhere else to sign in",
                    "This server has no OpenID provider set. Nothing was changed.");
        }
        confirmation.password(by, again.password(), request, "connecting with OpenID");
        connecting.begin(by, request);
        return new OpenIdBegun(OpenIdConfiguration.BEGIN + "/" + OpenIdConfiguration.REGISTRATION);
    }

    /** Signs in here only, from then on. */
    @PostMapping(path = "/end", consumes = "application/json")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(
            @AuthenticationPrincipal SignedIn by, @Valid @RequestBody PasswordAgain again, HttpServletRequest request) {
        confirmation.password(by, again.password(), request, "end of OpenID");
        accounts.connect(by, null, null);
        log.say("no longer connected with OpenID", by.signIn(), request);
    }
}
