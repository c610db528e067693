package app.matsuri.core.change.section;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Section;
import java.time.LocalDateTime;
import java.util.List;

/**
 * Adds links and recordings to a class, for students to see with it at once; in place of those that it had.
 *
 * @param session name of the class
 * @param links none takes them away
 */
public record PutSessionLinks(String course, String section, LocalDateTime session, List<Link> links)
        implements Change {

    public PutSessionLinks {
        links = List.copyOf(links);
    }

    @Override
    public Outcome apply(Decisions before) {
        Section in = Find.section(before, course, section);
        boolean known = in.told().sessions().containsKey(session)
                || in.sessionLinks().containsKey(session)
                || Find.follows(before, course, section)
                        .sessions()
                        .indexOf(session)
                        .isPresent();
        if (!known) {
            throw new Refused("Section " + section + " has no class that began at " + Say.moment(session) + ".");
        }
        return Outcome.of(before.withCourse(course, c -> c.withSection(in.withSessionLinks(session, links))));
    }

    @Override
    public String sentence(Decisions before) {
        String to = " the class of " + Say.day(session.toLocalDate()) + Find.in(course, section);
        return links.isEmpty()
                ? "Take the links away from" + to
                : "Add " + Say.count(links.size(), "link") + " to" + to;
    }
}
