package app.matsuri.core.calendar;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Days and numbers as sentences say them. */
public final class Say {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("EEE d MMM, HH:mm", Locale.ENGLISH);

    private Say() {}

    /** "Fri 9 Oct". */
    public static String day(LocalDate day) {
        return day.format(DAY);
    }

    /** "Fri 9 Oct, 17:00". */
    public static String moment(LocalDateTime moment) {
        return moment.format(MOMENT);
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
