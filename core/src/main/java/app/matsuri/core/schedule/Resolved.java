package app.matsuri.core.schedule;

import app.matsuri.core.calendar.Known;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/**
 * What a date rule came to in one section.
 *
 * @param at the local date and time; null when unresolved
 * @param rolled moved off a day on which nothing may be due
 * @param fixed its rule begins with a date typed by hand
 * @param stuck it lies on such a day and the term has none to move it to
 * @param why why it is unresolved; null when it is not
 */
public record Resolved(
        @Nullable LocalDateTime at,
        boolean rolled,
        boolean fixed,
        boolean stuck,
        @Nullable String why) {

    static Resolved unresolved(@Nullable String why) {
        return new Resolved(null, false, false, false, why);
    }

    public boolean resolved() {
        return at != null;
    }

    /**
     * The local date and time of one that is resolved.
     *
     * @throws IllegalStateException when it is not
     */
    public LocalDateTime moment() {
        return Known.there(at, "a date that is unresolved");
    }

    /**
     * Why one that is unresolved is.
     *
     * @throws IllegalStateException when it is resolved
     */
    public String reason() {
        return Known.there(why, "why a date is unresolved that is not");
    }

    /** Its state as the plan file's table of dates names it. */
    public String state() {
        return at == null ? "unresolved" : rolled ? "rolled" : fixed ? "fixed" : "ok";
    }
}
