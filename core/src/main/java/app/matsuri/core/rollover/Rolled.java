package app.matsuri.core.rollover;

import app.matsuri.core.plan.Unit;
import java.time.LocalDateTime;

/**
 * One dated thing of one section, in the old term and in the new one.
 *
 * @param section code of the section in the new term
 * @param what "lesson", "opens", "due" or "closes"; of a notice "begins" or "ends"
 * @param unit the unit that it belongs to; null for none
 * @param id of the lesson, item or notice
 * @param old null where it had no date
 * @param now null where it has none yet
 * @param why why it is there, or why it has no date
 * @param landed it fell on a day that does not teach, or on which nothing may be due, and went on to the next
 * @param hand why it waits for a hand; null where it does not
 * @param suggested the date that it would have; null where it does not wait or there is none
 */
public record Rolled(
        String course,
        String section,
        String what,
        Unit unit,
        String id,
        String title,
        LocalDateTime old,
        LocalDateTime now,
        String why,
        boolean landed,
        String hand,
        LocalDateTime suggested) {

    /** The name of a lesson's date. */
    public static final String LESSON = "lesson";

    /** Whether it comes to another weekday. */
    public boolean changesWeekday() {
        return old != null && now != null && old.getDayOfWeek() != now.getDayOfWeek();
    }

    /** Whether it is a lesson that finds no session. */
    public boolean noSession() {
        return what.equals(LESSON) && now == null;
    }
}
