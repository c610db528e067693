package app.matsuri.exchange.sheet;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Work as a cell or a line of a sheet says it: "HW 3 due, Quiz 2 (Fri); Project proposal (5%) due Fri 9/18 11:59pm", "Paper 1
 * (4–5 pp., 100 pts). Opens 9/22 4:30pm, due Fri 10/2, accepted until Mon 10/5", "Read: Primer ch. 3 (~40 min)".
 */
final class WorkWords {

    private static final int FLAGS =
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE | Pattern.UNICODE_CHARACTER_CLASS | Pattern.DOTALL;

    static Pattern of(String regex) {
        return Pattern.compile(regex, FLAGS);
    }

    /** What a cell says where there is nothing to do. */
    private static final Pattern NONE = of("[-–—/\\s.]*|\\(?(?:n/?a|tb[ad]|none|nil|keine?|aucun|ninguna?|nada|rien"
            + "|nothing\\b.*|(?:no|keine?|pas d[e']|sin)\\s*(?:hw|home ?work|reading|work|quiz|lab|assignments?|class|"
            + "hausaufgaben?|lektüre|devoirs?|lecture|tarea|deberes|lectura)s?\\b.*|free|off|break|holiday)\\)?[.!)]*");
    /** What gives no work, whatever it names. */
    private static final Pattern PUT_OFF =
            of(".*\\b(?:moved (?:to|from)|cancel(?:l)?ed|postponed|verschoben|entfällt|reporté|aplazad[oa])\\b.*");
    /** Words that work is handed out: it opens then. */
    private static final Pattern HANDED_OUT = of(
            "(.*?)\\s*(?:\\b(?:is|gets|will be)\\s+)?\\b(?:assigned|handed out|given out|goes out|posted|distributed|ausgegeben|distribué|se asigna)\\b(?!\\s*:).*");

    static final Pattern ONLY_ADDS = of(
            "(?:due|opens?|closes?|available|accepted|until|by|worth|counts|who (?:marks|grades)|marked by|graded by|graded|late|replies|reply"
                    + "|\\d+\\s*(?:pts?|points?|%)|~?\\d+\\s*min).*");

    private static final Pattern IN_CLASS = of(
            "\\(?\\s*\\bin[- ]class\\b(?:\\s*,\\s*day \\d+)?\\s*\\)?|\\(\\s*(?:im unterricht|en classe|en clase)\\s*\\)");

    private static final String DUE =
            "due(?:\\s+date)?|hand(?:ed)? in(?: by)?|turn(?:ed)? in(?: by)?|submit(?: by)?|abgabe(?: bis)?"
                    + "|fällig(?: am)?|à rendre(?: pour)?|pour le|entrega(?:r)?(?: el)?";
    private static final String OPENS =
            "opens?(?: on)?|available(?: from| on)?(?! until)|released?(?: on)?|goes up(?: on)?|ab(?= \\d)|ouvre le|abre el";
    private static final String CLOSES =
            "closes?(?: on)?|accepted (?:until|till)|(?:available |open )?until|late (?:until|by)|last chance|schließt am|ferme le|cierra el";
    private static final Pattern IS_DUE = of("(?<![\\p{L}\\d-])(?:" + DUE + ")(?![\\p{L}-])");
    static final Pattern CLAUSE =
            of("(?<![\\p{L}\\d-])(?:(" + DUE + ")|(" + OPENS + ")|(" + CLOSES + "))(?![\\p{L}-])\\s*:?\\s*");
    /** "by Wed noon", "post Wed Sep 17 8 pm": a day must follow. */
    static final Pattern BY = of("[,\\s]*\\b(?:by|bis|post(?:ed)?(?: by)?|before|vor|avant le|antes del)\\s+");

    /** What stands behind it up to the end of the line is to be read too. */
    private static final Pattern READS = of("(?:read(?:ing)?s?|lesen|lire|leer)\\s*:");

    private static final Pattern IN_BRACKETS = of("[(,]\\s*([^(),]{2,30})\\s*\\)?\\s*$");
    private static final Pattern AT_THE_START = of("\\s*\\(?\\bat the start(?: of class)?\\)?");

    private final WhenWords when;

    WorkWords(SheetDays days) {
        this.when = new WhenWords(days);
    }

    /**
     * Where work stands.
     *
     * @param kind what it is where its words do not say; empty where they alone do
     * @param reading whether it stands in a column of readings, due before its class
     * @param day the day of its class; null where none is known
     */
    record Place(
            int row,
            String kind,
            boolean reading,
            @org.jspecify.annotations.Nullable LocalDate day) {}

    /**
     * What a cell gives.
     *
     * @param opened titles of work that it says is handed out
     * @param doubts what stands in it and was not taken
     */
    record Said(List<Work> works, List<String> opened, List<String> doubts) {}

    static boolean none(String text) {
        return NONE.matcher(text.strip()).matches();
    }

    /** The work of a cell or a line. */
    Said read(String cell, Place given) {
        Said said = new Said(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        Place place = given;
        for (String part : WorkPieces.of(cell, place.reading())) {
            String text = part.strip();
            Matcher handed = HANDED_OUT.matcher(text);
            if (none(text) || PUT_OFF.matcher(text).matches()) {
                continue;
            }
            if (!place.reading() && handed.matches() && !IS_DUE.matcher(text).find()) {
                said.opened().add(handed.group(1).strip());
            } else if (ONLY_ADDS.matcher(text).matches() && !said.works().isEmpty()) {
                add(said.works().get(said.works().size() - 1), text, place);
            } else {
                work(text, place, said);
                Matcher reads = READS.matcher(text);
                place = reads.lookingAt() ? new Place(given.row(), "reading", given.reading(), given.day()) : place;
            }
        }
        return said;
    }

    private void work(String text, Place place, Said said) {
        Work work = new Work(place.row(), "", place.kind());
        String rest = WorkFacts.take(work, text, place);
        rest = clauses(work, rest, place);
        WorkTitle.give(work, rest, place);
        if (work.title.isEmpty()) {
            Work last = said.works().isEmpty()
                    ? null
                    : said.works().get(said.works().size() - 1);
            if (last == null || !taken(work, last)) {
                said.doubts().add("“" + text.strip() + "” has no name: write what it is before “due”.");
            }
            return;
        }
        said.works().add(work);
    }

    /** What more is said of the work before. */
    private void add(Work work, String text, Place place) {
        if (text.matches("(?is)repl(?:y|ies)\\b.*")) {
            work.doubts.add("It has two times to be handed in; the first was taken: “" + text.strip() + "” was not.");
            return;
        }
        Work more = new Work(work.row(), "", "");
        String rest = clauses(more, WorkFacts.take(more, text, place), place);
        taken(more, work);
        if (!WorkTitle.trimmed(rest).isEmpty() && WorkTitle.trimmed(rest).matches(".*\\p{L}{3}.*")) {
            work.doubts.add("“" + WorkTitle.trimmed(rest) + "” was not understood.");
        }
    }

    private static boolean taken(Work from, Work to) {
        boolean any = from.opens != null
                || from.due != null
                || from.closes != null
                || from.points != null
                || from.percent != null
                || from.minutes != null
                || !from.marking.isEmpty()
                || !from.links.isEmpty();
        to.opens = to.opens == null ? from.opens : to.opens;
        to.due = to.due == null ? from.due : to.due;
        to.closes = to.closes == null ? from.closes : to.closes;
        to.points = to.points == null ? from.points : to.points;
        to.percent = to.percent == null ? from.percent : to.percent;
        to.minutes = to.minutes == null ? from.minutes : to.minutes;
        to.marking = to.marking.isEmpty() ? from.marking : to.marking;
        to.links.addAll(from.links);
        to.doubts.addAll(from.doubts);
        return any;
    }

    /** Takes what is due, opens and closes; what is left of the text. */
    private String clauses(Work work, String text, Place place) {
        Matcher m = CLAUSE.matcher(text);
        List<int[]> at = new ArrayList<>();
        while (m.find()) {
            if (!WorkFacts.quoted(text, m.start())) {
                at.add(new int[] {m.start(), m.end(), m.group(1) != null ? 0 : m.group(2) != null ? 1 : 2});
            }
        }
        if (at.isEmpty()) {
            return without(work, text, place);
        }
        StringBuilder rest = new StringBuilder(text.substring(0, at.get(0)[0]));
        for (int i = 0; i < at.size(); i++) {
            int end = i + 1 < at.size() ? at.get(i + 1)[0] : text.length();
            String value = text.substring(at.get(i)[1], end);
            WhenWords.Read read = when.read(value, place.day(), at.get(i)[2] == 1);
            boolean before = at.get(i)[0] == 0 && read.rest().matches("(?s)\\s*:\\s*\\S.*");
            if (read.when() != null) {
                set(work, at.get(i)[2], read.when());
                if (before) {
                    rest.append(read.rest().replaceFirst("^\\s*:\\s*", ""));
                } else {
                    rest.append(leftOver(work, read.rest()));
                }
            } else if (at.get(i)[2] == 0 && WorkTitle.trimmed(value).isEmpty()) {
                work.due = When.of(When.Sort.WORDS, "");
            } else {
                set(work, at.get(i)[2], When.of(When.Sort.WORDS, WorkTitle.trimmed(value)));
            }
        }
        return rest.toString();
    }

    /** Words behind a date: a bracket is a remark, others belong to the title. */
    private static String leftOver(Work work, String rest) {
        String words = WorkTitle.trimmed(rest);
        if (words.isEmpty() || words.matches("(?s)\\(.*\\)")) {
            return "";
        }
        if (words.matches("(?s).*\\p{L}{2}.*")) {
            work.doubts.add("“" + words + "” behind its date was not understood.");
        }
        return "";
    }

    /** A day behind "by" or in brackets, and whether it is done in class. */
    private String without(Work work, String text, Place place) {
        if (place.reading()) {
            return text;
        }
        Matcher by = BY.matcher(text);
        while (by.find()) {
            WhenWords.Read read = when.read(text.substring(by.end()), place.day(), false);
            if (read.when() != null
                    && read.when().sort() != When.Sort.WORDS
                    && WorkTitle.trimmed(read.rest()).isEmpty()) {
                work.due = read.when();
                return text.substring(0, by.start());
            }
        }
        Matcher in = IN_CLASS.matcher(text);
        if (in.find()) {
            work.due = When.of(When.Sort.IN_CLASS, in.group());
            work.inClass = true;
            boolean title = in.start() == 0 && !in.group().contains("(");
            return title ? text : WorkFacts.cut(text, in);
        }
        Matcher brackets = IN_BRACKETS.matcher(text);
        if (brackets.find()) {
            WhenWords.Read read = when.read(brackets.group(1), place.day(), false);
            boolean day = read.when() != null
                    && WorkTitle.trimmed(read.rest()).isEmpty()
                    && (read.when().sort() == When.Sort.DAY || read.when().sort() == When.Sort.WEEKDAY);
            if (day) {
                work.due = read.when();
                return text.substring(0, brackets.start());
            }
        }
        return AT_THE_START.matcher(text).replaceFirst("");
    }

    private static void set(Work work, int which, When said) {
        if (which == 0) {
            work.due = said;
            work.inClass |= said.sort() == When.Sort.IN_CLASS;
        } else if (which == 1) {
            work.opens = said;
        } else {
            work.closes = said;
        }
    }

    /** Times that stand in the words of a test: from its start to its end. */
    WhenWords when() {
        return when;
    }
}
