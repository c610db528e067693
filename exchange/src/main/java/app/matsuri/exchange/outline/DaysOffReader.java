package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.RunWords;
import app.matsuri.exchange.words.TimeWords;
import java.time.LocalTime;
import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.threeten.extra.LocalDateRange;

/**
 * Reads a school's list of dates, a line or a row of a table each, as days off. Every line is kept, understood or not.
 * A line that only names a month stands over the lines below it.
 */
public final class DaysOffReader {

    /** The most lines that are read. */
    public static final int MOST_LINES = 2_000;

    private static final Pattern MEETS = words(
            "class(?:es)? (?:meet|begin|resume|start|end|as usual)|classes held|in session|regular (?:schedule|day)"
                    + "|instruction (?:begins|resumes|ends)|(?:first|last) day (?:of|for) (?:class(?:es)?|school|instruction|term|students)"
                    + "|(?:term|semester|school|quarter)(?: year)? (?:begins|starts|ends|opens|closes)|back to school"
                    + "|schulbeginn|unterrichtsbeginn|vorlesungsbeginn|vorlesungsende|rentr[ée]e|inicio de clases|fin de clases|schools? reopens?");
    private static final Pattern PASSED = words(
            "add[/ -]?drop|drop/add|to (?:add|drop|withdraw)|withdraw(?:al)?|regist(?:er|ration)|enrol?ment|tuition|fees? due|payment"
                    + "|grades? (?:due|posted|open)|report cards?|progress reports?|commencement|graduation|orientation|move-in|advising"
                    + "|application|deadline|convocation|census|quarter ends|marking period|parents?['’]? evening|open (?:day|evening|house)"
                    + "|early bird|elternabend|elternsprechtag|r[ée]unions?|anmeldeschluss|einschreibung|inscriptions?|matr[íi]cula|picture day");
    private static final Pattern OFF = words(
            "no (?:class(?:es)?|school|students|lectures)|closed|off|holidays?|breaks?|recess|vacations?|half[- ]?term|bank holiday"
                    + "|inset|in-service|staff (?:day|development|training)|professional (?:development|learning|day)|teacher (?:work ?day|planning|training)"
                    + "|work ?day|reading (?:week|days?)|study days?|ferien|frei(?:er tag)?|feiertag|unterrichtsfrei|vorlesungsfrei"
                    + "|vacances|cong[ée]s?|f[ée]ri[ée]|vacaciones|festivo|puente|no lectivo");
    private static final Pattern DUE_ALLOWED =
            words("no class(?:es)?|may be due|no lectures|reading (?:week|days?)|study days?|exam(?:ination)?s?");
    private static final Pattern EARLY = Pattern.compile(
            "(?i)\\b(?:early (?:release|dismissal|closing)|half[- ]day|minimum day|(?:closes|dismiss(?:al|ed)|ends|release) (?:at|from))\\b");
    private static final Pattern PART = Pattern.compile(
            "(?i)\\b(\\d{1,2})[:.](\\d{2})\\s*(am|pm)?\\s*(?:-|–|to|until|bis)\\s*(\\d{1,2})[:.](\\d{2})\\s*(am|pm)?\\b");

    private DaysOffReader() {}

    private static Pattern words(String any) {
        return Pattern.compile(
                "(?<![\\p{L}])(?:" + any + ")(?![\\p{L}])", Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }

    /**
     * One line and what was understood.
     *
     * @param state "off", "meets" (a date on which classes meet), "passed" (a date that is no day off), "heading" or
     *     "not-understood"
     * @param closure the day off; null for the others
     */
    public record Line(
            int number,
            String text,
            String state,
            String said,
            @Nullable Closure closure) {}

    /** Reads the lines. */
    public static List<Line> read(String text, DayWords days) {
        List<Line> lines = new ArrayList<>();
        Month under = null;
        String[] all = text.split("\\R", -1);
        for (int i = 0; i < all.length; i++) {
            if (lines.size() == MOST_LINES) {
                lines.add(new Line(
                        i + 1,
                        all[i],
                        "not-understood",
                        "More than " + MOST_LINES + " lines: the rest was not read. Paste one year at a time.",
                        null));
                break;
            }
            if (all[i].isBlank()) {
                continue;
            }
            Optional<Month> heading = RunWords.heading(all[i]);
            under = heading.orElse(under);
            lines.add(
                    heading.isPresent()
                            ? new Line(i + 1, all[i], "heading", "a heading over the lines below it", null)
                            : line(i + 1, all[i], days, under));
        }
        return lines;
    }

    private static Line line(int number, String text, DayWords days, @Nullable Month under) {
        Optional<RunWords.Found> found = RunWords.find(text, days);
        if (found.isEmpty() && under != null) {
            found = RunWords.under(under, text, days);
        }
        if (found.isEmpty()) {
            return undated(number, text);
        }
        RunWords.Found run = found.get();
        String rest = text.substring(0, run.from()) + " \t " + text.substring(run.to());
        String dates = Say.days(run.first(), run.last());
        boolean off = OFF.matcher(rest).find();
        if (MEETS.matcher(rest).find() && !off) {
            return new Line(number, text, "meets", dates + ": classes meet, no day off", null);
        }
        if (PASSED.matcher(rest).find() && !off) {
            return new Line(number, text, "passed", dates + ": a date, but no day off", null);
        }
        LocalTime[] part = part(rest);
        if (part == null && EARLY.matcher(rest).find()) {
            return new Line(
                    number, text, "not-understood", dates + ": from when on? Write it as “Nov 24, 12:30-17:00”.", null);
        }
        boolean mayBeDue = part != null || DUE_ALLOWED.matcher(rest).find();
        Closure closure = new Closure(
                LocalDateRange.ofClosed(run.first(), run.last()),
                part == null ? null : part[0],
                part == null ? null : part[1],
                reason(rest),
                kind(rest.toLowerCase(Locale.ROOT)),
                true,
                false,
                !mayBeDue,
                null,
                false,
                Extra.NONE);
        String hours = part == null ? "" : ", " + part[0] + " to " + part[1];
        return new Line(
                number,
                text,
                "off",
                dates + hours + ": no class, " + (mayBeDue ? "work may be due" : "nothing due"),
                closure);
    }

    private static Line undated(int number, String text) {
        boolean digits = text.matches(".*\\d.*");
        boolean names = text.matches(
                "(?iu).*(calendar|term|semester|year|quarter|dates|holidays|breaks|kalender|ferien|calendrier"
                        + "|calendario|date\\b|event|reason|district|school|college|university).*");
        // a heading is written with capitals: "Spring Dates", not "as the Dean says"
        boolean capitals = !digits && !text.matches("(?u).*(?<!\\p{L})\\p{Ll}\\p{L}{3,}.*");
        return names || capitals && !OFF.matcher(text).find()
                ? new Line(number, text, "heading", "no date in it, passed over", null)
                : new Line(
                        number, text, "not-understood", "No date found. Write it as “Oct 12-13 Autumn break”.", null);
    }

    /** The hours of a part of a day; a beginning alone reaches to the end of the day. */
    private static LocalTime @Nullable [] part(String rest) {
        Matcher span = PART.matcher(rest);
        if (span.find()) {
            LocalTime from = clock(span.group(1), span.group(2), span.group(3) == null ? span.group(6) : span.group(3));
            LocalTime to = clock(span.group(4), span.group(5), span.group(6));
            return from != null && to != null && from.isBefore(to) ? new LocalTime[] {from, to} : null;
        }
        Matcher one = TimeWords.TIME.matcher(rest);
        if (EARLY.matcher(rest).find() && one.find()) {
            return TimeWords.of(one)
                    .filter(time -> time.isBefore(LocalTime.of(23, 59)))
                    .map(time -> new LocalTime[] {time, LocalTime.MIDNIGHT})
                    .orElse(null);
        }
        return null;
    }

    private static @Nullable LocalTime clock(String hour, String minute, String half) {
        int h = DayWords.number(hour);
        int m = DayWords.number(minute);
        if (half != null) {
            h = h % 12 + (half.equalsIgnoreCase("pm") ? 12 : 0);
        }
        return h > 23 || m > 59 ? null : LocalTime.of(h, m);
    }

    private static String reason(String rest) {
        return rest.replaceAll(
                        "(?iu)\\(?\\b" + DayWords.WEEKDAY + "(?:\\s*[-–/]\\s*" + DayWords.WEEKDAY + ")?\\)?", " ")
                .replaceAll(
                        "(?iu)\\b(?:M|T|W|Th|R|F)(?:\\s*[-–/]\\s*(?:M|T|W|Th|R|F))?\\b(?=[\\s,:.\\t]*$|\\s*\\t)", " ")
                .replaceAll(
                        "(?i)[(\\[]?\\b(no class(es)?( held)?|no school|no students|(offices?|college|school|schools|university|campus) closed"
                                + "|closed|off|work may be due)\\b(?: for students)?[)\\]]?",
                        " ")
                .replaceAll("^[\\s\\t]*(?:Mo|Di|Mi|Do|Fr|Sa|So)\\b", " ")
                .replaceAll("(?iu)^[\\s\\t]*(?:vom|von|du|del|from|on|le|el|der|am)\\b", " ")
                .replaceAll("(?iu)\\b(?:vom|von|du|del|from|on|le|el|am)[\\s\\t]*$", " ")
                .replaceAll("[()\\[\\]]", " ")
                .replaceAll("\\s+", " ")
                .replaceAll("^[\\s,;:.|–-]+|[\\s,;:.|–-]+$", "");
    }

    private static String kind(String lower) {
        if (lower.matches("(?u).*\\b(staff|training|in-service|inset|teacher|professional|work ?day).*")) {
            return "staff-day";
        }
        if (lower.matches("(?u).*(break|ferien|recess|vacation|half[- ]?term|vacances|vacaciones).*")) {
            return "break";
        }
        if (lower.matches(
                "(?u).*(holiday|feiertag|f[ée]ri[ée]|festivo| day\\b|day$|thanksgiving|christmas|easter|weihnacht|ostern|pfingst|himmelfahrt).*")) {
            return "public-holiday";
        }
        return lower.matches(".*\\b(test|exam|finals?).*") ? "testing" : "other";
    }
}
