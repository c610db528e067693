package app.matsuri.exchange.words;

import app.matsuri.core.plan.Course;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What people call what is in a course: lessons, items and rhythms by their id, units by their id or code, in upper or
 * lower case.
 */
public final class PlanNames {

    /** No lesson and no unit is known. */
    public static final PlanNames NONE = new PlanNames();

    private final Map<String, String> lessons = new HashMap<>();
    private final Map<String, String> units = new HashMap<>();

    private final Map<String, String> items = new HashMap<>();
    private final Map<String, String> rhythms = new HashMap<>();

    private PlanNames() {}

    public static PlanNames of(Course course) {
        PlanNames names = new PlanNames();
        course.lessons().forEach(l -> names.lessons.put(l.id().toLowerCase(Locale.ROOT), l.id()));
        course.units().forEach(u -> names.units.putIfAbsent(u.code().toLowerCase(Locale.ROOT), u.id()));
        course.units().forEach(u -> names.units.put(u.id().toLowerCase(Locale.ROOT), u.id()));
        course.items().forEach(i -> names.items.put(i.id().toLowerCase(Locale.ROOT), i.id()));
        course.besides().rhythms().forEach(r -> names.rhythms.put(r.id().toLowerCase(Locale.ROOT), r.id()));
        return names;
    }

    /** The id of the lesson that is called so. */
    Optional<String> lesson(String word) {
        return Optional.ofNullable(lessons.get(word.toLowerCase(Locale.ROOT)));
    }

    /** The id of the item that is called so. */
    Optional<String> item(String word) {
        return Optional.ofNullable(items.get(word.toLowerCase(Locale.ROOT)));
    }

    /** The id of the rhythm that is called so. */
    Optional<String> rhythm(String word) {
        return Optional.ofNullable(rhythms.get(word.toLowerCase(Locale.ROOT)));
    }

    /** The id of the unit that is called so. */
    Optional<String> unit(String word) {
        return Optional.ofNullable(units.get(word.toLowerCase(Locale.ROOT)));
    }
}
