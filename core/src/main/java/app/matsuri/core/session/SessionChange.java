package app.matsuri.core.session;

import app.matsuri.core.calendar.Extra;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** A change to one session of a section. Changes apply in the order in which they stand. */
public sealed interface SessionChange {

    Extra extra();

    /** The name of the session that it is about: when that begins, before any change. */
    LocalDateTime name();

    /** What the case of this kind answers. */
    <T> T on(Cases<T> cases);

    /** Whether it is about the session of that name. */
    default boolean names(LocalDateTime session) {
        return name().equals(session);
    }

    /** One answer for each kind. */
    interface Cases<T> {
        T cancel(Cancel cancel);

        T move(Move move);

        T add(Add add);
    }

    /** The session does not take place. */
    record Cancel(LocalDateTime session, Extra extra) implements SessionChange {
        @Override
        public LocalDateTime name() {
            return session;
        }

        @Override
        public <T> T on(Cases<T> cases) {
            return cases.cancel(this);
        }
    }

    /**
     * The session takes place at another time, whatever that day is.
     *
     * @param minutes its new length; null to keep the length
     */
    record Move(
            LocalDateTime session,
            LocalDateTime to,
            @Nullable Integer minutes,
            Extra extra) implements SessionChange {
        @Override
        public LocalDateTime name() {
            return session;
        }

        @Override
        public <T> T on(Cases<T> cases) {
            return cases.move(this);
        }
    }

    /** A session more, whatever that day is. */
    record Add(LocalDateTime at, int minutes, String place, Extra extra) implements SessionChange {
        @Override
        public LocalDateTime name() {
            return at;
        }

        @Override
        public <T> T on(Cases<T> cases) {
            return cases.add(this);
        }
    }
}
