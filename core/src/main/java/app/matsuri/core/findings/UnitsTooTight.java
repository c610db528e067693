package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Took;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.List;
import java.util.function.Consumer;

/** Units that have fewer sessions than they took in any earlier term. */
final class UnitsTooTight implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        List<Took> all = in.course().besides().took();
        if (all.isEmpty()) {
            return;
        }
        for (Unit unit : in.course().units()) {
            List<Took> earlier =
                    all.stream().filter(t -> t.unit().equals(unit.id())).toList();
            if (!earlier.isEmpty()) {
                look(in, unit, earlier, found);
            }
        }
    }

    private static void look(SectionSchedule in, Unit unit, List<Took> earlier, Consumer<Finding> found) {
        List<Placement> here = in.placements().stream()
                .filter(p -> p.unit().id().equals(unit.id()) && !p.leftOut())
                .toList();
        if (here.isEmpty() || here.stream().allMatch(Placement::taught)) {
            return;
        }
        int has = here.stream()
                .filter(p -> !in.section().own(p.lesson().id()).joined())
                .mapToInt(p -> Math.max(in.section().length(p.lesson()), taught(p)))
                .sum();
        int least = earlier.stream().mapToInt(Took::sessions).min().orElseThrow();
        int most = earlier.stream().mapToInt(Took::sessions).max().orElseThrow();
        if (has < least) {
            String range = least == most ? "" + least : least + " to " + most;
            found.accept(new Finding(
                    "unit-too-tight",
                    Severity.REMARK,
                    Check.about(in, "lesson", here.get(0).lesson().id()),
                    "“" + unit.title() + "” has " + Say.count(has, "session") + "; in "
                            + Say.count(terms(earlier), "earlier term") + " it took " + range + ".",
                    null));
        }
    }

    private static int taught(Placement placement) {
        return (int) placement.slots().stream().filter(Placement.Slot::taught).count();
    }

    private static int terms(List<Took> earlier) {
        return (int) earlier.stream().map(Took::term).distinct().count();
    }
}
