package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Gone;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.change.Yielding;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Takes a unit with its lessons, items, notices and rhythms out of the plan; not when one of its lessons was taught. */
public record RemoveUnit(String course, String unit) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Unit out = Find.unit(before, course, unit);
        Course in = Find.course(before, course);
        out.lessons().forEach(lesson -> RemoveLesson.untaught(Find.course(before, course), lesson));
        List<String> notes = new ArrayList<>();
        for (Rhythm rhythm : in.besides().rhythms()) {
            if (rhythm.unit().equals(unit)) {
                in = Yielding.of(null).inPlaceOf(Yielding.of(rhythm), in, null, new ArrayList<>());
            }
        }
        in = in.withBesides(in.besides()
                .withNotices(With.without(in.besides().notices(), n -> unit.equals(n.unit())))
                .withRhythms(With.without(in.besides().rhythms(), r -> r.unit().equals(unit))));
        in = in.withUnits(With.without(in.units(), u -> u.id().equals(unit)));
        Gone gone = new Gone(before, course, Gone.lessons(out), Set.of(unit), Gone.items(out));
        return new Outcome(before.withCourse(gone.from(in, notes)), notes);
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.lessons(in, course, null, TakesHold.inUnits(in, unit, null), null);
    }

    @Override
    public String sentence(Decisions before) {
        return "Take out unit “" + Find.unit(before, course, unit).title() + "”";
    }
}
