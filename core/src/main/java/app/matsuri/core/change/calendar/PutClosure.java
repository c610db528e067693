package app.matsuri.core.change.calendar;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * Puts a day off in place of another: other ends, another reason, other effects.
 *
 * @param first first day of the one it replaces, inclusive
 * @param last its last day, inclusive
 * @param reason its reason
 */
public record PutClosure(LocalDate first, LocalDate last, String reason, Closure closure) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        List<Closure> closures = new ArrayList<>(before.term().closures());
        int at = index(closures);
        if (at < 0) {
            throw new Refused(
                    "There is no day off “" + reason + "” on " + Say.days(first, last) + " any more. Look again.");
        }
        AddClosure.within(closure, before.term());
        closures.set(at, closure);
        return Outcome.of(before.withTerm(before.term().withClosures(closures)));
    }

    private int index(List<Closure> closures) {
        for (int i = 0; i < closures.size(); i++) {
            Closure one = closures.get(i);
            if (one.first().equals(first)
                    && one.last().equals(last)
                    && one.reason().equals(reason)) {
                return i;
            }
        }
        return -1;
    }

    @Override
    public String sentence(Decisions before) {
        String name = closure.reason().isEmpty() ? "the day off" : "“" + closure.reason() + "”";
        boolean moved = !first.equals(closure.first()) || !last.equals(closure.last());
        return moved
                ? "Set " + name + " to " + Say.days(closure.first(), closure.last()) + " (was " + Say.days(first, last)
                        + ")"
                : "Change " + name + " of " + Say.days(first, last);
    }
}
