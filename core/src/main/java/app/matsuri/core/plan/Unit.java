package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A unit of a course: its lessons in order and the work that belongs to it.
 *
 * @param code short code shown with its thread
 * @param startsWeek asks to start on the first session of a week
 * @param colour the name of its colour, to match what was handed out; empty for the next in turn
 * @param dates dates for everything in it that has none of its own
 * @param draft whether nothing in it is told to students until it is given out
 * @param links to what belongs to it as a whole
 * @param files likewise; one that comes with nothing else comes when the unit begins
 * @param yields id of the lesson that gives way when a week is short; null for none
 */
public record Unit(
        String id,
        String code,
        String title,
        boolean startsWeek,
        boolean draft,
        @Nullable String yields,
        String colour,
        Map<Which, DateRule> dates,
        List<Link> links,
        List<FileUse> files,
        List<Lesson> lessons,
        List<Item> items,
        Extra extra) {

    /** One with nothing attached. */
    /** How deep things lie in each other. */
    public static final int MOST_DEPTH = 20;

    public Unit(
            String id,
            String code,
            String title,
            boolean startsWeek,
            boolean draft,
            @Nullable String yields,
            String colour,
            Map<Which, DateRule> dates,
            List<Lesson> lessons,
            List<Item> items,
            Extra extra) {
        this(id, code, title, startsWeek, draft, yields, colour, dates, List.of(), List.of(), lessons, items, extra);
    }

    public Unit {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(colour, "colour");
        Map<Which, DateRule> copy = new EnumMap<>(Which.class);
        copy.putAll(dates);
        dates = Collections.unmodifiableMap(copy);
        links = List.copyOf(links);
        files = List.copyOf(files);
        lessons = List.copyOf(lessons);
        items = List.copyOf(items);
    }

    /** A plain unit. */
    public static Unit of(String id, String title, List<Lesson> lessons, List<Item> items) {
        return new Unit(id, id, title, false, false, null, "", Map.of(), lessons, items, Extra.NONE);
    }

    public Unit withLessons(List<Lesson> others) {
        return new Unit(id, code, title, startsWeek, draft, yields, colour, dates, links, files, others, items, extra);
    }

    public Unit withItems(List<Item> others) {
        return new Unit(
                id, code, title, startsWeek, draft, yields, colour, dates, links, files, lessons, others, extra);
    }

    /** The same with one item in place of the one of its id. */
    public Unit withItem(Item item) {
        List<Item> others = new ArrayList<>(items);
        others.replaceAll(other -> other.id().equals(item.id()) ? item : other);
        return withItems(others);
    }

    public Unit withDates(Map<Which, DateRule> others) {
        return new Unit(
                id, code, title, startsWeek, draft, yields, colour, others, links, files, lessons, items, extra);
    }

    /** The same with other files. */
    public Unit withFiles(List<FileUse> others) {
        return new Unit(
                id, code, title, startsWeek, draft, yields, colour, dates, links, others, lessons, items, extra);
    }

    /** The same as a draft, or given out. */
    public Unit asDraft(boolean other) {
        return new Unit(id, code, title, startsWeek, other, yields, colour, dates, links, files, lessons, items, extra);
    }

    /** The item of that id in this unit; null for none. */
    public @Nullable Item item(String item) {
        return items.stream().filter(i -> i.id().equals(item)).findFirst().orElse(null);
    }

    /** What the item lies in, from the nearest outwards; a circle ends where it closes. */
    public List<Item> around(Item item) {
        List<Item> around = new ArrayList<>();
        Set<String> seen = new HashSet<>(Set.of(item.id()));
        Item at = item;
        while (at.details().within() != null && around.size() < MOST_DEPTH) {
            Item outer = item(at.details().within());
            if (outer == null || !seen.add(outer.id())) {
                break;
            }
            around.add(outer);
            at = outer;
        }
        return around;
    }

    /** The item and everything in it, however deep, in the order of the plan. */
    public List<Item> inside(String item) {
        return items.stream()
                .filter(i -> i.id().equals(item) || around(i).stream().anyMatch(o -> o.id().equals(item)))
                .toList();
    }
}
