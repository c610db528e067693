package app.matsuri.exchange.words;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * One day as it is printed.
 *
 * @param start where it begins in the line
 * @param end where it ends
 * @param month 0 where it is not printed
 * @param year 0 where it is not printed
 */
record PrintedDay(
        int start,
        int end,
        int month,
        int day,
        int year,
        @Nullable DayOfWeek weekday) {

    private static final String NUMBER = "(\\d{1,2})(?:st|nd|rd|th|er|re|º|ª)?(?![\\d\\p{L}])";
    private static final String YEAR = "(?:,?\\s*(?:del?\\s+)?(20\\d{2})(?!\\d|[-/]\\d))?";
    private static final String LEAD =
            "(?:(" + Days.WEEKDAY + ")[.,]{0,2}\\s*(?:the\\s+|den\\s+|der\\s+|el\\s+|le\\s+)?)?";

    /** What may follow no day: an hour, a share, a count. */
    private static final String NO_HOUR =
            "(?!\\s*(?::\\d|-\\s?\\d{1,2}(?:[:.]\\d{2})?\\s*[ap]\\.?\\s?m\\b|[ap]\\.?\\s?m\\b|h(?:\\b|\\d)|uhr|o'clock|%|weeks?\\b|days?\\b|semaines|semanas|wochen|:\\d{2}))";

    private static final Pattern ISO = Days.of(LEAD + "(20\\d{2})[-/.](\\d{1,2})[-/.](\\d{1,2})(?!\\d)");
    private static final Pattern SLASHED = Days.of(LEAD + "(\\d{1,2})/(\\d{1,2})(?:/(20\\d{2}|\\d{2}))?(?![\\d/])");
    private static final Pattern DOTTED =
            Days.of(LEAD + "(\\d{1,2})\\.\\s?(\\d{1,2})(\\.(?:\\s?(20\\d{2})|(\\d{2})(?![\\d:.]))?)?(?!\\d)");
    private static final Pattern DAY_MONTH = Days.of(LEAD + NUMBER + "\\.?\\s*(?:of\\s+|de\\s+)?" + Days.MONTH + YEAR);
    private static final Pattern MONTH_DAY = Days.of(LEAD + Days.MONTH + "\\s*" + NUMBER + NO_HOUR + YEAR);
    private static final Pattern BARE = Days.of(LEAD + NUMBER + "\\.?" + NO_HOUR + YEAR);

    PrintedDay in(int otherMonth) {
        return new PrintedDay(start, end, otherMonth, day, year, weekday);
    }

    /** With another weekday where none is printed. */
    PrintedDay named(@Nullable DayOfWeek other) {
        return new PrintedDay(start, end, month, day, year, weekday == null ? other : weekday);
    }

    /** Empty where that year has no such day. */
    Optional<LocalDate> date(int of) {
        try {
            return Optional.of(LocalDate.of(of, month, day));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    /** The day that begins at a place of the line; null for none. */
    static @Nullable PrintedDay read(String line, int at, boolean dayFirst) {
        // what begins with figures is told by what stands behind them
        int figures = figures(line, at);
        char behind = at + figures < line.length() ? line.charAt(at + figures) : ' ';
        Matcher m = ISO.matcher(line).region(at, line.length());
        if ((figures == 0 || figures == 4) && m.lookingAt()) {
            return new PrintedDay(at, m.end(), n(m, 3), n(m, 4), n(m, 2), Days.weekday(m.group(1)));
        }
        m = SLASHED.matcher(line).region(at, line.length());
        if ((figures == 0 || behind == '/') && m.lookingAt()) {
            boolean first = dayFirst && n(m, 3) <= 12 || n(m, 2) > 12;
            return new PrintedDay(
                    at, m.end(), n(m, first ? 3 : 2), n(m, first ? 2 : 3), year(m.group(4)), Days.weekday(m.group(1)));
        }
        m = DOTTED.matcher(line).region(at, line.length());
        if ((figures == 0 || behind == '.') && m.lookingAt() && m.group(4) != null && n(m, 3) <= 12 && n(m, 3) > 0) {
            String year = m.group(5) == null ? m.group(6) : m.group(5);
            return new PrintedDay(at, m.end(), n(m, 3), n(m, 2), year(year), Days.weekday(m.group(1)));
        }
        m = DAY_MONTH.matcher(line).region(at, line.length());
        if (m.lookingAt()) {
            return new PrintedDay(
                    at, m.end(), DayWords.month(m.group(3)), n(m, 2), year(m.group(4)), Days.weekday(m.group(1)));
        }
        m = MONTH_DAY.matcher(line).region(at, line.length());
        if (figures == 0 && m.lookingAt()) {
            return new PrintedDay(
                    at, m.end(), DayWords.month(m.group(2)), n(m, 3), year(m.group(4)), Days.weekday(m.group(1)));
        }
        m = BARE.matcher(line).region(at, line.length());
        if (m.lookingAt() && n(m, 2) >= 1 && n(m, 2) <= 31) {
            return new PrintedDay(at, m.end(), 0, n(m, 2), year(m.group(3)), Days.weekday(m.group(1)));
        }
        return null;
    }

    /** How many figures stand there. */
    private static int figures(String line, int at) {
        int end = at;
        while (end < line.length() && end < at + 5 && Character.isDigit(line.charAt(end))) {
            end++;
        }
        return end - at;
    }

    private static int n(Matcher m, int group) {
        return Integer.parseInt(m.group(group));
    }

    private static int year(@Nullable String digits) {
        return digits == null ? 0 : digits.length() == 2 ? 2000 + Integer.parseInt(digits) : Integer.parseInt(digits);
    }
}
