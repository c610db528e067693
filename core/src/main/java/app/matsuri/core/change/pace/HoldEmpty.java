package app.matsuri.core.change.pace;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.Optional;

/**
 * Holds a class empty, or gives it back to the plan.
 *
 * @param session name of the class
 */
public record HoldEmpty(String course, String section, LocalDateTime session, boolean hold) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Section in = Find.section(before, course, section);
        if (hold && in.taught().containsKey(session)) {
            throw new Refused("The class of " + Say.moment(session) + " has a record: it cannot be kept free.");
        }
        if (hold
                && Find.follows(before, course, section)
                        .sessions()
                        .indexOf(session)
                        .isEmpty()) {
            throw new Refused("Section " + section + " has no class that began at " + Say.moment(session) + ".");
        }
        Section held = in.withHoldsEmpty(With.member(in.holdsEmpty(), session, hold));
        return Outcome.of(before.withCourse(course, c -> c.withSection(held)));
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.session(in, course, section, session);
    }

    @Override
    public String sentence(Decisions before) {
        return (hold ? "Keep the class of " : "Use the class of ")
                + Say.day(session.toLocalDate())
                + (hold ? " free" : " again")
                + Find.in(course, section);
    }
}
