package app.matsuri.core.plan;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Objects;

/**
 * A session as the students of a section were told it.
 *
 * @param start local date and time
 * @param end exclusive
 * @param place where; may be empty
 * @param lessons those that they were told for it, in order
 */
public record ToldSession(LocalDateTime start, LocalDateTime end, String place, List<OfLesson> lessons) {

    /**
     * A lesson as it was told, for when it is gone or called otherwise.
     *
     * @param title as it was then
     */
    public record OfLesson(String id, String title) {

        public OfLesson {
            Objects.requireNonNull(id, "id");
            Objects.requireNonNull(title, "title");
        }
    }

    /** Whether it is at the same time in the same place. */
    public boolean same(ToldSession other) {
        return start.equals(other.start) && end.equals(other.end) && place.equals(other.place);
    }

    public ToldSession {
        Objects.requireNonNull(start, "start");
        Objects.requireNonNull(end, "end");
        Objects.requireNonNull(place, "place");
        lessons = List.copyOf(lessons);
    }
}
