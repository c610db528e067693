package app.matsuri.exchange.plan;

import java.util.Map;
import java.util.Set;

/**
 * How much a field of a plan file, or of a change, takes: the same for the schema, for reading and in messages; the columns take
 * no less. Absurd values are told apart from large ones, so that nothing that is stored can make a view fail.
 */
public final class Bounds {

    /** Characters of an id or a code. */
    static final int ID = 200;

    /** Characters of what stands on a line: titles, names, places, reasons. */
    static final int LINE = 1_000;

    /** Characters of what people write at length. */
    static final int LONG = 250_000;

    private static final Set<String> LONG_TEXTS =
            Set.of("instructions", "text", "words", "notes", "note", "howToCome", "objectives", "why");

    private static final int LIST = 5_000;

    private static final Map<String, Integer> LISTS = Map.ofEntries(
            Map.entry("meets", 100),
            Map.entry("windows", 50),
            Map.entry("links", 50),
            Map.entry("files", 50),
            Map.entry("letters", 60),
            Map.entry("reminders", 50),
            Map.entry("shared", 50),
            Map.entry("weekdays", 7),
            Map.entry("kinds", 50),
            Map.entry("only", 500),
            Map.entry("sections", 500),
            Map.entry("courses", 500));

    private static final int WEEK_OF_MINUTES = 7 * 24 * 60;

    private static final int NUMBER = 100_000;

    private static final Map<String, Integer> NUMBERS = Map.ofEntries(
            Map.entry("minutes", WEEK_OF_MINUTES),
            Map.entry("usualMinutes", WEEK_OF_MINUTES),
            Map.entry("minutesHad", WEEK_OF_MINUTES),
            Map.entry("pause", WEEK_OF_MINUTES),
            Map.entry("requiredMinutes", 1_000_000),
            Map.entry("length", 1_000),
            Map.entry("minLength", 1_000),
            Map.entry("lengths", 1_000),
            Map.entry("gapBefore", 1_000),
            Map.entry("gaps", 1_000),
            Map.entry("week", 1_000),
            Map.entry("place", 1_000_000));

    private Bounds() {}

    /** The most characters of a text. */
    public static int text(String field) {
        return LONG_TEXTS.contains(field) ? LONG : LINE;
    }

    /** The most elements of a list, and entries of an object whose names are ids or days. */
    public static int list(String field) {
        return LISTS.getOrDefault(field, LIST);
    }

    /** The largest number, and what a negative one may come to below zero. */
    public static int number(String field) {
        return NUMBERS.getOrDefault(field, NUMBER);
    }
}
