package app.matsuri.core.change.plan;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Took;
import app.matsuri.core.plan.With;
import java.util.List;

/**
 * Keeps with a course how long its units took in earlier terms, in place of what was known of the same section and term.
 *
 * @param took one or more, of units of the course
 */
public record RememberPace(String course, List<Took> took) implements Change {

    public RememberPace {
        took = List.copyOf(took);
    }

    @Override
    public Outcome apply(Decisions before) {
        Course in = Find.course(before, course);
        List<Took> now = in.besides().took();
        for (Took one : took) {
            Find.unit(before, course, one.unit());
            now = With.put(now, t -> t.same(one), one);
        }
        if (now.equals(in.besides().took())) {
            throw new Refused("That is known already: nothing changes.");
        }
        List<Took> all = now;
        return Outcome.of(
                before.withCourse(course, c -> c.withBesides(c.besides().withTook(all))));
    }

    @Override
    public String sentence(Decisions before) {
        List<String> terms = took.stream().map(Took::term).distinct().toList();
        return "Keep in mind how long "
                + Say.count((int) took.stream().map(Took::unit).distinct().count(), "unit") + " of " + course
                + " took in " + String.join(" and ", terms);
    }
}
