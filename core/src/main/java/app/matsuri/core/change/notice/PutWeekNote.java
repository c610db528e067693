package app.matsuri.core.change.notice;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.WeekNote;
import app.matsuri.core.plan.With;
import java.time.temporal.TemporalAdjusters;
import java.util.List;

/** Gives a week a headline and targets, in place of those it had; without either it has none any more. */
public record PutWeekNote(String course, WeekNote note) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Course in = Find.course(before, course);
        if (note.section() != null) {
            Find.section(before, course, note.section());
        }
        WeekNote whole = new WeekNote(
                note.first().with(TemporalAdjusters.previousOrSame(before.term().weekStart())),
                note.section(),
                note.headline().strip(),
                note.targets());
        boolean nothing = whole.headline().isEmpty() && whole.targets().isEmpty();
        List<WeekNote> notes = nothing
                ? With.without(in.besides().weekNotes(), whole::same)
                : With.put(in.besides().weekNotes(), whole::same, whole);
        return Outcome.of(before.withCourse(in.withBesides(in.besides().withWeekNotes(notes))));
    }

    @Override
    public String sentence(Decisions before) {
        return "Headline and targets of the week of " + Say.day(note.first());
    }
}
