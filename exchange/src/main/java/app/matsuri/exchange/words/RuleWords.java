package app.matsuri.exchange.words;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Which;
import java.time.DayOfWeek;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Date rules in the short form of a table's cell, as {@link app.matsuri.core.plan.RuleSaid} writes them: "start of CH1", "CH2 +2 teaching days", "L12 end +1d",
 * "unit GA start -1 week", "due +2 days", "with due", each with ", then friday", "or stay" and a time of day behind it.
 * Without a word for the edge, days count from the end and classes from the start.
 */
public final class RuleWords {

    private static final String UNIT =
            "(teaching days?|school days?|weekdays?|td|days?|d|weeks?|w|classes|class|sessions?"
                    + "|c|hours?|h|minutes?|min|m)";
    private static final Pattern EDGE_OF =
            of("(start|end) of (?:(unit) )?(\\S+?)(?: ([+-]) ?(\\d{1,3}) ?" + UNIT + "?)?");
    private static final Pattern PLACE =
            of("(?:(unit) )?(\\S+?)(?: (start|end))?(?: ?([+-]) ?(\\d{1,3}) ?" + UNIT + "?)?");
    private static final Pattern THEN = of("^(.*?),? then " + DayWords.WEEKDAY + "( or before)?$");
    private static final String FAR = "(?: ?([+-]) ?(\\d{1,3}) ?" + UNIT + "?)?";
    private static final Pattern IN_RHYTHM = of("(?:(start|end) of )?(?:each class|class (\\d{1,3})) of (\\S+?)" + FAR);
    private static final Pattern OF_ITEM = of("(opens|due|closes) of (\\S+?)" + FAR);
    private static final Pattern BEGINS = of("begins" + FAR);
    private static final Pattern SHORT_OWN = of("with (opens|due|closes)");

    private RuleWords() {}

    private static Pattern of(String regex) {
        return Pattern.compile(regex, Pattern.CASE_INSENSITIVE);
    }

    /** The rule that the words mean, without a time of day; none where they are no such words or name nothing known. */
    static Optional<DateRule> read(String given, PlanNames names) {
        String text = given.strip().replaceAll("\\s+", " ");
        Matcher then = THEN.matcher(text);
        if (then.matches()) {
            DayOfWeek weekday = DayWords.weekday(then.group(2));
            boolean before = then.group(3) != null;
            return read(then.group(1), names).map(rule -> rule.snapped(weekday, before));
        }
        Matcher own = SHORT_OWN.matcher(text);
        if (own.matches()) {
            return Optional.of(DateRule.of(new Anchor.OwnDate(which(own.group(1)))));
        }
        Matcher m = EDGE_OF.matcher(text);
        if (m.matches()) {
            return rule(m.group(2) != null, m.group(3), m.group(1), offset(m, 4), names);
        }
        m = IN_RHYTHM.matcher(text);
        if (m.matches() && names.rhythm(m.group(3)).isPresent()) {
            int number = m.group(2) == null ? 0 : DayWords.number(m.group(2));
            Edge edge = "end".equalsIgnoreCase(m.group(1)) ? Edge.END : Edge.START;
            Offset plus = offset(m, 4);
            return names.rhythm(m.group(3))
                    .map(id ->
                            DateRule.of(new Anchor.InRhythm(id, number, edge)).plus(plus.n(), plus.unit()));
        }
        m = OF_ITEM.matcher(text);
        if (m.matches() && names.item(m.group(2)).isPresent()) {
            Which which = which(m.group(1));
            Offset plus = offset(m, 3);
            return names.item(m.group(2))
                    .map(id -> DateRule.of(new Anchor.OfItem(id, which)).plus(plus.n(), plus.unit()));
        }
        m = BEGINS.matcher(text);
        if (m.matches()) {
            Offset plus = offset(m, 1);
            return Optional.of(DateRule.of(new Anchor.OwnBeginning()).plus(plus.n(), plus.unit()));
        }
        m = PLACE.matcher(text);
        if (!m.matches()) {
            return Optional.empty();
        }
        String word = m.group(2).toLowerCase(Locale.ROOT);
        Offset plus = offset(m, 4);
        if (word.matches("opens|due|closes") && m.group(1) == null && m.group(3) == null) {
            return plus.n() == 0
                    ? Optional.empty()
                    : Optional.of(DateRule.of(new Anchor.OwnDate(which(word))).plus(plus.n(), plus.unit()));
        }
        return rule(m.group(1) != null, m.group(2), m.group(3), plus, names);
    }

    private static Optional<DateRule> rule(boolean unit, String word, String edge, Offset plus, PlanNames names) {
        boolean fromStart = edge == null ? plus.n() == 0 || plus.unit().ofClass() : edge.equalsIgnoreCase("start");
        Edge at = fromStart ? Edge.START : Edge.END;
        Optional<Anchor> anchor = unit
                ? names.unit(word).map(id -> new Anchor.WithUnit(id, at))
                : names.lesson(word).map(id -> new Anchor.WithLesson(id, at));
        return anchor.map(a -> new DateRule(a, plus, null, false, null, null, Extra.NONE));
    }

    private static Offset offset(Matcher m, int from) {
        if (m.group(from) == null) {
            return Offset.NONE;
        }
        int n = DayWords.number(m.group(from + 1)) * (m.group(from).equals("-") ? -1 : 1);
        return n == 0 ? Offset.NONE : new Offset(n, unit(m.group(from + 2)));
    }

    /** The unit that a word or its first letter means; teaching days where nothing is said. */
    static Offset.Unit unit(String word) {
        if (word == null) {
            return Offset.Unit.TEACHING_DAYS;
        }
        return switch (word.toLowerCase(Locale.ROOT)) {
            case "day", "days", "d" -> Offset.Unit.DAYS;
            case "week", "weeks", "w" -> Offset.Unit.WEEKS;
            case "class", "classes", "session", "sessions", "c" -> Offset.Unit.SESSIONS;
            case "hour", "hours", "h" -> Offset.Unit.HOURS;
            case "minute", "minutes", "min", "m" -> Offset.Unit.MINUTES;
            default -> Offset.Unit.TEACHING_DAYS;
        };
    }

    private static Which which(String word) {
        return Which.valueOf(word.toUpperCase(Locale.ROOT));
    }
}
