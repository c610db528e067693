package app.matsuri.core.calendar;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.threeten.extra.LocalDateRange;

/**
 * A day off, or a run of them, with three independent effects. It may cover part of each of its days.
 *
 * @param days the days, first to last
 * @param from where it begins on each day, inclusive; null with {@code to} for whole days
 * @param to where it ends on each day, exclusive, midnight for the end of the day; null with {@code from} for whole days
 * @param reason what is said on the wall
 * @param kind one of {@link #KINDS}, or what the person wrote
 * @param noClass classes do not take place
 * @param planPauses the class meets, but not for the course's own material
 * @param nothingDue nothing may be due
 * @param only codes of the courses ("HYD 210") or sections ("HYD 210/A") it concerns; null for everyone
 * @param justInCase held back in case it is needed
 */
public record Closure(
        LocalDateRange days,
        @Nullable LocalTime from,
        @Nullable LocalTime to,
        String reason,
        String kind,
        boolean noClass,
        boolean planPauses,
        boolean nothingDue,
        @Nullable List<String> only,
        boolean justInCase,
        Extra extra) {

    /** The kinds that Matsuri offers. */
    public static final List<String> KINDS =
            List.of("public-holiday", "break", "staff-day", "testing", "event", "weather", "instructor-away", "other");

    public Closure {
        Objects.requireNonNull(days, "days");
        Objects.requireNonNull(reason, "reason");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(extra, "extra");
        if (from == null != (to == null)) {
            throw new IllegalArgumentException("a part of a day needs both from and to");
        }
        if (from != null && !inOrder(from, to)) {
            throw new IllegalArgumentException("from " + from + " is not before to " + said(to));
        }
        only = only == null ? null : List.copyOf(only);
    }

    /** A whole-day closure for everyone with the usual effects: no class and nothing due. */
    public static Closure of(LocalDate first, LocalDate last, String reason, String kind) {
        return new Closure(
                LocalDateRange.ofClosed(first, last),
                null,
                null,
                reason,
                kind,
                true,
                false,
                true,
                null,
                false,
                Extra.NONE);
    }

    /** Whether a part of a day that begins and ends then is one: midnight is the end of the day. */
    public static boolean inOrder(LocalTime from, LocalTime to) {
        return from.isBefore(to) || to.equals(LocalTime.MIDNIGHT);
    }

    /** A time at which a part of a day ends, as files write it: midnight as "24:00". */
    public static String said(LocalTime end) {
        return end.equals(LocalTime.MIDNIGHT) ? "24:00" : end.toString();
    }

    /** When it begins on a day. */
    public LocalDateTime begins(LocalDate day) {
        return from == null ? day.atStartOfDay() : day.atTime(from);
    }

    /** When it ends on a day, exclusive. */
    public LocalDateTime ends(LocalDate day) {
        return from == null || to == null || to.equals(LocalTime.MIDNIGHT)
                ? day.plusDays(1).atStartOfDay()
                : day.atTime(to);
    }

    public LocalDate first() {
        return days.getStart();
    }

    public LocalDate last() {
        return days.getEndInclusive();
    }

    /** Whether it covers its days whole. */
    public boolean wholeDay() {
        return from == null;
    }

    /** Whether it is for everyone. */
    public boolean everyone() {
        return only == null;
    }

    /** Whether the section of the course is among those it concerns. */
    public boolean concerns(String course, String section) {
        return only == null || only.contains(course) || only.contains(course + "/" + section);
    }

    /**
     * The same without a course and its sections, or a section; empty where it concerned nobody else.
     *
     * @param code of a course ("HYD 210") or a section ("HYD 210/A")
     */
    Optional<Closure> without(String code) {
        if (only == null) {
            return Optional.of(this);
        }
        List<String> left = only.stream()
                .filter(c -> !c.equals(code) && !c.startsWith(code + "/"))
                .toList();
        return left.isEmpty() && !only.isEmpty()
                ? Optional.empty()
                : Optional.of(new Closure(
                        days, from, to, reason, kind, noClass, planPauses, nothingDue, left, justInCase, extra));
    }

    public boolean covers(LocalDate day) {
        return days.contains(day);
    }

    /** Whether the moment lies in it: any time of a whole day, else from its beginning up to and without its end. */
    public boolean covers(LocalDateTime moment) {
        if (!covers(moment.toLocalDate())) {
            return false;
        }
        LocalDate day = moment.toLocalDate();
        return !moment.isBefore(begins(day)) && moment.isBefore(ends(day));
    }

    /** The same on other days. */
    public Closure withDays(LocalDate first, LocalDate last) {
        return new Closure(
                LocalDateRange.ofClosed(first, last),
                from,
                to,
                reason,
                kind,
                noClass,
                planPauses,
                nothingDue,
                only,
                justInCase,
                extra);
    }
}
