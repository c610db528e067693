package app.matsuri.core.school;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One thing in which a term differs from the school's calendar that it follows.
 *
 * @param said what it is, in words
 * @param change that brings the term into step
 */
public record SchoolLine(State state, String said, Change change) {

    /** How it differs. */
    public enum State {
        /** The school says it, and the term never did. */
        NEW,
        /** The school says it otherwise now. */
        CHANGED,
        /** The school no longer says it. */
        GONE,
        /** It was changed by hand in the term: it stays, unless the school's is taken. */
        BY_HAND
    }

    /** Names it, so that it can be left. */
    public String key() {
        return state + " " + said;
    }

    /**
     * All in which a term differs, in order of days. Nothing differs by itself that was changed by hand.
     *
     * @param taken what the term took of the calendar
     * @param published what the calendar says now
     */
    public static List<SchoolLine> of(Set<SchoolDay> taken, List<SchoolDay> published, Term mine) {
        List<SchoolLine> lines = new ArrayList<>();
        Set<SchoolDay> replaced = new LinkedHashSet<>();
        Set<SchoolDay> says = new LinkedHashSet<>(published);
        for (SchoolDay day : published) {
            if (day.within(mine)) {
                line(day, taken, says, mine, replaced, lines);
            }
        }
        for (SchoolDay was : taken) {
            if (!says.contains(was) && !replaced.contains(was) && was.in(mine)) {
                lines.add(new SchoolLine(State.GONE, was.said(), was.drop()));
            }
        }
        return lines;
    }

    private static void line(
            SchoolDay day,
            Set<SchoolDay> taken,
            Set<SchoolDay> says,
            Term mine,
            Set<SchoolDay> replaced,
            List<SchoolLine> lines) {
        SchoolDay was = taken.stream()
                .filter(t -> !says.contains(t) && !replaced.contains(t) && t.same(day))
                .findFirst()
                .orElse(null);
        if (was != null) {
            replaced.add(was);
        }
        if (day.in(mine)) {
            if (was != null && was.in(mine)) {
                lines.add(new SchoolLine(State.GONE, was.said(), was.drop()));
            }
            return;
        }
        if (was != null && was.in(mine)) {
            lines.add(new SchoolLine(State.CHANGED, day.said() + "; it was " + was.said(), day.take(was)));
            return;
        }
        SchoolDay own = taken.contains(day) || was != null ? null : own(day, taken, mine);
        boolean byHand = taken.contains(day) || was != null || own != null;
        String said = day.said() + (own == null ? "" : "; here it is " + own.said());
        lines.add(new SchoolLine(byHand ? State.BY_HAND : State.NEW, said, day.take(own)));
    }

    /** What the term says of just those days by itself, not from the calendar; null for nothing. */
    private static @Nullable SchoolDay own(SchoolDay day, Set<SchoolDay> taken, Term mine) {
        if (!(day instanceof SchoolDay.Off off)) {
            return null;
        }
        Closure c = off.closure();
        return SchoolDay.of(mine).stream()
                .filter(o -> !taken.contains(o))
                .filter(o -> o instanceof SchoolDay.Off other
                        && other.closure().days().equals(c.days())
                        && other.closure().wholeDay() == c.wholeDay())
                .findFirst()
                .orElse(null);
    }

    /**
     * What a term has taken of a calendar, once it was written: what both say, what it had and the calendar still says, and what it still
     * says that came from there.
     */
    public static Set<SchoolDay> taken(Set<SchoolDay> before, List<SchoolDay> published, Term mine) {
        Set<SchoolDay> taken = new LinkedHashSet<>();
        for (SchoolDay day : before) {
            if (published.contains(day) || day.in(mine)) {
                taken.add(day);
            }
        }
        published.stream().filter(day -> day.in(mine)).forEach(taken::add);
        return taken;
    }
}
