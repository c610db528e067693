package app.matsuri.core.flow;

import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Unit;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Where one lesson of a section falls.
 *
 * @param slots the sessions that it took (first) and takes, in order; none when it is left out or has no session
 * @param leftOut the section leaves it out
 * @param noSession it, or the rest of it, finds no session
 * @param missing how many sessions are missing for it; 0 when it has its sessions
 * @param why why it has no session; null when it has
 */
public record Placement(
        Unit unit,
        Lesson lesson,
        List<Slot> slots,
        boolean leftOut,
        boolean noSession,
        int missing,
        @Nullable Lack why) {

    /** Why a lesson has no session. */
    public enum Lack {
        /** The term has no session left. */
        TERM_ENDS,
        /** It would run into the session of the next pinned lesson, or stands behind one that would. */
        BEFORE_PIN,
        /** Its own pin lies before the cursor, or behind the last session, or it stands behind one for which it does. */
        PIN_HAS_NO_ROOM
    }

    /**
     * One session of a lesson.
     *
     * @param session index in the section's sessions
     * @param taught whether the lesson is recorded as taught in it
     * @param minutes by minutes, how many of the session it takes; 0 by sessions, of a session in which it was taught, and of one
     *     that it shares
     */
    public record Slot(int session, boolean taught, int minutes) {}

    public boolean placed() {
        return !slots.isEmpty();
    }

    /** Index of its first session. Only when it is placed. */
    public int first() {
        return slots.get(0).session();
    }

    /** Index of its last session. Only when it is placed. */
    public int last() {
        return slots.get(slots.size() - 1).session();
    }

    /** Whether it has been taught and nothing of it goes on. */
    public boolean taught() {
        return placed() && !noSession && slots.stream().allMatch(Slot::taught);
    }
}
