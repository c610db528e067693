package app.matsuri.exchange.words;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TimeLimit;
import java.text.Normalizer;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.TextStyle;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The one reader of days as people type them: "3 nov", "Nov. 3, 2026", "Fri 9 Oct", "2026-11-03", "3.11.", "11/3",
 * "+2 weeks", "next monday", "today". A day without a year is taken in the year that brings it into the term, else
 * nearest to the base.
 *
 * @param base what "+2 weeks" and "next monday" count from
 * @param first first day of the term, to choose years by; null where none is known
 * @param last last day of the term; null where none is known
 * @param slashDayFirst whether 10/11 is the tenth of November
 */
public record DayWords(
        LocalDate base, @Nullable LocalDate first, @Nullable LocalDate last, boolean slashDayFirst) {

    /** Days in which 10/11 is the eleventh of October. */
    public DayWords(LocalDate base, @Nullable LocalDate first, @Nullable LocalDate last) {
        this(base, first, last, false);
    }

    /** Months in English, German, French and Spanish, long and short. */
    public static final String MONTH =
            "(jan(?:uary|uar|vier)?|janv|j[äa]nner|enero|ene|feb(?:ruary|ruar|rero)?|f[ée]vr?(?:ier)?"
                    + "|march|mars|marzo|m[äa]rz|mar|apr(?:il)?|avr(?:il)?|abr(?:il)?|mayo|may|mai"
                    + "|june|juni|juin|junio|jun|july|juli|juillet|juil|julio|jul|aug(?:ust)?|ao[ûu]t|agosto|ago"
                    + "|sept?(?:ember|embre)?|septiembre|setiembre|oct(?:ober|obre|ubre)?|okt(?:ober)?|nov(?:ember|embre|iembre)?"
                    + "|dec(?:ember)?|d[ée]c(?:embre)?|dez(?:ember)?|dic(?:iembre)?)\\b\\.?";

    /** Weekdays likewise. */
    public static final String WEEKDAY =
            "(mon(?:day|tag)?|tue(?:s(?:day)?)?|wed(?:nesday)?|thu(?:r(?:s(?:day)?)?)?|fri(?:day)?"
                    + "|sat(?:urday)?|sun(?:day)?|dienstag|mittwoch|donnerstag|freitag|samstag|sonnabend|sonntag"
                    + "|lundi|mardi|mercredi|jeudi|vendredi|samedi|dimanche"
                    + "|lunes|martes|mi[ée]rcoles|jueves|viernes|s[áa]bado|domingo)s?\\b";

    private static final String MAYBE_WEEKDAY = "(?:" + WEEKDAY + "\\.?,?\\s+(?:the\\s+|el\\s+|le\\s+|den\\s+)?)?";
    private static final String YEAR = "(?:,?\\s+(?:de(?:l)?\\s+)?(\\d{4}))?";
    private static final String ORDINAL = "(\\d{1,2})(?:st|nd|rd|th|er|º)?\\.?";

    private static final Pattern ISO = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})");
    private static final Pattern DAY_MONTH = of(MAYBE_WEEKDAY + ORDINAL + "\\s*(?:of\\s+|de\\s+)?" + MONTH + YEAR);
    private static final Pattern MONTH_DAY = of(MAYBE_WEEKDAY + MONTH + "\\s*" + ORDINAL + YEAR);
    private static final Pattern DOTTED =
            of(MAYBE_WEEKDAY + "(\\d{1,2})\\.\\s?(\\d{1,2})(?:\\.\\s?(\\d{4}|\\d{2}))?\\.?");
    private static final Pattern SLASHED = of(MAYBE_WEEKDAY + "(\\d{1,2})/(\\d{1,2})(?:/(\\d{4}|\\d{2}))?");
    private static final Pattern PLUS = of("(?:\\+|in\\s+)\\s*(\\d{1,3})\\s*(d(?:ays?)?|w(?:eeks?)?)?");
    private static final Pattern NEXT = of("(?:(next|this|on)\\s+)?" + WEEKDAY);

    private static final Pattern STARTS_WITH_WEEKDAY = of("^" + WEEKDAY + "\\.?,?\\s+");
    private static final Pattern ANY_DAY_MONTH = of("\\b(\\d{1,2})\\.?\\s+" + MONTH + "(?:\\s+\\d{4})?");

    /** How months begin, without accents, in the languages above. */
    private static final List<Pattern> MONTHS = Stream.of(
                    "jan|ene|jae",
                    "feb|fev",
                    "mar",
                    "apr|avr|abr",
                    "may|mai",
                    "jun|juin",
                    "jul|juil",
                    "aug|aou|ago",
                    "sep|set",
                    "oct|okt",
                    "nov",
                    "dec|dez|dic")
            .map(start -> Pattern.compile("(?:" + start + ").*"))
            .toList();

    private static final List<Pattern> WEEKDAYS = Stream.of(
                    "mon|lun",
                    "tue|die|mardi|martes",
                    "wed|mit|mer|mie",
                    "thu|don|jeu|jue",
                    "fri|fre|ven|vie",
                    "sat|sam|sonna|sab",
                    "sun|sonntag|dim|dom")
            .map(start -> Pattern.compile("(?:" + start + ").*"))
            .toList();

    private static Pattern of(String regex) {
        return Pattern.compile(
                regex, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE | Pattern.UNICODE_CHARACTER_CLASS);
    }

    /** The longest text that can name a day, a time or a rule, in characters. */
    static final int MOST = 300;

    /** The day that the whole text names. */
    public Optional<LocalDate> read(String given) {
        TimeLimit.look();
        if (given.length() > MOST) {
            return Optional.empty(); // no day has so many words
        }
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
            return dated(century(m.group(4)), number(m.group(3)), number(m.group(2)), m.group(1));
        }
        m = SLASHED.matcher(text);
        if (m.matches()) {
            boolean dayFirst = slashDayFirst || number(m.group(2)) > 12;
            int month = number(m.group(dayFirst ? 3 : 2));
            int day = number(m.group(dayFirst ? 2 : 3));
            return dated(century(m.group(4)), month, day, m.group(1));
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

    /**
     * Why a text that looks like a day names none: a weekday that contradicts its date, or a day that its month does not
     * have; empty where it does not look like one.
     */
    public Optional<String> why(String given) {
        String text = given.strip();
        Matcher named = STARTS_WITH_WEEKDAY.matcher(text);
        if (named.find() && read(text).isEmpty()) {
            String rest = text.substring(named.end());
            Optional<LocalDate> day = MomentWords.read(rest, this).map(MomentWords::day);
            return day.map(d -> Say.day(d).substring(4) + " " + d.getYear() + " is a " + name(d.getDayOfWeek())
                    + ", not a " + name(weekday(named.group(1))) + ". Write the one you mean.");
        }
        Matcher m = ANY_DAY_MONTH.matcher(text);
        if (m.find() && read(m.group()).isEmpty()) {
            String month = Month.of(month(m.group(2))).getDisplayName(TextStyle.FULL, Locale.ENGLISH);
            return Optional.of("There is no " + number(m.group(1)) + " " + month + ".");
        }
        return Optional.empty();
    }

    private static String name(DayOfWeek weekday) {
        return weekday.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    }

    /** A day of a month, in the year given or the one that fits; none when the weekday that stands with it differs. */
    Optional<LocalDate> dated(@Nullable String year, int month, int day, @Nullable String weekday) {
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

    private static String century(String year) {
        return year == null || year.length() == 4 ? year : "20" + year;
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

    /** The month that a word is, from 1.
     *
     * @throws IllegalArgumentException when it is none */
    public static int month(String word) {
        return index(MONTHS, word) + 1;
    }

    /** The weekday that a word is.
     *
     * @throws IllegalArgumentException when it is none */
    public static DayOfWeek weekday(String word) {
        return DayOfWeek.of(index(WEEKDAYS, word) + 1);
    }

    private static int index(List<Pattern> starts, String word) {
        String plain = Normalizer.normalize(word.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "");
        for (int i = 0; i < starts.size(); i++) {
            if (starts.get(i).matcher(plain).matches()) {
                return i;
            }
        }
        throw new IllegalArgumentException("“" + word + "” is neither a month nor a weekday");
    }

    public static int number(String digits) {
        return Integer.parseInt(digits);
    }

    /** Numbers as words, as far as people write them: "two", "a". */
    public static Optional<Integer> count(String word) {
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
