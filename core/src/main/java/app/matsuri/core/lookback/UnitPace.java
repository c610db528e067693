package app.matsuri.core.lookback;

import app.matsuri.core.plan.Unit;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/**
 * How long a unit takes, or took, in one section.
 *
 * @param planned sessions that the plan gives its lessons, left out or not
 * @param taught sessions of which it is recorded that something of it was taught
 * @param usual all its sessions, taught and to come, in sessions of the course's usual length
 * @param lengths of each lesson that was finished, the sessions that it took
 * @param cells its sessions and those lost among them, in order of time
 * @param first date of its first session; null where it has none
 * @param last date of its last session; null where it has none
 * @param weeks calendar weeks from the first to the last
 * @param teachingWeeks those of them with a teaching day
 * @param tests titles of tests due between the first and the last, with their dates
 * @param notes why its lessons took longer, in order of the plan
 */
public record UnitPace(
        Unit unit,
        String section,
        State state,
        int planned,
        int taught,
        int usual,
        Map<String, Integer> lengths,
        List<Cell> cells,
        LocalDate first,
        LocalDate last,
        int weeks,
        int teachingWeeks,
        List<Test> tests,
        List<String> notes) {

    /** How far it is. */
    public enum State {
        TO_COME,
        UNDER_WAY,
        TAUGHT
    }

    /** What became of a class. */
    public enum Kind {
        TAUGHT,
        TO_COME,
        LOST
    }

    /**
     * A class of it, or one lost between its first and its last.
     *
     * @param what titles of its lessons there, or the reason for which it was lost
     * @param test whether a test is due that day
     */
    public record Cell(LocalDate date, Kind kind, String what, boolean test) {}

    /** A test in it. */
    public record Test(LocalDate date, String title) {}

    public UnitPace {
        cells = List.copyOf(cells);
        tests = List.copyOf(tests);
        notes = List.copyOf(notes);
        lengths = Map.copyOf(lengths);
    }

    /** Its sessions, taught and to come. */
    public int sessions() {
        return (int) cells.stream().filter(c -> c.kind() != Kind.LOST).count();
    }

    /** The classes lost between its first and its last. */
    public List<Cell> lost() {
        return cells.stream().filter(c -> c.kind() == Kind.LOST).toList();
    }
}
