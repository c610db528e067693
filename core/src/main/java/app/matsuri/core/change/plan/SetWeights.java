package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Besides;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Weights;

/** Says what each way of giving way costs in a course when it is paced anew. */
public record SetWeights(String course, Weights weights) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Course in = Find.course(before, course);
        Besides was = in.besides();
        if (was.weights().equals(weights)) {
            throw new Refused("These are the costs that “" + course + "” has.");
        }
        return new Outcome(before.withCourse(in.withBesides(was.withWeights(weights))), weights.doubts());
    }

    @Override
    public String sentence(Decisions before) {
        return "Change what giving way costs in " + course;
    }
}
