package app.matsuri.core.calendar;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Locale;

/** Days and numbers as sentences say them. */
public final class Say {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
    private static final DateTimeFormatter TWELVE = DateTimeFormatter.ofPattern("h:mm", Locale.ENGLISH);
    /** Whether who is answered on this thread reads a clock of 12 hours. */
    private static final ThreadLocal<Boolean> TWELVE_HOURS = ThreadLocal.withInitial(() -> false);

    private Say() {}

    /** From here on, this thread says times on a clock of 12 or of 24 hours; of 24 where nobody said so. */
    public static void twelveHours(boolean twelve) {
        if (twelve) {
            TWELVE_HOURS.set(true);
        } else {
            TWELVE_HOURS.remove();
        }
    }

    /** "17:00", or "5:00 pm" for who prefers that. */
    public static String time(LocalTime time) {
        return TWELVE_HOURS.get()
                ? time.format(TWELVE) + (time.getHour() < 12 ? " am" : " pm")
                : time.truncatedTo(ChronoUnit.MINUTES).toString();
    }

    /** "Fri 9 Oct". */
    public static String day(LocalDate day) {
        return day.format(DAY);
    }

    /** "Fri 9 Oct, 17:00". */
    public static String moment(LocalDateTime moment) {
        return day(moment.toLocalDate()) + ", " + time(moment.toLocalTime());
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
