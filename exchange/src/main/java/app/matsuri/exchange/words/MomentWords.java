package app.matsuri.exchange.words;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A day with or without a time as people type it: "9 oct 8:00", "20 oct, 17:00", "fri 5pm", "17:00 on 20 oct",
 * "2026-10-09T17:00", "+2 weeks". Nothing of the text is left over.
 *
 * @param day the day
 * @param time the time that was said; null for none
 */
public record MomentWords(LocalDate day, @Nullable LocalTime time) {

    private static final Pattern ISO = Pattern.compile("(\\d{4}-\\d{2}-\\d{2})[T ](\\d{2}:\\d{2})(?::\\d{2})?");

    /** The moment that the whole text names; empty where a part of it is not understood. */
    public static Optional<MomentWords> read(String given, DayWords days) {
        return read(given, days::read);
    }

    /**
     * Likewise.
     *
     * @param days reads the part that is no time of day
     */
    public static Optional<MomentWords> read(String given, Function<String, Optional<LocalDate>> days) {
        if (given.length() > DayWords.MOST) {
            return Optional.empty();
        }
        String text = given.strip();
        Matcher iso = ISO.matcher(text);
        if (iso.matches()) {
            return days.apply(iso.group(1))
                    .flatMap(d -> TimeWords.read(iso.group(2)).map(t -> new MomentWords(d, t)));
        }
        Optional<LocalDate> alone = days.apply(text);
        if (alone.isPresent()) {
            return alone.map(d -> new MomentWords(d, null));
        }
        Matcher m = TimeWords.TIME.matcher(text);
        // times that begin within one another too: “3.11. 17 Uhr”
        for (int at = 0; at < text.length() && m.find(at); at = m.start() + 1) {
            boolean last = m.end() == text.length() && m.start() > 0 && apart(text.charAt(m.start() - 1));
            boolean first = m.start() == 0 && m.end() < text.length() && apart(text.charAt(m.end()));
            Optional<LocalTime> time = last || first ? TimeWords.of(m) : Optional.empty();
            if (time.isPresent()) {
                String rest = last
                        ? text.substring(0, m.start()).replaceAll("(?i)[,\\s]+(at|by|um|à)?\\s*$", "")
                        : text.substring(m.end()).replaceAll("(?i)^[,\\s]+(on\\s+)?", "");
                Optional<LocalDate> day = days.apply(rest);
                if (day.isPresent()) {
                    return day.map(d -> new MomentWords(d, time.get()));
                }
            }
        }
        return Optional.empty();
    }

    private static boolean apart(char c) {
        return Character.isWhitespace(c) || c == ',';
    }

    /** With another time where none was said. */
    public LocalDateTime at(LocalTime otherwise) {
        return day.atTime(time == null ? otherwise : time);
    }
}
