package app.matsuri.core.schedule;

import java.time.LocalDateTime;

/**
 * What a date rule came to in one section.
 *
 * @param at the local date and time; null when unresolved
 * @param rolled moved off a day on which nothing may be due
 * @param fixed its rule begins with a date typed by hand
 * @param stuck it lies on such a day and the term has none to move it to
 * @param why why it is unresolved; null when it is not
 */
public record Resolved(LocalDateTime at, boolean rolled, boolean fixed, boolean stuck, String why) {

    static Resolved unresolved(String why) {
        return new Resolved(null, false, false, false, why);
    }

    public boolean resolved() {
        return at != null;
    }

    /** Its state as the plan file's table of dates names it. */
    public String state() {
        return at == null ? "unresolved" : rolled ? "rolled" : fixed ? "fixed" : "ok";
    }
}
