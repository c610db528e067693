package app.matsuri.core.change.notice;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.With;
import java.util.List;

/** Writes a few words on a day, in place of those that stood there; empty ones take them away. */
public record PutDayNote(String course, DayNote note) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Course in = Find.course(before, course);
        if (note.section() != null) {
            Find.section(before, course, note.section());
        }
        List<DayNote> notes = note.text().isBlank()
                ? With.without(in.besides().dayNotes(), note::same)
                : With.put(in.besides().dayNotes(), note::same, note);
        return Outcome.of(before.withCourse(in.withBesides(in.besides().withDayNotes(notes))));
    }

    @Override
    public String sentence(Decisions before) {
        return (note.text().isBlank() ? "Take away the note on " : "Note on ")
                + Say.day(note.date())
                + (note.text().isBlank()
                        ? ""
                        : ": " + note.text().strip().lines().findFirst().orElse(""));
    }
}
