package app.matsuri.core.rollover;

import app.matsuri.core.change.BringCourses;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.Schedule;
import java.util.List;

/**
 * What a rollover comes to, before anything is written.
 *
 * @param before the new term as it stands
 * @param after the new term with what is rolled over
 * @param rows every dated thing, course by course, section by section, in the order of the plan
 * @param notes what did not come along as it was, a sentence each
 * @param change the one step that does it
 */
public record RolledOver(
        Rollover rollover,
        Decisions before,
        Decisions after,
        Schedule schedule,
        List<Rolled> rows,
        List<String> notes,
        BringCourses change) {

    public RolledOver {
        rows = List.copyOf(rows);
        notes = List.copyOf(notes);
    }

    /** How many change their weekday. */
    public long changeWeekday() {
        return rows.stream().filter(Rolled::changesWeekday).count();
    }

    /** How many fell on a day off or a weekend, and went on to the next day that teaches. */
    public long landed() {
        return rows.stream().filter(Rolled::landed).count();
    }

    /** How many lessons find no session. */
    public long noSession() {
        return rows.stream().filter(Rolled::noSession).count();
    }

    /** What waits for a hand, each once, whatever the number of sections; lessons without a session are not among it. */
    public List<Rolled> hands() {
        return rows.stream()
                .filter(r -> r.hand() != null)
                .filter(r -> rows.stream()
                        .filter(o -> o.hand() != null
                                && o.course().equals(r.course())
                                && o.what().equals(r.what())
                                && o.id().equals(r.id()))
                        .findFirst()
                        .orElse(r)
                        .equals(r))
                .toList();
    }
}
