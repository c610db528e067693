package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.exchange.plan.Words;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * When a class meets as a timetable prints it: "MWF 10-10:50 Weir House 2", "Tue Thu 1-2:15 pm", "daily 9:00 50 min",
 * "every second Thu 15-16:50", "days A, C 9-9:50", "first Tuesday of the month 16-17".
 */
public final class MeetsWords {

    private static final String CLOCK = "(\\d{1,2})(?:[:.](\\d{2}))?\\s*(am|pm)?";
    private static final Pattern TIMES = Pattern.compile(
            "(?<!\\d)" + CLOCK + "(?:\\s*(?:-|–|to)\\s*" + CLOCK
                    + "|\\s*[,]?\\s*(?:for\\s+)?(\\d{2,3})\\s*min(?:utes)?)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern LONG_DAYS = Pattern.compile(DayWords.WEEKDAY, Pattern.CASE_INSENSITIVE);
    private static final Pattern SHORT_DAYS = Pattern.compile("(?:M|Tu|Th|T|W|R|F|Sa|Su|S|U){1,7}");

    private static final Pattern TWO_LETTERS = Pattern.compile("(?i)(?:mo|di|mi|do|fr|sa|so|tu|we|th|su)");
    private static final Pattern EVERY = Pattern.compile(
            "(?i)\\b(?:every|each)\\s+(second|other|third|fourth|\\d)(?:nd|rd|th)?\\b(?:\\s+weeks?)?|\\b(biweekly|fortnightly)\\b");
    private static final Pattern MONTHLY = Pattern.compile("(?i)\\b(first|second|third|fourth|last)\\s+"
            + DayWords.WEEKDAY + "(?:\\s+of\\s+(?:the|each|every)\\s+month)?");
    private static final Pattern LETTERS =
            Pattern.compile("(?i)\\bdays?\\s+((?:\\p{Alnum}{1,3})(?:\\s*(?:,|and|&|\\+|/)\\s*\\p{Alnum}{1,3})*)\\s*$");
    private static final List<String> ORDINALS = List.of("", "first", "second", "third", "fourth");

    private MeetsWords() {}

    /** Several patterns, parted by semicolons or lines; empty when one of them is not understood. */
    public static List<MeetingPattern> readAll(String text) {
        List<MeetingPattern> patterns = new ArrayList<>();
        for (String part : text.split("[;\\n]+")) {
            if (!part.isBlank()) {
                Optional<MeetingPattern> pattern = read(part.strip());
                if (pattern.isEmpty()) {
                    return List.of();
                }
                patterns.add(pattern.get());
            }
        }
        return patterns;
    }

    /** The pattern that the words mean; empty when days or times are missing. */
    public static Optional<MeetingPattern> read(String text) {
        Matcher times = TIMES.matcher(text);
        if (!times.find()) {
            return Optional.empty();
        }
        String before = text.substring(0, times.start());
        Matcher letters = LETTERS.matcher(before);
        boolean byLetter = letters.find() && !before.toLowerCase(Locale.ROOT).contains("weekday");
        String rule = byLetter ? null : rule(before);
        Optional<LocalTime[]> span = span(times);
        if (!byLetter && rule == null || span.isEmpty()) {
            return Optional.empty();
        }
        LocalTime start = span.get()[0];
        int minutes = times.group(7) != null
                ? DayWords.number(times.group(7))
                : (int) Duration.between(start, span.get()[1]).toMinutes();
        if (minutes < 1) {
            return Optional.empty();
        }
        String place = text.substring(times.end())
                .replaceFirst("^[\\s,;:@]*(?:in\\s+)?", "")
                .strip();
        List<String> on = byLetter
                ? Stream.of(letters.group(1).split("(?i)\\s*(?:,|\\band\\b|&|\\+|/)\\s*"))
                        .map(letter -> letter.toUpperCase(Locale.ROOT))
                        .toList()
                : List.of();
        return Optional.of(new MeetingPattern(rule, on, start, minutes, place, "", null, null, Extra.NONE));
    }

    /** The recurrence that the words before the times mean; null when they mean none. */
    private static String rule(String before) {
        Matcher monthly = MONTHLY.matcher(before);
        if (monthly.find()
                && (before.toLowerCase(Locale.ROOT).contains("month")
                        || !EVERY.matcher(before).find())) {
            int nth = ORDINALS.indexOf(monthly.group(1).toLowerCase(Locale.ROOT));
            return "FREQ=MONTHLY;BYDAY=" + nth + Words.weekday(DayWords.weekday(monthly.group(2)));
        }
        Matcher every = EVERY.matcher(before);
        int interval = 1;
        String rest = before;
        if (every.find()) {
            String n = every.group(1) == null ? "second" : every.group(1).toLowerCase(Locale.ROOT);
            interval = n.equals("other") ? 2 : n.matches("\\d") ? DayWords.number(n) : ORDINALS.indexOf(n);
            rest = before.substring(0, every.start()) + " " + before.substring(every.end());
        }
        Set<DayOfWeek> days = days(rest);
        if (days.isEmpty() || interval < 1) {
            return null;
        }
        return "FREQ=WEEKLY;" + (interval > 1 ? "INTERVAL=" + interval + ";" : "") + "BYDAY="
                + String.join(",", days.stream().map(Words::weekday).toList());
    }

    private static Set<DayOfWeek> days(String text) {
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        String lower = text.toLowerCase(Locale.ROOT);
        if (lower.matches(".*\\b(daily|every weekday|each weekday|weekdays|every day)\\b.*")) {
            return EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY);
        }
        Matcher named = LONG_DAYS.matcher(text);
        while (named.find()) {
            days.add(DayWords.weekday(named.group(1)));
        }
        if (!days.isEmpty()) {
            return days;
        }
        List<String> words = List.of(text.strip().split("[\\s,/]+"));
        if (words.stream().allMatch(word -> TWO_LETTERS.matcher(word).matches())) {
            words.forEach(word -> days.add(twoLetters(word.toLowerCase(Locale.ROOT))));
            return days;
        }
        for (String word : words) {
            if (SHORT_DAYS.matcher(word).matches()) {
                letters(word, days);
            }
        }
        return days;
    }

    private static DayOfWeek twoLetters(String word) {
        return switch (word) {
            case "mo" -> DayOfWeek.MONDAY;
            case "di", "tu" -> DayOfWeek.TUESDAY;
            case "mi", "we" -> DayOfWeek.WEDNESDAY;
            case "do", "th" -> DayOfWeek.THURSDAY;
            case "fr" -> DayOfWeek.FRIDAY;
            case "sa" -> DayOfWeek.SATURDAY;
            default -> DayOfWeek.SUNDAY;
        };
    }

    private static void letters(String word, Set<DayOfWeek> days) {
        Matcher letter = Pattern.compile("Tu|Th|Sa|Su|M|T|W|R|F|S|U").matcher(word);
        while (letter.find()) {
            days.add(
                    switch (letter.group()) {
                        case "M" -> DayOfWeek.MONDAY;
                        case "T", "Tu" -> DayOfWeek.TUESDAY;
                        case "W" -> DayOfWeek.WEDNESDAY;
                        case "Th", "R" -> DayOfWeek.THURSDAY;
                        case "F" -> DayOfWeek.FRIDAY;
                        case "S", "Sa" -> DayOfWeek.SATURDAY;
                        default -> DayOfWeek.SUNDAY;
                    });
        }
    }

    /** Start and end; a missing am or pm is taken from the other, and 1 to 6 o'clock without either is afternoon. */
    private static Optional<LocalTime[]> span(Matcher m) {
        int from = DayWords.number(m.group(1));
        int fromMinute = m.group(2) == null ? 0 : DayWords.number(m.group(2));
        if (m.group(4) == null) {
            return clock(from, fromMinute, m.group(3)).map(t -> new LocalTime[] {t, t});
        }
        int to = DayWords.number(m.group(4));
        int toMinute = m.group(5) == null ? 0 : DayWords.number(m.group(5));
        String toHalf = m.group(6) == null ? m.group(3) : m.group(6);
        Optional<LocalTime> end = clock(to, toMinute, toHalf);
        Optional<LocalTime> start = clock(from, fromMinute, m.group(3) == null ? toHalf : m.group(3));
        if (start.isPresent() && end.isPresent() && start.get().isAfter(end.get())) {
            start = clock(from, fromMinute, "am");
        }
        if (start.isEmpty() || end.isEmpty() || !start.get().isBefore(end.get())) {
            return Optional.empty();
        }
        return Optional.of(new LocalTime[] {start.get(), end.get()});
    }

    private static Optional<LocalTime> clock(int hour, int minute, String half) {
        if (hour > 23 || minute > 59) {
            return Optional.empty();
        }
        if (half == null) {
            return Optional.of(LocalTime.of(hour >= 1 && hour <= 6 ? hour + 12 : hour, minute));
        }
        return Optional.of(LocalTime.of(hour % 12 + (half.equalsIgnoreCase("pm") ? 12 : 0), minute));
    }

    /** When a pattern meets, in words. */
    public static String say(MeetingPattern pattern) {
        return days(pattern) + ", " + pattern.start() + " to " + pattern.start().plusMinutes(pattern.minutes()) + ", "
                + pattern.minutes() + " minutes" + (pattern.place().isEmpty() ? "" : ", " + pattern.place());
    }

    /** The days of a pattern in words: "Mon, Wed, Fri", "every 2 weeks Thu", "day A, C", "first Tue of the month". */
    public static String days(MeetingPattern pattern) {
        String letters = pattern.letters().isEmpty() ? "" : "day " + String.join(", ", pattern.letters());
        if (pattern.rule() == null) {
            return letters;
        }
        String rule = pattern.rule().toUpperCase(Locale.ROOT);
        String byDay = part(rule, "BYDAY");
        String interval = part(rule, "INTERVAL");
        boolean plain = rule.matches("FREQ=(WEEKLY|MONTHLY);(INTERVAL=\\d+;)?BYDAY=[-0-9A-Z,]+(;WKST=[A-Z]{2})?");
        if (!plain) {
            return rule + (letters.isEmpty() ? "" : ", " + letters);
        }
        String every = interval.isEmpty() || interval.equals("1") ? "" : "every " + interval + " weeks ";
        String said = String.join(
                ", ", Stream.of(byDay.split(",")).map(MeetsWords::nthDay).toList());
        return every
                + said
                + (rule.startsWith("FREQ=MONTHLY") ? " of the month" : "")
                + (letters.isEmpty() ? "" : ", " + letters);
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
            case "1", "2", "3", "4" -> ORDINALS.get(DayWords.number(n)) + " " + day;
            default -> n + ". " + day;
        };
    }
}
