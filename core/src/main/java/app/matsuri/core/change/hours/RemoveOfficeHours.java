package app.matsuri.core.change.hours;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.With;

/** Takes office hours away, with all their slots. */
public record RemoveOfficeHours(String id) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Find.officeHours(before, id);
        return Outcome.of(before.withOfficeHours(With.without(before.officeHours(), h -> h.id().equals(id))));
    }

    @Override
    public String sentence(Decisions before) {
        return "Remove office hours “"
                + before.officeHours(id).map(OfficeHours::title).orElse(id) + "”";
    }
}
