package app.matsuri.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.Serializable;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Where people are signed in. */
@Component
public class Sessions {

    private static final String WHO = "matsuri.session";

    /** What a browser says of itself is kept up to so many characters. */
    private static final int MOST = 300;

    private final FindByIndexNameSessionRepository<?> kept;

    Sessions(FindByIndexNameSessionRepository<?> kept) {
        this.kept = kept;
    }

    private record Who(String name, String browser) implements Serializable {}

    /**
     * Somewhere a person is signed in.
     *
     * @param name names it, without giving it away
     * @param browser what the browser says of itself; may be empty
     * @param since when the person signed in there
     * @param last when something was asked for there last, to the minute
     * @param here whether it is the one that asks
     */
    public record OpenSession(String name, String browser, Instant since, Instant last, boolean here) {}

    /** Signs a person in with the request. */
    public void signIn(SignedIn by, HttpServletRequest request, HttpServletResponse response) {
        request.getSession(true);
        request.changeSessionId();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(by, null, by.getAuthorities()));
        SecurityContextHolder.setContext(context);
        new HttpSessionSecurityContextRepository().saveContext(context, request, response);
        begin(request);
    }

    /** Notes who signed in with the request. */
    void begin(HttpServletRequest request) {
        String browser = Objects.requireNonNullElse(request.getHeader("User-Agent"), "");
        request.getSession(true)
                .setAttribute(
                        WHO,
                        new Who(UUID.randomUUID().toString(), browser.substring(0, Math.min(MOST, browser.length()))));
    }

    /** Where a person is signed in, the last used first. */
    List<OpenSession> of(SignedIn by, HttpServletRequest request) {
        var session = request.getSession(false);
        String here = session != null && session.getAttribute(WHO) instanceof Who who ? who.name() : "";
        return all(by).stream()
                .flatMap(one -> said(one, here).stream())
                .sorted(Comparator.comparing(OpenSession::last).reversed())
                .toList();
    }

    private static Optional<OpenSession> said(Session session, String here) {
        return session.getAttribute(WHO) instanceof Who who
                ? Optional.of(new OpenSession(
                        who.name(),
                        who.browser(),
                        session.getCreationTime(),
                        session.getLastAccessedTime(),
                        here.equals(who.name())))
                : Optional.empty();
    }

    private Collection<? extends Session> all(SignedIn by) {
        return kept.findByPrincipalName(by.signIn()).values();
    }

    /** Ends one of a person's; false where there is none of that name. */
    boolean end(SignedIn by, String name) {
        List<? extends Session> found = all(by).stream()
                .filter(one ->
                        one.getAttribute(WHO) instanceof Who who && who.name().equals(name))
                .toList();
        found.forEach(one -> kept.deleteById(one.getId()));
        return !found.isEmpty();
    }

    /** Ends all of a person's. */
    public void endAll(SignedIn by) {
        all(by).forEach(one -> kept.deleteById(one.getId()));
    }

    /** Ends all of a person's but the one that asks. */
    void endOthers(SignedIn by, HttpServletRequest request) {
        of(by, request).stream().filter(one -> !one.here()).forEach(one -> end(by, one.name()));
    }
}
