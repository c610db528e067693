package app.matsuri.exchange.words;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.session.Recurrence;
import app.matsuri.exchange.plan.Words;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * How something repeats, as people type it: "every Tue and Thu 1-2:30pm", "daily", "weekdays", "every second week from 3
 * sep", "fortnightly on Fri until 4 dec", "every Mon, 5 times".
 *
 * @param rule by RFC 5545; null where a weekday is still to be taken from the day it begins on
 * @param every every how many weeks
 * @param from its first day; null where not said
 * @param until its last day; null where not said
 * @param times how often; 0 where not said
 * @param start time of day; null where not said
 * @param minutes how long; 0 where not said
 * @param place what stands behind the times
 */
public record RepeatWords(
        @Nullable String rule,
        int every,
        @Nullable LocalDate from,
        @Nullable LocalDate until,
        int times,
        @Nullable LocalTime start,
        int minutes,
        String place) {

    private static final Pattern BEGINS =
            Pattern.compile("(?i)(?:every|each|daily|weekdays|weekly|biweekly|fortnightly)\\b.*");
    private static final Pattern FROM = Pattern.compile("(?i),?\\s*\\b(?:from|starting|beginning)\\s+(.+)$");
    private static final Pattern UNTIL = Pattern.compile("(?i),?\\s*\\b(?:until|till|through)\\s+(.+)$");
    private static final Pattern TIMES = Pattern.compile("(?i),?\\s*\\b(\\d{1,3}|[a-z]+)\\s+times\\s*$");
    private static final Pattern WEEKS = Pattern.compile(
            "(?i)(?:every|each)\\s+(second|other|third|fourth|\\d{1,2})?(?:nd|rd|th)?\\s*weeks?|weekly|biweekly|fortnightly");

    /** Whether the words are meant to say how something repeats. */
    public static boolean is(String text) {
        return BEGINS.matcher(text.strip()).matches();
    }

    /** How it repeats; empty where a part of the words is not understood. */
    public static Optional<RepeatWords> read(String given, DayWords days) {
        if (given.length() > DayWords.MOST) {
            return Optional.empty();
        }
        String text = given.strip();
        LocalDate from = null;
        LocalDate until = null;
        int times = 0;
        Matcher m = TIMES.matcher(text);
        if (m.find()) {
            Optional<Integer> n = DayWords.count(m.group(1)).filter(x -> x > 0);
            if (n.isEmpty()) {
                return Optional.empty();
            }
            times = n.get();
            text = text.substring(0, m.start());
        }
        m = UNTIL.matcher(text);
        if (m.find()) {
            Optional<LocalDate> day = days.read(m.group(1));
            if (day.isEmpty()) {
                return Optional.empty();
            }
            until = day.get();
            text = text.substring(0, m.start());
        }
        m = FROM.matcher(text);
        if (m.find()) {
            Optional<LocalDate> day = days.read(m.group(1));
            if (day.isEmpty()) {
                return Optional.empty();
            }
            from = day.get();
            text = text.substring(0, m.start());
        }
        LocalTime start = null;
        int minutes = 0;
        String place = "";
        Optional<Times> span = Times.find(text);
        if (span.isPresent()) {
            start = span.get().start();
            minutes = span.get().minutes();
            place = text.substring(span.get().to())
                    .replaceFirst("^[\\s,;@]*(?:in\\s+)?", "")
                    .strip();
            text = text.substring(0, span.get().at());
        }
        String words = text.replaceFirst("(?i)[,\\s]+(?:at|from)?\\s*$", "").strip();
        int every = 1;
        String rule = null;
        if (words.equalsIgnoreCase("daily") || words.equalsIgnoreCase("every day")) {
            rule = "FREQ=DAILY";
        } else if (words.matches("(?i)(every\\s+)?weekdays?|each weekday")) {
            rule = "FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR";
        } else if (WEEKS.matcher(words).matches()) {
            Matcher weeks = WEEKS.matcher(words);
            every = weeks.matches() ? every(words, weeks.group(1)) : 1;
        } else {
            rule = WeekdayWords.only(words);
            if (rule == null) {
                return Optional.empty();
            }
        }
        return Optional.of(new RepeatWords(rule, every, from, until, times, start, minutes, place));
    }

    private static int every(String words, String n) {
        if (words.matches("(?i)biweekly|fortnightly")) {
            return 2;
        }
        return n == null
                ? 1
                : switch (n.toLowerCase(Locale.ROOT)) {
                    case "second", "other" -> 2;
                    case "third" -> 3;
                    case "fourth" -> 4;
                    default -> DayWords.number(n);
                };
    }

    /** As a stretch of a series that begins on the day where it does not say another. */
    public NoticeTime.Repeat from(LocalDate day) {
        LocalDate first = from == null ? day : from;
        String on = rule == null
                ? "FREQ=WEEKLY;" + (every > 1 ? "INTERVAL=" + every + ";" : "") + "BYDAY="
                        + Words.weekday(first.getDayOfWeek())
                : rule;
        LocalDate last = until;
        if (times > 0) {
            List<LocalDate> all = Recurrence.of(on).dates(first, first.plusYears(5));
            LocalDate nth = all.isEmpty() ? first : all.get(Math.min(times, all.size()) - 1);
            last = last == null || nth.isBefore(last) ? nth : last;
        }
        return new NoticeTime.Repeat(on, first, last, start, minutes);
    }

    /** How the stretch repeats, in words. */
    public static String say(NoticeTime.Repeat repeat) {
        String days = repeat.rule().startsWith("FREQ=DAILY") ? "daily" : "every " + weekdays(repeat.rule());
        return days
                + (repeat.from() == null ? "" : ", from " + Say.day(repeat.from()))
                + (repeat.until() == null ? "" : " until " + Say.day(repeat.until()))
                + (repeat.time() == null
                        ? ""
                        : ", " + Say.time(repeat.time())
                                + (repeat.minutes() == 0
                                        ? ""
                                        : " to " + Say.time(repeat.time().plus(Duration.ofMinutes(repeat.minutes())))));
    }

    private static String weekdays(String rule) {
        Matcher interval = Pattern.compile("INTERVAL=(\\d+)").matcher(rule);
        Matcher by = Pattern.compile("BYDAY=([A-Z,]+)").matcher(rule);
        String days = by.find()
                ? String.join(
                        " and ",
                        List.of(by.group(1).split(",")).stream()
                                .map(Words::weekday)
                                .map(RepeatWords::name)
                                .toList())
                : rule;
        return (interval.find() ? interval.group(1) + " weeks on " : "") + days;
    }

    private static String name(DayOfWeek weekday) {
        return Say.day(LocalDate.EPOCH.plusDays(weekday.getValue() + 3L)).substring(0, 3);
    }
}
