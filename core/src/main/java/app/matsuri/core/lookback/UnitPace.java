package app.matsuri.core.lookback;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Unit;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

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
        @Nullable LocalDate first,
        @Nullable LocalDate last,
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

    /** "Five weeks, of which one was a break: 11 sessions". */
    public String sentence() {
        if (first == null) {
            return "No session";
        }
        int off = weeks - teachingWeeks;
        String long1 = capital(number(weeks)) + (weeks == 1 ? " week" : " weeks");
        String broken = off == 0 ? "" : ", of which " + number(off) + (off == 1 ? " was a break" : " were breaks");
        return long1 + broken + ": " + Say.count(sessions(), "session");
    }

    /** "as planned", "2 more than planned", "still to come". */
    public String beside() {
        int more = usual - planned;
        return switch (state) {
            case TO_COME -> "still to come";
            case UNDER_WAY -> taught + " of " + sessions() + " taught";
            case TAUGHT ->
                more == 0 ? "as planned" : Math.abs(more) + (more > 0 ? " more" : " fewer") + " than planned";
        };
    }

    private static String number(int n) {
        List<String> words = List.of(
                "no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven",
                "twelve");
        return n < words.size() ? words.get(n) : String.valueOf(n);
    }

    private static String capital(String word) {
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }

    /** The classes lost between its first and its last. */
    public List<Cell> lost() {
        return cells.stream().filter(c -> c.kind() == Kind.LOST).toList();
    }
}
