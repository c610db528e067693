package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Unit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A unit while it is read; one that the course has already keeps what is in it. */
final class OneUnit {
    final String code;
    final String title;
    final @Nullable Unit was;
    final List<Lesson> lessons = new ArrayList<>();
    final List<Item> items = new ArrayList<>();
    /** How many of its items get another date. */
    int redated;
    /** How often a title was read, in lower case. */
    final Map<String, Integer> seen = new HashMap<>();
    /** The lesson that work belongs to; null for none yet. */
    @Nullable
    Lesson at;

    OneUnit(String code, String title) {
        this.code = code;
        this.title = title;
        this.was = null;
    }

    OneUnit(Unit was) {
        this.code = was.code();
        this.title = was.title();
        this.was = was;
        lessons.addAll(was.lessons());
        items.addAll(was.items());
    }

    boolean is(String name) {
        return title.equals(name) || was != null && (title.equalsIgnoreCase(name) || code.equalsIgnoreCase(name));
    }

    /** Whether the course does not have it yet. */
    boolean fresh() {
        return was == null;
    }

    int newLessons() {
        return lessons.size() - (was == null ? 0 : was.lessons().size());
    }

    int newItems() {
        return items.size() - (was == null ? 0 : was.items().size());
    }

    /** Whether it is new, or something in it is. */
    boolean gives() {
        return fresh() || newLessons() > 0 || newItems() > 0 || redated > 0;
    }

    Unit unit() {
        return was == null
                ? new Unit(code, code, title, false, false, null, "", Map.of(), lessons, items, Extra.NONE)
                : was.withLessons(lessons).withItems(items);
    }
}
