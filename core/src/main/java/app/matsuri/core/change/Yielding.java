package app.matsuri.core.change;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.plan.With;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** What a rhythm yields, by id, and how that takes the place of what it yielded before. */
public record Yielding(Map<String, Item> items, Map<String, Notice> reminders) {

    /** What the rhythm yields, so many times; nothing where there is no rhythm. */
    public static Yielding of(@Nullable Rhythm rhythm) {
        Map<String, Item> items = new LinkedHashMap<>();
        Map<String, Notice> reminders = new LinkedHashMap<>();
        for (int n = 1; rhythm != null && n <= rhythm.comes(); n++) {
            for (Rhythm.Part part : rhythm.parts()) {
                Item item = rhythm.item(part, n);
                items.put(item.id(), item);
                rhythm.reminder(part, n).ifPresent(r -> reminders.put(r.id(), r));
            }
        }
        return new Yielding(items, reminders);
    }

    /**
     * The course with this in place of what was yielded before. What a hand changed or took out since stays so.
     *
     * @param unit where new items go; null where there are none
     * @param notes takes a sentence about what was left as it is
     */
    public Course inPlaceOf(Yielding was, Course in, @Nullable String unit, List<String> notes) {
        Map<String, Item> coming = new LinkedHashMap<>(items);
        List<String> kept = new ArrayList<>();
        List<Unit> units = in.units().stream()
                .map(u -> u.withItems(follow(u.items(), was, coming, kept)))
                .toList();
        coming.keySet().removeAll(was.items.keySet());
        Course changed = in.withUnits(units);
        for (Item item : coming.values()) {
            changed = changed.withUnit(changed.unit(unit)
                    .map(u -> u.withItems(With.put(u.items(), i -> false, item)))
                    .orElseThrow());
        }
        if (!kept.isEmpty()) {
            notes.add((kept.size() == 1 ? "One thing was" : Say.count(kept.size(), "thing") + " were")
                    + " changed by hand, which stays so: " + String.join(", ", kept) + ".");
        }
        return changed.withBesides(
                changed.besides().withNotices(follow(changed.besides().notices(), was)));
    }

    private List<Item> follow(List<Item> standing, Yielding was, Map<String, Item> coming, List<String> kept) {
        List<Item> now = new ArrayList<>();
        for (Item item : standing) {
            Item yielded = was.items.get(item.id());
            Item next = coming.remove(item.id());
            if (yielded == null && next != null) {
                throw new Refused("There is work with the id “" + item.id() + "” already: give the rhythm another id.");
            }
            if (yielded == null) {
                now.add(item);
                continue;
            }
            boolean byHand = !untouched(item, yielded);
            if (byHand) {
                kept.add("“" + item.title() + "”");
            }
            if (next != null) {
                now.add(merged(item, yielded, next));
            } else if (byHand) {
                now.add(item);
            }
        }
        return now;
    }

    private List<Notice> follow(List<Notice> standing, Yielding was) {
        Map<String, Notice> coming = new LinkedHashMap<>(reminders);
        List<Notice> now = new ArrayList<>();
        for (Notice notice : standing) {
            Notice next = coming.remove(notice.id());
            if (!notice.equals(was.reminders.get(notice.id()))) {
                now.add(notice);
            } else if (next != null) {
                now.add(next);
            }
        }
        coming.keySet().removeAll(was.reminders.keySet());
        now.addAll(coming.values());
        return now;
    }

    /** What is yielded now, but for what a hand changed, and for where it stands. */
    private static Item merged(Item item, Item was, Item next) {
        Map<Which, DateRule> rules = new EnumMap<>(Which.class);
        for (Which which : Which.values()) {
            rules.put(which, given(item.rule(which), was.rule(which), next.rule(which)));
        }
        ItemDetails details = item.details().within(was.details().within()).equals(was.details())
                ? next.details().within(item.details().within())
                : item.details();
        return new Item(
                        item.id(),
                        item.lesson(),
                        kept(item.kind(), was.kind(), next.kind()),
                        kept(item.title(), was.title(), next.title()),
                        kept(item.shortName(), was.shortName(), next.shortName()),
                        given(item.points(), was.points(), next.points()),
                        given(item.minutes(), was.minutes(), next.minutes()),
                        kept(item.marking(), was.marking(), next.marking()),
                        item.locked() == was.locked() ? next.locked() : item.locked(),
                        item.place(),
                        null,
                        null,
                        null,
                        details,
                        item.extra())
                .withRules(rules);
    }

    private static String kept(String stands, String was, String next) {
        return stands.equals(was) ? next : stands;
    }

    private static <T> @Nullable T given(@Nullable T stands, @Nullable T was, @Nullable T next) {
        return Objects.equals(stands, was) ? next : stands;
    }

    /** Whether an item is as it was yielded; where it stands does not count. */
    private static boolean untouched(Item item, Item yielded) {
        return item.withLesson(yielded.lesson())
                .withPlace(yielded.place())
                .withDetails(item.details().within(yielded.details().within()))
                .equals(yielded);
    }
}
