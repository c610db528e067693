package app.matsuri.server.account;

import jakarta.servlet.http.HttpServletRequest;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Who came in, who did not, and whose rights changed: a line each in the server's log, without passwords and tokens. */
@Component
public class AccessLog {

    private static final Logger LOG = LoggerFactory.getLogger("app.matsuri.access");
    private static final int MOST = 200;

    /** A line. */
    public void say(String what, String who, HttpServletRequest request) {
        LOG.info("{}: {} from {}", what, oneLine(who), request.getRemoteAddr());
    }

    /** A line of what changed without a request of its own. */
    public void say(String what, String who) {
        LOG.info("{}: {}", what, oneLine(who));
    }

    /** Nothing that somebody typed begins a line of its own, or turns one round. */
    public static String oneLine(String text) {
        String plain = text.replaceAll("[\\p{Cntrl}\\p{Cf}\\u2028\\u2029\\uD800-\\uDFFF]", "?");
        return plain.length() > MOST ? plain.substring(0, MOST) + "…" : plain;
    }
}
