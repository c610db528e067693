package app.matsuri.exchange.words;

import app.matsuri.core.calendar.TimeLimit;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Finds the days in a line: "Aug 20-22 (R-Sa)", "14–18 Sept 2026", "Dec 9 &amp; 12-13", "Tue 5 – Sat 16 January", "w/c 8 March",
 * "11, 14-17 déc.", "du 22 mars au 2 avril", "24.12.–6.1.", "8/18/26 - 8/20/26", and under a month as a heading "16 (mardi)".
 */
public final class Days {

    static final String WEEKDAY =
            "(?:" + DayWords.WEEKDAY.replaceFirst("\\(", "(?:").replace("s?\\b", "s?")
                    + "|(?:lun|mar|mer|mi[ée]r?|jeu|jue|ven|vie|sam|s[áa]b|dim|dom|mo|di|mi|do|fr|sa|so|thur?s?|tues?))(?![\\p{L}])";
    /** A weekday behind its date, where one letter will do. */
    private static final String BEHIND = "(?:" + WEEKDAY + "|Th|Tu|Sa|Su|[MTWRFSU])(?![\\p{L}])\\.?";

    static final String MONTH = DayWords.MONTH.replace("\\b\\.?", "(?![\\p{L}])\\.?");
    /** A word with which days may begin. */
    private static final Pattern BEGINS = of(WEEKDAY + "|" + MONTH);

    private static final Pattern TO = of(
            "\\s*(?:-|\\bto\\b|\\bthrough\\b|\\bthru\\b|\\buntil\\b|\\btill\\b"
                    + "|\\bbis(?:\\s+(?:einschl(?:ie(?:ß|ss)lich)?\\.?|zum))?\\b|\\bau\\b|\\bal?\\b|\\bhasta(?:\\s+el)?\\b)\\s*(?:the\\s+|el\\s+|le\\s+)?");
    private static final Pattern AND = of(
            "\\s*(?:&|,|;|/|\\+|\\band\\b|\\bund\\b|\\bet\\b|\\by\\b)\\s*(?:and\\s+|und\\s+|et\\s+(?:le\\s+)?|y\\s+(?:el\\s+)?)?");
    private static final Pattern ASIDE = of("\\s*[(\\[]([^()\\[\\]]{1,40})[)\\]]");
    private static final String BOTH = "(" + BEHIND + ")(?:\\s*(?:-|/|,|to|bis|au|al?)\\s*(" + BEHIND + "))?";
    /** In brackets, or as a word of its own. */
    private static final Pattern NAMED = of(
            "\\s*[(\\[]\\s*" + BOTH + "\\s*[)\\]]|[\\s,]*" + BOTH
                    + "(?=\\s|$|[,;:|])(?!\\s*\\d|\\s+(?:class|classes|schedule|timetable|lectures?|lessons|plan|evening|morning|night|only)\\b)");

    private static final Pattern BEFORE = of("(?<![\\p{L}])(" + WEEKDAY + ")\\.?\\s*(?:-|/|to|through|bis|au)\\s*$");

    private static final Pattern ORDINAL = of(
            "^\\d+(?:st|nd|rd|th|º|er)\\b(?!\\s+(?:semester|term|quarter|trimester|marking|grad\\w*|year|week|period|half|block|annual|session|semestre|trimestre))");
    private static final Pattern WEEK_OF = of(
            "(?:w/c|wc|w\\.c\\.|week\\s+(?:of|commencing|beginning)|semaine\\s+du|semana\\s+del|woche\\s+(?:vom|ab))\\s*:?\\s*$");

    /** What may follow a number that is a day in a list. */
    private static final Pattern LISTED = of(
            "\\s*\\z|\\s*[-&,;)(\\t:]|\\s{2,}|\\s*(?:" + MONTH + "|and\\b|und\\b|et\\b|y\\b|to\\b|bis\\b|au\\b|al\\b)");

    /** So many days stand together at most: more than any line names, and what is longer is no list of days. */
    private static final int TOGETHER = 60;

    private Days() {}

    static Pattern of(String regex) {
        return Pattern.compile(regex, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }

    /**
     * A run of days.
     *
     * @param wrong what contradicts itself in it, a sentence; empty for nothing
     */
    public record Span(LocalDate first, LocalDate last, String wrong) {}

    /**
     * Days that stand together in a line.
     *
     * @param start where they begin in the line
     * @param end where they end, with the weekdays behind them
     * @param spans none where no such day is
     */
    public record Group(int start, int end, List<Span> spans, String wrong) {}

    /** How 10/11 is written, and which year a day without one is in. */
    public interface Years {

        boolean dayFirst();

        /** The year of a day that is printed without one. */
        int of(int month, int day);

        /** Whether a day is one of the term's. */
        boolean term(LocalDate day);
    }

    private static final Pattern BULLET = Pattern.compile("^[\\s•·*▪◦➢>→\\-]*");
    /** With dashes and quotes as plain ones, each in its place. */
    public static String plain(String line) {
        return line.replace('–', '-')
                .replace('—', '-')
                .replace('−', '-')
                .replace('‑', '-')
                .replace('’', '\'')
                .replace('‘', '\'')
                .replace('\u00a0', ' ')
                .replace('\u202f', ' ')
                .replace('\u2009', ' ');
    }

    /**
     * The days of a line, which is plain, in its order.
     *
     * @param under the month over the line; 0 for none
     */
    public static List<Group> find(String line, int under, Years years) {
        TimeLimit.look();
        List<Group> groups = new ArrayList<>();
        if (line.chars().noneMatch(Character::isDigit)) {
            return groups;
        }
        int month = 0;
        int text = under == 0 ? 0 : text(line);
        for (int i = 0; i < line.length(); ) {
            if (!boundary(line, i)) {
                i++;
                continue;
            }
            if (Character.isLetter(line.charAt(i))
                    && !BEGINS.matcher(line).region(i, line.length()).lookingAt()) {
                i = number(line, i);
                continue;
            }
            List<List<PrintedDay>> runs = new ArrayList<>();
            int end = group(line, i, years.dayFirst(), runs);
            if (end < 0) {
                i++;
                continue;
            }
            int known = DayRuns.filled(runs, 0);
            if (known == 0 && under != 0 && i <= text) {
                known = DayRuns.filled(runs, under);
            } else if (known == 0 && month != 0 && named(line.substring(i), runs)) {
                known = DayRuns.filled(runs, month);
            }
            List<PrintedDay> lastRun = runs.get(runs.size() - 1);
            PrintedDay last = lastRun.get(lastRun.size() - 1);
            if (known == 0) {
                // with no month before them, what is no day from its first on is none from its second on
                boolean none = month == 0 && (under == 0 || i > text);
                i = none ? Math.max(number(line, i), last.start()) : number(line, i);
                continue;
            }
            month = last.month();
            end = named(line, end, runs);
            i = before(line, i, runs);
            boolean week =
                    WEEK_OF.matcher(line.substring(Math.max(0, i - 20), i)).find();
            groups.add(DayRuns.resolved(i, end, runs, years, week));
            i = end;
        }
        return groups;
    }

    /** Where the words of a line begin, behind a bullet. */
    private static int text(String line) {
        Matcher m = BULLET.matcher(line);
        return m.find() ? m.end() : 0;
    }

    private static boolean boundary(String line, int i) {
        char c = line.charAt(i);
        if (!Character.isLetterOrDigit(c)) {
            return false;
        }
        char before = i == 0 ? ' ' : line.charAt(i - 1);
        return !Character.isLetterOrDigit(before)
                        && before != '.'
                        && before != ':'
                        && before != '$'
                        && before != '#'
                        && before != '/'
                || before == '.' && i > 1 && Character.isLetter(line.charAt(i - 2));
    }

    /** Whether a day without its month is one all the same: "Wed 17th". */
    private static boolean named(String printed, List<List<PrintedDay>> runs) {
        return runs.get(0).get(0).weekday() != null || ORDINAL.matcher(printed).find();
    }

    private static int number(String line, int i) {
        int end = i;
        while (end < line.length() && Character.isLetterOrDigit(line.charAt(end))) {
            end++;
        }
        return Math.max(end, i + 1);
    }

    /** Reads days that stand together; where they end, or -1 where none begins. */
    private static int group(String line, int from, boolean dayFirst, List<List<PrintedDay>> runs) {
        PrintedDay first = PrintedDay.read(line, from, dayFirst);
        if (first == null) {
            return -1;
        }
        runs.add(new ArrayList<>(List.of(first)));
        int end = first.end();
        for (int days = 1; days < TOGETHER; days++) {
            int at = end;
            Matcher aside = ASIDE.matcher(line).region(at, line.length());
            int behind = aside.lookingAt() && aside.group(1).chars().noneMatch(Character::isDigit) ? aside.end() : at;
            int named = namedEnd(line, at);
            PrintedDay next = null;
            boolean to = false;
            for (int start : new int[] {at, named, behind}) {
                if (next == null && start >= at) {
                    Matcher m = TO.matcher(line).region(start, line.length());
                    Matcher and = AND.matcher(line).region(start, line.length());
                    if (m.lookingAt() && m.end() > start) {
                        next = PrintedDay.read(line, m.end(), dayFirst);
                        to = next != null;
                    }
                    if (next == null && and.lookingAt() && and.end() > start) {
                        next = PrintedDay.read(line, and.end(), dayFirst);
                        boolean word = and.group().matches("(?su).*[\\p{L}&].*");
                        if (next != null
                                && next.month() == 0
                                && next.weekday() == null
                                && !word
                                && !listed(line, next)) {
                            next = null;
                        }
                    }
                }
            }
            if (next == null) {
                return end;
            }
            List<PrintedDay> run = runs.get(runs.size() - 1);
            if (to && run.size() == 1) {
                run.add(next);
            } else {
                runs.add(new ArrayList<>(List.of(next)));
            }
            end = next.end();
        }
        return end;
    }

    /** Whether a number in a list is a day: what follows is no word of its own. */
    private static boolean listed(String line, PrintedDay day) {
        return LISTED.matcher(line).region(day.end(), line.length()).lookingAt();
    }

    private static int namedEnd(String line, int at) {
        Matcher m = NAMED.matcher(line).region(at, line.length());
        return m.lookingAt() ? m.end() : -1;
    }

    /** Takes the first weekday of "Wednesday-Friday, November 25-27"; where the days begin. */
    private static int before(String line, int start, List<List<PrintedDay>> runs) {
        List<PrintedDay> run = runs.get(0);
        Matcher m = BEFORE.matcher(line.substring(0, start));
        if (run.size() != 2 || run.get(0).weekday() == null || !m.find()) {
            return start;
        }
        PrintedDay first = run.get(0);
        PrintedDay last = run.get(1);
        run.set(1, last.named(first.weekday()));
        run.set(
                0,
                new PrintedDay(
                        first.start(), first.end(), first.month(), first.day(), first.year(), weekday(m.group(1))));
        return m.start();
    }

    /** Takes the weekdays that stand behind the last day; where they end. */
    private static int named(String line, int end, List<List<PrintedDay>> runs) {
        Matcher m = NAMED.matcher(line).region(end, line.length());
        if (!m.lookingAt()) {
            return end;
        }
        boolean bracketed = m.group(1) != null;
        String one = bracketed ? m.group(1) : m.group(3);
        String two = bracketed ? m.group(2) : m.group(4);
        if (one.replace(".", "").length() <= 2 && !bracketed && !m.group().startsWith("\t")) {
            return end;
        }
        List<PrintedDay> run = runs.get(runs.size() - 1);
        if (runs.size() == 1) {
            run.set(0, run.get(0).named(weekday(one)));
            if (run.size() == 2 && two != null) {
                run.set(1, run.get(1).named(weekday(two)));
            }
        }
        return m.end();
    }

    /** The weekday of a word; null for none, and where one letter means two. */
    public static @Nullable DayOfWeek weekday(@Nullable String word) {
        if (word == null) {
            return null;
        }
        String w = word.toLowerCase(Locale.ROOT).replaceAll("[.\\s]", "");
        return switch (w) {
            case "m", "mo", "lun" -> DayOfWeek.MONDAY;
            case "t", "tu", "di", "mar" -> DayOfWeek.TUESDAY;
            case "w", "mi", "mer", "mie", "mié", "mier", "miér" -> DayOfWeek.WEDNESDAY;
            case "r", "th", "do", "jeu", "jue", "thur", "thurs", "thu" -> DayOfWeek.THURSDAY;
            case "f", "fr", "ven", "vie" -> DayOfWeek.FRIDAY;
            case "sa", "sam", "sab", "sáb" -> DayOfWeek.SATURDAY;
            case "su", "u", "so", "dim", "dom" -> DayOfWeek.SUNDAY;
            case "s" -> null;
            default -> {
                try {
                    yield DayWords.weekday(w);
                } catch (IllegalArgumentException e) {
                    yield null; // a short form of more than one language
                }
            }
        };
    }

    public static String name(DayOfWeek day) {
        return day.getDisplayName(java.time.format.TextStyle.FULL, Locale.ENGLISH);
    }
}
