package app.matsuri.core.reminding;

import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.ThingRef;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * That some are reminded of one thing at one moment.
 *
 * @param reminder why
 * @param thing the work; null for a class
 * @param title of the work, or the titles of the class's lessons, which may be empty
 * @param date what it comes before, as it was told
 * @param at when, in the term's zone
 * @param students ids, in the order of the roster; none where it goes to who teaches
 * @param booking what names the booking that it is of; empty for none
 */
public record Reminding(
        Reminder reminder,
        SectionRef section,
        @Nullable ThingRef thing,
        String title,
        LocalDateTime date,
        LocalDateTime at,
        List<String> students,
        String booking) {

    public Reminding {
        students = List.copyOf(students);
    }

    /** What names it, whenever it comes: it stays one when its date is told to be another. */
    public String key() {
        String what =
                !booking.isEmpty() ? booking : thing == null ? date.toString() : thing.course() + "|" + thing.id();
        return section + "|" + reminder.id() + "|" + what;
    }

    /** Whether it goes to who teaches. */
    public boolean own() {
        return reminder.to() == Reminder.Whom.INSTRUCTOR;
    }
}
