package app.matsuri.exchange.words;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;

/** The kinds of work by the words that people use for them. */
public final class KindWords {

    /** Any of those words, alone. */
    public static final String ANY =
            "(?:reading|practice|homework|hw|assignment|discussion|lab|project|presentation|talk|quiz"
                    + "|test|exam|midterm|other)";

    private static final Map<String, String> BY_TITLE = new LinkedHashMap<>();

    static {
        BY_TITLE.put("quiz", "quiz");
        BY_TITLE.put("test|exam|midterm|final", "test");
        BY_TITLE.put("read(ing)?|chapter", "reading");
        BY_TITLE.put("labs?|log|field", "lab");
        BY_TITLE.put("discuss(ion)?|post", "discussion");
        BY_TITLE.put("project|report|draft|proposal", "project");
        BY_TITLE.put("practice", "practice");
        BY_TITLE.put("talk|presentation|poster", "presentation");
        BY_TITLE.put("set|homework|problems?|sheet|exercise|essay", "homework");
    }

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

    /** The kind that the title of some work tells; "other" where it tells none. */
    public static String ofTitle(String title) {
        for (Map.Entry<String, String> kind : BY_TITLE.entrySet()) {
            if (title.matches("(?i).*\\b(" + kind.getKey() + ")\\b.*")) {
                return kind.getValue();
            }
        }
        return "other";
    }
}
