package app.matsuri.exchange.words;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Which;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * When work is due as people write it beside a lesson, as a date rule, and a rule in the same words: "same day", "next
 * class", "2 days after, 23:59", "+3" (teaching days), "a week later", "friday, 17:00", "3 nov", "with CH2, next class",
 * "1 day after due". A time that is not said is 23:59, of an opening the start of the day, where the words do not mean class
 * time.
 *
 * @param days reads days without a year
 * @param names of the lessons and units that may stand before a distance, as in "CH2 +2 teaching days"
 */
public record DueWords(DayWords days, PlanNames names) {

    /** Words that name no other lesson or unit but by “with”. */
    public DueWords(DayWords days) {
        this(days, PlanNames.NONE);
    }

    private static final LocalTime END_OF_DAY = LocalTime.of(23, 59);
    private static final Pattern WITH = of("^with\\s+(unit\\s+)?(\\S+?)(?:,\\s*|\\s+|$)");
    private static final Pattern NUMBER = of(
            "^(?:in\\s+)?(\\d{1,3}|an?|one|two|three|four|five|six|seven|eight|nine|ten)\\s+"
                    + "(minutes?|hours?|teaching days?|school days?|class days?|weekdays?|days?|weeks?|classes|class|sessions?)"
                    + "\\s*(after|later|before|earlier)?(?:\\s+(start|due|opens|closes|opening|closing|class|the class))?$");
    private static final Pattern PLUS = of("^([+-])\\s*(\\d{1,3})\\s*(days?|d|weeks?|w|classes|class)?$");
    private static final Pattern BY_WEEKDAY =
            of("^(?:by\\s+|on\\s+|the\\s+|next\\s+|following\\s+){0,9}" + DayWords.WEEKDAY + "(?:\\s+after)?$");
    private static final Pattern IN_WEEK =
            of("^(?:in\\s+)?(teaching\\s+)?week\\s+(\\d{1,2}),?\\s+" + DayWords.WEEKDAY + "$");

    private static final Pattern DATED = of("\\b" + DayWords.MONTH + "|\\d{4}-\\d|\\d[./]\\d{1,2}(?![\\d:]|\\s*[ap]m)");

    private static Pattern of(String regex) {
        return Pattern.compile(regex, Pattern.CASE_INSENSITIVE);
    }

    /**
     * The rule that the words mean.
     *
     * @param lesson id of the lesson they stand beside; null for none, when only words with a date of their own mean
     *     something
     */
    public Optional<DateRule> read(String given, @Nullable String lesson) {
        return read(given, lesson, Which.DUE);
    }

    /**
     * The rule that the words mean for one of the dates: of a due date "due +2" is two teaching days after the lesson,
     * of another it is that long after it is due.
     */
    public Optional<DateRule> read(String given, @Nullable String lesson, Which of) {
        if (given.length() > DayWords.MOST) {
            return Optional.empty();
        }
        LocalTime edge = of == Which.OPENS ? LocalTime.MIDNIGHT : END_OF_DAY;
        Optional<MomentWords> moment = given.matches(".*\\d.*")
                        && !given.strip().startsWith("+")
                ? MomentWords.read(given.strip().replaceAll("(?i)^(is\\s+)?(due|opens|closes)[:\\s]+", ""), days)
                : Optional.empty();
        if (moment.filter(m -> dated(given)).isPresent()) {
            return moment.map(m -> DateRule.at(m.at(edge)));
        }
        String text = given.strip().replaceAll("[.]$", "");
        if (of == Which.DUE || !text.matches("(?i)due\\s*[-+−].*")) {
            text = text.replaceAll("(?i)^(is\\s+)?due[:\\s]+", "");
        }
        LocalTime time = null;
        Matcher m = TimeWords.TIME.matcher(text);
        while (m.find()) {
            Optional<LocalTime> found = TimeWords.of(m);
            boolean apart = m.end() == text.length() && (m.start() == 0 || !digitBefore(text, m.start()));
            if (found.isPresent() && apart) {
                time = found.get();
                text = text.substring(0, m.start()).replaceAll("(?i)[,\\s]+(at|by)?\\s*$", "");
                break;
            }
        }
        LocalTime said = time;
        Optional<DateRule> brief = RuleWords.read(text.replace('−', '-'), names);
        if (brief.isPresent()) {
            return brief.map(r -> said == null ? wholeDay(r, edge) : timed(r, said));
        }
        Matcher with = WITH.matcher(text);
        String anchor = lesson;
        boolean unit = false;
        if (with.find()) {
            unit = with.group(1) != null;
            anchor = with.group(2).replaceAll(",$", "");
            text = text.substring(with.end()).strip();
            text = text.isEmpty() ? "same day" : text;
        }
        LocalTime at = time;
        return rule(text.strip(), anchor, unit, edge).map(r -> at == null ? r : timed(r, at));
    }

    /** Whether a month, or figures in place of one, say which day is meant: a weekday alone follows a lesson. */
    private static boolean dated(String given) {
        return DATED.matcher(given).find();
    }

    /** A day so far from a lesson ends at its end, as work does, or begins at its start; class times keep their time. */
    private static DateRule wholeDay(DateRule rule, LocalTime edge) {
        boolean days = rule.plus().n() != 0 && !rule.plus().unit().ofClass();
        boolean lesson = rule.anchor()
                .named()
                .filter(n -> n.sort() == Anchor.Sort.LESSON || n.sort() == Anchor.Sort.UNIT)
                .isPresent();
        return days && lesson ? rule.at(edge) : rule;
    }

    private static boolean digitBefore(String text, int at) {
        return Character.isLetterOrDigit(text.charAt(at - 1));
    }

    public static DateRule timed(DateRule rule, LocalTime time) {
        return rule.plain() ? DateRule.at(rule.typed().toLocalDate().atTime(time)) : rule.at(time);
    }

    private Optional<DateRule> rule(String text, @Nullable String anchor, boolean unit, LocalTime edge) {
        String lower = text.toLowerCase(Locale.ROOT);
        Optional<LocalDate> day =
                lower.matches(".*\\d.*") && !lower.startsWith("+") ? days.read(text) : Optional.empty();
        if (day.isPresent()) {
            return Optional.of(DateRule.at(day.get().atTime(edge)));
        }
        Matcher week = IN_WEEK.matcher(text);
        if (week.matches()) {
            return Optional.of(DateRule.of(new Anchor.InWeek(
                    DayWords.number(week.group(2)), week.group(1) != null, DayWords.weekday(week.group(3)))));
        }
        Matcher n = NUMBER.matcher(text);
        if (n.matches()
                && n.group(4) != null
                && !n.group(4).toLowerCase(Locale.ROOT).endsWith("class")
                && !n.group(4).equalsIgnoreCase("start")) {
            String own = n.group(4).toLowerCase(Locale.ROOT);
            Which which = own.startsWith("due") ? Which.DUE : own.startsWith("open") ? Which.OPENS : Which.CLOSES;
            return Optional.of(DateRule.of(new Anchor.OwnDate(which)).plus(signed(n), RuleWords.unit(n.group(2))));
        }
        if (lower.matches("(same as|when|with) (due|opens|closes)")) {
            String own = lower.substring(lower.lastIndexOf(' ') + 1);
            return Optional.of(DateRule.of(new Anchor.OwnDate(Which.valueOf(own.toUpperCase(Locale.ROOT)))));
        }
        if (anchor == null) {
            return Optional.empty();
        }
        return besideLesson(lower, n, anchor, unit, edge);
    }

    private Optional<DateRule> besideLesson(String lower, Matcher n, String anchor, boolean unit, LocalTime edge) {
        DateRule start = DateRule.of(anchored(anchor, unit, Edge.START));
        DateRule end = DateRule.of(anchored(anchor, unit, Edge.END));
        if (lower.matches("|same day|in class|start of class|at the start|that day|same class|the class|class")) {
            return Optional.of(start);
        }
        if (lower.matches("end of class|after class|at the end|end")) {
            return Optional.of(end);
        }
        if (lower.matches("(the )?(next|following) (class|session|lesson)")) {
            return Optional.of(start.plus(1, Offset.Unit.SESSIONS));
        }
        if (lower.matches("(the )?(class|session) before|previous class")) {
            return Optional.of(start.plus(-1, Offset.Unit.SESSIONS));
        }
        if (lower.matches("(the )?(next|following) day|day after")) {
            return Optional.of(end.plus(1, Offset.Unit.TEACHING_DAYS).at(edge));
        }
        if (lower.matches("(the )?(next|following) week|week after")) {
            return Optional.of(end.plus(1, Offset.Unit.WEEKS).at(edge));
        }
        if (n.matches()) {
            Offset.Unit of = RuleWords.unit(n.group(2));
            boolean classTime = of == Offset.Unit.SESSIONS || of == Offset.Unit.HOURS || of == Offset.Unit.MINUTES;
            boolean fromStart = of == Offset.Unit.SESSIONS
                    || n.group(4) != null && n.group(4).equals("start");
            DateRule rule = (fromStart ? start : end).plus(signed(n), of);
            return Optional.of(classTime ? rule : rule.at(edge));
        }
        Matcher plus = PLUS.matcher(lower);
        if (plus.matches()) {
            int by = DayWords.number(plus.group(2)) * (plus.group(1).equals("-") ? -1 : 1);
            String of = plus.group(3) == null ? "teaching days" : plus.group(3);
            Offset.Unit in = RuleWords.unit(of);
            return Optional.of(
                    in == Offset.Unit.SESSIONS
                            ? start.plus(by, in)
                            : end.plus(by, in).at(edge));
        }
        Matcher weekday = BY_WEEKDAY.matcher(lower);
        if (weekday.matches()) {
            DayOfWeek on = DayWords.weekday(weekday.group(1));
            DateRule rule = new DateRule(end.anchor(), Offset.NONE, on, false, edge, null, Extra.NONE);
            return Optional.of(rule);
        }
        return Optional.empty();
    }

    private static Anchor anchored(String anchor, boolean unit, Edge edge) {
        return unit ? new Anchor.WithUnit(anchor, edge) : new Anchor.WithLesson(anchor, edge);
    }

    private static int signed(Matcher n) {
        int count = DayWords.count(n.group(1)).orElse(1);
        String way = n.group(3) == null ? "after" : n.group(3).toLowerCase(Locale.ROOT);
        return way.equals("before") || way.equals("earlier") ? -count : count;
    }
}
