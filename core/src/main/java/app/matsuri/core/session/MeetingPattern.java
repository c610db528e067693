package app.matsuri.core.session;

import app.matsuri.core.calendar.Extra;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Objects;

/**
 * When a section meets: a recurrence with a time of day.
 *
 * @param rule an RFC 5545 RRULE as {@link Recurrence} reads it, kept as typed; null where only letters are given
 * @param start local start time
 * @param minutes length, 1 or more
 * @param place where, may be empty
 * @param link meeting link of the series, may be empty
 * @param from first day on which it is valid, inclusive, and the rule's anchor; null for the term's first day
 * @param until last day on which it is valid, inclusive; null for the term's last day
 */
public record MeetingPattern(
        String rule,
        LocalTime start,
        int minutes,
        String place,
        String link,
        LocalDate from,
        LocalDate until,
        Extra extra) {

    public MeetingPattern {
        Objects.requireNonNull(start, "start");
        Objects.requireNonNull(place, "place");
        Objects.requireNonNull(link, "link");
        if (minutes < 1) {
            throw new IllegalArgumentException("a class needs a length of at least one minute");
        }
    }

    /** A pattern for the whole term. */
    public static MeetingPattern of(String rule, LocalTime start, int minutes) {
        return new MeetingPattern(rule, start, minutes, "", "", null, null, Extra.NONE);
    }
}
