package app.matsuri.core.change;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.With;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Records what was taught in a class: as planned, partly, or, with no lesson, that nothing of the plan was reached.
 *
 * @param session name of the class
 * @param lessons ids of the lessons taught in it
 * @param partly whether the last of them goes on in the next class
 * @param note a word of why, kept with the last of them; may be empty
 */
public record RecordTaught(
        String course, String section, LocalDateTime session, List<String> lessons, boolean partly, String note)
        implements Change {

    public RecordTaught {
        lessons = List.copyOf(lessons);
    }

    @Override
    public Outcome apply(Decisions before) {
        Section in = Find.section(before, course, section);
        if (Find.follows(before, course, section).sessions().indexOf(session).isEmpty()) {
            throw new Refused("Section " + section + " has no class that began at " + Say.moment(session) + ".");
        }
        lessons.forEach(id -> Find.lesson(before, course, id));
        Set<String> inPart = in.partly();
        for (int i = 0; i < lessons.size(); i++) {
            inPart = With.member(inPart, lessons.get(i), partly && i == lessons.size() - 1);
        }
        Map<LocalDateTime, List<String>> taught = With.entry(in.taught(), session, lessons);
        Section recorded = in.withTaught(taught, inPart);
        if (!note.isEmpty() && !lessons.isEmpty()) {
            recorded = recorded.withNotes(With.entry(in.notes(), lessons.get(lessons.size() - 1), note));
        }
        Section done = recorded;
        return Outcome.of(before.withCourse(course, c -> c.withSection(done)));
    }

    @Override
    public String sentence(Decisions before) {
        String when = Say.day(session.toLocalDate()) + Find.in(course, section);
        if (lessons.isEmpty()) {
            return "Record that nothing of the plan was reached on " + when;
        }
        return "Record "
                + String.join(
                        ", ",
                        lessons.stream()
                                .map(id -> "“" + Find.lesson(before, course, id).title() + "”")
                                .toList())
                + (partly ? " as partly taught on " : " as taught on ")
                + when;
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.copyOf(lessons.stream().map(id -> new Hand(course, id)).toList());
    }
}
