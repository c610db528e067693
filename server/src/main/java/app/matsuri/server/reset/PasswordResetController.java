package app.matsuri.server.reset;

import app.matsuri.server.account.AccessLog;
import app.matsuri.server.account.Attempts;
import app.matsuri.server.account.NewPassword;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Another password for who forgot theirs; stands open to everybody. */
@RestController
@RequestMapping(path = "/api/password-resets", produces = "application/json")
class PasswordResetController {

    private final PasswordResets resets;
    private final Attempts attempts;
    private final AccessLog log;

    PasswordResetController(PasswordResets resets, Attempts attempts, AccessLog log) {
        this.resets = resets;
        this.attempts = attempts;
        this.log = log;
    }

    /** Who forgot it. */
    record Forgotten(
            @NotBlank(message = "Give your sign-in name.") @Size(max = 100, message = "At most 100 characters.")
            String signIn) {}

    /** The other password. */
    record Replacement(@NewPassword String password) {}

    /** Whose it is. */
    record Forgetful(String signIn) {}

    /** Writes a letter where there is somebody to write to; the answer is the same in any case. */
    @PostMapping(consumes = "application/json")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void ask(@Valid @RequestBody Forgotten forgotten, HttpServletRequest request) {
        String asks = "password letters for " + forgotten.signIn();
        attempts.look(asks, request.getRemoteAddr());
        attempts.failed(asks, request.getRemoteAddr());
        log.say("password letter asked for", forgotten.signIn(), request);
        resets.ask(forgotten.signIn());
    }

    @GetMapping("/{token}")
    Forgetful whose(@PathVariable String token, HttpServletRequest request) {
        return new Forgetful(tried(request, () -> resets.of(token).orElseThrow(PasswordResets::over))
                .signIn());
    }

    @PutMapping(path = "/{token}", consumes = "application/json")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void replace(@PathVariable String token, @Valid @RequestBody Replacement other, HttpServletRequest request) {
        SignedIn by = tried(request, () -> resets.replace(token, other.password()));
        log.say("password replaced by letter", by.signIn(), request);
    }

    private SignedIn tried(HttpServletRequest request, java.util.function.Supplier<SignedIn> what) {
        String guesser = "password letters from " + request.getRemoteAddr();
        attempts.look(guesser, request.getRemoteAddr());
        try {
            return what.get();
        } catch (Problem e) {
            attempts.failed(guesser, request.getRemoteAddr());
            throw e;
        }
    }
}
