package app.matsuri.core.repace;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.pace.Join;
import app.matsuri.core.change.pace.LeaveOut;
import app.matsuri.core.change.pace.OwnLessonChange;
import app.matsuri.core.change.pace.SetLength;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

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

    /** What is decided of a lesson's content, and so for all; gaps and beginnings are each section's own. */
    private static final Set<Class<?>> CONTENT = Set.of(LeaveOut.class, SetLength.class, Join.class);

    private static List<Change> others(Change change, Decisions decisions) {
        if (change instanceof OwnLessonChange own && CONTENT.contains(own.getClass())) {
            return others(decisions, own.course(), own.section()).stream()
                    .<Change>map(own::in)
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
