package app.matsuri.exchange.words;

import java.util.Locale;

/** The kinds of work by the words that people use for them. */
public final class KindWords {

    /** Any of those words, alone. */
    public static final String ANY =
            "(?:reading|practice|homework|hw|assignment|discussion|lab|project|presentation|talk|quiz"
                    + "|test|exam|midterm|other)";

    private KindWords() {}

    /** The kind that the word means. */
    public static String of(String word) {
        return switch (word.toLowerCase(Locale.ROOT)) {
            case "hw", "assignment" -> "homework";
            case "talk" -> "presentation";
            case "exam", "midterm" -> "test";
            default -> word.toLowerCase(Locale.ROOT);
        };
    }
}
