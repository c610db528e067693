package app.matsuri.core.shown;

import app.matsuri.core.plan.ThingRef;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Who reads what was told to a section.
 *
 * @param student id of the student on its roster, who sees extensions of their own; null for the class as a whole
 * @param handedIn work that the student handed in, by course and id: it is not missed; empty for the class
 */
public record Reader(@Nullable String student, Set<ThingRef> handedIn) {

    /** Everybody in the section, and whoever has its link. */
    public static final Reader CLASS = new Reader(null, Set.of());

    public Reader {
        handedIn = Set.copyOf(handedIn);
    }
}
