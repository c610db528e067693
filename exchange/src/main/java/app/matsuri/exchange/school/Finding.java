package app.matsuri.exchange.school;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * What a line of a school's calendar means.
 *
 * @param line of the file, from 1; of a workbook the row
 * @param text the line
 * @param what what it is taken as
 * @param first of its days, inclusive; null for nothing without a date
 * @param last of its days, inclusive; null likewise
 * @param from of a part of a day; null for whole days
 * @param to exclusive; midnight is the end of the day; null for whole days
 * @param as the weekday whose timetable is used; null unless it runs as another
 * @param reason in its own words; of nothing why, in few words
 * @param doubt what is not clear, a sentence; empty where it would be taken without asking
 */
public record Finding(
        int line,
        String text,
        What what,
        @Nullable LocalDate first,
        @Nullable LocalDate last,
        @Nullable LocalTime from,
        @Nullable LocalTime to,
        @Nullable DayOfWeek as,
        String reason,
        String doubt) {

    /** What a line may be taken as. */
    public enum What {
        /** No classes on its days. */
        OFF,
        /** No classes in its hours. */
        PART,
        /** The timetable of another weekday is used. */
        RUNS_AS,
        /** Classes meet on days that otherwise do not teach. */
        TEACHES,
        /** Classes may meet there to make up for days lost; until then it stays as it is. */
        RESERVE,
        FIRST_CLASS,
        LAST_CLASS,
        /** Nothing for a term's days. */
        NOTHING
    }

    public Finding {
        Objects.requireNonNull(what, "what");
    }

    static Finding nothing(int line, String text, String why) {
        return new Finding(line, text, What.NOTHING, null, null, null, null, null, why, "");
    }

    static Finding of(int line, String text, What what, LocalDate first, LocalDate last, String reason) {
        return new Finding(line, text, what, first, last, null, null, null, reason, "");
    }

    Finding during(LocalTime begins, LocalTime ends) {
        return new Finding(line, text, What.PART, first, last, begins, ends, null, reason, doubt);
    }

    Finding runsAs(DayOfWeek weekday) {
        return new Finding(line, text, What.RUNS_AS, first, last, null, null, weekday, reason, doubt);
    }

    /** The same, to be asked about; what is doubted already stays so. */
    Finding doubted(String why) {
        return new Finding(line, text, what, first, last, from, to, as, reason, doubt.isEmpty() ? why : doubt);
    }

    Finding until(LocalDate other) {
        return new Finding(line, text, what, first, other, from, to, as, reason, doubt);
    }

    Finding because(String other) {
        return new Finding(line, text, what, first, last, from, to, as, other, doubt);
    }

    /** Whether the days of another lie within its own. */
    boolean covers(Finding other) {
        return first != null
                && last != null
                && other.first != null
                && other.last != null
                && !other.first.isBefore(first)
                && !other.last.isAfter(last);
    }

    /** Whether it is taken, without being asked about. */
    public boolean taken() {
        return what != What.NOTHING && doubt.isEmpty();
    }
}
