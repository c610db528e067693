package app.matsuri.core.plan;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * Other dates of one item for a section, or for one of its students.
 *
 * @param item id of the item
 * @param student id of the student, whom alone it concerns; null for the whole section
 * @param dates the dates that differ; an empty rule takes the date away
 * @param why a private word of why; may be empty
 */
public record Adjustment(String item, String student, Map<Which, Optional<DateRule>> dates, String why) {

    public Adjustment {
        Objects.requireNonNull(item, "item");
        Objects.requireNonNull(why, "why");
        Map<Which, Optional<DateRule>> copy = new EnumMap<>(Which.class);
        copy.putAll(dates);
        dates = Collections.unmodifiableMap(copy);
    }

    /** Whether it adjusts the same thing for the same people. */
    public boolean same(String otherItem, String otherStudent) {
        return item.equals(otherItem) && Objects.equals(student, otherStudent);
    }
}
