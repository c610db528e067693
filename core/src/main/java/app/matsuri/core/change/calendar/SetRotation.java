package app.matsuri.core.change.calendar;

import app.matsuri.core.calendar.DayRotation;
import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Decisions;
import org.jspecify.annotations.Nullable;

/**
 * Day letters of the term.
 *
 * @param rotation null for none
 */
public record SetRotation(@Nullable DayRotation rotation) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        return Outcome.of(before.withTerm(before.term().withRotation(rotation)));
    }

    @Override
    public String sentence(Decisions before) {
        return rotation == null ? "No day letters" : "Day letters " + String.join(" ", rotation.letters());
    }
}
