package app.matsuri.server.openid;

import app.matsuri.server.account.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Component;

/** That who is signed in wants to connect their account: kept in their session for ten minutes, and taken once. */
@Component
class Connecting {

    private static final String UNTIL = "matsuri.connecting-until";
    private static final String WHOSE = "matsuri.connecting";
    private static final Duration KEPT = Duration.ofMinutes(10);

    private final Clock machine;

    Connecting(@Qualifier("machine") Clock machine) {
        this.machine = machine;
    }

    void begin(SignedIn by, HttpServletRequest request) {
        HttpSession session = request.getSession(true);
        session.setAttribute(WHOSE, by.accountId());
        session.setAttribute(UNTIL, Instant.now(machine).plus(KEPT));
    }

    /** Whose account is to be connected by the sign-in that has come back; null for none. */
    @Nullable
    Long taken(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session == null) {
            return null;
        }
        Long whose = session.getAttribute(WHOSE) instanceof Long id ? id : null;
        boolean inTime = session.getAttribute(UNTIL) instanceof Instant until
                && Instant.now(machine).isBefore(until);
        session.removeAttribute(WHOSE);
        session.removeAttribute(UNTIL);
        return inTime ? whose : null;
    }
}
