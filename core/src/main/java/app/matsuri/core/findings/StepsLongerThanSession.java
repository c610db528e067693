package app.matsuri.core.findings;

import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.function.Consumer;

/** Lessons whose steps take more minutes than the sessions they have. */
final class StepsLongerThanSession implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (Placement placement : in.placements()) {
            int steps = placement.lesson().details().minutes();
            int room = in.section().length(placement.lesson()) * in.course().usualMinutes();
            if (steps > room && !placement.leftOut()) {
                found.accept(new Finding(
                        "steps-longer-than-session",
                        Severity.WARNING,
                        Check.about(in, "lesson", placement.lesson().id()),
                        "The steps of “" + placement.lesson().title() + "” take " + steps + " minutes, "
                                + (steps - room) + " more than the " + room + " it has.",
                        null));
            }
        }
    }
}
