package app.matsuri.core.rollover;

import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Edge;
import java.time.format.TextStyle;
import java.util.Locale;

/** A date rule in a few words. */
final class RuleSaid {

    private RuleSaid() {}

    static String of(DateRule rule) {
        StringBuilder said = new StringBuilder(anchor(rule.anchor()));
        int n = rule.plus().n();
        if (n != 0) {
            String unit = word(rule.plus().unit().name());
            said.append(n > 0 ? " +" : " −").append(Math.abs(n)).append(' ');
            said.append(Math.abs(n) == 1 ? unit.substring(0, unit.length() - 1) : unit);
        }
        if (rule.snapTo() != null) {
            said.append(rule.snapBefore() ? ", on or before " : ", on or after ")
                    .append(rule.snapTo().getDisplayName(TextStyle.FULL, Locale.ENGLISH));
        }
        if (rule.time() != null) {
            said.append(" at ").append(rule.time());
        }
        return said.toString();
    }

    private static String word(String name) {
        return name.toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static String edge(Edge edge) {
        return edge == Edge.START ? "start of " : "end of ";
    }

    private static String anchor(Anchor anchor) {
        if (anchor instanceof Anchor.WithLesson with) {
            return edge(with.edge()) + with.lesson();
        }
        if (anchor instanceof Anchor.WithUnit with) {
            return edge(with.edge()) + "unit " + with.unit();
        }
        if (anchor instanceof Anchor.InWeek in) {
            return week(in);
        }
        if (anchor instanceof Anchor.OwnDate own) {
            return "its date “" + word(own.which().name()) + "”";
        }
        if (anchor instanceof Anchor.OfItem of) {
            return "date “" + word(of.which().name()) + "” of " + of.item();
        }
        if (anchor instanceof Anchor.InRhythm in) {
            return edge(in.edge()) + "class " + in.number() + " of its rhythm";
        }
        return anchor instanceof Anchor.OwnBeginning ? "its beginning" : "fixed";
    }

    private static String week(Anchor.InWeek week) {
        return (week.teaching() ? "teaching week " : "week ") + week.week() + ", "
                + week.weekday().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    }
}
