package app.matsuri.exchange.words;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.exchange.plan.Words;
import java.time.format.TextStyle;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Says when a pattern meets. */
public final class MeetsSaid {

    private MeetsSaid() {}

    /** When a pattern meets, in words. */
    public static String say(MeetingPattern pattern) {
        return days(pattern) + ", " + Say.time(pattern.start()) + " to "
                + Say.time(pattern.start().plusMinutes(pattern.minutes())) + ", "
                + pattern.minutes() + " minutes" + (pattern.place().isEmpty() ? "" : ", " + pattern.place())
                + (pattern.link().isEmpty() ? "" : ", " + pattern.link());
    }

    /** The days of a pattern in words: "Mon, Wed, Fri", "every 2 weeks Thu", "day A, C", "first Tue of the month". */
    public static String days(MeetingPattern pattern) {
        String letters = pattern.letters().isEmpty() ? "" : "day " + String.join(", ", pattern.letters());
        if (pattern.rule() == null) {
            return letters;
        }
        String rule = pattern.rule().toUpperCase(Locale.ROOT);
        boolean plain = rule.matches("FREQ=(WEEKLY|MONTHLY);(INTERVAL=\\d+;)?BYDAY=[-0-9A-Z,]+(;WKST=[A-Z]{2})?");
        if (!plain) {
            return rule + (letters.isEmpty() ? "" : ", " + letters);
        }
        return weekdays(pattern)
                + (pattern.from() == null ? "" : " from " + Say.day(pattern.from()))
                + (pattern.until() == null ? "" : " until " + Say.day(pattern.until()))
                + (letters.isEmpty() ? "" : ", " + letters);
    }

    /** Its weekdays alone: "Mon, Wed, Fri", "every 2 weeks Thu", "first Tue of the month"; the rule where it is another. */
    public static String weekdays(MeetingPattern pattern) {
        if (pattern.rule() == null) {
            return days(pattern);
        }
        String rule = pattern.rule().toUpperCase(Locale.ROOT);
        String byDay = part(rule, "BYDAY");
        if (byDay.isEmpty()) {
            return rule;
        }
        String interval = part(rule, "INTERVAL");
        String every = interval.isEmpty() || interval.equals("1") ? "" : "every " + interval + " weeks ";
        return every
                + String.join(
                        ", ", Stream.of(byDay.split(",")).map(MeetsSaid::nthDay).toList())
                + (rule.startsWith("FREQ=MONTHLY") ? " of the month" : "");
    }

    private static String part(String rule, String name) {
        Matcher m = Pattern.compile("(?:^|;)" + name + "=([^;]+)").matcher(rule);
        return m.find() ? m.group(1) : "";
    }

    private static String nthDay(String word) {
        String day = Words.weekday(word.substring(word.length() - 2)).getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
        String n = word.substring(0, word.length() - 2).replace("+", "");
        return switch (n) {
            case "" -> day;
            case "-1" -> "last " + day;
            case "1", "2", "3", "4" -> WeekdayWords.ORDINALS.get(DayWords.number(n)) + " " + day;
            default -> n + ". " + day;
        };
    }
}
