package app.matsuri.exchange.school;

import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Plain;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.school.Finding.What;
import app.matsuri.exchange.school.Judge.Over;
import app.matsuri.exchange.school.Judge.Said;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.Days;
import app.matsuri.exchange.words.Days.Group;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Reads a school's calendar as it is published: text, a table, a workbook or a calendar file. Every line with words ends in something that is
 * taken, something that is not for a term's days, or a doubt. A day is off only for a reason that stands in its line, in its column, or over it.
 */
public final class SchoolCalendar {

    /** The most lines that are read. */
    public static final int MOST_LINES = 5_000;

    private static final int LONGEST = 2_000;
    private static final Pattern MONTH_ALONE =
            Pattern.compile("(?iu)^\\W*" + DayWords.MONTH + "[\\s,]*(?:20\\d{2})?\\s*:?\\W*$");
    private static final Pattern TERM = Pattern.compile(
            "(?iu)\\b(?:fall|autumn|winter|spring|summer|semester|quarter|term|session|trimester|wintersemester|sommersemester|ws|ss|automne|hiver|printemps|été|oto[ñn]o|primavera|verano|invierno|michaelmas|hilary|trinity|lent|(?:enero|agosto|febrero|julio)\\s*[-–—]\\s*\\p{L}+)\\b");
    private static final Pattern REFERS = Pattern.compile(
            "(?iu)(?:in lieu of|in place of|instead of|to replace|replac(?:es|ing)|makes? up for|making up(?: for)?|made up for|because of|due to|for(?: the)?|see|since|as of|until|by|of|remplace(?:nt)?|en remplacement d[eu]|à la place d[eu]|jusqu'au|ersatz (?:für|des)(?: den)?|statt(?: des)?|anstelle des|anstatt|für(?: den)?|vom|wegen|por(?: el)?|en lugar del?|en vez del?|en conmemoración del?|del?|ya que el|el|since|\\bas)\\s*$");
    private static final Pattern THROUGH =
            Pattern.compile("(?iu)(?:through|thru|till|bis(?: zum)?|hasta(?: el)?)\\s*$");
    private static final Pattern OBSERVED = Pattern.compile(
            "(?iu)(?:observed(?: on)?|moved to|celebrated on|nachgeholt am|reporté(?:e)? au|se recorre al|trasladado al)\\s*$");
    private static final Pattern TABLE = Pattern.compile("\\t+|\\s{4,}|\\s*\\|\\s*");

    /** Days that are called by their weekday. */
    private static final Pattern NAMED_FOR = Pattern.compile("(?iu)\\b(?:good|easter|whit|ash|holy|maundy|shrove) ("
            + DayWords.WEEKDAY.replaceFirst("\\(", "(?:") + ")");

    /** A cell with a weekday, or from one to another. */
    private static final Pattern WEEKDAYS =
            Pattern.compile("(?iu)(?:" + DayWords.WEEKDAY + "|[MTWRFSU]|mo|tu|we|th|fr|sa|su)\\.?"
                    + "(?:\\s*[-/]\\s*(?:" + DayWords.WEEKDAY + "|[MTWRFSU]|mo|tu|we|th|fr|sa|su)\\.?)?");

    /**
     * The term that a calendar is read for.
     *
     * @param first of its days of classes, as is the last
     * @param weekdays that ordinarily teach
     * @param dayFirst whether 10/11 is the tenth of November where the calendar does not show it; null for as its words let expect
     */
    public record Term(
            LocalDate first,
            LocalDate last,
            Set<DayOfWeek> weekdays,
            @Nullable Boolean dayFirst) {}

    private final Judge judge;
    private final TermYears years;
    private final List<Finding> found = new ArrayList<>();
    private int month;
    private Over over = Over.NOTHING;
    private List<String> terms = List.of();

    private SchoolCalendar(String text, Term term, Judge judge) {
        this.judge = judge;
        this.years = new TermYears(text, term);
    }

    /**
     * Reads a file.
     *
     * @return in the order of its lines; none for blank ones and headings
     * @throws Unreadable when it cannot be read
     */
    public static List<Finding> read(Given given, Term term) {
        Given file = Plain.of(given);
        return switch (file.kind()) {
            case CALENDAR -> {
                Judge judge = new Judge(term);
                yield Pairs.settled(SchoolEvents.read(file, judge), judge.marks());
            }
            case WORKBOOK, TABLE -> {
                Judge judge = new Judge(term);
                yield Pairs.settled(SchoolTable.read(file, term, judge), judge.marks());
            }
            case TEXT -> read(file.text(), term);
        };
    }

    /** Reads text as it is pasted. */
    public static List<Finding> read(String text, Term term) {
        String[] lines = text.split("\\R", -1);
        if (lines.length > MOST_LINES) {
            throw new Unreadable(String.format(
                    Locale.ENGLISH,
                    "These are %,d lines; at most %,d are read. Give one year at a time.",
                    lines.length,
                    MOST_LINES));
        }
        SchoolCalendar reader = new SchoolCalendar(text, term, new Judge(term));
        for (int i = 0; i < lines.length; i++) {
            reader.line(i + 1, lines[i].length() > LONGEST ? lines[i].substring(0, LONGEST) : lines[i]);
        }
        return Pairs.settled(reader.found, reader.judge.marks());
    }

    /** Reads the lines of a table that has no columns of its own, by their numbers. */
    static List<Finding> lines(List<Integer> numbers, List<String> lines, Term term, Judge judge) {
        SchoolCalendar reader = new SchoolCalendar(String.join("\n", lines), term, judge);
        for (int i = 0; i < lines.size(); i++) {
            reader.line(numbers.get(i), lines.get(i));
        }
        return reader.found;
    }

    private void line(int number, String text) {
        if (text.isBlank() || text.chars().noneMatch(Character::isLetterOrDigit)) {
            terms = text.isBlank() ? List.of() : terms;
            return;
        }
        String plain = Days.plain(text);
        if (CalendarWords.has(CalendarWords.FOOTER, plain)) {
            found.add(Finding.nothing(number, text, "about this list"));
            return;
        }
        Matcher alone = MONTH_ALONE.matcher(plain);
        if (alone.matches()) {
            month = DayWords.month(alone.group(1));
            if (plain.matches(".*20\\d{2}.*")) {
                years.heading(plain);
            }
            return;
        }
        years.line(plain);
        if (columns(number, text, plain)) {
            return;
        }
        List<Group> groups = Days.find(plain, month, years);
        if (groups.isEmpty()) {
            undated(number, text, plain);
            return;
        }
        found.addAll(dated(number, text, plain, groups));
    }

    private void undated(int number, String text, String plain) {
        boolean lower = plain.chars().filter(Character::isLowerCase).count() * 2
                > plain.chars().filter(Character::isLetter).count();
        boolean years4 = plain.matches("(?s).*\\b20\\d{2}\\b.*");
        boolean term = TERM.matcher(plain).find() && plain.length() < 70;
        boolean sentence = plain.strip().endsWith(".") || plain.length() > 90;
        boolean heading =
                !sentence && (!lower || years4 || term || plain.strip().endsWith(":"));
        boolean off = CalendarWords.has(CalendarWords.HEADING_OFF, plain)
                && !sentence
                && plain.strip().length() < 60;
        boolean early =
                CalendarWords.has(CalendarWords.EARLY, plain) && plain.strip().endsWith(":");
        if (heading || off) {
            if (term || years4) {
                years.heading(plain);
                month = 0;
            }
            over = off ? Over.OFF : new Over(false, early ? Hours.at(plain).orElse(null) : null);
            return;
        }
        Finding none = Finding.nothing(number, text, "no date");
        boolean meant = plain.length() < 60
                        && (CalendarWords.has(CalendarWords.NO_CLASS, plain)
                                || CalendarWords.has(CalendarWords.BREAK, plain))
                        && !plain.strip().endsWith(".")
                || plain.matches("\\W*\\d{1,2}[./-]\\d{1,2}.*");
        found.add(meant ? none.doubted("No date found. Write it as “Oct 12-13 Autumn break”.") : none);
    }

    /** A table of several terms side by side: a label, then a cell for each. */
    private boolean columns(int number, String text, String plain) {
        List<String> cells = List.of(plain.split("\\t", -1));
        List<String> heads = cells.stream().filter(c -> !c.isBlank()).toList();
        if (heads.size() >= 2
                && heads.stream()
                        .allMatch(c -> TERM.matcher(c).find()
                                && c.length() < 40
                                && Days.find(c, 0, years).isEmpty())) {
            terms = cells;
            return true;
        }
        if (terms.isEmpty() || cells.size() < 3) {
            return false;
        }
        List<Finding> all = new ArrayList<>();
        String label = cells.get(0);
        for (int c = 1; c < cells.size(); c++) {
            String cell = cells.get(c);
            years.line(c < terms.size() ? terms.get(c) : "");
            List<Group> groups = Days.find(cell, 0, years);
            if (!groups.isEmpty()) {
                all.addAll(dated(number, text, label + ": " + cell, Days.find(label + ": " + cell, 0, years)));
            }
        }
        List<Finding> taken = all.stream().filter(f -> f.what() != What.NOTHING).toList();
        if (!taken.isEmpty()) {
            found.addAll(taken);
        } else {
            found.add(all.isEmpty() ? Finding.nothing(number, text, "no date") : all.get(0));
        }
        return true;
    }

    private List<Finding> dated(int number, String text, String plain, List<Group> groups) {
        List<Finding> all = new ArrayList<>();
        if (CalendarWords.has(CalendarWords.RESERVE, plain)) {
            groups.forEach(g -> all.addAll(judge.judge(new Said(number, text, plain, g.spans(), Over.NOTHING, null))));
            return all;
        }
        Group main = groups.get(0);
        List<int[]> apart = new ArrayList<>();
        List<Finding> beside = new ArrayList<>();
        for (Group other : groups.subList(1, groups.size())) {
            String before = plain.substring(0, other.start());
            if (OBSERVED.matcher(before).find()) {
                beside.addAll(judge.judge(new Said(
                        number, text, words(plain, groups, 0, plain.length()), other.spans(), Over.OFF, null)));
                continue;
            }
            if (REFERS.matcher(before).find()) {
                continue;
            }
            if (THROUGH.matcher(before).find()) {
                beside.addAll(through(number, text, plain, groups, main, other));
                continue;
            }
            int[] clause = clause(plain, other, main.end());
            String words = words(plain, groups, clause[0], clause[1]);
            List<Finding> one = judge.judge(new Said(number, text, words, other.spans(), Over.NOTHING, null));
            if (one.stream().anyMatch(f -> f.what() != What.NOTHING && says(words))) {
                beside.addAll(one);
                boolean between =
                        plain.substring(main.end(), other.start()).chars().anyMatch(Character::isLetter);
                if (clause[0] > main.end() || !between) {
                    apart.add(clause); // else both are about the same words
                }
            }
        }
        String own = plain;
        for (int[] clause : apart) {
            own = own.substring(0, clause[0]) + " ".repeat(clause[1] - clause[0]) + own.substring(clause[1]);
        }
        String words = words(own, groups, 0, own.length());
        if (!main.wrong().isEmpty()) {
            all.add(Finding.nothing(number, text, "no such day").doubted(main.wrong()));
        }
        all.addAll(judge.judge(new Said(number, text, words, main.spans(), over, null)));
        for (Finding one : beside) {
            boolean covered =
                    one.what() == What.OFF && all.stream().anyMatch(f -> f.what() == What.OFF && f.covers(one));
            if (!covered) {
                all.add(one);
            }
        }
        List<Finding> taken = all.stream().filter(f -> f.what() != What.NOTHING).toList();
        return taken.isEmpty() ? all.subList(0, 1) : taken;
    }

    /** "Classes end at noon Nov 24; recess through Nov 29": from the day that the line begins with, or the day after its hours. */
    private List<Finding> through(int number, String text, String plain, List<Group> groups, Group main, Group other) {
        String words = words(plain, groups, clause(plain, other, main.end())[0], other.end());
        boolean off = CalendarWords.has(CalendarWords.NO_CLASS, words) || CalendarWords.has(CalendarWords.BREAK, words);
        if (!off || main.spans().isEmpty() || other.spans().isEmpty()) {
            return List.of();
        }
        LocalDate from = main.spans().get(0).last().plusDays(1);
        LocalDate to = other.spans().get(0).last();
        return to.isBefore(from)
                ? List.of()
                : judge.judge(new Said(number, text, words, List.of(new Days.Span(from, to, "")), Over.NOTHING, null));
    }

    /** Whether words beside a second date say something of classes themselves. */
    private static boolean says(String words) {
        return CalendarWords.has(CalendarWords.NO_CLASS, words)
                || CalendarWords.has(CalendarWords.HOLIDAY, words)
                || CalendarWords.has(CalendarWords.BREAK, words)
                || CalendarWords.runsAs(words).isPresent()
                || CalendarWords.has(CalendarWords.EARLY, words);
    }

    /** Where the words around a second date begin and end: its brackets, else its part of the sentence. */
    private static int[] clause(String plain, Group group, int least) {
        int open = plain.lastIndexOf('(', group.start());
        if (open >= least - 1 && plain.indexOf(')', open) >= group.start()) {
            int close = plain.indexOf(')', Math.max(group.end() - 1, open));
            return new int[] {open, close < 0 ? plain.length() : close + 1};
        }
        int begin = least;
        Matcher m = Pattern.compile(
                        "(?iu)(?:;|\\. |,?\\s*\\b(?:incl(?:uding|\\.)?|including|except|excluding|außer|sauf|excepto|inkl\\.?)\\b|, (?=\\p{Lu}))")
                .matcher(plain.substring(0, group.start()));
        while (m.find()) {
            if (m.start() >= least) {
                begin = plain.substring(m.start(), m.end()).startsWith(", ") && begin > least ? begin : m.start();
            }
        }
        int stop = plain.indexOf(';', group.end());
        return new int[] {begin, stop < 0 ? plain.length() : stop};
    }

    /** The words of a stretch, without the days in it. */
    private static String words(String plain, List<Group> groups, int from, int to) {
        StringBuilder words = new StringBuilder();
        int at = from;
        for (Group group : groups) {
            if (group.start() >= at && group.end() <= to) {
                words.append(plain, at, group.start()).append(' ');
                Matcher weekday = NAMED_FOR.matcher(plain).region(Math.max(0, group.start() - 8), group.end());
                if (weekday.find()) {
                    words.append(weekday.group(1)).append(' '); // "Good Friday 26/03"
                }
                at = group.end();
            }
        }
        words.append(plain, Math.min(at, to), to);
        return Stream.of(TABLE.split(words))
                .filter(part -> !WEEKDAYS.matcher(part.strip()).matches())
                .collect(Collectors.joining(" "))
                .replaceAll("\\s+", " ")
                .strip();
    }
}
