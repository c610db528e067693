package app.matsuri.core.rollover;

import app.matsuri.core.plan.Unit;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/**
 * One dated thing of one section, in the old term and in the new one.
 *
 * @param section code of the section in the new term
 * @param what "lesson", "pin", "opens", "due" or "closes"; of a notice "begins" or "ends"
 * @param unit the unit that it belongs to; null for none
 * @param id of the lesson, item or notice
 * @param old null where it had no date
 * @param now null where it has none yet
 * @param why why it is there, or why it has no date
 * @param landed it fell on a day that does not teach, or on which nothing may be due, and went on to the next
 * @param state what became of it
 * @param suggested the date that it would have; null where it has one, or there is none
 */
public record Rolled(
        String course,
        String section,
        String what,
        @Nullable Unit unit,
        String id,
        String title,
        @Nullable LocalDateTime old,
        @Nullable LocalDateTime now,
        String why,
        boolean landed,
        State state,
        @Nullable LocalDateTime suggested) {

    /** The name of a lesson's date. */
    public static final String LESSON = "lesson";

    /** The name of the date on which a lesson is fixed. */
    public static final String PIN = "pin";

    /** What became of a date. */
    public enum State {
        /** Its rule stands. */
        KEPT,
        /** It was placed by the way, or given by hand. */
        CARRIED,
        /** It waits for a hand. */
        HAND,
        /** It has no place. */
        LOST
    }

    /** Whether it has its place. */
    public boolean placed() {
        return state == State.KEPT || state == State.CARRIED;
    }

    /** Whether it comes to another weekday. */
    public boolean changesWeekday() {
        return old != null && now != null && old.getDayOfWeek() != now.getDayOfWeek();
    }

    /** Whether it is a lesson that finds no session. */
    public boolean noSession() {
        return what.equals(LESSON) && now == null;
    }
}
