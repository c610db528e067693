package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import java.time.LocalDate;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A lesson of a unit.
 *
 * @param length in sessions, 1 or more
 * @param minLength how far it may be shortened, in sessions, 1 or more
 * @param optional may be left out
 * @param joinable may share the session of the lesson before it
 * @param reserve an empty session held back on purpose
 * @param pin the date it must be on; null for none
 * @param gapBefore empty sessions to leave before it, 0 or more
 * @param notes free words, may be empty
 * @param details objectives, steps, links and files
 */
public record Lesson(
        String id,
        String title,
        int length,
        int minLength,
        boolean optional,
        boolean joinable,
        boolean reserve,
        @Nullable LocalDate pin,
        int gapBefore,
        String notes,
        LessonDetails details,
        Extra extra) {

    public Lesson {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(notes, "notes");
        Objects.requireNonNull(details, "details");
        if (length < 1 || minLength < 1 || gapBefore < 0) {
            throw new IllegalArgumentException("lesson " + id + ": lengths are 1 or more, gaps 0 or more");
        }
    }

    /** A plain lesson. */
    public static Lesson of(String id, String title, int length) {
        return new Lesson(id, title, length, 1, false, false, false, null, 0, "", LessonDetails.NONE, Extra.NONE);
    }

    public Lesson withPin(@Nullable LocalDate date) {
        return new Lesson(
                id, title, length, minLength, optional, joinable, reserve, date, gapBefore, notes, details, extra);
    }

    public Lesson withGap(int gap) {
        return new Lesson(id, title, length, minLength, optional, joinable, reserve, pin, gap, notes, details, extra);
    }

    public Lesson withNotes(String other) {
        return new Lesson(
                id, title, length, minLength, optional, joinable, reserve, pin, gapBefore, other, details, extra);
    }

    public Lesson withDetails(LessonDetails now) {
        return new Lesson(id, title, length, minLength, optional, joinable, reserve, pin, gapBefore, notes, now, extra);
    }

    public Lesson withLength(int sessions) {
        return new Lesson(
                id,
                title,
                sessions,
                Math.min(minLength, sessions),
                optional,
                joinable,
                reserve,
                pin,
                gapBefore,
                notes,
                details,
                extra);
    }
}
