package app.matsuri.exchange.school;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.calendar.MarkDays;
import app.matsuri.core.change.calendar.MarkDays.Mark;
import app.matsuri.exchange.school.Finding.What;
import app.matsuri.exchange.words.DayWords;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.threeten.extra.LocalDateRange;

/**
 * Days off as {@link SchoolCalendar} finds them in a school's list of dates. Every line is kept: off, in doubt, or not for the term's days.
 */
public final class DaysOffReader {

    /** The most lines that are read. */
    public static final int MOST_LINES = 2_000;

    private static final Pattern DUE_ALLOWED = Pattern.compile(
            "(?iu)(?<![\\p{L}])(?:no class(?:es)?|may be due|no lectures|reading (?:week|days?)|study days?|exam(?:ination)?s?)(?![\\p{L}])");

    private DaysOffReader() {}

    /**
     * One line and what was understood.
     *
     * @param state "off", "doubtful" (a day off that is not taken before somebody says so), "meets" (a date on which classes meet), "passed"
     *     (a date that is no day off), "marked", "outside" (of another term), "double", "heading" or "not-understood"
     * @param closure the day off; null unless it is off or doubtful
     * @param mark days that teach though they would not, or run as another weekday ("marked", or doubtful); null for none
     * @param edge where classes begin or end, as the list says it; null for none
     */
    public record Line(
            int number,
            String text,
            String state,
            String said,
            @Nullable Closure closure,
            @Nullable MarkDays mark,
            @Nullable Edge edge) {

        Line(int number, String text, String state, String said, @Nullable Closure closure) {
            this(number, text, state, said, closure, null, null);
        }

        /** The same where somebody says that it is so. */
        public Line settled() {
            boolean open = state.equals("doubtful") && (closure != null || mark != null);
            return open ? new Line(number, text, closure == null ? "marked" : "off", said, closure, mark, edge) : this;
        }

        /** Whether it is taken unless somebody says otherwise. */
        public boolean taken() {
            return (closure != null || mark != null) && !state.equals("doubtful");
        }
    }

    /** The first day of classes, or the last. */
    public record Edge(LocalDate day, boolean last) {}

    /**
     * Reads the lines.
     *
     * @param days the term's first and last day; where they are not known, the year from the base on
     * @param weekdays that teach
     */
    public static List<Line> read(String text, DayWords days, Set<DayOfWeek> weekdays) {
        String[] all = text.split("\\R", -1);
        List<String> some = List.of(all).subList(0, Math.min(all.length, MOST_LINES));
        List<Line> lines = of(some, SchoolCalendar.read(String.join("\n", some), term(days, weekdays)));
        if (all.length > MOST_LINES
                && !String.join("", List.of(all).subList(MOST_LINES, all.length))
                        .isBlank()) {
            String said = "More than " + MOST_LINES + " lines: the rest was not read. Paste one year at a time.";
            lines.add(new Line(MOST_LINES + 1, all[MOST_LINES], "not-understood", said, null));
        }
        return lines;
    }

    /** The term that a list is read for. */
    public static SchoolCalendar.Term term(DayWords days, Set<DayOfWeek> weekdays) {
        LocalDate first = days.first() == null ? days.base() : days.first();
        LocalDate last = days.last() == null ? first.plusYears(1) : days.last();
        return new SchoolCalendar.Term(first, last, weekdays, days.slashDayFirst());
    }

    /** Each line with what was found in it; one in which nothing is looked for is a heading. */
    private static List<Line> of(List<String> all, List<Finding> found) {
        Map<Integer, List<Finding>> byLine = found.stream().collect(Collectors.groupingBy(Finding::line));
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            String text = all.get(i);
            if (!text.isBlank()) {
                List<Finding> here = byLine.getOrDefault(i + 1, List.of());
                lines.addAll(lines(here));
                if (here.isEmpty()) {
                    lines.add(new Line(i + 1, text, "heading", "a heading over the lines below it", null));
                }
            }
        }
        return lines;
    }

    /** What was found, as lines; a Saturday that runs as a Friday teaches by that. */
    static List<Line> lines(List<Finding> found) {
        return found.stream()
                .filter(one -> one.what() != What.TEACHES
                        || found.stream()
                                .noneMatch(f -> f.what() == What.RUNS_AS
                                        && f.line() == one.line()
                                        && Objects.equals(f.first(), one.first())))
                .map(DaysOffReader::line)
                .toList();
    }

    /** What was found, as a line. */
    private static Line line(Finding found) {
        LocalDate first = found.first();
        LocalDate last = found.last();
        if (first == null || last == null) {
            return nothing(found);
        }
        String dates = Say.days(first, last);
        if (found.what() == What.OFF || found.what() == What.PART) {
            return off(found, first, last, dates);
        }
        DayOfWeek as = found.as();
        if (found.what() == What.RUNS_AS && as != null) {
            return marked(found, dates + ": runs as a " + weekday(as), new MarkDays(first, last, Mark.RUNS_AS, as));
        }
        if (found.what() == What.TEACHES) {
            return marked(found, dates + ": classes meet", new MarkDays(first, last, Mark.TEACHES, null));
        }
        String said = found.what() == What.RESERVE
                ? "in reserve for days that are lost"
                : found.what() == What.FIRST_CLASS ? "classes begin" : "classes end";
        boolean edge = found.what() == What.FIRST_CLASS || found.what() == What.LAST_CLASS;
        return new Line(
                found.line(),
                found.text(),
                "meets",
                dates + ": " + said + doubt(found),
                null,
                null,
                edge ? new Edge(first, found.what() == What.LAST_CLASS) : null);
    }

    private static Line marked(Finding found, String said, MarkDays mark) {
        boolean sure = found.doubt().isEmpty();
        return new Line(
                found.line(),
                found.text(),
                sure ? "marked" : "doubtful",
                sure ? said : said + "?" + doubt(found).substring(1),
                null,
                mark,
                null);
    }

    private static String weekday(DayOfWeek day) {
        return day.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    }

    private static String doubt(Finding found) {
        return found.doubt().isEmpty() ? "" : ". " + found.doubt();
    }

    private static Line nothing(Finding found) {
        if (!found.doubt().isEmpty()) {
            return new Line(found.line(), found.text(), "not-understood", found.doubt(), null);
        }
        String state = switch (found.reason()) {
            case "another term", "outside the term" -> "outside";
            case "classes meet", "classes resume", "teaching" -> "meets";
            case "no date", "about this list" -> "heading";
            case "said before" -> "double";
            default -> "passed";
        };
        return new Line(found.line(), found.text(), state, found.reason(), null);
    }

    private static Line off(Finding found, LocalDate first, LocalDate last, String dates) {
        LocalTime from = found.from();
        LocalTime to = found.to();
        boolean mayBeDue = from != null || DUE_ALLOWED.matcher(found.text()).find();
        Closure closure = new Closure(
                LocalDateRange.ofClosed(first, last),
                from,
                to,
                found.reason(),
                kind(found.text().toLowerCase(Locale.ROOT)),
                true,
                false,
                !mayBeDue,
                null,
                false,
                Extra.NONE);
        String hours = from == null || to == null ? "" : ", " + Say.time(from) + " to " + Say.end(to);
        String said = dates + hours + ": no class, " + (mayBeDue ? "work may be due" : "nothing due");
        boolean sure = found.doubt().isEmpty();
        return new Line(
                found.line(),
                found.text(),
                sure ? "off" : "doubtful",
                sure ? said : said + "? " + found.doubt(),
                closure);
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
