package app.matsuri.core.schedule;

import app.matsuri.core.plan.NoticeAsItem;
import app.matsuri.core.plan.Which;
import java.time.LocalDateTime;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A date of a section that is not what its students were told.
 *
 * @param what "lesson", "opens", "due" or "closes"
 * @param id of the lesson, of work, or of a notice among work
 * @param told what they were told, of a lesson the beginning of its day; null for nothing yet
 * @param now what is planned, likewise; null for no such date any more
 */
public record Untold(
        String what,
        String id,
        String title,
        @Nullable LocalDateTime told,
        @Nullable LocalDateTime now) {

    /** Of a lesson. */
    public static final String LESSON = "lesson";

    /** The word for one of the dates of work. */
    public static String what(Which which) {
        return which.name().toLowerCase(Locale.ROOT);
    }

    /** The title with which of its dates it is: "Field log 5, due"; that of a lesson or notice alone. */
    public String name() {
        boolean alone = what.equals(LESSON) || NoticeAsItem.means(id);
        return alone ? title : title + ", " + what;
    }
}
