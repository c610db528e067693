package app.matsuri.exchange.sheet;

import app.matsuri.exchange.words.KindWords;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Work as a cell or a line of a sheet says it: "HW 3 due, Quiz 2 (Fri); Project proposal (5%) due Fri 9/18 11:59pm", "Paper 1
 * (4–5 pp., 100 pts). Opens 9/22 4:30pm, due Fri 10/2, accepted until Mon 10/5", "Read: Primer ch. 3 (~40 min)".
 */
final class WorkWords {

    private static final int FLAGS =
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE | Pattern.UNICODE_CHARACTER_CLASS | Pattern.DOTALL;

    private static Pattern of(String regex) {
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

    private static final String START =
            "(?:hw|home ?work|quiz|lab|exam|test|mid-?term|problem set|pset|ps|project|paper|essay"
                    + "|discussion|worksheet|assignment|exercise|report|draft|reading)\\s*(?:#|no\\.?)?\\s*\\d";
    /** Where the next work begins behind a comma. */
    private static final Pattern NEXT = of(",\\s*(?:and\\s+)?(?=" + START
            + "|(?:read|watch|skim|listen to|bring|do|complete)\\s)|\\s+\\+\\s+(?=" + START + ")");

    private static final Pattern READ_ON = of("(?:read|skim|do|bring)\\b");
    private static final Pattern ONLY_ADDS = of(
            "(?:due|opens?|closes?|available|accepted|until|by|worth|counts|who (?:marks|grades)|marked by|graded by|graded|late|replies|reply"
                    + "|\\d+\\s*(?:pts?|points?|%)|~?\\d+\\s*min).*");

    private static final Pattern LINK = of("https?://[^\\s<>\"“”)\\]]+[^\\s<>\"“”)\\].,;:!?]");
    /** A link with its label: "course page: https://…" behind other words. */
    private static final Pattern LABELLED =
            of("(?<=[\\p{L}\\d\")])[,;(]\\s*(?:[\\p{L} ]{1,24}:)?\\s*https?://[^\\s<>\"“”)\\]]+\\)?");
    /** Remarks in brackets that are no part of a title: how long it is, on how many days. */
    private static final Pattern ASIDE = of(
            "\\(\\s*(?:(?:about|max\\.?)\\s+)?\\d+(?:\\s*[–-]\\s*\\d+)?\\s*(?:pp?\\.?|pages|words|days?|classes|periods?)(?:\\s+of the \\d+)?[\\s,;]*\\)");

    private static final Pattern PERCENT = of(
            "(\\d{1,3}(?:[.,]\\d{1,2})?)\\s*%(?:\\s*(?:of|der|de)\\s+(?:the\\s+|la\\s+)?(?:final\\s+|course\\s+)?(?:grade|note|mark))?");
    private static final Pattern POINTS = of(
            "(?<![\\d.])(\\d{1,4}(?:[.,]\\d{1,2})?)\\s*(?:-\\s*)?(?:pts?|points?|marks|punkte?|puntos)\\b\\.?(?:\\s+each)?");
    private static final Pattern BARE_POINTS = of("\\(\\s*(\\d{1,3})\\s*\\)\\s*$");
    private static final Pattern MINUTES = of(
            "(?:~|ca\\.?|about|approx\\.?)?\\s*(\\d{1,3})\\s*-?\\s*min(?:utes?|uten|utos|s)?\\b\\.?|(?:~|ca\\.?|about)?\\s*(\\d(?:[.,]5)?)\\s*(?:hours?|hrs?|h)\\b");
    private static final Pattern MARKER =
            of("[,;(]?\\s*(?:who (?:marks|grades)|(?:marked|graded) by)\\s*:?\\s*([^,;]+)");
    private static final Pattern UNGRADED = of("\\(?\\b(?:not (?:graded|collected|marked)|ungraded)\\b\\)?");
    private static final Pattern IN_CLASS = of(
            "\\(?\\s*\\bin[- ]class\\b(?:\\s*,\\s*day \\d+)?\\s*\\)?|\\(\\s*(?:im unterricht|en classe|en clase)\\s*\\)");
    private static final Pattern EMPTY_BRACKETS = of("\\(\\s*[,;:\\s–-]*\\)|\\[\\s*\\]");

    private static final String DUE =
            "due(?:\\s+date)?|hand(?:ed)? in(?: by)?|turn(?:ed)? in(?: by)?|submit(?: by)?|abgabe(?: bis)?"
                    + "|fällig(?: am)?|à rendre(?: pour)?|pour le|entrega(?:r)?(?: el)?";
    private static final String OPENS =
            "opens?(?: on)?|available(?: from| on)?(?! until)|released?(?: on)?|goes up(?: on)?|ab(?= \\d)|ouvre le|abre el";
    private static final String CLOSES =
            "closes?(?: on)?|accepted (?:until|till)|(?:available |open )?until|late (?:until|by)|last chance|schließt am|ferme le|cierra el";
    private static final Pattern IS_DUE = of("(?<![\\p{L}\\d-])(?:" + DUE + ")(?![\\p{L}-])");
    private static final Pattern CLAUSE =
            of("(?<![\\p{L}\\d-])(?:(" + DUE + ")|(" + OPENS + ")|(" + CLOSES + "))(?![\\p{L}-])\\s*:?\\s*");
    /** "by Wed noon", "post Wed Sep 17 8 pm": a day must follow. */
    private static final Pattern BY = of("[,\\s]*\\b(?:by|bis|post(?:ed)?(?: by)?|before|vor|avant le|antes del)\\s+");

    private static final Pattern PREFIX =
            of("^(?:(hw|home ?work|assignment|hausaufgaben?|devoirs?|tarea|deberes)|(read(?:ing)?s?|lesen|lire|leer)"
                    + "|(discussion(?: board| post)?|forum)|(bring|prep(?:are)?|do)|(watch|video|listen(?: to)?)|(lab|practical)|(practice)|(other)"
                    + "|(projects?)|(presentation|talk)|(quiz|test|exam))\\s*:\\s+");
    /** What stands behind it up to the end of the line is to be read too. */
    private static final Pattern READS = of("(?:read(?:ing)?s?|lesen|lire|leer)\\s*:");

    private static final Pattern VERB =
            of("^(?:(?:please\\s+)?(?:read|skim(?=\\s+(?:ch|pp?\\.))|watch|lesen|lire|leer)\\s+)");
    private static final Pattern ARTICLE = of("^(?:an?|the)\\s+(?=.{3})");
    private static final Pattern SPACES = Pattern.compile("\\s+");
    private static final Pattern BEGINS = Pattern.compile("^[\\s,;:.–—-]+(?=\\s|$)|^[\\s,;]+");
    private static final Pattern ENDS = Pattern.compile("[\\s,;:–—-]+$");
    private static final Pattern BEFORE_COMMA = Pattern.compile("(?<=\\S)\\s+,");
    /** A title that begins so is that, whatever follows: "Lab 3: Read the jars". */
    private static final Pattern FIRST = of("^(?:lab|discussion|project|paper|essay|homework|hw)\\b");

    private static final Pattern STOP = Pattern.compile("(?<=[\\p{L}\\d)])\\.$|\\s+\\.$");
    private static final Pattern IN_BRACKETS = of("[(,]\\s*([^(),]{2,30})\\s*\\)?\\s*$");
    private static final Pattern AT_THE_START = of("\\s*\\(?\\bat the start(?: of class)?\\)?");
    private static final Pattern BEGINS_WORK = of(START + ".*");
    private static final Pattern BEFORE_BRACKET = Pattern.compile("[,;]\\s*\\)");
    private static final Pattern BEFORE_CLASS = of("\\s+before (?:class|day \\d|the (?:first )?class)\\b.*$");

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
        for (String part : parts(cell, place.reading())) {
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

    /** A cell cut where one work ends and another begins. */
    private static List<String> parts(String cell, boolean reading) {
        List<String> parts = new ArrayList<>();
        int from = 0;
        int depth = 0;
        boolean quoted = false;
        for (int i = 0; i < cell.length(); i++) {
            char c = cell.charAt(i);
            depth += c == '(' || c == '[' ? 1 : (c == ')' || c == ']') && depth > 0 ? -1 : 0;
            quoted = c == '"' ? !quoted : c == '“' || c != '”' && quoted;
            boolean cut = c == '\n' || c == '\r' || c == ';' && depth == 0 && !quoted;
            if (cut) {
                parts.add(cell.substring(from, i));
                from = i + 1;
                depth = 0;
                quoted = false;
            }
        }
        parts.add(cell.substring(from));
        List<String> all = new ArrayList<>();
        for (String part : reading ? parts : whole(parts, cell)) {
            int at = 0;
            Matcher m = NEXT.matcher(part);
            while (m.find()) {
                String before = part.substring(at, m.start());
                if (!before.isBlank()
                        && balanced(before)
                        && !(reading
                                && !m.group().matches("(?s).*\\+.*")
                                && READ_ON.matcher(part)
                                        .region(m.end(), part.length())
                                        .lookingAt())
                        && !(reading && before.matches("(?i).*\\bch\\.?\\s*$"))) {
                    all.add(before);
                    at = m.end();
                }
            }
            all.add(part.substring(at));
        }
        return all;
    }

    /** Joins what a semicolon cuts off and is no work by itself: "Read the jars; start starters". */
    private static List<String> whole(List<String> parts, String cell) {
        List<String> joined = new ArrayList<>();
        for (String part : parts) {
            String text = part.strip();
            boolean goes = !joined.isEmpty()
                    && !text.isEmpty()
                    && Character.isLowerCase(text.charAt(0))
                    && !ONLY_ADDS.matcher(text).matches()
                    && !BEGINS_WORK.matcher(text).matches()
                    && !CLAUSE.matcher(text).find()
                    && !BY.matcher(text).find()
                    && !POINTS.matcher(text).find()
                    && !PERCENT.matcher(text).find()
                    && !CLAUSE.matcher(joined.get(joined.size() - 1)).find()
                    && cell.contains(joined.get(joined.size() - 1) + ";");
            if (goes) {
                joined.set(joined.size() - 1, joined.get(joined.size() - 1) + ";" + part);
            } else {
                joined.add(part);
            }
        }
        return joined;
    }

    private static boolean balanced(String text) {
        return text.chars().filter(c -> c == '(').count()
                == text.chars().filter(c -> c == ')').count();
    }

    private void work(String text, Place place, Said said) {
        Work work = new Work(place.row(), "", place.kind());
        String rest = facts(work, text, place);
        rest = clauses(work, rest, place);
        title(work, rest, place);
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
        String rest = clauses(more, facts(more, text, place), place);
        taken(more, work);
        if (!trimmed(rest).isEmpty() && trimmed(rest).matches(".*\\p{L}{3}.*")) {
            work.doubts.add("“" + trimmed(rest) + "” was not understood.");
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

    /** Takes links, shares, points, minutes and who marks; what is left of the text. */
    String facts(Work work, String given, Place place) {
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

    private static String cut(String text, Matcher m) {
        return text.substring(0, m.start()) + " " + text.substring(m.end());
    }

    static BigDecimal number(String digits) {
        return new BigDecimal(digits.replace(',', '.'));
    }

    /** Takes what is due, opens and closes; what is left of the text. */
    private String clauses(Work work, String text, Place place) {
        Matcher m = CLAUSE.matcher(text);
        List<int[]> at = new ArrayList<>();
        while (m.find()) {
            if (!quoted(text, m.start())) {
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
            } else if (at.get(i)[2] == 0 && trimmed(value).isEmpty()) {
                work.due = When.of(When.Sort.WORDS, "");
            } else {
                set(work, at.get(i)[2], When.of(When.Sort.WORDS, trimmed(value)));
            }
        }
        return rest.toString();
    }

    /** Words behind a date: a bracket is a remark, others belong to the title. */
    private static String leftOver(Work work, String rest) {
        String words = trimmed(rest);
        if (words.isEmpty() || words.matches("(?s)\\(.*\\)")) {
            return "";
        }
        if (words.matches("(?s).*\\p{L}{2}.*")) {
            work.doubts.add("“" + words + "” behind its date was not understood.");
        }
        return "";
    }

    private static boolean quoted(String text, int at) {
        return text.substring(0, at).chars().filter(c -> c == '"').count() % 2 == 1;
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
                    && trimmed(read.rest()).isEmpty()) {
                work.due = read.when();
                return text.substring(0, by.start());
            }
        }
        Matcher in = IN_CLASS.matcher(text);
        if (in.find()) {
            work.due = When.of(When.Sort.IN_CLASS, in.group());
            work.inClass = true;
            boolean title = in.start() == 0 && !in.group().contains("(");
            return title ? text : cut(text, in);
        }
        Matcher brackets = IN_BRACKETS.matcher(text);
        if (brackets.find()) {
            WhenWords.Read read = when.read(brackets.group(1), place.day(), false);
            boolean day = read.when() != null
                    && trimmed(read.rest()).isEmpty()
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

    private static void title(Work work, String given, Place place) {
        String text = trimmed(EMPTY_BRACKETS.matcher(given).replaceAll(" "));
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

    /** Times that stand in the words of a test: from its start to its end. */
    WhenWords when() {
        return when;
    }
}
