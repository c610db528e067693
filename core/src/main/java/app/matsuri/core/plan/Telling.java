package app.matsuri.core.plan;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * One time that the students of a section were told dates.
 *
 * @param at in the term's zone; null where it is not known
 * @param why for the students, in one sentence; may be empty
 * @param moves dates that they had been told otherwise
 */
public record Telling(@Nullable LocalDateTime at, String why, List<Move> moves) {

    /**
     * A date that was told otherwise before.
     *
     * @param what "lesson", "opens", "due" or "closes"
     * @param id of the lesson or the work
     * @param title as it was then, for when the thing is gone; empty where it is not known
     * @param from what they had been told; of a lesson the beginning of its day
     * @param to null where there is no such date any more
     */
    public record Move(
            String what,
            String id,
            String title,
            @Nullable LocalDateTime from,
            @Nullable LocalDateTime to) {}

    public Telling {
        Objects.requireNonNull(why, "why");
        moves = List.copyOf(moves);
    }
}
