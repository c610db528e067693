package app.matsuri.core.session;

import app.matsuri.core.calendar.Extra;
import java.time.LocalDateTime;

/** A change to one session of a section. Changes apply in the order in which they stand. */
public sealed interface SessionChange {

    Extra extra();

    /** Whether it is about the session of that name. */
    boolean names(LocalDateTime session);

    /** The session does not take place. */
    record Cancel(LocalDateTime session, Extra extra) implements SessionChange {
        @Override
        public boolean names(LocalDateTime name) {
            return session.equals(name);
        }
    }

    /**
     * The session takes place at another time, whatever that day is.
     *
     * @param minutes its new length; null to keep the length
     */
    record Move(LocalDateTime session, LocalDateTime to, Integer minutes, Extra extra) implements SessionChange {
        @Override
        public boolean names(LocalDateTime name) {
            return session.equals(name);
        }
    }

    /** A session more, whatever that day is. */
    record Add(LocalDateTime at, int minutes, String place, Extra extra) implements SessionChange {
        @Override
        public boolean names(LocalDateTime name) {
            return at.equals(name);
        }
    }
}
