package app.matsuri.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;

/**
 * Sessions that are written when something of them changes, and at most once a minute because they are used: looking at a plan
 * writes nothing. However much it is used, a session ends after a while.
 */
final class SeldomWritten<S extends Session> implements FindByIndexNameSessionRepository<SeldomWritten.Kept<S>> {

    private static final Logger LOG = LoggerFactory.getLogger(SeldomWritten.class);

    private static final Duration OFTEN = Duration.ofMinutes(1);

    private final FindByIndexNameSessionRepository<S> stored;
    private final Duration longest;
    private final Clock machine;

    SeldomWritten(FindByIndexNameSessionRepository<S> stored, Duration longest, Clock machine) {
        this.machine = machine;
        this.stored = stored;
        this.longest = longest;
    }

    @Override
    public Kept<S> createSession() {
        return new Kept<>(stored.createSession(), true);
    }

    @Override
    public void save(Kept<S> session) {
        if (session.changed) {
            stored.save(session.of);
        } else if (session.used) {
            try {
                stored.save(session.of);
            } catch (RuntimeException e) {
                // as on a full disk: who only looks can go on
                LOG.warn("when a sign-in was used last is not kept: {}", e.getMessage());
            }
        }
        session.changed = false;
        session.used = false;
    }

    @Override
    public @Nullable Kept<S> findById(String id) {
        S session = stored.findById(id);
        if (session == null) {
            return null;
        }
        if (session.getCreationTime().plus(longest).isBefore(machine.instant())) {
            stored.deleteById(id);
            return null;
        }
        return new Kept<>(session, false);
    }

    @Override
    public void deleteById(String id) {
        stored.deleteById(id);
    }

    @Override
    public Map<String, Kept<S>> findByIndexNameAndIndexValue(String name, String value) {
        Map<String, Kept<S>> found = new HashMap<>();
        stored.findByIndexNameAndIndexValue(name, value).forEach((id, s) -> found.put(id, new Kept<>(s, false)));
        return found;
    }

    /** A session, and whether it is to be written. */
    static final class Kept<S extends Session> implements Session {

        private final S of;
        private boolean changed;
        private boolean used;

        private Kept(S of, boolean changed) {
            this.of = of;
            this.changed = changed;
        }

        @Override
        public String getId() {
            return of.getId();
        }

        @Override
        public String changeSessionId() {
            changed = true;
            return of.changeSessionId();
        }

        @Override
        public <T> @Nullable T getAttribute(String name) {
            return of.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return of.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, @Nullable Object value) {
            changed = true;
            if (value == null) {
                of.removeAttribute(name);
            } else {
                of.setAttribute(name, value);
            }
        }

        @Override
        public void removeAttribute(String name) {
            changed = true;
            of.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return of.getCreationTime();
        }

        @Override
        public void setLastAccessedTime(Instant at) {
            if (changed || of.getLastAccessedTime().plus(OFTEN).isBefore(at)) {
                used = true;
                of.setLastAccessedTime(at);
            }
        }

        @Override
        public Instant getLastAccessedTime() {
            return of.getLastAccessedTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            if (!interval.equals(of.getMaxInactiveInterval())) {
                changed = true;
                of.setMaxInactiveInterval(interval);
            }
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return of.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return of.isExpired();
        }
    }
}
