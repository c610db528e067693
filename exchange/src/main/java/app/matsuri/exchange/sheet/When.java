package app.matsuri.exchange.sheet;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;

/**
 * When something is due, opens or closes, as a sheet says it.
 *
 * @param text the words of the sheet
 */
public record When(
        Sort sort,
        @Nullable LocalDate day,
        @Nullable LocalTime time,
        @Nullable DayOfWeek weekday,
        String text) {

    /** How it is said. */
    public enum Sort {
        /** A day, with or without a time. */
        DAY,
        /** A weekday of the same week as its class or on from there, with or without a time. */
        WEEKDAY,
        /** The start of its class. */
        CLASS_START,
        /** Done in its class. */
        IN_CLASS,
        /** The end of its class. */
        CLASS_END,
        /** The class that comes next. */
        NEXT_CLASS,
        /** The start of the last class of its lesson. */
        LAST_CLASS,
        /** A time on the day of its class. */
        TIME,
        /** Words of a rule. */
        WORDS
    }

    static When of(Sort sort, String text) {
        return new When(sort, null, null, null, text);
    }

    static When day(LocalDate day, @Nullable LocalTime time, String text) {
        return new When(Sort.DAY, day, time, null, text);
    }
}
