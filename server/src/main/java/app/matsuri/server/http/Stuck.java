package app.matsuri.server.http;

import app.matsuri.exchange.plan.Fault;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;

/** Whether a request failed because the term that it asks for cannot be worked out any more. */
@FunctionalInterface
public interface Stuck {

    /** Why the term cannot be; empty where it can, or the request asks for none. */
    Optional<Fault> why(HttpServletRequest request);
}
