package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.util.BitSet;
import java.util.function.Consumer;

/** Usable sessions that no lesson takes: each one between lessons, and those behind the last lesson together. */
final class SessionsWithoutPlan implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        BitSet taken = new BitSet();
        int first = 0;
        for (Placement placement : in.placements()) {
            placement.slots().forEach(s -> taken.set(s.session()));
        }
        for (int i = 0; i < in.sessions().size(); i++) {
            first = in.sessions().get(i).record() ? i + 1 : first;
        }
        int last = taken.length();
        int free = 0;
        for (int i = first; i < in.sessions().size(); i++) {
            Session session = in.sessions().get(i);
            if (!session.open() || session.record() || taken.get(i)) {
                continue;
            }
            if (i >= last) {
                free++;
            } else {
                found.accept(new Finding(
                        "nothing-planned",
                        Severity.REMARK,
                        Check.about(in, "session", session.name().toString()),
                        "The class of " + Say.day(session.date()) + " has nothing planned.",
                        null));
            }
        }
        boolean planned = in.placements().stream().anyMatch(Placement::placed);
        if (free > 0 && planned) {
            found.accept(new Finding(
                    "nothing-planned",
                    Severity.REMARK,
                    Check.about(in, "section", in.section().code()),
                    free == 1
                            ? "The last class of the term has nothing planned."
                            : "The last " + free + " classes of the term have nothing planned.",
                    null));
        }
    }
}
