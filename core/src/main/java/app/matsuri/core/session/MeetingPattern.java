package app.matsuri.core.session;

import app.matsuri.core.calendar.Extra;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * When a section meets: a recurrence with a time of day.
 *
 * @param rule an RFC 5545 RRULE as {@link Recurrence} reads it, kept as typed; null where only letters are given
 * @param letters day letters on which it meets; empty for any. With a rule it meets where both hold
 * @param start local start time
 * @param minutes length, 1 or more
 * @param place where, may be empty
 * @param link meeting link of the series, may be empty
 * @param from first day on which it is valid, inclusive, and the rule's anchor; null for the term's first day
 * @param until last day on which it is valid, inclusive; null for the term's last day
 */
public record MeetingPattern(
        @Nullable String rule,
        List<String> letters,
        LocalTime start,
        int minutes,
        String place,
        String link,
        @Nullable LocalDate from,
        @Nullable LocalDate until,
        Extra extra) {

    public MeetingPattern {
        Objects.requireNonNull(start, "start");
        Objects.requireNonNull(place, "place");
        Objects.requireNonNull(link, "link");
        letters = List.copyOf(letters);
        if (rule == null && letters.isEmpty()) {
            throw new IllegalArgumentException("a class needs a rule or day letters");
        }
        if (minutes < 1) {
            throw new IllegalArgumentException("a class needs a length of at least one minute");
        }
    }

    /** The same at another place. */
    public MeetingPattern at(String other) {
        return new MeetingPattern(rule, letters, start, minutes, other, link, from, until, extra);
    }

    /** The same with another link. */
    public MeetingPattern withLink(String other) {
        return new MeetingPattern(rule, letters, start, minutes, place, other, from, until, extra);
    }

    /** The same, valid from and until other days. */
    public MeetingPattern within(@Nullable LocalDate first, @Nullable LocalDate last) {
        return new MeetingPattern(rule, letters, start, minutes, place, link, first, last, extra);
    }

    /**
     * A part of each: another start on the same day, and another length.
     *
     * @param after minutes after this one's start, within the day
     */
    public MeetingPattern part(int after, int length) {
        return new MeetingPattern(rule, letters, start.plusMinutes(after), length, place, link, from, until, extra);
    }

    /** A pattern for the whole term. */
    public static MeetingPattern of(String rule, LocalTime start, int minutes) {
        return new MeetingPattern(rule, List.of(), start, minutes, "", "", null, null, Extra.NONE);
    }
}
