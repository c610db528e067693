package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Publishing;

/** Says how a course is shown to its students. */
public record SetPublishing(String course, Publishing publishing) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Course in = Find.course(before, course);
        if (in.besides().publishing().equals(publishing)) {
            throw new Refused("“" + course + "” is shown so already.");
        }
        return Outcome.of(before.withCourse(in.withBesides(in.besides().withPublishing(publishing))));
    }

    @Override
    public String sentence(Decisions before) {
        return "Change how " + course + " is shown to students";
    }
}
