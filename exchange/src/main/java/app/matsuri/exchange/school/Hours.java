package app.matsuri.exchange.school;

import java.time.DateTimeException;
import java.time.LocalTime;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * In which hours something is: "noon–1:50", "1:00 p.m. to 5:00 p.m.", "10.30–13.30", "ab 13 Uhr", "de 11 h 50 à 13 h 40", "until 12:00".
 *
 * @param to exclusive; midnight is the end of the day
 */
record Hours(LocalTime from, LocalTime to) {

    private static final String TIME = "(?:(noon|midday|mittags?|midi|mediod[ií]a|midnight)"
            + "|(\\d{1,2})(?:\\s*[:.h]\\s*(\\d{2}))?\\s*(a\\.?\\s?m\\b\\.?|p\\.?\\s?m\\b\\.?|uhr|hrs?\\b\\.?|h\\b|heures?|horas?)?)";
    private static final Pattern SPAN = of("(?<![\\d\\p{L}/])" + TIME
            + "\\s*(?:-|\\bto\\b|\\buntil\\b|\\bbis\\b|\\bà\\b|\\ba\\b|\\band\\b|\\bund\\b|\\bet\\b|\\by\\b)\\s*(?:las\\s+)?"
            + TIME + "(?![\\d/])");
    private static final Pattern AFTER = of(
            "(?:\\bafter|\\bfrom|\\bstarting(?: at)?|\\bbeginning(?: at)?|\\bat or after|\\bpast|\\bas of|\\bab|\\bnach|(?:à|a) partir de(?: las)?|\\bdès|\\baprès|\\bdesde(?: las)?|\\bdespués de(?: las)?)\\s+"
                    + TIME + "(?![\\d/])");
    private static final Pattern FROM_ON =
            of("(?<![\\d\\p{L}/])" + TIME + "\\s*(?:onwards?|or later|and later|on\\b|en adelante)");
    private static final Pattern UNTIL = of(
            "(?:\\buntil|\\btill|\\bbefore|\\bprior to|\\bbis|\\bvor|jusqu['’]à|\\bavant|\\bhasta(?: las)?|\\bantes de(?: las)?)\\s+"
                    + TIME + "(?![\\d/])");
    private static final Pattern AT = of("(?<![\\d\\p{L}/])" + TIME + "(?![\\d/])");

    private static Pattern of(String regex) {
        return Pattern.compile(regex, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }

    /** The first stretch of hours in a text, however it is said; nothing where only a number stands. */
    static Optional<Hours> span(String text) {
        Matcher m = SPAN.matcher(text);
        while (m.find()) {
            boolean hours = hour(m, 1) || hour(m, 5);
            String second = m.group(8) == null ? "" : m.group(8);
            LocalTime to = time(m, 5, second);
            LocalTime from = to == null ? null : time(m, 1, m.group(4) == null ? second : "");
            if (hours && from != null && to != null) {
                LocalTime later = to.isAfter(from) ? to : to.getHour() < 12 ? to.plusHours(12) : to;
                LocalTime sooner = later.isAfter(from) ? from : from.getHour() >= 12 ? from.minusHours(12) : from;
                if (later.isAfter(sooner)) {
                    return Optional.of(new Hours(sooner, later));
                }
            }
        }
        return Optional.empty();
    }

    /** Whether a time is more than a number. */
    private static boolean hour(Matcher m, int group) {
        return m.group(group) != null || m.group(group + 2) != null || m.group(group + 3) != null;
    }

    /** The hour after which something holds. */
    static Optional<LocalTime> after(String text) {
        return first(AFTER, text).or(() -> first(FROM_ON, text));
    }

    /** The hour until which something holds. */
    static Optional<LocalTime> until(String text) {
        return first(UNTIL, text);
    }

    /** An hour that is more than a number. */
    static Optional<LocalTime> at(String text) {
        Matcher m = AT.matcher(text);
        while (m.find()) {
            LocalTime time = hour(m, 1) ? time(m, 1, "") : null;
            if (time != null) {
                return Optional.of(time);
            }
        }
        return Optional.empty();
    }

    private static Optional<LocalTime> first(Pattern pattern, String text) {
        Matcher m = pattern.matcher(text);
        while (m.find()) {
            LocalTime time = time(m, 1, "");
            if (time != null) {
                return Optional.of(time);
            }
        }
        return Optional.empty();
    }

    private static @Nullable LocalTime time(Matcher m, int group, String half) {
        String word = m.group(group);
        if (word != null) {
            return word.toLowerCase(Locale.ROOT).startsWith("midni") ? LocalTime.MIDNIGHT : LocalTime.NOON;
        }
        int hour = Integer.parseInt(m.group(group + 1));
        int minute = m.group(group + 2) == null ? 0 : Integer.parseInt(m.group(group + 2));
        String own = (m.group(group + 3) == null ? half : m.group(group + 3))
                .toLowerCase(Locale.ROOT)
                .replaceAll("[.\\s]", "");
        boolean clock = own.equals("am") || own.equals("pm");
        // "after 2:30": no school says that of the night
        if (own.isEmpty() && hour > 0 && hour < 7 && m.group(group + 1).length() == 1) {
            hour += 12;
        }
        try {
            if (clock && hour <= 12) {
                hour = hour % 12 + (own.equals("pm") ? 12 : 0);
            }
            return hour == 24 && minute == 0 ? LocalTime.MIDNIGHT : LocalTime.of(hour, minute);
        } catch (DateTimeException e) {
            return null;
        }
    }
}
