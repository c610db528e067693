package app.matsuri.core.change.notice;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.With;
import java.util.Set;

/** Takes a notice, of a series all of it, out of the course. */
public record RemoveNotice(String course, String notice) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Find.notice(before, course, notice);
        return Outcome.of(before.withCourse(
                course,
                c -> c.withBesides(
                        c.besides().withNotices(With.without(c.besides().notices(), n -> n.id().equals(notice))))));
    }

    @Override
    public String sentence(Decisions before) {
        return "Take out notice “" + Find.notice(before, course, notice).title() + "”";
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(Find.hand(course, notice));
    }
}
