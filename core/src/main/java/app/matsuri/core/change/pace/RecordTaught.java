package app.matsuri.core.change.pace;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Records what was taught in a class: as planned, partly, to the end, or, with no lesson, that nothing of the plan was reached. As
 * planned, a lesson of which more is to come goes on.
 *
 * @param session name of the class
 * @param lessons ids of the lessons taught in it
 * @param partly whether the last of them goes on in the next class, though nothing more of it was planned
 * @param finished whether the last of them is done, though more of it was planned
 * @param note a word of why, kept with the last of them; may be empty
 */
public record RecordTaught(
        String course,
        String section,
        LocalDateTime session,
        List<String> lessons,
        boolean partly,
        boolean finished,
        String note)
        implements Change {

    public RecordTaught {
        lessons = List.copyOf(lessons);
    }

    /** Not finished before its time. */
    public RecordTaught(
            String course, String section, LocalDateTime session, List<String> lessons, boolean partly, String note) {
        this(course, section, session, lessons, partly, false, note);
    }

    @Override
    public Outcome apply(Decisions before) {
        Section in = Find.section(before, course, section);
        SectionSchedule schedule = Find.follows(before, course, section);
        int index = schedule.sessions().indexOf(session).orElse(-1);
        if (index < 0) {
            throw new Refused("Section " + section + " has no class that began at " + Say.moment(session) + ".");
        }
        lessons.forEach(id -> Find.lesson(before, course, id));
        Recording recording = new Recording(schedule);
        recording.record(index, lessons);
        if (!lessons.isEmpty()) {
            String last = lessons.get(lessons.size() - 1);
            if (partly) {
                recording.goesOn(last);
            } else if (finished) {
                recording.ends(last);
            }
        }
        Section recorded = recording.section();
        if (!note.isEmpty() && !lessons.isEmpty()) {
            recorded = recorded.withNote(lessons.get(lessons.size() - 1), note);
        }
        Section done = recorded;
        return Outcome.of(before.withCourse(course, c -> c.withSection(done)));
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.session(in, course, section, session);
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
                + (partly ? " as partly taught on " : finished ? " as taught to the end on " : " as taught on ")
                + when;
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.copyOf(lessons.stream().map(id -> new Hand(course, id)).toList());
    }
}
