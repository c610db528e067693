package app.matsuri.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import jakarta.servlet.http.HttpSessionEvent;
import jakarta.servlet.http.HttpSessionListener;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Where people are signed in. */
@Component
public class Sessions implements HttpSessionListener {

    private static final String WHO = "matsuri.session";

    /** What a browser says of itself is kept up to so many characters. */
    private static final int MOST = 300;

    private final Map<String, HttpSession> open = new ConcurrentHashMap<>();

    private record Who(long accountId, String name, String browser) {}

    /**
     * Somewhere a person is signed in.
     *
     * @param name names it, without giving it away
     * @param browser what the browser says of itself; may be empty
     * @param since when the person signed in there
     * @param last when something was asked for there last
     * @param here whether it is the one that asks
     */
    public record OpenSession(String name, String browser, Instant since, Instant last, boolean here) {}

    /** Notes who signed in with the request. */
    void begin(HttpServletRequest request, SignedIn by) {
        String browser = Objects.requireNonNullElse(request.getHeader("User-Agent"), "");
        HttpSession session = request.getSession(true);
        session.setAttribute(
                WHO,
                new Who(
                        by.accountId(),
                        UUID.randomUUID().toString(),
                        browser.substring(0, Math.min(MOST, browser.length()))));
        open.put(session.getId(), session);
    }

    @Override
    public void sessionDestroyed(HttpSessionEvent event) {
        open.remove(event.getSession().getId());
    }

    /** Where a person is signed in, the last used first. */
    List<OpenSession> of(SignedIn by, HttpServletRequest request) {
        Who here = who(request.getSession(false));
        return open.values().stream()
                .filter(session -> isOf(session, by))
                .map(session -> said(session, here))
                .sorted(Comparator.comparing(OpenSession::last).reversed())
                .toList();
    }

    private static OpenSession said(HttpSession session, @Nullable Who here) {
        Who who = Objects.requireNonNull(who(session));
        return new OpenSession(
                who.name(),
                who.browser(),
                Instant.ofEpochMilli(session.getCreationTime()),
                Instant.ofEpochMilli(session.getLastAccessedTime()),
                here != null && here.name().equals(who.name()));
    }

    /** Ends one of a person's; false where there is none of that name. */
    boolean end(SignedIn by, String name) {
        List<HttpSession> found = open.values().stream()
                .filter(session -> isOf(session, by))
                .filter(session -> Objects.requireNonNull(who(session)).name().equals(name))
                .toList();
        found.forEach(HttpSession::invalidate);
        return !found.isEmpty();
    }

    /** Ends all of a person's. */
    public void endAll(SignedIn by) {
        open.values().stream().filter(session -> isOf(session, by)).toList().forEach(HttpSession::invalidate);
    }

    /** Ends all of a person's but the one that asks. */
    void endOthers(SignedIn by, HttpServletRequest request) {
        of(by, request).stream().filter(one -> !one.here()).forEach(one -> end(by, one.name()));
    }

    private static boolean isOf(HttpSession session, SignedIn by) {
        Who who = who(session);
        return who != null && who.accountId() == by.accountId();
    }

    /** Who is signed in there; null where nobody is, or it is over. */
    private static @Nullable Who who(@Nullable HttpSession session) {
        try {
            return session == null ? null : (Who) session.getAttribute(WHO);
        } catch (IllegalStateException over) {
            // it ended while it was looked at: nobody is signed in there any more
            return null;
        }
    }
}
