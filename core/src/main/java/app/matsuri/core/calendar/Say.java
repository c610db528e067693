package app.matsuri.core.calendar;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.function.Supplier;

/** Days and numbers as sentences say them. */
public final class Say {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
    private static final DateTimeFormatter TWELVE = DateTimeFormatter.ofPattern("h:mm", Locale.ENGLISH);
    /** Whether who is answered on this thread reads a clock of 12 hours. */
    private static final ThreadLocal<Boolean> TWELVE_HOURS = ThreadLocal.withInitial(() -> false);
    /** The term that is spoken of on this thread: days of its years are said without them. */
    private static final ThreadLocal<Term> ABOUT = new ThreadLocal<>();

    private Say() {}

    /** From here on, this thread says times on a clock of 12 or of 24 hours; of 24 where nobody said so. */
    public static void twelveHours(boolean twelve) {
        if (twelve) {
            TWELVE_HOURS.set(true);
        } else {
            TWELVE_HOURS.remove();
        }
    }

    /** Whether this thread says times on a clock of 12 hours. */
    public static boolean twelveHours() {
        return TWELVE_HOURS.get();
    }

    /** Says something about a term, in which days of other years than its own are said with their year. */
    public static <T> T about(Term term, Supplier<T> said) {
        Term before = ABOUT.get();
        ABOUT.set(term);
        try {
            return said.get();
        } finally {
            if (before == null) {
                ABOUT.remove();
            } else {
                ABOUT.set(before);
            }
        }
    }

    /** "17:00", or "5:00 pm" for who prefers that. */
    public static String time(LocalTime time) {
        return TWELVE_HOURS.get()
                ? time.format(TWELVE) + (time.getHour() < 12 ? " am" : " pm")
                : time.truncatedTo(ChronoUnit.MINUTES).toString();
    }

    /** The time at which a part of a day ends: midnight is the end of the day, "24:00", or "midnight". */
    public static String end(LocalTime time) {
        return !time.equals(LocalTime.MIDNIGHT) ? time(time) : TWELVE_HOURS.get() ? "midnight" : "24:00";
    }

    /** "Fri 9 Oct", or "Sat 9 Oct 2027" where that is no year of the term that is spoken of. */
    public static String day(LocalDate day) {
        Term term = ABOUT.get();
        boolean strange = term != null
                && (day.getYear() < term.first().getYear()
                        || day.getYear() > term.last().getYear());
        return day.format(DAY) + (strange ? " " + day.getYear() : "");
    }

    /** "Fri 9 Oct, 17:00". */
    public static String moment(LocalDateTime moment) {
        return day(moment.toLocalDate()) + ", " + time(moment.toLocalTime());
    }

    /** "2026-10-09 17:00", as a table has it. */
    public static String inTable(LocalDateTime moment) {
        return moment.toLocalDate() + " " + time(moment.toLocalTime());
    }

    /** "Fri 9 Oct", or "Mon 12 to Tue 13 Oct". */
    public static String days(LocalDate first, LocalDate last) {
        return first.equals(last) ? day(first) : day(first) + " to " + day(last);
    }

    /** "1 class", "2 classes". */
    public static String classes(int n) {
        return n == 1 ? "1 class" : n + " classes";
    }

    /** "1 lesson", "2 lessons". */
    public static String count(int n, String thing) {
        return n + " " + thing + (n == 1 ? "" : "s");
    }
}
