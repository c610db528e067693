package app.matsuri.core.shown;

import app.matsuri.core.plan.Link;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A session as it was told.
 *
 * @param name the start it first had; where days alone were told, the beginning of its day
 * @param end exclusive; null where only its day is known
 * @param place where; may be empty
 * @param link to the meeting; empty where there is none or it is not shown now
 * @param lessons those that were told for it, in order
 * @param added links and recordings that were added to it
 */
public record ShownSession(
        LocalDateTime name,
        LocalDateTime start,
        @Nullable LocalDateTime end,
        String place,
        String link,
        List<Part> lessons,
        List<Link> added) {

    /**
     * A lesson, or one part of it.
     *
     * @param title as it stands; as it was told where the lesson is gone
     * @param unit id of its unit; null where the lesson is gone
     * @param number its place in its unit, from 1; 0 where the lesson is gone
     * @param part which of its sessions it is, 1 or more
     * @param of how many were told
     */
    public record Part(
            String lesson, String title, @Nullable String unit, int number, int part, int of) {}

    public ShownSession {
        lessons = List.copyOf(lessons);
        added = List.copyOf(added);
    }

    /** Its day. */
    public LocalDate day() {
        return start.toLocalDate();
    }

    /** Whether it has a time, and not a day alone. */
    public boolean timed() {
        return end != null && end.isAfter(start);
    }

    /** Whether it is over. */
    public boolean over(LocalDateTime now) {
        return end != null && timed() ? !end.isAfter(now) : day().isBefore(now.toLocalDate());
    }
}
