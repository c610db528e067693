package app.matsuri.exchange.words;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.session.MeetingPattern;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * When a class meets as a timetable prints it: "MWF 10-10:50 Weir House 2", "Mon-Fri 9-9:50", "Tue Thu 1-2:15 pm", "daily
 * 9:00 50 min", "every second Thu 15-16:50", "days A, C 9-9:50", "first Tuesday of the month 16-17", "even weeks Thu 9-9:50",
 * "weeks 2,4,6 Fri 14-15"; an address behind the room is the meeting link.
 */
public final class MeetsWords {

    /** The most patterns of one text. */
    private static final int MOST = 50;

    private static final String CLOCK = "(\\d{1,2})(?:[:.](\\d{2}))?\\s*(am|pm)?";
    private static final Pattern TIMES = Pattern.compile(
            "(?<!\\d)" + CLOCK + "(?:\\s*(?:-|–|to)\\s*" + CLOCK
                    + "|\\s*[,]?\\s*(?:for\\s+)?(\\d{2,3})\\s*min(?:utes)?)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern LETTERS = Pattern.compile(
            "(?i)\\bdays?\\s+((?:\\p{Alnum}{1,3})(?:\\s*(?:,|and|&|\\+|/)\\s*\\p{Alnum}{1,3}){0,20})\\s*$");
    private static final Pattern EVEN = Pattern.compile("(?i)\\b(even|odd)\\s+weeks?\\b,?");
    private static final Pattern WEEKS = Pattern.compile(
            "(?i)\\bweeks?\\s+(\\d{1,2}(?:\\s*(?:,|and|&|\\+|-|–)\\s*\\d{1,2}){0,60})(?!\\d|[:.]\\d)\\b,?");
    private static final Pattern FROM =
            Pattern.compile("(?i),?\\s*\\b(?:from|starting|beginning|since)\\s+(.+?)[,\\s]*$");
    private static final Pattern UNTIL = Pattern.compile("(?i),?\\s*\\b(?:until|till|through)\\s+(.+?)[,\\s]*$");
    private static final Pattern ADDRESS = Pattern.compile("(?i)\\bhttps?://\\S+");

    private MeetsWords() {}

    /** Several patterns, parted by semicolons or lines; empty when one of them is not understood. */
    public static List<MeetingPattern> readAll(String text) {
        return readAll(text, null);
    }

    /**
     * Several patterns, parted by semicolons or lines; empty when one of them is not understood.
     *
     * @param days reads first and last days, and knows the term's weeks; null where neither is meant
     */
    public static List<MeetingPattern> readAll(String text, @Nullable DayWords days) {
        List<MeetingPattern> patterns = new ArrayList<>();
        for (String part : text.split("[;\\n]+")) {
            if (!part.isBlank()) {
                boolean bounded = part.length() <= DayWords.MOST && patterns.size() < MOST;
                List<MeetingPattern> read = bounded ? one(part.strip(), days) : List.of();
                if (read.isEmpty()) {
                    return List.of();
                }
                patterns.addAll(read);
            }
        }
        return patterns;
    }

    /** The pattern that the words mean; empty when days or times are missing, or when it takes several. */
    public static Optional<MeetingPattern> read(String text) {
        if (text.length() > DayWords.MOST) {
            return Optional.empty();
        }
        List<MeetingPattern> found = one(text, null);
        return found.size() == 1 ? Optional.of(found.get(0)) : Optional.empty();
    }

    /** What words before the times mean beside weekdays: in which weeks, from when until when. */
    private record Stretch(
            String words,
            int every,
            @Nullable LocalDate from,
            @Nullable LocalDate until) {}

    private static List<MeetingPattern> one(String text, @Nullable DayWords days) {
        Matcher weeks = WEEKS.matcher(text);
        String plain = text;
        List<Stretch> stretches = List.of();
        if (days != null && days.first() != null && weeks.find()) {
            plain = text.substring(0, weeks.start()) + " " + text.substring(weeks.end());
            stretches = stretches(weeks.group(1), days.first());
            if (stretches.isEmpty()) {
                return List.of();
            }
        }
        Matcher times = TIMES.matcher(plain);
        if (!times.find()) {
            return List.of();
        }
        String before = plain.substring(0, times.start());
        Matcher letters = LETTERS.matcher(before);
        boolean byLetter = letters.find() && !before.toLowerCase(Locale.ROOT).contains("weekday");
        Optional<LocalTime[]> span = span(times);
        if (span.isEmpty()) {
            return List.of();
        }
        LocalTime start = span.get()[0];
        int minutes = times.group(7) != null
                ? DayWords.number(times.group(7))
                : (int) Duration.between(start, span.get()[1]).toMinutes();
        if (minutes < 1) {
            return List.of();
        }
        String behind = plain.substring(times.end());
        Optional<Stretch> said = stretch(before, behind, days);
        if (said.isEmpty()) {
            return List.of();
        }
        String link = "";
        String place = said.get().words();
        Matcher address = ADDRESS.matcher(place);
        if (address.find()) {
            link = address.group();
            place = place.substring(0, address.start()) + place.substring(address.end());
        }
        place = place.replaceFirst("^[\\s,;:@]*(?:in\\s+)?", "").replaceFirst("[\\s,;]+$", "");
        List<String> on = byLetter
                ? Stream.of(letters.group(1).split("(?i)\\s*(?:,|\\band\\b|&|\\+|/)\\s*"))
                        .map(letter -> letter.toUpperCase(Locale.ROOT))
                        .toList()
                : List.of();
        List<MeetingPattern> patterns = new ArrayList<>();
        String bare = FROM.matcher(
                        UNTIL.matcher(EVEN.matcher(before).replaceAll(" ")).replaceAll(""))
                .replaceAll("");
        for (Stretch stretch : stretches.isEmpty() ? List.of(said.get()) : stretches) {
            String rule = byLetter ? null : WeekdayWords.rule(bare, stretch.every());
            if (!byLetter && rule == null) {
                return List.of();
            }
            patterns.add(new MeetingPattern(
                    rule, on, start, minutes, place, link, stretch.from(), stretch.until(), Extra.NONE));
        }
        return patterns;
    }

    /** Since when, until when and in which weeks, and what is left of the words behind the times; empty where unclear. */
    private static Optional<Stretch> stretch(String before, String behind, @Nullable DayWords days) {
        LocalDate from = null;
        LocalDate until = null;
        String rest = behind;
        int every = 1;
        if (days == null) {
            return Optional.of(new Stretch(rest, every, null, null));
        }
        for (String words : List.of(behind, before)) {
            String left = words;
            Matcher to = UNTIL.matcher(left);
            if (to.find()) {
                Optional<LocalDate> day = days.read(to.group(1));
                if (day.isEmpty()) {
                    return Optional.empty();
                }
                until = day.get();
                left = left.substring(0, to.start());
            }
            Matcher since = FROM.matcher(left);
            if (since.find()) {
                Optional<LocalDate> day = days.read(since.group(1));
                if (day.isEmpty()) {
                    return Optional.empty();
                }
                from = day.get();
                left = left.substring(0, since.start());
            }
            Matcher even = EVEN.matcher(left);
            if (even.find()) {
                if (days.first() == null) {
                    return Optional.empty();
                }
                every = 2;
                from = weekOf(days.first(), even.group(1).equalsIgnoreCase("even") ? 2 : 1);
                left = left.substring(0, even.start()) + " " + left.substring(even.end());
            }
            rest = words == behind ? left : rest;
        }
        return Optional.of(new Stretch(rest, every, from, until));
    }

    /** Runs of weeks of the term that are evenly apart: "2,4,6,8" is one, "1,2,5" are two. */
    private static List<Stretch> stretches(String given, LocalDate first) {
        TreeSet<Integer> weeks = new TreeSet<>();
        for (String part : given.split("(?i)\\s*(?:,|\\band\\b|&|\\+)\\s*")) {
            String[] run = part.strip().split("\\s*[-–]\\s*");
            int last = DayWords.number(run[run.length - 1]);
            for (int n = DayWords.number(run[0]); n <= last; n++) {
                weeks.add(n);
            }
        }
        List<Integer> left = new ArrayList<>(weeks);
        List<Stretch> found = new ArrayList<>();
        while (!left.isEmpty() && left.get(0) > 0) {
            int step = left.size() > 1 ? left.get(1) - left.get(0) : 1;
            int n = 1;
            while (n < left.size() && left.get(n) - left.get(n - 1) == step) {
                n++;
            }
            LocalDate from = weekOf(first, left.get(0));
            found.add(new Stretch("", step, from, weekOf(first, left.get(n - 1)).plusDays(6)));
            left.subList(0, n).clear();
        }
        return left.isEmpty() ? found : List.of();
    }

    /** The first day of a week of the term, in Monday weeks; of the first week the term's first day. */
    private static LocalDate weekOf(LocalDate first, int week) {
        LocalDate monday = first.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        return week == 1 ? first : monday.plusWeeks(week - 1L);
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
}
