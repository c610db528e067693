package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * A unit of a course: its lessons in order and the work that belongs to it.
 *
 * @param code short code shown with its thread
 * @param startsWeek asks to start on the first session of a week
 * @param yields id of the lesson that gives way when a week is short; null for none
 */
public record Unit(
        String id,
        String code,
        String title,
        boolean startsWeek,
        String yields,
        List<Lesson> lessons,
        List<Item> items,
        Extra extra) {

    public Unit {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(title, "title");
        lessons = List.copyOf(lessons);
        items = List.copyOf(items);
    }

    /** A plain unit. */
    public static Unit of(String id, String title, List<Lesson> lessons, List<Item> items) {
        return new Unit(id, id, title, false, null, lessons, items, Extra.NONE);
    }

    public Unit withLessons(List<Lesson> others) {
        return new Unit(id, code, title, startsWeek, yields, others, items, extra);
    }

    public Unit withItems(List<Item> others) {
        return new Unit(id, code, title, startsWeek, yields, lessons, others, extra);
    }

    /** The same with one item in place of the one of its id. */
    public Unit withItem(Item item) {
        List<Item> others = new ArrayList<>(items);
        others.replaceAll(other -> other.id().equals(item.id()) ? item : other);
        return withItems(others);
    }
}
