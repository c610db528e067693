package app.matsuri.exchange.school;

import app.matsuri.exchange.words.DayWords;
import java.util.regex.Pattern;

/** The reason of a day off in the school's own words, without its dates, weekdays and what it says of classes. */
final class Reasons {

    private static final int LONGEST = 80;
    private static final Pattern STATED = Pattern.compile(
            "(?iu)[(\\[]?\\b(?:no (?:day or evening )?(?:classes|class|school|students|lectures)(?: held)?|(?:offices?|college|schools?|university|institute|campus) closed|closed for students|closed$|lehrveranstaltungsfrei|vorlesungsfrei|unterrichtsfrei|schulfrei|pas de cours|aucun cours|sin clases)\\b[)\\]]?[.;,]?");
    private static final Pattern ENDS = Pattern.compile("^[\\s,;:.|•·*▪◦➢>→/&–—-]+|[\\s,;:|•·*▪◦➢>→/&–—(\\[-]+$");

    /** What stood between the words and their dates. */
    private static final Pattern JOINTS = Pattern.compile(
            "(?iu)^(?:vom|von|du|del|from|on|le|el|am)(?=\\s)|(?<=\\s)(?:vom|von|du|del|from|on|le|el|am|au|to|bis)$|^(?:inclus|einschl\\.?|inklusive)(?=\\s)");

    private static final Pattern WEEKDAY = Pattern.compile("(?iu)[(\\[]\\s*" + DayWords.WEEKDAY + "\\.?\\s*[)\\]]");
    private static final Pattern EMPTY = Pattern.compile("[(\\[]\\s*[)\\]]");
    private static final Pattern SPACES = Pattern.compile("\\s+");
    private static final Pattern WHOM = Pattern.compile("(?iu)(?:for|für|pour|para) .*");
    private static final Pattern FOR_WHOM =
            Pattern.compile("(?iu),?\\s+(?:for|für|pour|para)\\s+(?:all\\s+)?(?:students|schüler|les élèves|alumnos)$");

    private static final Pattern STOPS = Pattern.compile(": |; | \\(|\\) | [–—-] |\\. ");

    private Reasons() {}

    static String of(String words) {
        String stated = STATED.matcher(words).replaceAll(" ");
        String text = tidy(stated.isBlank() || tidy(stated).isEmpty() ? words : stated);
        String brief = "";
        for (String part : STOPS.split(text)) {
            String one = tidy(FOR_WHOM.matcher(tidy(part)).replaceAll(""));
            // "for students" says whom, not why
            if (one.length() >= 3 && !WHOM.matcher(one).matches()) {
                brief = one;
                break;
            }
        }
        brief = brief.isEmpty() ? text : brief;
        return brief.length() > LONGEST ? brief.substring(0, LONGEST).strip() + "…" : brief;
    }

    /** The words, shortened for a sentence. */
    static String brief(String words) {
        String text = tidy(words);
        return text.length() > LONGEST ? text.substring(0, LONGEST).strip() + "…" : text;
    }

    private static String tidy(String words) {
        String text = EMPTY.matcher(WEEKDAY.matcher(words).replaceAll(" ")).replaceAll(" ");
        text = SPACES.matcher(text).replaceAll(" ").strip();
        String before;
        do {
            before = text;
            text = ENDS.matcher(text).replaceAll("").strip();
            text = JOINTS.matcher(text).replaceAll("").strip();
        } while (!before.equals(text));
        return text;
    }
}
