package app.matsuri.exchange.outline;

import app.matsuri.core.session.MeetingPattern;
import app.matsuri.exchange.plan.Words;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** When a class meets as a timetable prints it: "MWF 10-10:50 Weir House 2", "Tue Thu 1-2:15 pm", "daily 9:00 50 min". */
public final class MeetsWords {

    private static final String CLOCK = "(\\d{1,2})(?:[:.](\\d{2}))?\\s*(am|pm)?";
    private static final Pattern TIMES = Pattern.compile(
            "(?<!\\d)" + CLOCK + "(?:\\s*(?:-|–|to)\\s*" + CLOCK
                    + "|\\s*[,]?\\s*(?:for\\s+)?(\\d{2,3})\\s*min(?:utes)?)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern LONG_DAYS = Pattern.compile(DayWords.WEEKDAY + "s?\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern SHORT_DAYS = Pattern.compile("(?:M|Tu|Th|T|W|R|F|Sa|Su|S|U){1,7}");

    private MeetsWords() {}

    /** The pattern that the words mean; empty when days or times are missing. */
    public static Optional<MeetingPattern> read(String text) {
        Matcher times = TIMES.matcher(text);
        if (!times.find()) {
            return Optional.empty();
        }
        Set<DayOfWeek> days = days(text.substring(0, times.start()));
        Optional<LocalTime[]> span = span(times);
        if (days.isEmpty() || span.isEmpty()) {
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
        String byDay = String.join(",", days.stream().map(Words::weekday).toList());
        return Optional.of(
                MeetingPattern.of("FREQ=WEEKLY;BYDAY=" + byDay, start, minutes).at(place));
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
        for (String word : List.of(text.strip().split("[\\s,/]+"))) {
            if (SHORT_DAYS.matcher(word).matches()) {
                letters(word, days);
            }
        }
        return days;
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

    /** A pattern made from such words, in words. */
    public static String say(MeetingPattern pattern) {
        String days = pattern.rule().replaceFirst(".*BYDAY=", "").replace(",", ", ");
        String names = days.replace("MO", "Mon")
                .replace("TU", "Tue")
                .replace("WE", "Wed")
                .replace("TH", "Thu")
                .replace("FR", "Fri")
                .replace("SA", "Sat")
                .replace("SU", "Sun");
        return names + ", " + pattern.start() + " to " + pattern.start().plusMinutes(pattern.minutes()) + ", "
                + pattern.minutes() + " minutes" + (pattern.place().isEmpty() ? "" : ", " + pattern.place());
    }
}
