package app.matsuri.core.shown;

import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/**
 * A date that was told otherwise before.
 *
 * @param what "lesson", "opens", "due" or "closes"
 * @param key of the lesson or thing
 * @param title as it stands; as it was told where the thing is gone
 * @param from what they had been told; of a lesson the beginning of its day
 * @param to null for no longer
 * @param why what they were told as the reason; may be empty
 * @param at when they were told; null where it is not known
 */
public record ShownMove(
        String what,
        String key,
        String title,
        @Nullable LocalDateTime from,
        @Nullable LocalDateTime to,
        String why,
        @Nullable LocalDateTime at) {}
