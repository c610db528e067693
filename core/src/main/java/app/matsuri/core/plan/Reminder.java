package app.matsuri.core.plan;

import java.time.Duration;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * That somebody is reminded of what a course has.
 *
 * @param id names it within its course
 * @param kinds of work it is for; empty for all
 * @param item id of the one piece of work that it is for; that piece then has no other reminder before the same date. Null for all work
 * @param marked only for work that has points
 * @param before which moment
 * @param lead how long before
 * @param to whom
 * @param mail by mail
 * @param feed as an alarm in feeds; by neither where one piece of work is to have none
 */
public record Reminder(
        String id,
        List<String> kinds,
        @Nullable String item,
        boolean marked,
        Before before,
        Lead lead,
        Whom to,
        boolean mail,
        boolean feed) {

    /** What a reminder comes before. */
    public enum Before {
        OPENS(Which.OPENS),
        DUE(Which.DUE),
        CLOSES(Which.CLOSES),
        /** The start of a class. */
        SESSION(null),
        /** The start of a booking of office hours. */
        BOOKING(null);

        private final @Nullable Which which;

        Before(@Nullable Which which) {
            this.which = which;
        }

        /** The date of work; null for a class or a booking. */
        public @Nullable Which which() {
            return which;
        }
    }

    /** Who is reminded. */
    public enum Whom {
        /** Every student it concerns who did not hand it in. */
        STUDENTS,
        /** Who teaches it. */
        INSTRUCTOR
    }

    /**
     * How long before.
     *
     * @param minutes elapsed time, 0 or more; counts where there is no time of day
     * @param days so many days earlier, 0 or more
     * @param at at that time of day; null where minutes count
     */
    public record Lead(int minutes, int days, @Nullable LocalTime at) {

        /** The most that a reminder comes before: four weeks. */
        public static final int MOST_DAYS = 28;

        public Lead {
            if (minutes < 0 || days < 0 || days > MOST_DAYS || minutes > MOST_DAYS * 24 * 60) {
                throw new IllegalArgumentException("a reminder comes 0 to " + MOST_DAYS + " days before");
            }
        }

        /** So many minutes before. */
        public static Lead minutes(int minutes) {
            return new Lead(minutes, 0, null);
        }

        /** So many days before, at a time of day. */
        public static Lead days(int days, LocalTime at) {
            return new Lead(0, days, at);
        }

        /** The moment so long before another; never after it. */
        public LocalDateTime of(LocalDateTime moment) {
            LocalDateTime early = at == null
                    ? moment.minusMinutes(minutes)
                    : moment.toLocalDate().minusDays(days).atTime(at);
            return early.isAfter(moment) ? moment : early;
        }

        /** How long that is before a moment. */
        public Duration before(LocalDateTime moment) {
            return Duration.between(of(moment), moment);
        }
    }

    /** What a course made anew has: the day before at 09:00, for what is marked and due. */
    public static final Reminder USUAL = new Reminder(
            "due-the-day-before",
            List.of(),
            null,
            true,
            Before.DUE,
            Lead.days(1, LocalTime.of(9, 0)),
            Whom.STUDENTS,
            true,
            true);

    public Reminder {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(before, "before");
        Objects.requireNonNull(lead, "lead");
        Objects.requireNonNull(to, "to");
        kinds = List.copyOf(kinds);
    }

    /**
     * Those of a course that hold for a piece of its work.
     *
     * @param item null for what another course shares
     * @param points whether it has any
     */
    public static List<Reminder> of(
            List<Reminder> all, @Nullable String item, String kind, boolean points, Before before) {
        List<Reminder> own = all.stream()
                .filter(r -> r.before == before && item != null && item.equals(r.item))
                .toList();
        return own.isEmpty()
                ? all.stream()
                        .filter(r -> r.before == before && r.item == null)
                        .filter(r -> r.kinds.isEmpty() || r.kinds.contains(kind))
                        .filter(r -> points || !r.marked)
                        .toList()
                : own;
    }
}
