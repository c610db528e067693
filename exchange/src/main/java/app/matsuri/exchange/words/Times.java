package app.matsuri.exchange.words;

import java.time.Duration;
import java.time.LocalTime;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * From one time of a day to a later one, within a text: "2-3pm" is 14:00 to 15:00, "14:00-15:00", "9 to 10:30 am", "1pm for
 * 90 min", "from 9:00 to 10:00"; or one time by itself, "8:15".
 *
 * @param end later than the start; null for a time by itself
 * @param at where it begins in the text
 * @param to where it ends there, exclusive
 */
public record Times(LocalTime start, @Nullable LocalTime end, int at, int to) {

    private static final String CLOCK = "(\\d{1,2})(?:[:.](\\d{2}))?\\s*(am|pm|a\\.m\\.|p\\.m\\.)?";
    private static final Pattern SPAN = Pattern.compile(
            "(?<![\\w.:/-])(?:from\\s+|at\\s+)?" + CLOCK + "\\s*(?:-|–|\\bto\\b|\\buntil\\b)\\s*" + CLOCK
                    + "(?![\\w:/-]|\\.\\d)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern FOR =
            Pattern.compile("^[,\\s]*for\\s+(\\d{1,3})\\s*min(?:utes)?\\b", Pattern.CASE_INSENSITIVE);

    /** The first that the text holds; two bare numbers count only where one of them says that it is a time. */
    public static Optional<Times> find(String text) {
        Matcher m = SPAN.matcher(text);
        while (m.find()) {
            boolean clock = m.group(2) != null || m.group(3) != null || m.group(5) != null || m.group(6) != null;
            Optional<LocalTime> end = clock(m.group(4), m.group(5), m.group(6) == null ? m.group(3) : m.group(6));
            Optional<LocalTime> start = clock(m.group(1), m.group(2), m.group(3) == null ? m.group(6) : m.group(3));
            if (start.isPresent()
                    && end.isPresent()
                    && m.group(3) == null
                    && start.get().isAfter(end.get())) {
                start = clock(m.group(1), m.group(2), m.group(6) == null ? null : "am");
            }
            if (clock && start.isPresent() && end.isPresent() && start.get().isBefore(end.get())) {
                return Optional.of(new Times(start.get(), end.get(), m.start(), m.end()));
            }
        }
        Matcher one = TimeWords.TIME.matcher(text);
        if (one.find()) {
            Optional<LocalTime> start = TimeWords.of(one);
            Matcher lasts = FOR.matcher(text.substring(one.end()));
            if (start.isPresent() && lasts.find()) {
                LocalTime end = start.get().plusMinutes(DayWords.number(lasts.group(1)));
                return Optional.of(new Times(start.get(), end, one.start(), one.end() + lasts.end()));
            }
            return start.map(s -> new Times(s, null, one.start(), one.end()));
        }
        return Optional.empty();
    }

    /** The times that the whole text says. */
    public static Optional<Times> read(String text) {
        String plain = text.strip();
        return find(plain).filter(t -> t.at() == 0 && t.to() == plain.length());
    }

    public int minutes() {
        return end == null ? 0 : (int) Duration.between(start, end).toMinutes();
    }

    private static Optional<LocalTime> clock(String hour, String minute, @Nullable String half) {
        int h = DayWords.number(hour);
        int m = minute == null ? 0 : DayWords.number(minute);
        if (h > 23 || m > 59) {
            return Optional.empty();
        }
        return Optional.of(
                half == null
                        ? LocalTime.of(h, m)
                        : LocalTime.of(h % 12 + (half.toLowerCase(Locale.ROOT).startsWith("p") ? 12 : 0), m));
    }
}
