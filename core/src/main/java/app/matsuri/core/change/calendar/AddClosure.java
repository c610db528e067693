package app.matsuri.core.change.calendar;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import java.util.ArrayList;
import java.util.List;

/** A day off, or a run of them; also a past one. */
public record AddClosure(Closure closure) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        within(closure, before.term());
        List<Closure> closures = new ArrayList<>(before.term().closures());
        if (closures.contains(closure)) {
            throw new Refused(Say.days(closure.first(), closure.last()) + " is off already for this reason.");
        }
        closures.add(closure);
        return Outcome.of(before.withTerm(before.term().withClosures(closures)));
    }

    /** Refuses a day off of which no day lies within the term. */
    static void within(Closure closure, Term term) {
        if (closure.last().isBefore(term.first()) || closure.first().isAfter(term.last())) {
            throw new Refused(Say.days(closure.first(), closure.last()) + " lies outside the term, which runs "
                    + Say.days(term.first(), term.last()) + ".");
        }
    }

    @Override
    public String sentence(Decisions before) {
        String days = Say.days(closure.first(), closure.last());
        String part = closure.from() == null || closure.to() == null
                ? ""
                : " from " + Say.time(closure.from()) + " to " + Say.end(closure.to());
        return "Day off " + days + part + (closure.reason().isEmpty() ? "" : ", " + closure.reason());
    }
}
