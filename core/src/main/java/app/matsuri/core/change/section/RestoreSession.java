package app.matsuri.core.change.section;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.session.SessionChange;
import java.time.LocalDateTime;
import java.util.List;

/**
 * Takes back every cancelling, moving and adding of one class.
 *
 * @param session its name: the start it first had
 */
public record RestoreSession(String course, String section, LocalDateTime session) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Section in = Find.section(before, course, section);
        List<SessionChange> kept = in.sessionChanges().stream()
                .filter(change -> !change.names(session))
                .toList();
        if (kept.size() == in.sessionChanges().size()) {
            throw new Refused("The class of " + Say.moment(session) + " is as its pattern says.");
        }
        return Outcome.of(before.withCourse(course, c -> c.withSection(in.withSessionChanges(kept))));
    }

    @Override
    public String sentence(Decisions before) {
        return "The class of " + Say.moment(session) + " as its pattern says" + Find.in(course, section);
    }
}
