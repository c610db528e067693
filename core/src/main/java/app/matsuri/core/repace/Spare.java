package app.matsuri.core.repace;

import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What if classes are lost in a unit: how many the plan can bear before something required finds no room, with the cheapest
 * repair each time.
 *
 * @param classes that the unit has and that are not taught yet
 * @param bears how many of them may be lost, from its first on; as many as there are where all may
 * @param costs what the cheapest repair costs when one is lost; the same as now where none is
 */
public record Spare(Unit unit, int classes, int bears, long costs) {

    /** The most classes of a unit that are tried. */
    private static final int MOST = 12;

    /**
     * For every unit that has classes to come, in order.
     *
     */
    public static List<Spare> of(Decisions decisions, SectionSchedule in) {
        long now = noRoom(in);
        List<Spare> found = new ArrayList<>();
        for (Unit unit : in.course().units()) {
            List<LocalDateTime> names = in.placements().stream()
                    .filter(p -> p.unit() == unit)
                    .flatMap(p -> p.slots().stream())
                    .filter(s -> !s.taught())
                    .map(Placement.Slot::session)
                    .distinct()
                    .sorted()
                    .map(i -> in.sessions().get(i).name())
                    .toList();
            if (names.isEmpty()) {
                continue;
            }
            int bears = 0;
            long costs = 0;
            for (int k = 1; k <= Math.min(names.size(), MOST); k++) {
                SectionSchedule without = without(decisions, in, names.subList(0, k));
                Way best = Ways.tidy(without);
                if (k == 1) {
                    costs = best.total();
                }
                if (best.costs().getOrDefault(Cost.NO_ROOM, 0) > now) {
                    break;
                }
                bears = k;
            }
            found.add(new Spare(unit, names.size(), bears, costs));
        }
        return found;
    }

    private static long noRoom(SectionSchedule in) {
        Map<Cost, Integer> costs = Ways.tidy(in).costs();
        return costs.getOrDefault(Cost.NO_ROOM, 0);
    }

    /** The section with those classes held empty. */
    private static SectionSchedule without(Decisions decisions, SectionSchedule in, List<LocalDateTime> names) {
        Section section = in.section();
        Set<LocalDateTime> held = new HashSet<>(section.holdsEmpty());
        held.addAll(names);
        Decisions then = decisions.withCourse(in.course().code(), c -> c.withSection(section.withHoldsEmpty(held)));
        return Schedule.of(
                        then.withCourses(List.of(then.course(in.course().code()).orElseThrow())))
                .section(in.course().code(), section.code())
                .orElseThrow();
    }
}
