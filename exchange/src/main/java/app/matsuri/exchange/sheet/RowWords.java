package app.matsuri.exchange.sheet;

import app.matsuri.exchange.words.Days;
import java.time.DayOfWeek;
import java.util.EnumSet;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Words of rows that are no lessons, and what stands around the title of one. */
final class RowWords {

    private static final int FLAGS =
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE | Pattern.UNICODE_CHARACTER_CLASS | Pattern.DOTALL;

    private static Pattern of(String regex) {
        return Pattern.compile(regex, FLAGS);
    }

    /** There is no class, whatever the reason. */
    private static final Pattern NO_CLASS = of(
            ".*\\b(?:no (?:class|classes|school|students|lectures?|meeting|lessons?)|(?:class|school|college|campus) (?:is )?(?:closed|cancel(?:l)?ed)"
                    + "|do(?:es)? not meet|not meeting|kein(?:e)? (?:unterricht|schule|vorlesung(?:en)?)|unterrichtsfrei|schulfrei|vorlesungsfrei"
                    + "|pas (?:de|d') ?(?:cours|classe|école)|sin clases?|no hay clases?)\\b.*");

    private static final Pattern HOLIDAY = of(
            "[\\[(*~–—\\s-]*(?:(?:the|our)\\s+)?(?:(?:fall|autumn|spring|winter|summer|mid-?term|thanksgiving|christmas|easter|reading|long|semester|half[- ]term|public|federal|national|bank)\\s+){0,6}"
                    + "(?:break|recess|holidays?|vacation|half[- ]term|reading (?:week|days?)|thanksgiving(?: day)?|labou?r day|memorial day|veterans'? day|election day"
                    + "|(?:m\\.?l\\.?k|martin luther king)\\.?(?: jr\\.?)?(?: day)?|presidents'? day|columbus day|indigenous peoples'? day|independence day|juneteenth|christmas(?: day)?|new year'?s(?: day)?"
                    + "|good friday|easter(?: monday)?|whit monday|ascension(?: day)?|professional development(?: day)?|teacher work ?day|in-?service(?: day)?|snow day"
                    + "|(?:herbst|weihnachts|oster|pfingst|winter|sommer|fasnachts|faschings|sport)ferien|ferien|feiertag|pfingstmontag|ostermontag|karfreitag|himmelfahrt|fronleichnam|allerheiligen|tag der (?:arbeit|deutschen einheit)|reformationstag|buß- und bettag"
                    + "|vacances(?: (?:de|d')\\s?[\\p{L} ]+)?|toussaint|armistice|jour férié|férié|pont|lundi de (?:pâques|pentecôte)|ascension|fête du travail"
                    + "|vacaciones(?: de [\\p{L} ]+)?|festivo|feriado|puente|semana santa|día (?:de|del) [\\p{L} ]+|asueto)(?![-'][\\p{L}])"
                    + "[\\s!.,)\\]*–—-]*(?:\\d.*|[–—(,:-].*)?");
    private static final Pattern TOTAL =
            of("\\s*(?:(?:grand )?totals?|sum(?:me)?|gesamt|insgesamt|somme|=.*|check(?:sum)?)\\b.*|=.*");
    private static final Pattern COMMENT = of(
            "\\s*(?:[*†‡]|\\((?!\\d+\\))|note\\b|notes?:|n\\.?b\\.?\\b|nb:|legend|key:|hinweis|anm(?:erkung)?\\.?:?|remarque|nota\\b|rev(?:ised|\\.)|updated|last updated|stand:|"
                    + "late work|extra:|attendance|grading|office hours|instr(?:uctor|\\.)?:|textbook|prerequisites?:?).*");
    private static final Pattern SECOND_DAY = of(
            "\\s*[(\\[].*\\b(?:cont(?:inued|'?d|\\.)?|day (?:2|3|4|two|three)|2nd day|second day|part 2|fortsetzung|suite|cont)\\b.*[)\\]]\\s*");
    private static final Pattern OPTIONAL =
            of("^(?:if (?:there is )?time(?: permits| allows)?|optional|falls zeit|si le temps)\\b.*");

    private static final Pattern TEST = of(
            "(?:\\d+(?:\\.\\d+){0,9}[.:)]?\\s+)?(?:(?:in-?class|class|mid-?term|final|unit|chapter|semester|cumulative|section|module|practice(?! )|first|second|third|big|end[- ]of[- ]\\w+)\\s+){0,6}"
                    + "(?:test|exam(?:ination)?|quiz|mid-?term(?: exam| test)?|final exam(?:ination)?|finals?|klausur|schulaufgabe|klassenarbeit|prüfung|examen(?: final)?|contrôle|prueba|parcial)\\b"
                    + "(?!\\s*(?:review|prep|practice|day\\b|return|corrections?|post-?mortem|debrief|results|discussion|then|is\\b))[^;]*");
    /** A test and something else in the same class. */
    private static final Pattern MORE =
            of("\\bthen\\b|\\s\\+\\s|,\\s*(?:start|begin|intro\\w*|discuss\\w*|continue|review)\\b");

    private static final Pattern TEST_INSIDE = of(
            "(?<![\\p{L}])((?:quiz|test|exam|midterm)\\s*#?\\s*\\d+)\\b(?!\\s*(?:review|prep|practice|return|corrections?))");

    private static final Pattern SESSIONS = of(
            "\\s*(?:[(\\[]\\s*(?:all\\s+)?(\\d{1,2}|one|two|three|four|five|six|both)\\s*(?:x|×|days?|classes|class|periods?|sessions?|lessons?|meetings|stunden|std\\.?|tage?|séances?|heures?|sesiones|sesión|clases?|días?)?\\s*[)\\]]"
                    + "|,\\s*(\\d{1,2})\\s*(?:x|days?|classes|class|periods?|sessions?|lessons?)?|[–—-]\\s*(\\d{1,2})\\s*(?:days?|classes|periods?|sessions?)|\\b(?:x|×)\\s?(\\d{1,2}))\\s*$");
    private static final Pattern INSIDE = of(
            "\\s*\\(\\s*(?:\\d{1,3} min\\w*\\.?,\\s*)?(?:all\\s+)?(\\d{1,2}|one|two|three|four|five|six)\\s+(?:days?|classes|periods?|sessions?|lessons?|meetings)\\s*\\)");

    private static final String DAY =
            "(?:mondays?|tuesdays?|wednesdays?|thursdays?|fridays?|mon|tues?|wed|thur?s?|fri|sat|montag|dienstag|mittwoch|donnerstag|freitag|lundi|mardi|mercredi|jeudi|vendredi|lunes|martes|miércoles|jueves|viernes|mo|tu|we|th|fr|di|mi|do|lu|ma|me|je|ve|mi|ju|vi|m|t|w|r|f)";
    private static final Pattern DAY_LABEL =
            of("^\\s*[•*–-]?\\s*(" + DAY + "\\.?(?:\\s*(?:,|/|&|\\+|and|und|et|y|-|–)\\s*" + DAY
                    + "\\.?){0,9})\\s*(?::|[–—]\\s|-\\s|\\)\\s|\\.\\s)\\s*");
    private static final Pattern NUMBER_LABEL =
            of("^\\s*(?:class|day|session|lecture|tag|stunde|séance|clase)?\\s*\\d{1,2}\\s*[:.)]\\s+");
    private static final Pattern COUNTED = of("^\\s*(\\d{1,2}|one|two|three|four|five|six|a)\\b.*");

    private RowWords() {}

    /** Whether a row says that there is no class on its day. */
    static boolean noClass(String text) {
        String plain = Days.plain(text).strip();
        return !plain.isEmpty()
                && (HOLIDAY.matcher(plain).matches() || NO_CLASS.matcher(plain).matches() && plain.length() < 90);
    }

    static boolean total(String text) {
        return TOTAL.matcher(text).matches();
    }

    /** Whether words are a remark about the sheet. */
    static boolean comment(String text) {
        return COMMENT.matcher(text).matches();
    }

    /** A row in brackets for the second day of the lesson before. */
    static boolean secondDay(String text) {
        return SECOND_DAY.matcher(text).matches();
    }

    static boolean bracketed(String text) {
        return text.strip().matches("(?s)[(\\[].*[)\\]][.!]?");
    }

    static boolean optional(String text) {
        return OPTIONAL.matcher(text.strip()).matches();
    }

    /** Whether a lesson is a test as a whole. */
    static boolean test(String title) {
        return TEST.matcher(title.strip()).matches() && !MORE.matcher(title).find();
    }

    /** A test that a title names among other things; null for none. */
    static @Nullable String testInside(String title) {
        Matcher m = TEST_INSIDE.matcher(title);
        return m.find() ? m.group(1) : null;
    }

    /**
     * A title and how many classes it says it takes.
     *
     * @param sessions 0 where it does not say
     */
    record Sized(String title, int sessions) {}

    static Sized sized(String given) {
        String title = given.strip();
        Matcher m = SESSIONS.matcher(title);
        if (m.find() && m.start() > 0) {
            String n = m.group(1) != null
                    ? m.group(1)
                    : m.group(2) != null ? m.group(2) : m.group(3) != null ? m.group(3) : m.group(4);
            int count = number(n);
            if (count > 0 && count <= 40) {
                return new Sized(title.substring(0, m.start()).strip(), count);
            }
        }
        m = INSIDE.matcher(title);
        return m.find() && number(m.group(1)) > 0
                ? new Sized((title.substring(0, m.start()) + title.substring(m.end())).strip(), number(m.group(1)))
                : new Sized(title, 0);
    }

    /** How many classes a cell says; 0 where it says no number. */
    static int count(String cell) {
        Matcher m = COUNTED.matcher(cell);
        return m.matches() ? number(m.group(1)) : 0;
    }

    private static int number(String word) {
        return switch (word.toLowerCase(java.util.Locale.ROOT)) {
            case "one", "a" -> 1;
            case "two", "both" -> 2;
            case "three" -> 3;
            case "four" -> 4;
            case "five" -> 5;
            case "six" -> 6;
            default -> Integer.parseInt(word);
        };
    }

    /**
     * A part of a cell that stands for several classes.
     *
     * @param days the weekdays it names; none where it names none
     * @param text what stands behind them
     */
    record Labelled(Set<DayOfWeek> days, String text) {}

    static Labelled labelled(String line) {
        Matcher m = DAY_LABEL.matcher(line);
        if (!m.find()) {
            return new Labelled(
                    Set.of(), NUMBER_LABEL.matcher(line).replaceFirst("").strip());
        }
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        for (String word : m.group(1).split("(?iu)[\\s,/&+.–-]+|\\b(?:and|und|et|y)\\b")) {
            String plain = word.strip().toLowerCase(java.util.Locale.ROOT);
            DayOfWeek day = plain.isEmpty() ? null : Days.weekday(plain);
            if (day == null && plain.length() > 2) {
                day = Days.weekday(plain.substring(0, plain.length() - 1));
            }
            if (day != null) {
                days.add(day);
            }
        }
        return new Labelled(days, line.substring(m.end()).strip());
    }
}
