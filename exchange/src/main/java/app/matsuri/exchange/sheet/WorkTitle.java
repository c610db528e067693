package app.matsuri.exchange.sheet;

import app.matsuri.exchange.words.KindWords;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What work is called, and the kind that its title and its place tell. */
final class WorkTitle {

    private static final Pattern PREFIX = WorkWords.of(
            "^(?:(hw|home ?work|assignment|hausaufgaben?|devoirs?|tarea|deberes)|(read(?:ing)?s?|lesen|lire|leer)"
                    + "|(discussion(?: board| post)?|forum)|(bring|prep(?:are)?|do)|(watch|video|listen(?: to)?)|(lab|practical)|(practice)|(other)"
                    + "|(projects?)|(presentation|talk)|(quiz|test|exam))\\s*:\\s+");
    private static final Pattern VERB =
            WorkWords.of("^(?:(?:please\\s+)?(?:read|skim(?=\\s+(?:ch|pp?\\.))|watch|lesen|lire|leer)\\s+)");
    private static final Pattern ARTICLE = WorkWords.of("^(?:an?|the)\\s+(?=.{3})");
    private static final Pattern SPACES = Pattern.compile("\\s+");
    private static final Pattern BEGINS = Pattern.compile("^[\\s,;:.–—-]+(?=\\s|$)|^[\\s,;]+");
    private static final Pattern ENDS = Pattern.compile("[\\s,;:–—-]+$");
    private static final Pattern BEFORE_COMMA = Pattern.compile("(?<=\\S)\\s+,");
    /** A title that begins so is that, whatever follows: "Lab 3: Read the jars". */
    private static final Pattern FIRST = WorkWords.of("^(?:lab|discussion|project|paper|essay|homework|hw)\\b");

    private static final Pattern STOP = Pattern.compile("(?<=[\\p{L}\\d)])\\.$|\\s+\\.$");
    private static final Pattern BEFORE_CLASS = WorkWords.of("\\s+before (?:class|day \\d|the (?:first )?class)\\b.*$");

    private WorkTitle() {}

    /**
     * Gives work its title and its kind.
     *
     * @param given what is left of its words
     */
    static void give(Work work, String given, WorkWords.Place place) {
        String text = trimmed(WorkFacts.EMPTY_BRACKETS.matcher(given).replaceAll(" "));
        Matcher m = PREFIX.matcher(text);
        String kind = "";
        if (m.find()) {
            kind = m.group(1) != null
                    ? "homework"
                    : m.group(2) != null || m.group(5) != null
                            ? "reading"
                            : m.group(3) != null
                                    ? "discussion"
                                    : m.group(6) != null
                                            ? "lab"
                                            : m.group(7) != null
                                                    ? "practice"
                                                    : m.group(9) != null
                                                            ? "project"
                                                            : m.group(10) != null
                                                                    ? "presentation"
                                                                    : m.group(11) != null
                                                                            ? KindWords.of(m.group(11))
                                                                            : m.group(8) != null ? "other" : "";
            boolean called = m.group(11) != null && Character.isUpperCase(text.charAt(0));
            boolean keeps = m.group(9) != null || m.group(6) != null || called;
            text = keeps ? text : text.substring(m.end()).strip();
        } else if (VERB.matcher(text).find()
                && !VERB.matcher(text).replaceFirst("").matches("\\d+")) {
            kind = "reading";
            text = VERB.matcher(text).replaceFirst("");
        }
        if (kind.equals("reading") || place.kind().equals("reading")) {
            text = BEFORE_CLASS.matcher(text).replaceFirst("");
        }
        text = !work.links.isEmpty() && text.matches("(?i)watch|read|see|video|listen to") ? "" : text;
        text = ARTICLE.matcher(text).replaceFirst("");
        if (text.isEmpty() && !work.links.isEmpty()) {
            text = work.links.get(0);
            kind = kind.isEmpty() && place.kind().isEmpty() ? "reading" : kind;
        }
        work.title = text.length() > 300 ? text.substring(0, 299) + "…" : text;
        Matcher first = FIRST.matcher(text);
        String words = KindWords.ofTitle(first.find() ? first.group() : text);
        work.kind = !kind.isEmpty()
                ? kind
                : place.kind().equals("reading") || place.kind().equals("lab")
                        ? place.kind()
                        : KindWords.other(text)
                                        && !text.toLowerCase(Locale.ROOT).startsWith("project")
                                ? "other"
                                : place.kind().equals("homework") && words.matches("presentation|practice|lab")
                                        ? "homework"
                                        : !words.equals("other")
                                                ? words
                                                : !place.kind().isEmpty() ? place.kind() : words;
    }

    /** Without the blanks, commas and dashes at its ends. */
    static String trimmed(String text) {
        String one = SPACES.matcher(text).replaceAll(" ");
        one = BEGINS.matcher(one).replaceAll("");
        one = ENDS.matcher(one).replaceAll("");
        one = BEFORE_COMMA.matcher(one).replaceAll(",");
        return STOP.matcher(one).replaceAll("").strip();
    }
}
