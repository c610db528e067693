package app.matsuri.core.change.calendar;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * The first day that the courses' own material may use.
 *
 * @param day null for the term's first day
 */
public record SetFirstPlanDay(@Nullable LocalDate day) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        if (day != null && !before.term().contains(day)) {
            throw new Refused(Say.day(day) + " lies outside the term, which runs "
                    + Say.days(before.term().first(), before.term().last()) + ".");
        }
        LocalDate kept = before.term().first().equals(day) ? null : day;
        return Outcome.of(before.withTerm(before.term().withFirstPlanDay(kept)));
    }

    @Override
    public String sentence(Decisions before) {
        return day == null ? "Start the plan with the term" : "Start the plan on " + Say.day(day);
    }
}
