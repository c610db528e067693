package app.matsuri.exchange.outline;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The one reader of days as people type them: "3 nov", "Nov. 3, 2026", "Fri 9 Oct", "2026-11-03", "3.11.", "11/3",
 * "+2 weeks", "next monday", "today". A day without a year is taken in the year that brings it into the term, else
 * nearest to the base.
 *
 * @param base what "+2 weeks" and "next monday" count from
 * @param first first day of the term, to choose years by; null where none is known
 * @param last last day of the term; null where none is known
 */
public record DayWords(LocalDate base, LocalDate first, LocalDate last) {

    static final String MONTH =
            "(jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?"
                    + "|nov(?:ember)?|dec(?:ember)?)\\.?";
    static final String WEEKDAY =
            "(mon(?:day)?|tue(?:s(?:day)?)?|wed(?:nesday)?|thu(?:r(?:s(?:day)?)?)?|fri(?:day)?|sat(?:urday)?|sun(?:day)?)";
    private static final String MAYBE_WEEKDAY = "(?:" + WEEKDAY + "\\.?,?\\s+)?";
    private static final String YEAR = "(?:,?\\s+(\\d{4}))?";
    private static final String ORDINAL = "(\\d{1,2})(?:st|nd|rd|th)?\\.?";

    private static final Pattern ISO = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})");
    private static final Pattern DAY_MONTH = of(MAYBE_WEEKDAY + ORDINAL + "\\s*(?:of\\s+)?" + MONTH + YEAR);
    private static final Pattern MONTH_DAY = of(MAYBE_WEEKDAY + MONTH + "\\s*" + ORDINAL + YEAR);
    private static final Pattern DOTTED = of("(\\d{1,2})\\.\\s?(\\d{1,2})\\.?(\\d{4})?");
    private static final Pattern SLASHED = of("(\\d{1,2})/(\\d{1,2})(?:/(\\d{2,4}))?");
    private static final Pattern PLUS = of("(?:\\+|in\\s+)\\s*(\\d{1,3})\\s*(d(?:ays?)?|w(?:eeks?)?)?");
    private static final Pattern NEXT = of("(?:(next|this|on)\\s+)?" + WEEKDAY);

    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");
    private static final List<String> WEEKDAYS = List.of("mon", "tue", "wed", "thu", "fri", "sat", "sun");

    private static Pattern of(String regex) {
        return Pattern.compile(regex, Pattern.CASE_INSENSITIVE);
    }

    /** The day that the whole text names. */
    public Optional<LocalDate> read(String given) {
        String text = given.strip().replaceAll("\\s*\\((?i)" + WEEKDAY + "\\)$", "");
        String lower = text.toLowerCase(Locale.ROOT);
        if (lower.equals("today") || lower.equals("now")) {
            return Optional.of(base);
        }
        if (lower.equals("tomorrow")) {
            return Optional.of(base.plusDays(1));
        }
        Matcher m = ISO.matcher(text);
        if (m.matches()) {
            return day(number(m.group(1)), number(m.group(2)), number(m.group(3)));
        }
        m = DAY_MONTH.matcher(text);
        if (m.matches()) {
            return dated(m.group(4), month(m.group(3)), number(m.group(2)), m.group(1));
        }
        m = MONTH_DAY.matcher(text);
        if (m.matches()) {
            return dated(m.group(4), month(m.group(2)), number(m.group(3)), m.group(1));
        }
        m = DOTTED.matcher(text);
        if (m.matches()) {
            return dated(m.group(3), number(m.group(2)), number(m.group(1)), null);
        }
        m = SLASHED.matcher(text);
        if (m.matches()) {
            boolean dayFirst = number(m.group(1)) > 12;
            int month = number(m.group(dayFirst ? 2 : 1));
            int day = number(m.group(dayFirst ? 1 : 2));
            String year = m.group(3) == null ? null : m.group(3).length() == 2 ? "20" + m.group(3) : m.group(3);
            return dated(year, month, day, null);
        }
        m = PLUS.matcher(text);
        if (m.matches()) {
            boolean weeks =
                    m.group(2) != null && m.group(2).toLowerCase(Locale.ROOT).startsWith("w");
            return Optional.of(base.plusDays((long) number(m.group(1)) * (weeks ? 7 : 1)));
        }
        m = NEXT.matcher(text);
        if (m.matches()) {
            return Optional.of(base.with(TemporalAdjusters.next(weekday(m.group(2)))));
        }
        return Optional.empty();
    }

    /** A day of a month, in the year given or the one that fits; none when the weekday that stands with it differs. */
    Optional<LocalDate> dated(String year, int month, int day, String weekday) {
        Optional<LocalDate> found = year != null ? day(number(year), month, day) : fitting(month, day);
        return found.filter(d -> weekday == null || d.getDayOfWeek() == weekday(weekday));
    }

    private Optional<LocalDate> fitting(int month, int day) {
        Optional<LocalDate> nearest = Optional.empty();
        LocalDate middle = first == null ? base.plusDays(60) : first;
        for (int year = middle.getYear() - 1; year <= middle.getYear() + 2; year++) {
            Optional<LocalDate> candidate = day(year, month, day);
            if (candidate.isEmpty()) {
                continue;
            }
            boolean inTerm = first != null
                    && last != null
                    && !candidate.get().isBefore(first)
                    && !candidate.get().isAfter(last);
            if (inTerm) {
                return candidate;
            }
            if (nearest.isEmpty() || far(candidate.get(), middle) < far(nearest.get(), middle)) {
                nearest = candidate;
            }
        }
        return nearest;
    }

    private static long far(LocalDate a, LocalDate b) {
        return Math.abs(a.toEpochDay() - b.toEpochDay());
    }

    private static Optional<LocalDate> day(int year, int month, int day) {
        try {
            return year < 1900 || year > 2199 ? Optional.empty() : Optional.of(LocalDate.of(year, month, day));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    static int month(String word) {
        return MONTHS.indexOf(word.toLowerCase(Locale.ROOT).substring(0, 3)) + 1;
    }

    static DayOfWeek weekday(String word) {
        return DayOfWeek.of(WEEKDAYS.indexOf(word.toLowerCase(Locale.ROOT).substring(0, 3)) + 1);
    }

    static int number(String digits) {
        return Integer.parseInt(digits);
    }

    /** Numbers as words, as far as people write them: "two", "a". */
    static Optional<Integer> count(String word) {
        List<String> words =
                Arrays.asList("zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten");
        String lower = word.toLowerCase(Locale.ROOT);
        if (lower.matches("\\d{1,3}")) {
            return Optional.of(number(lower));
        }
        if (lower.equals("a") || lower.equals("an")) {
            return Optional.of(1);
        }
        int index = words.indexOf(lower);
        return index < 0 ? Optional.empty() : Optional.of(index);
    }
}
