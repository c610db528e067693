package app.matsuri.core.plan;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What stands with dates in a plan: work, or a notice. A notice begins where work opens and ends where work closes, and
 * is never due.
 */
public sealed interface Dated permits Item, Notice {

    /** What is done with each. */
    interface Cases<T> {

        T item(Item item);

        T notice(Notice notice);
    }

    /** Does what is to be done with this one. */
    <T> T on(Cases<T> cases);

    /** What it is called among the dated things of its course: a notice may have the id of some work. */
    String key();

    String title();

    /** The kind of work; {@link Notice#KIND} for a notice. */
    String kind();

    /** The lesson it belongs to; null for none. */
    @Nullable
    String lesson();

    /** Whether it has an official date that the instructor cannot move. */
    boolean locked();

    /** Whether it is for the section of its course. */
    boolean concerns(String section);

    /** Whether its dates are whole days, without a time, in the section; in those without dates of their own where null. */
    boolean wholeDays(@Nullable String section);

    /** The rule of one of its dates in the plan; null where it has no such date. */
    @Nullable
    DateRule rule(Which which);

    /** Whether a key means a notice. */
    static boolean meansNotice(String key) {
        return key.startsWith(Notice.AMONG_DATED);
    }

    /** What a key means in the course; empty where there is no such thing. */
    static Optional<Dated> find(Course course, String key) {
        Optional<Dated> work = course.item(key).map(Dated.class::cast);
        return work.isPresent() || !meansNotice(key)
                ? work
                : course.notice(key.substring(Notice.AMONG_DATED.length())).map(Dated.class::cast);
    }
}
