package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Puts a unit elsewhere in the order of the plan.
 *
 * @param before id of the unit before which it goes; null for the end
 */
public record ArrangeUnit(
        String course, String unit, @Nullable String before) implements Change {

    @Override
    public Outcome apply(Decisions decisions) {
        Course in = Find.course(decisions, course);
        Unit moved = Find.unit(decisions, course, unit);
        List<Unit> units = new ArrayList<>(With.without(in.units(), u -> u.id().equals(unit)));
        int place = units.size();
        for (int i = 0; i < units.size(); i++) {
            if (units.get(i).id().equals(before)) {
                place = i;
            }
        }
        units.add(place, moved);
        return Outcome.of(decisions.withCourse(in.withUnits(units)));
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.lessons(in, course, null, TakesHold.inUnits(in, unit, before), null);
    }

    @Override
    public String sentence(Decisions decisions) {
        String title = "“" + Find.unit(decisions, course, unit).title() + "”";
        return before == null
                ? "Put unit " + title + " last"
                : "Put unit " + title + " before “"
                        + Find.unit(decisions, course, before).title() + "”";
    }
}
