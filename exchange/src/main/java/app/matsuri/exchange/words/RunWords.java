package app.matsuri.exchange.words;

import java.time.LocalDate;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Runs of days as schools publish them: "Oct. 12-13", "Nov 25 to 27", "Wed-Fri, Nov. 25–27", "Dec 21 - Jan 1",
 * "12.-13.10.", "vom 12. bis 24. Oktober 2026", "du samedi 17 octobre au lundi 2 novembre 2026", "7 Sept".
 */
public final class RunWords {

    private static final String TO =
            "\\s*(?:-|–|—|/|&|\\bto\\b|\\band\\b|\\buntil\\b|\\bthrough\\b|\\bthru\\b|\\bbis\\b"
                    + "(?:\\s+zum)?|\\bund\\b|\\bet\\b|\\bau\\b|\\bal?\\b|\\bhasta\\b|\\by\\b)\\s*(?:the\\s+|el\\s+|le\\s+)?";
    private static final String MONTH = DayWords.MONTH.replaceFirst("\\(", "(?:");
    private static final String NAMED =
            "(?:" + DayWords.WEEKDAY.replaceFirst("\\(", "(?:") + "\\.?,?\\s+(?:the\\s+|el\\s+|le\\s+|den\\s+)?)?";
    private static final String DAY = NAMED + "(\\d{1,2})(?:st|nd|rd|th|er|º)?";
    private static final String YEAR = "(?:,?\\s+(?:del?\\s+)?(\\d{4}))?";
    private static final String NO_MORE = "(?!\\d|:\\d|\\s*[ap]\\.?m\\b)";

    private static final Pattern MONTH_RUN =
            of(DayWords.MONTH + "\\s*" + DAY + TO + DAY + YEAR + NO_MORE + "(?!/|\\s*(?:of\\s+)?" + MONTH + ")");
    private static final Pattern RUN_MONTH =
            of(DAY + "\\.?" + TO + DAY + "\\.?\\s*(?:of\\s+|de\\s+)?" + DayWords.MONTH + YEAR);
    private static final Pattern DOTTED_RUN =
            of("(\\d{1,2})\\.(?:(\\d{1,2})\\.)?" + TO + NAMED + "(\\d{1,2})\\.(\\d{1,2})\\.?(\\d{4}|\\d{2}(?!\\d|:))?");
    private static final String ONE = "(?:\\d{4}-\\d{1,2}-\\d{1,2}|" + NAMED + "(?:"
            + MONTH + "\\s*\\d{1,2}(?:st|nd|rd|th)?(?:,?\\s+\\d{4})?" + NO_MORE
            + "|\\d{1,2}(?:st|nd|rd|th|er|º)?\\.?\\s*(?:of\\s+|de\\s+)?" + MONTH + "(?:,?\\s+(?:del?\\s+)?\\d{4})?"
            + "|\\d{1,2}\\.\\s?\\d{1,2}\\.(?:\\d{4}|\\d{2}(?!\\d|:))?|\\d{1,2}\\.\\d{1,2}\\.?\\d{4}"
            + "|\\d{1,2}/\\d{1,2}(?:/\\d{4}|/\\d{2})?(?!\\d)))";
    private static final Pattern TWO = of("(" + ONE + ")(?:" + TO + "|\\t)(" + ONE + ")");
    private static final Pattern SINGLE = of("(" + ONE + ")");

    private RunWords() {}

    private static Pattern of(String regex) {
        String from = regex.startsWith("^") ? regex : "(?<![\\p{L}\\d.])" + regex;
        return Pattern.compile(from, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE | Pattern.UNICODE_CHARACTER_CLASS);
    }

    /**
     * A run of days found in a text.
     *
     * @param from where it begins in the text
     * @param to where it ends in the text
     */
    public record Found(LocalDate first, LocalDate last, int from, int to) {}

    /** The first run of days in the text. */
    public static Optional<Found> find(String text, DayWords words) {
        Matcher m = DOTTED_RUN.matcher(text);
        if (m.find()) {
            String year = m.group(5) != null && m.group(5).length() == 2 ? "20" + m.group(5) : m.group(5);
            Optional<LocalDate> last = words.dated(year, n(m, 4), n(m, 3), null);
            return run(m, before(last, m.group(2) == null ? n(m, 4) : n(m, 2), n(m, 1), words, year != null), last);
        }
        m = TWO.matcher(text);
        if (m.find()) {
            Optional<LocalDate> first = words.read(m.group(1));
            Optional<LocalDate> last = words.read(m.group(2));
            boolean yearAtEnd = m.group(2).matches(".*\\d{4}.*") && !m.group(1).matches(".*\\d{4}.*");
            if (first.isPresent()
                    && last.isPresent()
                    && (yearAtEnd || last.get().isBefore(first.get()))) {
                // "Dec 21 - Jan 1, 2027", and a run over the new year whose years were both chosen by the term
                boolean endFits =
                        yearAtEnd || words.first() != null && !last.get().isBefore(words.first());
                if (endFits) {
                    first = before(
                            last, first.get().getMonthValue(), first.get().getDayOfMonth(), words, true);
                } else {
                    last = Optional.of(last.get().plusYears(1));
                }
            }
            return run(m, first, last);
        }
        m = MONTH_RUN.matcher(text);
        if (m.find()) {
            int month = DayWords.month(m.group(1));
            return run(m, words.dated(m.group(4), month, n(m, 2), null), words.dated(m.group(4), month, n(m, 3), null));
        }
        m = RUN_MONTH.matcher(text);
        if (m.find()) {
            int month = DayWords.month(m.group(3));
            return run(m, words.dated(m.group(4), month, n(m, 1), null), words.dated(m.group(4), month, n(m, 2), null));
        }
        m = SINGLE.matcher(text);
        if (m.find()) {
            Optional<LocalDate> day = words.read(m.group(1));
            return run(m, day, day);
        }
        return Optional.empty();
    }

    /** The day of a month on or before another day: in its year, or in the one before. */
    private static Optional<LocalDate> before(
            Optional<LocalDate> last, int month, int day, DayWords words, boolean sure) {
        if (last.isEmpty() || !sure) {
            return words.dated(null, month, day, null);
        }
        int year = last.get().getYear();
        Optional<LocalDate> same = words.dated(String.valueOf(year), month, day, null);
        return same.isPresent() && same.get().isAfter(last.get())
                ? words.dated(String.valueOf(year - 1), month, day, null)
                : same;
    }

    private static int n(Matcher m, int group) {
        return DayWords.number(m.group(group));
    }

    private static Optional<Found> run(Matcher m, Optional<LocalDate> first, Optional<LocalDate> last) {
        return first.isEmpty() || last.isEmpty() || last.get().isBefore(first.get())
                ? Optional.empty()
                : Optional.of(new Found(first.get(), last.get(), m.start(), m.end()));
    }
}
