package app.matsuri.core.repace;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.pace.Join;
import app.matsuri.core.change.pace.LeaveOut;
import app.matsuri.core.change.pace.SetLength;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import java.util.ArrayList;
import java.util.List;

/**
 * Steps of one section's way out that hold for the whole plan: what it leaves out, shortens or joins, the other sections of its
 * course do too, so that they stay together. What hangs on a section's own days (a class held empty, a unit begun mid-week, a gap)
 * stays its own.
 */
public final class Everywhere {

    private Everywhere() {}

    /**
     * The steps for every section of the course, one of the same number for each.
     *
     * @param decisions those that the steps are made on
     */
    public static List<Way.Step> of(List<Way.Step> steps, Decisions decisions) {
        List<Way.Step> all = new ArrayList<>();
        Decisions now = decisions;
        for (Way.Step step : steps) {
            now = Change.make(step.change(), now).decisions();
            List<Change> changes = new ArrayList<>(List.of(step.change()));
            for (Change other : others(step.change(), now)) {
                try {
                    Decisions then = Change.make(other, now).decisions();
                    if (!then.equals(now)) {
                        changes.add(other);
                        now = then;
                    }
                } catch (Refused e) {
                    // it was taught there: that section keeps it
                    continue;
                }
            }
            all.add(
                    changes.size() == 1
                            ? step
                            : new Way.Step(
                                    step.sentence() + ", in all sections",
                                    new Together(step.sentence() + " in all sections", changes)));
        }
        return all;
    }

    private static List<Change> others(Change change, Decisions decisions) {
        if (change instanceof LeaveOut out) {
            return others(decisions, out.course(), out.section()).stream()
                    .<Change>map(s -> new LeaveOut(out.course(), s, out.lesson(), out.leave()))
                    .toList();
        }
        if (change instanceof SetLength set) {
            return others(decisions, set.course(), set.section()).stream()
                    .<Change>map(s -> new SetLength(set.course(), s, set.lesson(), set.length()))
                    .toList();
        }
        if (change instanceof Join join) {
            return others(decisions, join.course(), join.section()).stream()
                    .<Change>map(s -> new Join(join.course(), s, join.lesson(), join.join()))
                    .toList();
        }
        return List.of();
    }

    private static List<String> others(Decisions decisions, String course, String section) {
        return decisions.course(course).map(Course::sections).orElse(List.of()).stream()
                .map(Section::code)
                .filter(code -> !code.equals(section))
                .toList();
    }
}
