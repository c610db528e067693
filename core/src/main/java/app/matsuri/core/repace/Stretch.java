package app.matsuri.core.repace;

import app.matsuri.core.plan.Weights;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * What is to be paced: lessons in order, and the sessions that they may take. Nothing here knows of a course; the model is that
 * of domain.md, "Re-pacing".
 *
 * @param slots the sessions, in order
 * @param lessons what is to be placed, in order
 * @param begun the unit of which a lesson was taught last, and how many breaks end before that; null where none was
 * @param weights what each way of giving way costs
 * @param usual by minutes, how many a lesson of length 1 takes; 0 where lessons take whole sessions
 * @param from the first slot that lessons may take; those before it are over
 */
public record Stretch(
        List<Slot> slots, List<Asked> lessons, @Nullable Begun begun, Weights weights, int usual, int from) {

    /** A stretch whose lessons take whole sessions, of which none is over. */
    public Stretch(List<Slot> slots, List<Asked> lessons, Begun begun, Weights weights) {
        this(slots, lessons, begun, weights, 0, 0);
    }

    /** The same with other lessons. */
    Stretch with(List<Asked> others) {
        return new Stretch(slots, others, begun, weights, usual, from);
    }

    /** A unit that is under way. */
    public record Begun(int unit, int breaksBefore) {}

    /**
     * A session that lessons may take.
     *
     * @param date its day
     * @param weekStart whether it is the first of its week
     * @param breaksBefore how many breaks of the term end before it
     * @param minutes how long it is
     * @param afterBreak whether it is the section's first session after a break, counting all that are held
     */
    public record Slot(LocalDate date, boolean weekStart, int breaksBefore, int minutes, boolean afterBreak) {}

    /**
     * A lesson that is to be placed.
     *
     * @param unit which of the units it belongs to, by its place
     * @param length sessions that it asks for, 1 or more
     * @param least sessions that it can be shortened to, 1 or more
     * @param pin the only slot on which it may begin; -1 where it is not pinned, -2 where its pin is no slot
     * @param pinUsed where it may begin only within its slot: minutes of that which are gone then; 0 for its beginning
     * @param reserve an empty session held back, which may be given up
     * @param whole it takes whole sessions also where lessons take minutes, as a reserve does
     * @param leavable optional, or the one that yields; of one that was partly taught whether the rest of it may be dropped
     * @param joinable may share the last session of the lesson before it
     * @param opensWeek the first lesson of a unit that asked for a week start
     * @param keepsWeeks its unit asked for a week start
     * @param told the day that students were told; null where they were told none
     * @param test it holds a test
     * @param had where it was partly taught: how many breaks end before the last session that it had; -1 where it was not
     * @param gone by minutes, how many of its length it had already; fewer than the usual
     * @param oneSession by minutes, it keeps to one session where it fits into the one behind that in which it would begin
     * @param must it has to have its place: no pacing is one without
     */
    public record Asked(
            String id,
            int unit,
            int length,
            int least,
            int pin,
            int pinUsed,
            boolean reserve,
            boolean whole,
            boolean leavable,
            boolean joinable,
            boolean opensWeek,
            boolean keepsWeeks,
            @Nullable LocalDate told,
            boolean test,
            int had,
            int gone,
            boolean oneSession,
            boolean must) {

        /** One of whose minutes none were had, and that may be cut. */
        public Asked(
                String id,
                int unit,
                int length,
                int least,
                int pin,
                int pinUsed,
                boolean reserve,
                boolean whole,
                boolean leavable,
                boolean joinable,
                boolean opensWeek,
                boolean keepsWeeks,
                LocalDate told,
                boolean test,
                int had) {
            this(
                    id,
                    unit,
                    length,
                    least,
                    pin,
                    pinUsed,
                    reserve,
                    whole,
                    leavable,
                    joinable,
                    opensWeek,
                    keepsWeeks,
                    told,
                    test,
                    had,
                    0,
                    false,
                    false);
        }

        public Asked {
            Objects.requireNonNull(id, "id");
            if (length < 1 || least < 1 || least > length) {
                throw new IllegalArgumentException(
                        "lesson " + id + " asks for " + least + " to " + length + " sessions");
            }
        }

        /** Whether it was partly taught. */
        boolean begun() {
            return had >= 0;
        }

        /** The same where it must begin in a slot, some minutes in, with a length that it must have. */
        Asked must(int first, int used, int given, boolean joined) {
            return new Asked(
                    id,
                    unit,
                    Math.max(length, given),
                    given,
                    first,
                    used,
                    reserve,
                    whole,
                    false,
                    joined,
                    opensWeek,
                    keepsWeeks,
                    told,
                    test,
                    had,
                    gone,
                    oneSession,
                    true);
        }
    }

    public Stretch {
        slots = List.copyOf(slots);
        lessons = List.copyOf(lessons);
    }
}
