package app.matsuri.core.proposal;

import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/**
 * One thing that a change moves.
 *
 * @param what "lesson", "opens", "due", "closes" or "notice"
 * @param from null when it had no date
 * @param to null when it has none any more
 * @param why in a few words
 * @param hand whether the change moves it by hand
 */
public record Moved(
        String course,
        String section,
        String what,
        String id,
        String title,
        @Nullable LocalDateTime from,
        @Nullable LocalDateTime to,
        String why,
        boolean hand) {}
