package app.matsuri.core.change.calendar;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.threeten.extra.LocalDateRange;

/**
 * Reopens days. Days off of just these days go; where none is of just these days, every one that reaches into them is
 * cut back to its other days.
 *
 * @param first inclusive
 * @param last inclusive
 * @param reason only days off of this reason; null for any
 */
public record RemoveClosure(
        LocalDate first, LocalDate last, @Nullable String reason) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        if (last.isBefore(first)) {
            throw new Refused("The last day " + Say.day(last) + " lies before the first, " + Say.day(first) + ".");
        }
        LocalDateRange days = LocalDateRange.ofClosed(first, last);
        List<Closure> closures = before.term().closures();
        boolean exact = closures.stream().anyMatch(c -> meant(c) && c.days().equals(days));
        List<Closure> kept = new ArrayList<>();
        boolean any = false;
        for (Closure closure : closures) {
            if (!meant(closure)
                    || !(exact ? closure.days().equals(days) : closure.days().overlaps(days))) {
                kept.add(closure);
                continue;
            }
            any = true;
            if (!exact && closure.first().isBefore(first)) {
                kept.add(closure.withDays(closure.first(), first.minusDays(1)));
            }
            if (!exact && closure.last().isAfter(last)) {
                kept.add(closure.withDays(last.plusDays(1), closure.last()));
            }
        }
        if (!any) {
            throw new Refused("There is no day off on " + Say.days(first, last) + " to reopen.");
        }
        return Outcome.of(before.withTerm(before.term().withClosures(kept)));
    }

    private boolean meant(Closure closure) {
        return reason == null || reason.equals(closure.reason());
    }

    @Override
    public String sentence(Decisions before) {
        return "No longer off: " + Say.days(first, last);
    }
}
