package app.matsuri.core.calendar;

import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;

/** A number of days that is no whole number of weeks changes weekdays. */
public final class WholeWeeks {

    private WholeWeeks() {}

    /** Whether weekdays stay. */
    public static boolean keeps(int days) {
        return days % 7 == 0;
    }

    /** The whole weeks on either side, in days; the number itself where it is one. */
    public static List<Integer> around(int days) {
        int less = Math.floorDiv(days, 7) * 7;
        return keeps(days) ? List.of(days) : List.of(less, less + 7);
    }

    /** What such a move does to weekdays, and which whole weeks lie on either side. */
    public static String trap(int days) {
        String becomes = DayOfWeek.MONDAY.plus(days).getDisplayName(TextStyle.FULL, Locale.ENGLISH);
        int less = Math.abs(days) / 7 * 7;
        return "By " + Say.count(Math.abs(days), "day") + " weekdays change: what is on a Monday comes to a " + becomes
                + ". " + (less == 0 ? "" : less + " or ") + (less + 7) + " days keep them.";
    }
}
