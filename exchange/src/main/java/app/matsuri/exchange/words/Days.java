package app.matsuri.exchange.words;

import app.matsuri.core.calendar.TimeLimit;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Finds the days in a line: "Aug 20-22 (R-Sa)", "14–18 Sept 2026", "Dec 9 &amp; 12-13", "Tue 5 – Sat 16 January", "w/c 8 March",
 * "11, 14-17 déc.", "du 22 mars au 2 avril", "24.12.–6.1.", "8/18/26 - 8/20/26", and under a month as a heading "16 (mardi)".
 */
public final class Days {

    private static final String WEEKDAY =
            "(?:" + DayWords.WEEKDAY.replaceFirst("\\(", "(?:").replace("s?\\b", "s?")
                    + "|(?:lun|mar|mer|mi[ée]r?|jeu|jue|ven|vie|sam|s[áa]b|dim|dom|mo|di|mi|do|fr|sa|so|thur?s?|tues?))(?![\\p{L}])";
    /** A weekday behind its date, where one letter will do. */
    private static final String BEHIND = "(?:" + WEEKDAY + "|Th|Tu|Sa|Su|[MTWRFSU])(?![\\p{L}])\\.?";

    private static final String MONTH = DayWords.MONTH.replace("\\b\\.?", "(?![\\p{L}])\\.?");
    private static final String NUMBER = "(\\d{1,2})(?:st|nd|rd|th|er|re|º|ª)?(?![\\d\\p{L}])";
    private static final String YEAR = "(?:,?\\s*(?:del?\\s+)?(20\\d{2})(?!\\d|[-/]\\d))?";
    private static final String LEAD = "(?:(" + WEEKDAY + ")[.,]{0,2}\\s*(?:the\\s+|den\\s+|der\\s+|el\\s+|le\\s+)?)?";

    /** What may follow no day: an hour, a share, a count. */
    private static final String NO_HOUR =
            "(?!\\s*(?::\\d|-\\s?\\d{1,2}(?:[:.]\\d{2})?\\s*[ap]\\.?\\s?m\\b|[ap]\\.?\\s?m\\b|h(?:\\b|\\d)|uhr|o'clock|%|weeks?\\b|days?\\b|semaines|semanas|wochen|:\\d{2}))";

    /** A word with which days may begin. */
    private static final Pattern BEGINS = of(WEEKDAY + "|" + MONTH);

    private static final Pattern ISO = of(LEAD + "(20\\d{2})[-/.](\\d{1,2})[-/.](\\d{1,2})(?!\\d)");
    private static final Pattern SLASHED = of(LEAD + "(\\d{1,2})/(\\d{1,2})(?:/(20\\d{2}|\\d{2}))?(?![\\d/])");
    private static final Pattern DOTTED =
            of(LEAD + "(\\d{1,2})\\.\\s?(\\d{1,2})(\\.(?:\\s?(20\\d{2})|(\\d{2})(?![\\d:.]))?)?(?!\\d)");
    private static final Pattern DAY_MONTH = of(LEAD + NUMBER + "\\.?\\s*(?:of\\s+|de\\s+)?" + MONTH + YEAR);
    private static final Pattern MONTH_DAY = of(LEAD + MONTH + "\\s*" + NUMBER + NO_HOUR + YEAR);
    private static final Pattern BARE = of(LEAD + NUMBER + "\\.?" + NO_HOUR + YEAR);

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

    private static Pattern of(String regex) {
        return Pattern.compile(regex, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }

    /** One day as it is printed; the month 0 and the year 0 where they are not. */
    private record Day(
            int start,
            int end,
            int month,
            int day,
            int year,
            @Nullable DayOfWeek weekday) {

        Day in(int otherMonth) {
            return new Day(start, end, otherMonth, day, year, weekday);
        }

        Day named(@Nullable DayOfWeek other) {
            return new Day(start, end, month, day, year, weekday == null ? other : weekday);
        }
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

    private static final Pattern ENGLISH = Pattern.compile("(?i)\\b(?:fall|college|semester|district|school)\\b");
    private static final Pattern MONTH_THEN = of("\\b" + MONTH + "\\s*\\d{1,2}\\b(?!\\d)");
    private static final Pattern THEN_MONTH = of("(?<!\\d)\\d{1,2}\\.?\\s+" + MONTH);
    private static final Pattern BULLET = Pattern.compile("^[\\s•·*▪◦➢>→\\-]*");
    private static final Pattern ORDER =
            Pattern.compile("(?<![\\d/])(\\d{1,2})/(\\d{1,2})(?:/(?:20)?\\d{2})?(?![\\d/])");

    /**
     * Whether 10/11 is the tenth of November in a text: as its own days show, else as is usual.
     *
     * @param usual null where nothing is known
     */
    public static boolean dayFirst(String text, @Nullable Boolean usual) {
        boolean day = false;
        boolean month = false;
        Matcher m = ORDER.matcher(text);
        while (m.find()) {
            int a = Integer.parseInt(m.group(1));
            int b = Integer.parseInt(m.group(2));
            day |= a > 12 && a <= 31 && b <= 12;
            month |= b > 12 && b <= 31 && a <= 12;
        }
        if (day != month) {
            return day;
        }
        if (usual != null || text.indexOf('/') < 0) {
            return usual != null && usual;
        }
        // "Aug 31" or "31 Aug": numbers stand in the order of the words
        long monthFirst = MONTH_THEN.matcher(text).results().count();
        long dayThen = THEN_MONTH.matcher(text).results().count();
        return monthFirst == dayThen ? !ENGLISH.matcher(text).find() : dayThen > monthFirst;
    }

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
            List<List<Day>> runs = new ArrayList<>();
            int end = group(line, i, years.dayFirst(), runs);
            if (end < 0) {
                i++;
                continue;
            }
            int known = filled(runs, 0);
            if (known == 0 && under != 0 && i <= text) {
                known = filled(runs, under);
            } else if (known == 0 && month != 0 && named(line.substring(i), runs)) {
                known = filled(runs, month);
            }
            List<Day> lastRun = runs.get(runs.size() - 1);
            Day last = lastRun.get(lastRun.size() - 1);
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
            groups.add(resolved(i, end, runs, years, week));
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
    private static boolean named(String printed, List<List<Day>> runs) {
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
    private static int group(String line, int from, boolean dayFirst, List<List<Day>> runs) {
        Day first = day(line, from, dayFirst);
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
            Day next = null;
            boolean to = false;
            for (int start : new int[] {at, named, behind}) {
                if (next == null && start >= at) {
                    Matcher m = TO.matcher(line).region(start, line.length());
                    Matcher and = AND.matcher(line).region(start, line.length());
                    if (m.lookingAt() && m.end() > start) {
                        next = day(line, m.end(), dayFirst);
                        to = next != null;
                    }
                    if (next == null && and.lookingAt() && and.end() > start) {
                        next = day(line, and.end(), dayFirst);
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
            List<Day> run = runs.get(runs.size() - 1);
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
    private static boolean listed(String line, Day day) {
        return LISTED.matcher(line).region(day.end(), line.length()).lookingAt();
    }

    private static int namedEnd(String line, int at) {
        Matcher m = NAMED.matcher(line).region(at, line.length());
        return m.lookingAt() ? m.end() : -1;
    }

    private static @Nullable Day day(String line, int at, boolean dayFirst) {
        // what begins with figures is told by what stands behind them
        int figures = figures(line, at);
        char behind = at + figures < line.length() ? line.charAt(at + figures) : ' ';
        Matcher m = ISO.matcher(line).region(at, line.length());
        if ((figures == 0 || figures == 4) && m.lookingAt()) {
            return new Day(at, m.end(), n(m, 3), n(m, 4), n(m, 2), weekday(m.group(1)));
        }
        m = SLASHED.matcher(line).region(at, line.length());
        if ((figures == 0 || behind == '/') && m.lookingAt()) {
            boolean first = dayFirst && n(m, 3) <= 12 || n(m, 2) > 12;
            return new Day(
                    at, m.end(), n(m, first ? 3 : 2), n(m, first ? 2 : 3), year(m.group(4)), weekday(m.group(1)));
        }
        m = DOTTED.matcher(line).region(at, line.length());
        if ((figures == 0 || behind == '.') && m.lookingAt() && m.group(4) != null && n(m, 3) <= 12 && n(m, 3) > 0) {
            String year = m.group(5) == null ? m.group(6) : m.group(5);
            return new Day(at, m.end(), n(m, 3), n(m, 2), year(year), weekday(m.group(1)));
        }
        m = DAY_MONTH.matcher(line).region(at, line.length());
        if (m.lookingAt()) {
            return new Day(at, m.end(), DayWords.month(m.group(3)), n(m, 2), year(m.group(4)), weekday(m.group(1)));
        }
        m = MONTH_DAY.matcher(line).region(at, line.length());
        if (figures == 0 && m.lookingAt()) {
            return new Day(at, m.end(), DayWords.month(m.group(2)), n(m, 3), year(m.group(4)), weekday(m.group(1)));
        }
        m = BARE.matcher(line).region(at, line.length());
        if (m.lookingAt() && n(m, 2) >= 1 && n(m, 2) <= 31) {
            return new Day(at, m.end(), 0, n(m, 2), year(m.group(3)), weekday(m.group(1)));
        }
        return null;
    }

    /** How many figures stand there. */
    private static int figures(String line, int at) {
        int end = at;
        while (end < line.length() && end < at + 5 && Character.isDigit(line.charAt(end))) {
            end++;
        }
        return end - at;
    }

    private static int n(Matcher m, int group) {
        return Integer.parseInt(m.group(group));
    }

    private static int year(@Nullable String digits) {
        return digits == null ? 0 : digits.length() == 2 ? 2000 + Integer.parseInt(digits) : Integer.parseInt(digits);
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

    /**
     * Gives each day its month: from the one behind it, else from the one before it, else the one that is known.
     *
     * @return the month of the last; 0 where none of them has one and none is known
     */
    private static int filled(List<List<Day>> runs, int known) {
        List<Day> all = new ArrayList<>();
        runs.forEach(all::addAll);
        boolean forward = all.get(0).month() != 0;
        int now = forward ? 0 : known;
        Integer[] months = new Integer[all.size()];
        if (!forward) {
            int later = 0;
            for (int i = all.size() - 1; i >= 0; i--) {
                later = all.get(i).month() != 0 ? all.get(i).month() : later;
                months[i] = later;
            }
        }
        for (int i = 0; i < all.size(); i++) {
            now = all.get(i).month() != 0 ? all.get(i).month() : months[i] != null && months[i] != 0 ? months[i] : now;
            months[i] = now;
        }
        int k = 0;
        for (List<Day> run : runs) {
            for (int i = 0; i < run.size(); i++) {
                run.set(i, run.get(i).in(months[k++]));
            }
        }
        return months[months.length - 1];
    }

    /** Takes the first weekday of "Wednesday-Friday, November 25-27"; where the days begin. */
    private static int before(String line, int start, List<List<Day>> runs) {
        List<Day> run = runs.get(0);
        Matcher m = BEFORE.matcher(line.substring(0, start));
        if (run.size() != 2 || run.get(0).weekday() == null || !m.find()) {
            return start;
        }
        Day first = run.get(0);
        Day last = run.get(1);
        run.set(1, last.named(first.weekday()));
        run.set(0, new Day(first.start(), first.end(), first.month(), first.day(), first.year(), weekday(m.group(1))));
        return m.start();
    }

    /** Takes the weekdays that stand behind the last day; where they end. */
    private static int named(String line, int end, List<List<Day>> runs) {
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
        List<Day> run = runs.get(runs.size() - 1);
        if (runs.size() == 1) {
            run.set(0, run.get(0).named(weekday(one)));
            if (run.size() == 2 && two != null) {
                run.set(1, run.get(1).named(weekday(two)));
            }
        }
        return m.end();
    }

    private static Group resolved(int start, int end, List<List<Day>> runs, Years years, boolean week) {
        int written = runs.stream()
                .flatMap(List::stream)
                .mapToInt(Day::year)
                .filter(y -> y != 0)
                .reduce(0, (a, b) -> b);
        List<Span> spans = new ArrayList<>();
        String wrong = "";
        for (List<Day> run : runs) {
            Day a = run.get(0);
            Day b = run.get(run.size() - 1);
            int last = b.year() != 0 ? b.year() : written != 0 ? written : year(b, years);
            int first =
                    a.year() != 0 ? a.year() : written != 0 ? last - (a.month() > b.month() ? 1 : 0) : year(a, years);
            Optional<LocalDate> from = date(first, a);
            Optional<LocalDate> to = date(last, b);
            if (from.isEmpty() || to.isEmpty()) {
                Day none = from.isEmpty() ? a : b;
                wrong = "There is no day " + none.day() + " in month " + none.month() + ".";
                continue;
            }
            LocalDate till = to.get();
            // "29 - Apr 2": the month before
            LocalDate begin = till.isBefore(from.get()) && a.month() == b.month()
                    ? from.get().minusMonths(1)
                    : from.get();
            if (till.isBefore(begin) && b.year() == 0 && written == 0) {
                till = till.plusYears(1);
            }
            if (till.isBefore(begin) || begin.plusDays(200).isBefore(till)) {
                wrong = "Its days end before they begin, or are too many.";
                continue;
            }
            String contradicts = contradicts(a, begin);
            String other = contradicts.isEmpty() ? contradicts(b, till) : contradicts;
            spans.add(new Span(begin, week && run.size() == 1 ? till.plusDays(6) : till, other));
        }
        return new Group(start, end, joined(spans), wrong);
    }

    /** "12 & 13" is one run. */
    private static List<Span> joined(List<Span> spans) {
        List<Span> joined = new ArrayList<>();
        for (Span span : spans) {
            Span before = joined.isEmpty() ? null : joined.get(joined.size() - 1);
            if (before != null
                    && before.last().plusDays(1).equals(span.first())
                    && before.wrong().isEmpty()) {
                joined.set(joined.size() - 1, new Span(before.first(), span.last(), span.wrong()));
            } else {
                joined.add(span);
            }
        }
        return joined;
    }

    /** The year that is said above it; another where only then it is a day of the term and has the weekday that is printed. */
    private static int year(Day day, Years years) {
        int said = years.of(day.month(), day.day());
        LocalDate date = date(said, day).orElse(null);
        if (date == null || day.weekday() == null || years.term(date) || date.getDayOfWeek() == day.weekday()) {
            return said;
        }
        for (int other : new int[] {said - 1, said + 1}) {
            Optional<LocalDate> there = date(other, day).filter(years::term);
            if (there.isPresent() && there.get().getDayOfWeek() == day.weekday()) {
                return other;
            }
        }
        return said;
    }

    private static String contradicts(Day day, LocalDate date) {
        DayOfWeek printed = day.weekday();
        return printed == null || printed == date.getDayOfWeek()
                ? ""
                : date + " is a " + name(date.getDayOfWeek()) + ", and " + name(printed) + " is printed.";
    }

    public static String name(DayOfWeek day) {
        return day.getDisplayName(java.time.format.TextStyle.FULL, Locale.ENGLISH);
    }

    private static Optional<LocalDate> date(int year, Day day) {
        try {
            return Optional.of(LocalDate.of(year, day.month(), day.day()));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
