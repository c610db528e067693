package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.util.function.Consumer;

/** Lessons fixed on a date without a session, which go to the first usable one after it. */
final class PinsWithoutSession implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (Placement placement : in.placements()) {
            LocalDate pin = in.section().pin(placement.lesson());
            boolean taught = placement.slots().stream().anyMatch(Placement.Slot::taught);
            if (pin == null || placement.leftOut() || taught || !placement.placed()) {
                continue;
            }
            LocalDate day = in.sessions().get(placement.first()).date();
            if (!day.equals(pin)) {
                String code = in.course().code();
                found.accept(new Finding(
                        "pin-without-session",
                        Severity.WARNING,
                        Check.about(in, "lesson", placement.lesson().id()),
                        "“" + placement.lesson().title() + "” is fixed on " + Say.day(pin)
                                + ", which has no class to use; it goes to " + Say.day(day) + ".",
                        new Pin(code, in.section().code(), placement.lesson().id(), day)));
            }
        }
    }
}
