package app.matsuri.core.plan;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Other dates of one item for a section, or for one of its students.
 *
 * @param item id of the item
 * @param student id of the student, whom alone it concerns; null for the whole section
 * @param dates the dates that differ
 * @param why a private word of why; may be empty
 */
public record Adjustment(String item, @Nullable String student, Map<Which, Own<DateRule>> dates, String why) {

    public Adjustment {
        Objects.requireNonNull(item, "item");
        Objects.requireNonNull(why, "why");
        Map<Which, Own<DateRule>> copy = new EnumMap<>(Which.class);
        copy.putAll(dates);
        copy.values().removeIf(Own::planned);
        dates = Collections.unmodifiableMap(copy);
    }

    /** What it says of a date. */
    public Own<DateRule> own(Which which) {
        return dates.getOrDefault(which, Own.asPlanned());
    }

    /** Whether it adjusts the same thing for the same people. */
    public boolean same(String otherItem, @Nullable String otherStudent) {
        return item.equals(otherItem) && Objects.equals(student, otherStudent);
    }
}
