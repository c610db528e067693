package app.matsuri.core.change;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.SessionChange;
import app.matsuri.core.session.Sessions;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/** A session with a record stands: where a change takes it out of its pattern, it stays as an added session. */
final class KeepTaught {

    private KeepTaught() {}

    static Decisions from(Decisions before, Decisions after) {
        Decisions kept = after;
        TeachingCalendar calendar = null;
        TeachingCalendar old = null;
        for (Course course : after.courses()) {
            for (Section section : course.sections()) {
                Section was = before.course(course.code())
                        .flatMap(c -> c.section(section.code()))
                        .orElse(null);
                boolean same = was != null
                        && was.meets().equals(section.meets())
                        && was.sessionChanges().equals(section.sessionChanges())
                        && before.term().equals(after.term());
                if (was == null || same || section.taught().isEmpty()) {
                    continue;
                }
                calendar = calendar == null ? TeachingCalendar.of(after.term()) : calendar;
                old = old == null ? TeachingCalendar.of(before.term()) : old;
                Sessions now = section.timetable(course.code()).sessions(calendar);
                Sessions then = was.timetable(course.code()).sessions(old);
                List<SessionChange> changes = new ArrayList<>(section.sessionChanges());
                for (LocalDateTime name : section.taught().keySet()) {
                    if (now.indexOf(name).isEmpty() && then.indexOf(name).isPresent()) {
                        Session session = then.get(then.indexOf(name).getAsInt());
                        int minutes = Math.max(1, session.minutes());
                        changes.add(new SessionChange.Add(name, minutes, session.place(), Extra.NONE));
                        if (!session.start().equals(name)) {
                            changes.add(new SessionChange.Move(name, session.start(), null, Extra.NONE));
                        }
                    }
                }
                if (changes.size() > section.sessionChanges().size()) {
                    kept = kept.withCourse(course.code(), c -> c.withSection(section.withSessionChanges(changes)));
                }
            }
        }
        return kept;
    }
}
