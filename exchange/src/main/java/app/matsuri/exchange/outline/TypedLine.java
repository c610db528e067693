package app.matsuri.exchange.outline;

import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Which;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.MomentWords;
import app.matsuri.exchange.words.PlanNames;
import app.matsuri.exchange.words.RepeatWords;
import app.matsuri.exchange.words.Times;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One line of work, a lesson, a notice or a note as people type it, read word by word: a title, and behind it in any order
 * its kind, dates, times, points, minutes, how it repeats and where. What is not understood is said, never swallowed.
 */
public final class TypedLine {

    /** What a line is. */
    public enum Sort {
        WORK,
        LESSON,
        NOTICE,
        NOTE
    }

    /**
     * Where a line is typed.
     *
     * @param day the day it is typed into; null where it must say one
     * @param lesson id of the lesson that work belongs to; null for none
     * @param begins whether that lesson begins on the day: work is due with it then
     * @param names what the course has
     */
    public record Place(
            DayWords days,
            @Nullable LocalDate day,
            @Nullable String lesson,
            boolean begins,
            PlanNames names) {}

    /**
     * Some words of the line.
     *
     * @param as what they were taken as; where they were not understood, what to write instead
     */
    public record Part(String text, String as, boolean understood) {}

    private static final LocalTime END_OF_DAY = LocalTime.of(23, 59);

    /** The longest line that is read, in characters. */
    public static final int MOST = 500;

    private final Place in;
    private final TypedLineReader read;

    private TypedLine(Place in, TypedLineReader read) {
        this.in = in;
        this.read = read;
    }

    /**
     * Reads a line.
     *
     * @throws Unreadable when it is longer than {@link #MOST}
     */
    public static TypedLine read(String text, Place in) {
        if (text.length() > MOST) {
            throw new Unreadable(String.format(
                    Locale.ENGLISH,
                    "The line has %,d characters; at most %,d are read. Put what it says at length into its instructions.",
                    text.length(),
                    MOST));
        }
        return new TypedLine(in, TypedLineReader.of(text.strip(), in));
    }

    public Sort sort() {
        return read.sort;
    }

    /** The kind of work; null for what is no work. */
    public @Nullable String kind() {
        return read.sort == Sort.WORK ? read.kind : null;
    }

    public String title() {
        return read.title;
    }

    public @Nullable BigDecimal points() {
        return read.points;
    }

    public @Nullable Integer minutes() {
        return read.minutes;
    }

    public String place() {
        return read.place;
    }

    public List<Part> parts() {
        return List.copyOf(read.parts);
    }

    /** The first words that were not understood. */
    public Optional<Part> wrong() {
        return read.parts.stream().filter(p -> !p.understood()).findFirst();
    }

    /** The date of that name; null for none. */
    public @Nullable DateRule date(Which which) {
        return read.dates.get(which);
    }

    /**
     * When a notice is.
     *
     * @throws IllegalArgumentException when neither the line nor its place says a day; the message says what to do
     */
    public NoticeTime when() {
        List<MomentWords> days = read.days;
        Times times = read.times;
        LocalDate day = days.isEmpty() ? in.day() : days.get(0).day();
        if (read.repeat != null) {
            return NoticeTime.series(
                    joined(read.repeat).from(day == null ? in.days().base() : day));
        }
        DateRule begins = read.dates.get(Which.OPENS);
        DateRule ends = read.dates.get(Which.CLOSES);
        if (begins != null || ends != null) {
            DateRule from = begins != null ? begins : day == null ? null : DateRule.at(day.atStartOfDay());
            if (from != null) {
                return NoticeTime.once(false, from, ends);
            }
        }
        if (day == null) {
            throw new IllegalArgumentException(
                    "Say when, behind a comma: “notice " + read.title + ", 24 oct”, or type it into its day.");
        }
        LocalTime first = times != null
                ? times.start()
                : days.isEmpty() ? null : days.get(0).time();
        LocalDate lastDay = days.size() > 1 ? days.get(1).day() : day;
        if (first == null) {
            return NoticeTime.once(
                    true,
                    DateRule.at(day.atStartOfDay()),
                    lastDay.equals(day) ? null : DateRule.at(lastDay.atStartOfDay()));
        }
        LocalTime last = times != null && times.end() != null
                ? times.end()
                : days.size() > 1
                        ? days.get(1).time() == null ? END_OF_DAY : days.get(1).time()
                        : null;
        return NoticeTime.once(
                false, DateRule.at(day.atTime(first)), last == null ? null : DateRule.at(lastDay.atTime(last)));
    }

    /** Whether it repeats. */
    public boolean repeats() {
        return read.repeat != null;
    }

    /** How it repeats, with what other words of the line say about that; null where it does not. */
    @Nullable
    RepeatWords repeat() {
        return read.repeat == null ? null : joined(read.repeat);
    }

    private RepeatWords joined(RepeatWords repeat) {
        Times times = read.times;
        return new RepeatWords(
                repeat.rule(),
                repeat.every(),
                repeat.from() == null ? dayOf(Which.OPENS) : repeat.from(),
                repeat.until() == null ? dayOf(Which.CLOSES) : repeat.until(),
                repeat.times() == 0 ? read.often : repeat.times(),
                repeat.start() == null && times != null ? times.start() : repeat.start(),
                repeat.start() == null && times != null ? times.minutes() : repeat.minutes(),
                read.place);
    }

    private @Nullable LocalDate dayOf(Which which) {
        DateRule rule = read.dates.get(which);
        return rule != null && rule.fixed() ? rule.typed().toLocalDate() : null;
    }
}
