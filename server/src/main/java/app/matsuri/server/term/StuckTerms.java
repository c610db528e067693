package app.matsuri.server.term;

import app.matsuri.core.change.NoSuch;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.change.Computing;
import app.matsuri.server.http.Stuck;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;

/** Terms whose dates cannot be worked out: their history, their undo and their plan file are there all the same. */
@Component
class StuckTerms implements Stuck {

    private static final Pattern TERM = Pattern.compile("^/api/terms/(\\d{1,18})(/|$)");

    private final Access access;
    private final Computing computing;

    StuckTerms(Access access, Computing computing) {
        this.access = access;
        this.computing = computing;
    }

    @Override
    public Optional<Fault> why(HttpServletRequest request) {
        Matcher path = TERM.matcher(request.getRequestURI());
        if (!path.find()
                || !(request.getUserPrincipal() instanceof Authentication who)
                || !(who.getPrincipal() instanceof SignedIn by)) {
            return Optional.empty();
        }
        try {
            return computing.fault(
                    access.stands(by, Long.parseLong(path.group(1))).decisions());
        } catch (NoSuch e) {
            return Optional.empty(); // then it is not for them to know
        }
    }
}
