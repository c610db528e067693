package app.matsuri.core.rollover;

import app.matsuri.core.calendar.Known;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/**
 * Where a date comes to in the new term.
 *
 * @param at null where it has no place there
 * @param why how it came there, or why it has no place
 * @param landed it fell on a day that does not teach, or on which nothing may be due, and went on to the next
 */
record Carried(@Nullable LocalDateTime at, String why, boolean landed) {

    /**
     * The moment of one that has a place.
     *
     * @throws IllegalStateException when it has none
     */
    LocalDateTime moment() {
        return Known.there(at, "what has no place in the new term");
    }

    static Carried nowhere(String why) {
        return new Carried(null, why, false);
    }
}
