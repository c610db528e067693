package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * A course in a term: one plan, shared by its sections.
 *
 * @param requiredMinutes minutes of class it must have; null where none are asked for
 * @param asks how its hours were asked for; null where minutes were typed or nothing is asked
 * @param usualMinutes its usual session length
 * @param weekLimit minutes of students' work a week above which a week counts as over
 * @param dayLimit the same for a day
 * @param besides notices, rhythms, and words on days and weeks
 */
public record Course(
        String code,
        String title,
        @Nullable Integer requiredMinutes,
        @Nullable HoursAsked asks,
        int usualMinutes,
        int weekLimit,
        int dayLimit,
        List<Section> sections,
        List<Unit> units,
        Besides besides,
        Extra extra) {

    /** Limits to begin with, in minutes: 8 hours a week and 4 a day. */
    public static final int WEEK_LIMIT = 480;

    public static final int DAY_LIMIT = 240;

    public Course {
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(besides, "besides");
        if (usualMinutes < 1) {
            throw new IllegalArgumentException("course " + code + ": usual minutes are 1 or more");
        }
        sections = List.copyOf(sections);
        units = List.copyOf(units);
    }

    /** A plain course. */
    public static Course of(String code, String title, int usualMinutes, List<Section> sections, List<Unit> units) {
        return new Course(
                code,
                title,
                null,
                null,
                usualMinutes,
                WEEK_LIMIT,
                DAY_LIMIT,
                sections,
                units,
                Besides.NONE,
                Extra.NONE);
    }

    /** All its lessons in order. */
    public List<Lesson> lessons() {
        List<Lesson> lessons = new ArrayList<>();
        units.forEach(unit -> lessons.addAll(unit.lessons()));
        return lessons;
    }

    /** All its items in the order of the plan. */
    public List<Item> items() {
        List<Item> items = new ArrayList<>();
        units.forEach(unit -> items.addAll(unit.items()));
        return items;
    }

    public Optional<Section> section(String id) {
        return sections.stream().filter(s -> s.code().equals(id)).findFirst();
    }

    public Optional<Unit> unit(@Nullable String id) {
        return units.stream().filter(u -> u.id().equals(id)).findFirst();
    }

    public Optional<Lesson> lesson(String id) {
        return lessons().stream().filter(l -> l.id().equals(id)).findFirst();
    }

    public Optional<Item> item(String id) {
        return items().stream().filter(i -> i.id().equals(id)).findFirst();
    }

    /** The unit that holds the lesson. */
    public Optional<Unit> unitOfLesson(String lesson) {
        return units.stream()
                .filter(u -> u.lessons().stream().anyMatch(l -> l.id().equals(lesson)))
                .findFirst();
    }

    /** The unit that holds the item. */
    public Optional<Unit> unitOfItem(String item) {
        return units.stream()
                .filter(u -> u.items().stream().anyMatch(i -> i.id().equals(item)))
                .findFirst();
    }

    public Course withSections(List<Section> others) {
        return new Course(
                code, title, requiredMinutes, asks, usualMinutes, weekLimit, dayLimit, others, units, besides, extra);
    }

    /** The same with items that are for a section by its old code for it by the new one; for nobody of it where null. */
    public Course renamedSection(String old, @Nullable String code) {
        return withUnits(units.stream()
                        .map(unit -> unit.withItems(unit.items().stream()
                                .map(item -> item.withDetails(item.details().renamed(old, code)))
                                .toList()))
                        .toList())
                .withBesides(besides.renamed(old, code));
    }

    public Course withBesides(Besides others) {
        return new Course(
                code, title, requiredMinutes, asks, usualMinutes, weekLimit, dayLimit, sections, units, others, extra);
    }

    /** The notice of that id. */
    public Optional<Notice> notice(String id) {
        return besides.notices().stream().filter(n -> n.id().equals(id)).findFirst();
    }

    /** The rhythm of that id. */
    public Optional<Rhythm> rhythm(String id) {
        return besides.rhythms().stream().filter(r -> r.id().equals(id)).findFirst();
    }

    /** The same with a notice added, or changed where there is one of its id. */
    public Course withNotice(Notice notice) {
        return withBesides(besides.withNotices(With.put(besides.notices(), n -> n.id().equals(notice.id()), notice)));
    }

    public Course withSection(Section section) {
        return withSections(With.put(sections, s -> s.code().equals(section.code()), section));
    }

    public Course withUnits(List<Unit> others) {
        return new Course(
                code,
                title,
                requiredMinutes,
                asks,
                usualMinutes,
                weekLimit,
                dayLimit,
                sections,
                others,
                besides,
                extra);
    }

    public Course withUnit(Unit unit) {
        return withUnits(With.put(units, u -> u.id().equals(unit.id()), unit));
    }

    /** The same with one lesson changed. */
    public Course withLesson(String id, UnaryOperator<Lesson> change) {
        return withUnits(units.stream()
                .map(unit -> unit.withLessons(unit.lessons().stream()
                        .map(lesson -> lesson.id().equals(id) ? change.apply(lesson) : lesson)
                        .toList()))
                .toList());
    }

    /** The same with one item changed. */
    public Course withItem(Item item) {
        return withUnits(units.stream().map(unit -> unit.withItem(item)).toList());
    }
}
