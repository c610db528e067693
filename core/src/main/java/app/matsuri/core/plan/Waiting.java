package app.matsuri.core.plan;

import java.time.LocalDateTime;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A date that found no place when a course was rolled over, and waits for a hand.
 *
 * @param what "opens", "due" or "closes"; "pin" of a lesson; of a notice "begins" or "ends"
 * @param id of the work, lesson or notice; of dates that a unit has for what is in it {@code unit:} and the unit's
 * @param section code of the one section in which it waits; null for every section
 * @param old what it was in the term before
 * @param suggested where it could be; null for nowhere
 * @param why in a few words
 */
public record Waiting(
        String what,
        String id,
        @Nullable String section,
        @Nullable LocalDateTime old,
        @Nullable LocalDateTime suggested,
        String why) {

    public Waiting {
        Objects.requireNonNull(what, "what");
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(why, "why");
    }

    /** Whether it is the same date of the same thing. */
    public boolean same(Waiting other) {
        return what.equals(other.what) && id.equals(other.id) && Objects.equals(section, other.section);
    }
}
