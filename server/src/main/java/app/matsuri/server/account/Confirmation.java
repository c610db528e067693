package app.matsuri.server.account;

import app.matsuri.server.http.Problem;
import jakarta.servlet.http.HttpServletRequest;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Makes sure once more that it is the person, before what counts most: held off and logged as a sign-in is. */
@Component
public class Confirmation {

    private final Accounts accounts;
    private final Attempts attempts;
    private final AccessLog log;

    Confirmation(Accounts accounts, Attempts attempts, AccessLog log) {
        this.accounts = accounts;
        this.attempts = attempts;
        this.log = log;
    }

    /**
     * Asks for the password.
     *
     * @param what it is asked for, as the log has it when it is refused
     * @throws Problem when it is not theirs, or was typed wrong too often
     */
    public void password(SignedIn by, String given, HttpServletRequest request, String what) {
        counted(by, request, what, () -> {
            accounts.password(by, given);
            return true;
        });
    }

    /** Does what only the person can; where it is refused, that is one more in vain. */
    <T> T counted(SignedIn by, HttpServletRequest request, String what, Supplier<T> tried) {
        attempts.look(by.signIn(), request.getRemoteAddr());
        try {
            return tried.get();
        } catch (Problem refused) {
            attempts.failed(by.signIn(), request.getRemoteAddr());
            log.say(what + " refused", by.signIn(), request);
            throw refused;
        }
    }
}
