package app.matsuri.exchange.words;

import app.matsuri.exchange.plan.Words;
import java.time.DayOfWeek;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Several weekdays, and in which weeks, as a recurrence: "MWF", "Mon-Fri", "daily", "every second Thu", "first Tuesday of
 * the month".
 */
final class WeekdayWords {

    private static final Pattern LONG_DAYS = Pattern.compile(DayWords.WEEKDAY, Pattern.CASE_INSENSITIVE);
    private static final Pattern SHORT_DAYS = Pattern.compile("(?:M|Tu|Th|T|W|R|F|Sa|Su|S|U){1,7}");

    private static final Pattern TWO_LETTERS = Pattern.compile("(?i)(?:mo|di|mi|do|fr|sa|so|tu|we|th|su)");
    private static final Pattern EVERY = Pattern.compile(
            "(?i)\\b(?:every|each)\\s+(second|other|third|fourth|\\d)(?:nd|rd|th)?\\b(?:\\s+weeks?)?|\\b(biweekly|fortnightly)\\b");
    private static final Pattern MONTHLY = Pattern.compile("(?i)\\b(first|second|third|fourth|last)\\s+"
            + DayWords.WEEKDAY + "(?:\\s+of\\s+(?:the|each|every)\\s+month)?");
    /** Several weekdays as one word: "Mon-Fri", "M-F", "Monday to Thursday". */
    private static final Pattern DAY_RUN =
            Pattern.compile("(?i)\\b(?:" + DayWords.WEEKDAY + "|(mo|di|mi|do|fr|sa|so|tu|we|th|su)"
                    + "|([MTWRF]))\\.?\\s*(?:-|–|\\bto\\b|\\bthrough\\b|\\bbis\\b)\\s*(?:" + DayWords.WEEKDAY
                    + "|(mo|di|mi|do|fr|sa|so|tu|we|th|su)|([MTWRFS]))(?![\\p{L}\\d])\\.?");

    /** First to fourth, by their number. */
    static final List<String> ORDINALS = List.of("", "first", "second", "third", "fourth");

    private WeekdayWords() {}

    /** The recurrence that the words mean; null where a word of them is neither a weekday nor says how often. */
    static @Nullable String only(String words) {
        String known = DAY_RUN.matcher(words).replaceAll(" ");
        known = MONTHLY.matcher(known).replaceAll(" ");
        known = EVERY.matcher(known).replaceAll(" ");
        known = LONG_DAYS.matcher(known).replaceAll(" ");
        known = known.replaceAll("(?i)\\b(?:every|each|on|and|weeks?|und|et|y|the)\\b|[,&+/\\s]+", " ");
        boolean letters = known.strip().matches("(?:(?:M|Tu|Th|T|W|R|F|Sa|Su|S|U){1,7}\\s*){0,20}");
        return letters
                ? rule(words.replaceFirst("^(?i:every|each)\\s+(?=(?:M|Tu|Th|T|W|R|F|Sa|Su|S|U){1,7}\\b)", ""), 1)
                : null;
    }

    /**
     * The recurrence that words about weekdays mean; null when they mean none.
     *
     * @param weeks from one week to the next that is meant, where the words do not say it
     */
    static @Nullable String rule(String before, int weeks) {
        Matcher monthly = MONTHLY.matcher(before);
        if (monthly.find()
                && (before.toLowerCase(Locale.ROOT).contains("month")
                        || !EVERY.matcher(before).find())) {
            int nth = ORDINALS.indexOf(monthly.group(1).toLowerCase(Locale.ROOT));
            return "FREQ=MONTHLY;BYDAY=" + nth + Words.weekday(DayWords.weekday(monthly.group(2)));
        }
        Matcher every = EVERY.matcher(before);
        int interval = weeks;
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
        Matcher run = DAY_RUN.matcher(text);
        while (run.find()) {
            DayOfWeek from = day(run.group(1), run.group(2), run.group(3));
            DayOfWeek to = day(run.group(4), run.group(5), run.group(6));
            for (DayOfWeek d = from; d != to; d = d.plus(1)) {
                days.add(d);
            }
            days.add(to);
        }
        String others = run.reset().replaceAll(" ");
        if (!days.isEmpty() && others.isBlank()) {
            return days;
        }
        Matcher named = LONG_DAYS.matcher(others);
        while (named.find()) {
            days.add(DayWords.weekday(named.group(1)));
        }
        if (!days.isEmpty()) {
            return days;
        }
        List<String> words = List.of(others.strip().split("[\\s,/]+"));
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

    /** The weekday by its name, by two letters or by one. */
    private static DayOfWeek day(String name, String two, String one) {
        if (name != null) {
            return DayWords.weekday(name);
        }
        if (two != null) {
            return twoLetters(two.toLowerCase(Locale.ROOT));
        }
        Set<DayOfWeek> letter = EnumSet.noneOf(DayOfWeek.class);
        letters(one.toUpperCase(Locale.ROOT), letter);
        return letter.iterator().next();
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
}
