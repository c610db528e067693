package app.matsuri.exchange.plan;

import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Which;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Reads a date rule. */
public final class RuleReader {

    private static final List<String> ANCHORS = List.of("at", "lesson", "unit", "week", "own", "item", "rhythm");

    private RuleReader() {}

    /** The rule; null when a fault leaves it without meaning. */
    public static @Nullable DateRule rule(In in) {
        Anchor anchor = anchor(in);
        Integer n = in.number("plus", 0, Integer.MIN_VALUE);
        String unit = in.word("in", "days", Words.all(Offset.Unit.class));
        DayOfWeek snapTo = in.weekday("snapTo", null);
        String snap = in.word("snap", "on-or-after", List.of("on-or-after", "on-or-before"));
        LocalTime time = in.time("time");
        String onDayOff = in.word("onDayOff", null, Words.all(DateRule.OnDayOff.class));
        if (n != null && Math.abs((long) n) > 100_000) {
            in.faults().fatal(in.at("plus"), n + " is too far: give at most 100000.");
            n = null;
        }
        if (anchor == null || n == null || unit == null) {
            in.extra();
            return null;
        }
        Offset offset = n == 0 ? Offset.NONE : new Offset(n, Words.constant(Offset.Unit.class, unit));
        return new DateRule(
                anchor,
                offset,
                snapTo,
                "on-or-before".equals(snap),
                time,
                onDayOff == null ? null : Words.constant(DateRule.OnDayOff.class, onDayOff),
                in.extra());
    }

    private static @Nullable Anchor anchor(In in) {
        List<String> given = ANCHORS.stream().filter(in::has).toList();
        if (given.size() != 1) {
            in.faults()
                    .fatal(
                            in.pointer(),
                            given.isEmpty()
                                    ? "A date rule begins with one of at, lesson, unit, week, own, item or rhythm."
                                    : "A date rule begins with one thing; here are " + String.join(" and ", given)
                                            + ".");
            return null;
        }
        return switch (given.get(0)) {
            case "at" -> fixed(in);
            case "lesson" -> with(in, "lesson");
            case "unit" -> with(in, "unit");
            case "week" -> week(in);
            case "item" -> item(in);
            case "rhythm" -> rhythm(in);
            default -> own(in);
        };
    }

    private static @Nullable Anchor fixed(In in) {
        var at = in.moment("at");
        return at == null ? null : new Anchor.Fixed(at);
    }

    private static @Nullable Anchor with(In in, String what) {
        String id = in.text(what, null);
        String edge = in.word("edge", "start", Words.all(Edge.class));
        if (id == null || edge == null) {
            return null;
        }
        Edge end = Words.constant(Edge.class, edge);
        return what.equals("lesson") ? new Anchor.WithLesson(id, end) : new Anchor.WithUnit(id, end);
    }

    private static @Nullable Anchor week(In in) {
        Integer week = in.number("week", null, Integer.MIN_VALUE);
        String counts = in.word("counts", "term", List.of("term", "teaching"));
        DayOfWeek weekday = in.weekday("weekday", null);
        if (!in.has("weekday")) {
            in.faults().fatal(in.pointer(), "“weekday” is missing: give MO, TU, WE, TH, FR, SA or SU.");
        }
        return week == null || counts == null || weekday == null
                ? null
                : new Anchor.InWeek(week, counts.equals("teaching"), weekday);
    }

    private static @Nullable Anchor item(In in) {
        String item = in.text("item", null);
        String date = in.word("date", "due", Words.all(Which.class));
        return item == null || date == null ? null : new Anchor.OfItem(item, Words.constant(Which.class, date));
    }

    private static @Nullable Anchor rhythm(In in) {
        String rhythm = in.text("rhythm", null);
        Integer number = in.number("number", 0, 0);
        String edge = in.word("edge", "start", Words.all(Edge.class));
        return rhythm == null || number == null || edge == null
                ? null
                : new Anchor.InRhythm(rhythm, number, Words.constant(Edge.class, edge));
    }

    private static @Nullable Anchor own(In in) {
        String own = in.word("own", null, List.of("opens", "due", "closes", "begins"));
        return "begins".equals(own)
                ? new Anchor.OwnBeginning()
                : own == null ? null : new Anchor.OwnDate(Words.constant(Which.class, own));
    }
}
