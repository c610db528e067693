package app.matsuri.core.plan;

import java.util.Objects;

/**
 * Which unit, lesson, piece of work or notice of a term.
 *
 * @param course code of its course
 * @param id its id, which is one within the course
 */
public record ThingRef(String course, String id) {

    public ThingRef {
        Objects.requireNonNull(course, "course");
        Objects.requireNonNull(id, "id");
    }
}
