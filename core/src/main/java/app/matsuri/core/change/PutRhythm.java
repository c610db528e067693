package app.matsuri.core.change;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.Rhythms;
import app.matsuri.core.schedule.Schedule;
import java.util.ArrayList;
import java.util.List;

/**
 * Adds a rhythm, or changes the one of its id. What it yielded follows; what was changed by hand since stays as it is,
 * and what was taken out by hand stays out.
 */
public record PutRhythm(String course, Rhythm rhythm) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Course in = Find.course(before, course);
        Find.unit(before, course, rhythm.unit());
        if (rhythm.parts().isEmpty()) {
            throw new Refused("“" + rhythm.title() + "” brings nothing yet: add what comes each time.");
        }
        int times = times(before);
        if (times == 0) {
            throw new Refused("“" + rhythm.title() + "” finds no class in any section. Look at its weekdays and at the"
                    + " words in the titles.");
        }
        Rhythm now = rhythm.yielded(times);
        Course with = in.withBesides(
                in.besides().withRhythms(With.put(in.besides().rhythms(), r -> r.id().equals(rhythm.id()), now)));
        List<String> notes = new ArrayList<>();
        Yielding was = Yielding.of(in.rhythm(rhythm.id()).orElse(null));
        Course after = Yielding.of(now).inPlaceOf(was, with, rhythm.unit(), notes);
        return new Outcome(before.withCourse(after), notes);
    }

    /** As often as the section with the most classes for it has some, and no more often than it says. */
    private int times(Decisions before) {
        List<Integer> classes = Schedule.of(before).sections(course).stream()
                .map(s -> Rhythms.count(rhythm, s))
                .toList();
        int most = classes.stream().mapToInt(n -> n).max().orElse(0);
        return rhythm.times() == 0 ? most : Math.min(most, rhythm.times());
    }

    @Override
    public String sentence(Decisions before) {
        boolean known =
                before.course(course).flatMap(c -> c.rhythm(rhythm.id())).isPresent();
        return (known ? "Change rhythm “" : "Add rhythm “") + rhythm.title() + "”";
    }
}
