package app.matsuri.core.change.section;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.session.SessionChange;
import java.util.ArrayList;
import java.util.List;

/** Cancels, moves or adds one class of a section. */
public record ChangeSession(String course, String section, SessionChange change) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Section in = Find.section(before, course, section);
        List<SessionChange> changes = new ArrayList<>(in.sessionChanges());
        changes.add(change);
        return Outcome.of(before.withCourse(course, c -> c.withSection(in.withSessionChanges(changes))));
    }

    @Override
    public String sentence(Decisions before) {
        String where = Find.in(course, section);
        return change.on(new SessionChange.Cases<>() {
            @Override
            public String cancel(SessionChange.Cancel cancel) {
                return "Cancel the class of " + Say.moment(cancel.session()) + where;
            }

            @Override
            public String move(SessionChange.Move move) {
                return "Move the class of " + Say.moment(move.session()) + " to " + Say.moment(move.to()) + where;
            }

            @Override
            public String add(SessionChange.Add add) {
                return "Add a class on " + Say.moment(add.at()) + where;
            }
        });
    }
}
