package app.matsuri.exchange.words;

import java.time.DateTimeException;
import java.time.LocalTime;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Times of day as people type them: "23:59", "5 pm", "5.30pm", "17h", "17h30", "17 Uhr", "noon". */
public final class TimeWords {

    /** A time of day within a text. */
    public static final Pattern TIME = Pattern.compile(
            "\\b(?:(?:at|um|à|a las)\\s+)?(?:(noon|midnight|mittag|mitternacht|midi|minuit|mediod[ií]a|medianoche)"
                    + "|(\\d{1,2})(?:\\s*[:.h]\\s*(\\d{2}))?\\s*(am|pm|a\\.m\\.|p\\.m\\.|uhr|heures?|horas?|h\\b)"
                    + "|(\\d{1,2})\\s?h\\s?(\\d{2})|(\\d{1,2})[:.](\\d{2}))(?![\\d.])",
            Pattern.CASE_INSENSITIVE);

    private TimeWords() {}

    /** The time that the whole text names; midnight, as people say it of a due date, is 23:59. */
    public static Optional<LocalTime> read(String text) {
        Matcher matcher = TIME.matcher(text.strip());
        return matcher.matches() ? of(matcher) : Optional.empty();
    }

    /** The time that a field for a time alone says: as {@link #read}, and an hour by itself. */
    public static Optional<LocalTime> field(String text) {
        String plain = text.strip();
        return plain.matches("\\d{1,2}") ? read(plain + ":00") : read(plain);
    }

    /** The time that {@link #TIME} found. */
    public static Optional<LocalTime> of(Matcher m) {
        if (m.group(1) != null) {
            boolean noon = m.group(1).toLowerCase(Locale.ROOT).matches("noon|mittag|midi|mediod[ií]a");
            return Optional.of(noon ? LocalTime.NOON : LocalTime.of(23, 59));
        }
        if (m.group().matches("24[:.]00")) {
            return Optional.of(LocalTime.of(23, 59));
        }
        try {
            for (int clock = 5; clock <= 7; clock += 2) {
                if (m.group(clock) != null) {
                    return Optional.of(
                            LocalTime.of(Integer.parseInt(m.group(clock)), Integer.parseInt(m.group(clock + 1))));
                }
            }
            int hour = Integer.parseInt(m.group(2));
            int minute = m.group(3) == null ? 0 : Integer.parseInt(m.group(3));
            String half = m.group(4).toLowerCase(Locale.ROOT).replace(".", "");
            if (half.equals("am") || half.equals("pm")) {
                hour = hour % 12 + (half.equals("pm") ? 12 : 0);
            }
            return Optional.of(LocalTime.of(hour, minute));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
