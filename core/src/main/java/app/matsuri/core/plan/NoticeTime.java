package app.matsuri.core.plan;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * When a notice is: once, from one rule to another, or as a series.
 *
 * @param allDay whole days, without a time
 * @param begins when it begins; null for a series
 * @param ends when it ends, for whole days the last of them; null for a moment or a single day
 * @param repeats the stretches of a series, in order; empty for a notice that is once
 * @param instead what happened to single entries of the series, by the day each had first: moved there, or left out
 */
public record NoticeTime(
        boolean allDay,
        @Nullable DateRule begins,
        @Nullable DateRule ends,
        List<Repeat> repeats,
        Map<LocalDate, Optional<LocalDateTime>> instead) {

    /**
     * A stretch of a series.
     *
     * @param rule a recurrence as {@link app.matsuri.core.session.Recurrence} reads it
     * @param from its first day, where every k weeks are counted from; null for the term's
     * @param until its last day, inclusive; null for the term's
     * @param time when on its day; null for the whole day
     * @param minutes how long; 0 for a moment or the whole day
     */
    public record Repeat(
            String rule,
            @Nullable LocalDate from,
            @Nullable LocalDate until,
            @Nullable LocalTime time,
            int minutes) {

        public Repeat {
            Objects.requireNonNull(rule, "rule");
            if (minutes < 0) {
                throw new IllegalArgumentException("a notice cannot take less than no time");
            }
        }

        Repeat until(LocalDate other) {
            return new Repeat(rule, from, other, time, minutes);
        }
    }

    public NoticeTime {
        repeats = List.copyOf(repeats);
        instead = Collections.unmodifiableMap(new TreeMap<>(instead));
        if (repeats.isEmpty()) {
            Objects.requireNonNull(begins, "begins");
        }
    }

    /** A day. */
    public static NoticeTime on(LocalDate day) {
        return new NoticeTime(true, DateRule.at(day.atStartOfDay()), null, List.of(), Map.of());
    }

    /** From one rule to another; the second may be null. */
    public static NoticeTime once(boolean allDay, @Nullable DateRule begins, @Nullable DateRule ends) {
        return new NoticeTime(allDay, begins, ends, List.of(), Map.of());
    }

    /** A series. */
    public static NoticeTime series(Repeat... repeats) {
        return new NoticeTime(
                List.of(repeats).stream().allMatch(r -> r.time() == null), null, null, List.of(repeats), Map.of());
    }

    /** Whether it repeats. */
    public boolean series() {
        return !repeats.isEmpty();
    }

    /** The same with one entry of the series moved, or left out where null. */
    public NoticeTime instead(LocalDate day, @Nullable LocalDateTime to) {
        Map<LocalDate, Optional<LocalDateTime>> others = new TreeMap<>(instead);
        others.put(day, Optional.ofNullable(to));
        return new NoticeTime(allDay, begins, ends, repeats, others);
    }

    /**
     * The same series, going on otherwise from a day on. It stays one series.
     *
     * @param from inclusive
     * @param repeat how it goes on; null where it ends the day before
     * @return empty when nothing would be left
     */
    public Optional<NoticeTime> from(LocalDate from, @Nullable Repeat repeat) {
        List<Repeat> others = new ArrayList<>();
        for (Repeat stretch : repeats) {
            if (stretch.from() == null || stretch.from().isBefore(from)) {
                boolean over = stretch.until() != null && stretch.until().isBefore(from);
                others.add(over ? stretch : stretch.until(from.minusDays(1)));
            }
        }
        if (repeat != null) {
            others.add(new Repeat(repeat.rule(), from, repeat.until(), repeat.time(), repeat.minutes()));
        }
        if (others.isEmpty()) {
            return Optional.empty();
        }
        Map<LocalDate, Optional<LocalDateTime>> before = new TreeMap<>(instead);
        before.keySet().removeIf(day -> !day.isBefore(from));
        boolean days = others.stream().allMatch(r -> r.time() == null);
        return Optional.of(new NoticeTime(days, null, null, others, before));
    }

    /** The rule of its beginning, where work opens, or its end, where work closes; null for the date that it does not have. */
    public @Nullable DateRule rule(Which which) {
        return switch (which) {
            case OPENS -> begins;
            case DUE -> null;
            case CLOSES -> ends;
        };
    }

    /**
     * The time with other rules for its beginning and its end; none takes the end away.
     *
     * @param title of its notice, for what is said
     * @throws IllegalArgumentException when that means nothing; the message says why
     */
    public NoticeTime with(String title, Map<Which, Own<DateRule>> dates) {
        if (series()) {
            throw new IllegalArgumentException(
                    "“" + title + "” is a series: change it on the Wall, on one of its days.");
        }
        if (dates.containsKey(Which.DUE)) {
            throw new IllegalArgumentException("“" + title + "” is a notice: it begins and ends, and is never due.");
        }
        DateRule first = Optional.ofNullable(rule(dates, Which.OPENS, begins, title))
                .orElseThrow(() -> new IllegalArgumentException(
                        "“" + title + "” must begin on some day. Take the notice out if it is over."));
        DateRule last = rule(dates, Which.CLOSES, ends, title);
        boolean timed = dates.values().stream()
                .anyMatch(own -> own.said().filter(NoticeTime::timed).isPresent());
        boolean days = allDay && !timed;
        return once(days, days ? day(first) : first, days ? day(last) : last);
    }

    /** The rule that was typed, else the one there was; what hangs on where work opens hangs on the beginning. */
    private static @Nullable DateRule rule(
            Map<Which, Own<DateRule>> dates, Which which, @Nullable DateRule was, String title) {
        DateRule rule = dates.getOrDefault(which, Own.asPlanned()).over(was);
        Optional<Which> own = Optional.ofNullable(rule).flatMap(r -> r.anchor().own());
        if (rule != null && own.isPresent()) {
            if (which != Which.CLOSES || own.get() != Which.OPENS) {
                throw new IllegalArgumentException("“" + title
                        + "” is a notice: only its end can hang on a date of its own, and only on its beginning.");
            }
            return rule.from(new Anchor.OwnBeginning(), rule.plus());
        }
        return rule;
    }

    /** Whether a date typed by hand names a time of day; without one it is the end of its day. */
    private static boolean timed(DateRule rule) {
        return rule.plain() && !Set.of(LocalTime.of(23, 59), LocalTime.MIDNIGHT).contains(time(rule));
    }

    private static @Nullable DateRule day(@Nullable DateRule rule) {
        return rule != null && rule.plain()
                ? DateRule.at(rule.typed().toLocalDate().atStartOfDay())
                : rule;
    }

    private static LocalTime time(DateRule rule) {
        return rule.typed().toLocalTime();
    }
}
