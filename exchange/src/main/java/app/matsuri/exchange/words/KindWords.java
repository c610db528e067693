package app.matsuri.exchange.words;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/** The kinds of work by the words that people use for them. */
public final class KindWords {

    /** Any of those words, alone. */
    public static final String ANY =
            "(?:reading|practice|homework|hw|assignment|discussion|lab|project|presentation|talk|quiz"
                    + "|test|exam|midterm|other)";

    private static final Map<Pattern, String> BY_TITLE = new LinkedHashMap<>();

    static {
        put("quiz(?:zes)?|kurztest|interro(?:gation)?|prueba", "quiz");
        put(
                "test|exam(?:ination)?|mid-?term|final exam.*|^finals?$|klausur|schulaufgabe|prüfung|examen|contrôle",
                "test");
        put("read(ing)?s?|chapters?|ch(?=\\.)|lektüre|lectura", "reading");
        put("labs?|log|field|praktikum", "lab");
        put("discuss(ion)?|post", "discussion");
        put("projects?|reports?|drafts?|proposals?|papers?|projekt|proyecto|projet", "project");
        put("practice", "practice");
        put("talks?|presentations?|poster|referat|exposé|exposición", "presentation");
        put(
                "set|homework|hw|problems?|sheets?|worksheets?|exercises?|essays?|hausaufgaben?|aufgaben?|devoirs?|tareas?|deberes|ejercicios",
                "homework");
    }

    private static final Pattern OTHER = Pattern.compile(
            "\\b(?:forms?|contract|packet|survey|bring|sign(?:ed)? (?:the|by|and)|peer review|study guide|materials|permission|agreement)\\b",
            Pattern.CASE_INSENSITIVE);

    private KindWords() {}

    private static void put(String words, String kind) {
        BY_TITLE.put(Pattern.compile("\\b(?:" + words + ")\\b", Pattern.CASE_INSENSITIVE), kind);
    }

    /** Whether a title says that it is something to bring, sign or fill in. */
    public static boolean other(String title) {
        return OTHER.matcher(title).find();
    }

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
        for (Map.Entry<Pattern, String> kind : BY_TITLE.entrySet()) {
            if (kind.getKey().matcher(title).find()) {
                return kind.getValue();
            }
        }
        return "other";
    }
}
