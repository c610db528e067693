package app.matsuri.exchange.sheet;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What the words of work say beside its title and its dates: links, its share of the grade, points, minutes, who marks it. */
final class WorkFacts {

    private static final Pattern LINK = WorkWords.of("https?://[^\\s<>\"“”)\\]]+[^\\s<>\"“”)\\].,;:!?]");
    /** A link with its label: "course page: https://…" behind other words. */
    private static final Pattern LABELLED =
            WorkWords.of("(?<=[\\p{L}\\d\")])[,;(]\\s*(?:[\\p{L} ]{1,24}:)?\\s*https?://[^\\s<>\"“”)\\]]+\\)?");
    /** Remarks in brackets that are no part of a title: how long it is, on how many days. */
    private static final Pattern ASIDE = WorkWords.of(
            "\\(\\s*(?:(?:about|max\\.?)\\s+)?\\d+(?:\\s*[–-]\\s*\\d+)?\\s*(?:pp?\\.?|pages|words|days?|classes|periods?)(?:\\s+of the \\d+)?[\\s,;]*\\)");

    static final Pattern PERCENT = WorkWords.of(
            "(\\d{1,3}(?:[.,]\\d{1,2})?)\\s*%(?:\\s*(?:of|der|de)\\s+(?:the\\s+|la\\s+)?(?:final\\s+|course\\s+)?(?:grade|note|mark))?");
    static final Pattern POINTS = WorkWords.of(
            "(?<![\\d.])(\\d{1,4}(?:[.,]\\d{1,2})?)\\s*(?:-\\s*)?(?:pts?|points?|marks|punkte?|puntos)\\b\\.?(?:\\s+each)?");
    private static final Pattern BARE_POINTS = WorkWords.of("\\(\\s*(\\d{1,3})\\s*\\)\\s*$");
    private static final Pattern MINUTES = WorkWords.of(
            "(?:~|ca\\.?|about|approx\\.?)?\\s*(\\d{1,3})\\s*-?\\s*min(?:utes?|uten|utos|s)?\\b\\.?|(?:~|ca\\.?|about)?\\s*(\\d(?:[.,]5)?)\\s*(?:hours?|hrs?|h)\\b");
    private static final Pattern MARKER =
            WorkWords.of("[,;(]?\\s*(?:who (?:marks|grades)|(?:marked|graded) by)\\s*:?\\s*([^,;]+)");
    private static final Pattern UNGRADED = WorkWords.of("\\(?\\b(?:not (?:graded|collected|marked)|ungraded)\\b\\)?");
    static final Pattern EMPTY_BRACKETS = WorkWords.of("\\(\\s*[,;:\\s–-]*\\)|\\[\\s*\\]");
    private static final Pattern BEFORE_BRACKET = Pattern.compile("[,;]\\s*\\)");

    private WorkFacts() {}

    /** Takes links, shares, points, minutes and who marks; what is left of the text. */
    static String take(Work work, String given, WorkWords.Place place) {
        String text = given;
        Matcher m = LINK.matcher(text);
        if (text.contains("://")) {
            while (m.find()) {
                work.links.add(m.group());
            }
            text = LABELLED.matcher(text).replaceAll(" ");
            text = LINK.matcher(text).replaceAll(" ");
        }
        if (text.chars().noneMatch(Character::isDigit)) {
            return EMPTY_BRACKETS.matcher(who(work, text)).replaceAll(" ");
        }
        m = PERCENT.matcher(text);
        if (m.find()) {
            work.percent = number(m.group(1));
            text = cut(text, m);
        }
        m = POINTS.matcher(text);
        if (m.find()) {
            work.points = number(m.group(1));
            text = cut(text, m);
        }
        m = MINUTES.matcher(text);
        if (m.find() && !digits(m)) {
            work.minutes = m.group(1) != null
                    ? Integer.valueOf(m.group(1))
                    : number(m.group(2)).multiply(BigDecimal.valueOf(60)).intValue();
            boolean named = quoted(text, m.start());
            text = named ? text : cut(text, m);
        }
        text = who(work, text);
        m = BARE_POINTS.matcher(text);
        if (work.points == null && !place.reading() && m.find()) {
            work.points = number(m.group(1));
            text = cut(text, m);
        }
        text = place.reading()
                ? text
                : ASIDE.matcher(BEFORE_BRACKET.matcher(text).replaceAll(")")).replaceAll(" ");
        return EMPTY_BRACKETS.matcher(text).replaceAll(" ");
    }

    /** Takes who marks it; what is left of the text. */
    private static String who(Work work, String given) {
        String text = given;
        Matcher m = MARKER.matcher(text);
        if (m.find()) {
            String who = m.group(1).strip().toLowerCase(Locale.ROOT);
            work.marking = who.matches(".*\\b(?:auto|machine|computer|lms)\\b.*") ? "machine" : "instructor";
            text = cut(text, m);
        }
        m = UNGRADED.matcher(text);
        if (m.find()) {
            work.marking = "not-marked";
            text = cut(text, m);
        }
        return text;
    }

    private static boolean digits(Matcher m) {
        return m.group(1) == null && m.group(2) == null;
    }

    static String cut(String text, Matcher m) {
        return text.substring(0, m.start()) + " " + text.substring(m.end());
    }

    static BigDecimal number(String digits) {
        return new BigDecimal(digits.replace(',', '.'));
    }

    /** Whether a place of a text is within quotes. */
    static boolean quoted(String text, int at) {
        return text.substring(0, at).chars().filter(c -> c == '"').count() % 2 == 1;
    }
}
