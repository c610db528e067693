package app.matsuri.core.change.notice;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Yielding;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.With;
import java.util.ArrayList;
import java.util.List;

/** Takes a rhythm and what it yielded out of the course; what was changed by hand since stays. */
public record RemoveRhythm(String course, String rhythm) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Rhythm out = Find.rhythm(before, course, rhythm);
        Course in = Find.course(before, course);
        Course without = in.withBesides(
                in.besides().withRhythms(With.without(in.besides().rhythms(), r -> r.id().equals(rhythm))));
        List<String> notes = new ArrayList<>();
        Course after = Yielding.of(null).inPlaceOf(Yielding.of(out), without, null, notes);
        return new Outcome(before.withCourse(after), notes);
    }

    @Override
    public String sentence(Decisions before) {
        return "Take out rhythm “" + Find.rhythm(before, course, rhythm).title() + "”";
    }
}
