package app.matsuri.core.change.notice;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.Yielding;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.Rhythms;
import app.matsuri.core.schedule.Schedule;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Adds a rhythm, or changes the one of its id. What it yielded follows, but for what was changed by hand since; what was
 * taken out by hand stays out.
 */
public record PutRhythm(String course, Rhythm rhythm) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Course in = Find.course(before, course);
        Find.unit(before, course, rhythm.unit());
        if (rhythm.parts().isEmpty()) {
            throw new Refused("“" + rhythm.title() + "” brings nothing yet: add what comes each time.");
        }
        Map<String, Integer> classes = new LinkedHashMap<>();
        Schedule.of(before)
                .sections(course)
                .forEach(section -> classes.put(section.section().code(), Rhythms.count(rhythm, section)));
        Rhythm now = rhythm.yielded(classes);
        if (now.comes() == 0) {
            throw new Refused("“" + rhythm.title() + "” finds no class in any section. Look at its weekdays and at the"
                    + " words in the titles.");
        }
        Course with = in.withBesides(
                in.besides().withRhythms(With.put(in.besides().rhythms(), r -> r.id().equals(rhythm.id()), now)));
        List<String> notes = new ArrayList<>();
        Yielding was = Yielding.of(in.rhythm(rhythm.id()).orElse(null));
        Course after = Yielding.of(now).inPlaceOf(was, with, rhythm.unit(), notes);
        return new Outcome(before.withCourse(after), notes);
    }

    @Override
    public String sentence(Decisions before) {
        boolean known =
                before.course(course).flatMap(c -> c.rhythm(rhythm.id())).isPresent();
        return (known ? "Change rhythm “" : "Add rhythm “") + rhythm.title() + "”";
    }
}
