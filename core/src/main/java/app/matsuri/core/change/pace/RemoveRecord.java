package app.matsuri.core.change.pace;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.With;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Set;

/** Takes back what was recorded for a class. */
public record RemoveRecord(String course, String section, LocalDateTime session) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Section in = Find.section(before, course, section);
        List<String> lessons = in.taught().get(session);
        if (lessons == null) {
            throw new Refused("Nothing is recorded for the class of " + Say.moment(session) + ".");
        }
        var left = With.entry(in.taught(), session, null);
        Set<String> partly = in.lessonsWhere(OwnLesson::partly);
        for (String lesson : lessons) {
            boolean still = left.values().stream().anyMatch(ids -> ids.contains(lesson));
            partly = With.member(partly, lesson, still && in.own(lesson).partly());
        }
        Section without = in.withTaught(left, partly);
        return Outcome.of(before.withCourse(course, c -> c.withSection(without)));
    }

    @Override
    public String sentence(Decisions before) {
        return "Take back the record of " + Say.day(session.toLocalDate()) + Find.in(course, section);
    }
}
