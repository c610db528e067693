package app.matsuri.core.rollover;

import java.time.LocalDateTime;

/**
 * Where a date comes to in the new term.
 *
 * @param at null where it has no place there
 * @param why how it came there, or why it has no place
 * @param landed it fell on a day that does not teach, or on which nothing may be due, and went on to the next
 */
record Carried(LocalDateTime at, String why, boolean landed) {

    static Carried nowhere(String why) {
        return new Carried(null, why, false);
    }
}
