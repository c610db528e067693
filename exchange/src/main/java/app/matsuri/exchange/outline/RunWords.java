package app.matsuri.exchange.outline;

import java.time.LocalDate;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Runs of days as a school publishes them: "Oct. 12-13", "Nov 25 to 27", "Dec 21 - Jan 1", "12.-13.10.", "7 Sept". */
public final class RunWords {

    private static final String TO = "\\s*(?:-|–|—|to|until|through|bis)\\s*";
    private static final String DAY = "(\\d{1,2})(?:st|nd|rd|th)?";
    private static final String YEAR = "(?:,?\\s+(\\d{4}))?";
    private static final Pattern MONTH_RUN = of(DayWords.MONTH + "\\s*" + DAY + TO + DAY + YEAR + "(?!\\d|:\\d|/)");
    private static final Pattern RUN_MONTH = of(DAY + TO + DAY + "\\s*" + DayWords.MONTH + YEAR);
    private static final Pattern DOTTED_RUN = of("(\\d{1,2})\\." + TO + "(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4})?");
    private static final String ONE = "(?:\\d{4}-\\d{1,2}-\\d{1,2}|"
            + DayWords.MONTH.replaceFirst("\\(", "(?:") + "\\s*\\d{1,2}(?:st|nd|rd|th)?(?:,?\\s+\\d{4})?"
            + "|\\d{1,2}(?:st|nd|rd|th)?\\.?\\s*" + DayWords.MONTH.replaceFirst("\\(", "(?:") + "(?:,?\\s+\\d{4})?"
            + "|\\d{1,2}\\.\\d{1,2}\\.(?:\\d{4})?|\\d{1,2}/\\d{1,2}(?:/\\d{2,4})?)";
    private static final Pattern TWO = of("(" + ONE + ")" + TO + "(" + ONE + ")");
    private static final Pattern SINGLE = of("(" + ONE + ")");

    private RunWords() {}

    private static Pattern of(String regex) {
        return Pattern.compile("(?<![\\p{L}\\d])" + regex, Pattern.CASE_INSENSITIVE);
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
            return run(
                    m,
                    words.dated(m.group(4), n(m, 3), n(m, 1), null),
                    words.dated(m.group(4), n(m, 3), n(m, 2), null));
        }
        m = TWO.matcher(text);
        if (m.find()) {
            Optional<LocalDate> first = words.read(m.group(1));
            DayWords after = new DayWords(words.base(), words.first(), words.last());
            return run(m, first, after.read(m.group(2)));
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

    private static int n(Matcher m, int group) {
        return DayWords.number(m.group(group));
    }

    private static Optional<Found> run(Matcher m, Optional<LocalDate> first, Optional<LocalDate> last) {
        return first.isEmpty() || last.isEmpty() || last.get().isBefore(first.get())
                ? Optional.empty()
                : Optional.of(new Found(first.get(), last.get(), m.start(), m.end()));
    }
}
