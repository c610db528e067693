package app.matsuri.exchange.outline;

import app.matsuri.core.plan.Course;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What people call the lessons and units of a course: lessons by their id, units by their id or code, in upper or lower
 * case.
 */
public final class PlanNames {

    /** No lesson and no unit is known. */
    public static final PlanNames NONE = new PlanNames();

    private final Map<String, String> lessons = new HashMap<>();
    private final Map<String, String> units = new HashMap<>();

    private PlanNames() {}

    public static PlanNames of(Course course) {
        PlanNames names = new PlanNames();
        course.lessons().forEach(l -> names.lessons.put(l.id().toLowerCase(Locale.ROOT), l.id()));
        course.units().forEach(u -> names.units.putIfAbsent(u.code().toLowerCase(Locale.ROOT), u.id()));
        course.units().forEach(u -> names.units.put(u.id().toLowerCase(Locale.ROOT), u.id()));
        return names;
    }

    /** The id of the lesson that is called so. */
    Optional<String> lesson(String word) {
        return Optional.ofNullable(lessons.get(word.toLowerCase(Locale.ROOT)));
    }

    /** The id of the unit that is called so. */
    Optional<String> unit(String word) {
        return Optional.ofNullable(units.get(word.toLowerCase(Locale.ROOT)));
    }
}
