package app.matsuri.core.change;

import org.jspecify.annotations.Nullable;

/**
 * A thing that a change moves by hand, as against what moves because of it.
 *
 * @param section code of the section in which it does; null for every section
 */
public record Hand(String course, String id, @Nullable String section) {

    /** In every section. */
    public Hand(String course, String id) {
        this(course, id, null);
    }

    /** How a notice is named here: it may have the id of some work. */
    public static String notice(String id) {
        return "notice " + id;
    }
}
