package app.matsuri.core.session;

import java.time.LocalDate;
import java.time.LocalDateTime;

/**
 * One meeting of a section.
 *
 * @param name the start it first had; every decision about it uses this
 * @param start as it now is
 * @param end as it now is, exclusive
 * @param minutes minutes of class in it, which a drill in the middle makes fewer than from start to end
 * @param place where, may be empty
 * @param link to the meeting, of the series that it belongs to; may be empty
 * @param origin where it comes from
 * @param paused the class meets, but not for the course's own material
 * @param held held empty by decision
 * @param early before the term's first plan day
 * @param record whether what was taught in it is recorded
 */
public record Session(
        LocalDateTime name,
        LocalDateTime start,
        LocalDateTime end,
        int minutes,
        String place,
        String link,
        Origin origin,
        boolean paused,
        boolean held,
        boolean early,
        boolean record) {

    /** Where a session comes from. */
    public enum Origin {
        PATTERN,
        MOVED,
        ADDED,
        /** One beat of a section without meetings: a day, no time. */
        BEAT
    }

    public LocalDate date() {
        return start.toLocalDate();
    }

    /** Whether lessons may be placed on it: not held, paused, or before the first plan day. */
    public boolean open() {
        return !paused && !held && !early;
    }
}
