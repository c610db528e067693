package app.matsuri.core.change.calendar;

import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Decisions;

/** Other bounds, weekdays, days off or swapped days of the term: the whole term as it is to be. */
public record SetTerm(Term term) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        return Outcome.of(before.withTerm(term));
    }

    @Override
    public String sentence(Decisions before) {
        return "Change the term " + term.name();
    }
}
