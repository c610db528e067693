package app.matsuri.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The second factor of who is signed in. */
@RestController
@RequestMapping(path = "/api/me/second-factor", produces = "application/json")
class SecondFactorController {

    private final SecondFactor factor;
    private final Confirmation confirmation;
    private final AccessLog log;

    SecondFactorController(SecondFactor factor, Confirmation confirmation, AccessLog log) {
        this.factor = factor;
        this.confirmation = confirmation;
        this.log = log;
    }

    /** A code of the phone. */
    record FactorCode(
            @NotBlank(message = "Give the code that the phone shows.")
            @Size(max = 30, message = "At most 30 characters.")
            String code) {}

    /** Codes for when the phone is lost; they are not told again. */
    record RecoveryCodes(List<String> codes) {}

    /** Whether it is on. */
    record FactorState(boolean on, int codesLeft) {}

    @GetMapping
    FactorState state(@AuthenticationPrincipal SignedIn by) {
        SecondFactor.Stands stands = factor.of(by);
        return new FactorState(stands.on(), stands.codesLeft());
    }

    /** Begins with a key. */
    @PostMapping(consumes = "application/json")
    SecondFactor.Begun begin(
            @AuthenticationPrincipal SignedIn by, @Valid @RequestBody PasswordAgain again, HttpServletRequest request) {
        confirmation.password(by, again.password(), request, "second factor");
        return factor.begin(by);
    }

    /** Turns it on with a first code. */
    @PutMapping(consumes = "application/json")
    RecoveryCodes confirm(
            @AuthenticationPrincipal SignedIn by, @Valid @RequestBody FactorCode given, HttpServletRequest request) {
        List<String> codes = confirmation.counted(by, request, "second factor", () -> factor.confirm(by, given.code()));
        log.say("second factor on", by.signIn(), request);
        return new RecoveryCodes(codes);
    }

    /** Turns it off. */
    @PostMapping(path = "/end", consumes = "application/json")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(
            @AuthenticationPrincipal SignedIn by, @Valid @RequestBody PasswordAgain again, HttpServletRequest request) {
        confirmation.password(by, again.password(), request, "end of second factor");
        factor.end(by);
        log.say("second factor off", by.signIn(), request);
    }
}
