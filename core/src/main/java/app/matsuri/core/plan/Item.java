package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Dated work or material.
 *
 * @param lesson the lesson it belongs to; null for none
 * @param kind one of {@link #KINDS}, or what the person wrote
 * @param shortName what the wall calls it where the title is too long; empty for the title
 * @param points null where it has none
 * @param minutes expected minutes of work; null where unknown
 * @param marking who marks it: "machine", "instructor" or "not-marked"; empty where not said
 * @param locked an official date that the instructor cannot move
 * @param place its place in its day's list: lower first, then the order of the plan
 * @param details instructions, links, files and whom it is for
 * @param opens null where it has no such date; likewise due and closes
 */
public record Item(
        String id,
        @Nullable String lesson,
        String kind,
        String title,
        String shortName,
        @Nullable BigDecimal points,
        @Nullable Integer minutes,
        String marking,
        boolean locked,
        int place,
        @Nullable DateRule opens,
        @Nullable DateRule due,
        @Nullable DateRule closes,
        ItemDetails details,
        Extra extra)
        implements Dated {

    /** The kinds that Matsuri offers. */
    public static final List<String> KINDS = List.of(
            "reading", "practice", "homework", "discussion", "lab", "project", "presentation", "quiz", "test", "other");

    private static final Set<String> TESTS = Set.of("test", "quiz", "presentation");

    public Item {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(shortName, "shortName");
        Objects.requireNonNull(marking, "marking");
        Objects.requireNonNull(details, "details");
        if (points != null) {
            points = points.stripTrailingZeros();
            points = points.scale() < 0 ? points.setScale(0) : points;
        }
    }

    /** Something to read or do, due as said. */
    public static Item of(String id, @Nullable String lesson, String kind, String title, @Nullable DateRule due) {
        return new Item(
                id, lesson, kind, title, "", null, null, "", false, 0, null, due, null, ItemDetails.NONE, Extra.NONE);
    }

    /** Whether it is a test in the wide sense: test, quiz or presentation. */
    public boolean test() {
        return TESTS.contains(kind);
    }

    @Override
    public <T> T on(Cases<T> cases) {
        return cases.item(this);
    }

    @Override
    public String key() {
        return id;
    }

    @Override
    public boolean concerns(String section) {
        return details.concerns(section);
    }

    /** Never: each date of work has a time. */
    @Override
    public boolean wholeDays(@Nullable String section) {
        return false;
    }

    @Override
    public @Nullable DateRule rule(Which which) {
        return switch (which) {
            case OPENS -> opens;
            case DUE -> due;
            case CLOSES -> closes;
        };
    }

    public Item withRule(Which which, @Nullable DateRule rule) {
        Map<Which, DateRule> rules = new EnumMap<>(Which.class);
        rules.put(which, rule);
        return withRules(rules);
    }

    /** The same with some of its rules replaced. */
    public Item withRules(Map<Which, DateRule> rules) {
        return new Item(
                id,
                lesson,
                kind,
                title,
                shortName,
                points,
                minutes,
                marking,
                locked,
                place,
                rules.getOrDefault(Which.OPENS, opens),
                rules.getOrDefault(Which.DUE, due),
                rules.getOrDefault(Which.CLOSES, closes),
                details,
                extra);
    }

    public Item withPlace(int other) {
        return new Item(
                id, lesson, kind, title, shortName, points, minutes, marking, locked, other, opens, due, closes,
                details, extra);
    }

    public Item withDetails(ItemDetails others) {
        return new Item(
                id, lesson, kind, title, shortName, points, minutes, marking, locked, place, opens, due, closes, others,
                extra);
    }

    public Item withLesson(@Nullable String other) {
        return new Item(
                id, other, kind, title, shortName, points, minutes, marking, locked, place, opens, due, closes, details,
                extra);
    }
}
