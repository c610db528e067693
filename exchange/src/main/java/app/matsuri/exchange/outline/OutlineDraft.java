package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.plan.With;
import app.matsuri.exchange.words.DayWords;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Units, lessons and work while an outline is read, one line after the other: what the course has already is found, what is new
 * gets codes and ids that it has not used.
 */
final class OutlineDraft {

    private static final Pattern LENGTH = Pattern.compile(
            "\\s*(?:[,(]\\s*(\\d{1,2})\\s*(?:x|classes|class|sessions?|days?|lessons?)?\\)?|\\bx\\s?(\\d{1,2}))$",
            Pattern.CASE_INSENSITIVE);
    /** "Unit 3", "Chapter 12: Rivers": the code is U3, C12. */
    private static final Pattern NUMBERED = Pattern.compile("^(\\p{L})\\p{L}*\\.?\\s+(\\d{1,2})\\b");

    private final @Nullable Course into;
    private final List<OneUnit> units = new ArrayList<>();
    private final Set<String> codes = new HashSet<>();
    private final Set<String> taken = new HashSet<>();
    private int items;

    OutlineDraft(@Nullable Course into) {
        this.into = into;
        if (into != null) {
            into.units().forEach(u -> {
                codes.add(u.code());
                codes.add(u.id());
            });
            into.lessons().forEach(l -> taken.add(l.id()));
            into.items().forEach(i -> taken.add(i.id()));
        }
    }

    /** A draft whose last unit is one of the course, as far as its lessons go. */
    static OutlineDraft under(Unit unit, Course into) {
        OutlineDraft draft = new OutlineDraft(into);
        OneUnit one = new OneUnit(unit.code(), unit.title());
        one.lessons.addAll(unit.lessons());
        draft.units.add(one);
        return draft;
    }

    List<OneUnit> units() {
        return units;
    }

    /** The course with what was read so far. */
    Course with(Course course) {
        List<Unit> all = course.units();
        for (OneUnit one : units) {
            Unit unit = one.unit();
            all = With.put(all, u -> u.id().equals(unit.id()), unit);
        }
        return course.withUnits(all);
    }

    /** One of the lessons read, or of the course's units that get something. */
    Lesson lesson(String id) {
        return units.stream()
                .flatMap(u -> u.lessons.stream())
                .filter(l -> l.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** Puts a lesson in the place of the one with its id. */
    void replace(Lesson now) {
        for (OneUnit unit : units) {
            unit.lessons.replaceAll(l -> l.id().equals(now.id()) ? now : l);
            unit.at = unit.at != null && unit.at.id().equals(now.id()) ? now : unit.at;
        }
    }

    boolean empty() {
        return units.isEmpty();
    }

    /** What a line says of a lesson: its title, and behind it how many sessions it takes. */
    String lessonOf(String text) {
        Matcher m = LENGTH.matcher(text);
        return lesson(titleOf(m, text), lengthOf(m));
    }

    /** A new lesson of the last unit, whatever the unit has. */
    Lesson newLessonOf(String text) {
        Matcher m = LENGTH.matcher(text);
        return newLesson(titleOf(m, text), lengthOf(m));
    }

    private static String titleOf(Matcher length, String text) {
        return length.reset().find() && length.start() > 0 ? text.substring(0, length.start()) : text;
    }

    private static int lengthOf(Matcher length) {
        boolean sized = length.reset().find() && length.start() > 0;
        int n = sized ? DayWords.number(length.group(1) != null ? length.group(1) : length.group(2)) : 1;
        return Math.max(1, n);
    }

    /** The unit with that lesson. */
    OneUnit of(String lesson) {
        return units.stream()
                .filter(u -> u.lessons.stream().anyMatch(l -> l.id().equals(lesson)))
                .findFirst()
                .orElseGet(this::last);
    }

    /** An id for work of the last unit that nothing has. */
    String newId() {
        return newId(last());
    }

    /** An id for work of a unit that nothing has. */
    String newId(OneUnit unit) {
        String id;
        do {
            id = unit.code.toLowerCase(Locale.ROOT) + "-" + ++items;
        } while (!taken.add(id));
        return id;
    }

    /** A new item of the last unit as a line says it. */
    Item newItem(TypedLine line, @Nullable String lesson) {
        ItemDetails details =
                line.place().isEmpty() ? ItemDetails.NONE : ItemDetails.NONE.withHandInPlace(line.place());
        return new Item(
                newId(),
                lesson,
                Objects.requireNonNullElse(line.kind(), "other"),
                line.title(),
                "",
                line.points(),
                line.minutes(),
                "",
                false,
                0,
                line.date(Which.OPENS),
                line.date(Which.DUE),
                line.date(Which.CLOSES),
                details,
                Extra.NONE);
    }

    OneUnit last() {
        return units.get(units.size() - 1);
    }

    /** A unit of the course, or one of those read, or a new one; says which. */
    String unit(String title) {
        Optional<Unit> known = into == null
                ? Optional.empty()
                : into.units().stream()
                        .filter(u ->
                                u.title().equalsIgnoreCase(title) || u.code().equalsIgnoreCase(title))
                        .findFirst();
        if (known.isEmpty()) {
            return newUnit(title);
        }
        Unit was = known.get();
        Optional<OneUnit> open = units.stream().filter(d -> d.was == was).findFirst();
        OneUnit draft = open.orElseGet(() -> new OneUnit(was));
        units.remove(draft);
        units.add(draft);
        draft.at = null;
        return was.code() + " " + was.title() + ", which is there";
    }

    String newUnit(String title) {
        Matcher numbered = NUMBERED.matcher(title);
        String byNumber = numbered.find() ? numbered.group(1).toUpperCase(Locale.ROOT) + numbered.group(2) : "";
        if (!byNumber.isEmpty() && codes.add(byNumber)) {
            units.add(new OneUnit(byNumber, title));
            return byNumber + " " + title;
        }
        String letters = title.replaceAll("[^\\p{L}]", "").toUpperCase(Locale.ROOT);
        String stem = letters.length() >= 2 ? letters.substring(0, 2) : (letters + "UN").substring(0, 2);
        String code = stem;
        for (int i = 2; !codes.add(code); i++) {
            code = i < letters.length()
                    ? stem.charAt(0) + letters.substring(i, i + 1)
                    : stem + (i - letters.length() + 2);
        }
        units.add(new OneUnit(code, title));
        return code + " " + title;
    }

    /** A lesson that the unit had before, or a new one; says which. */
    String lesson(String given, int length) {
        String title = given.strip();
        OneUnit unit = last();
        // the second of the same title is the second that the unit has
        int before = unit.seen.merge(title.toLowerCase(Locale.ROOT), 1, Integer::sum) - 1;
        List<Lesson> alike = unit.was == null
                ? List.of()
                : unit.was.lessons().stream()
                        .filter(l -> l.title().equalsIgnoreCase(title) || l.id().equalsIgnoreCase(title))
                        .toList();
        Optional<Lesson> known =
                alike.isEmpty() ? Optional.empty() : alike.stream().skip(before).findFirst();
        unit.at = known.orElseGet(() -> newLesson(title, length));
        return unit.at.id() + (known.isPresent() ? ", which is there" : " " + sessions(length) + flags(unit.at));
    }

    /** What its words say of it, as it was read. */
    private static String flags(Lesson lesson) {
        return (lesson.optional() ? ", may be left out" : "") + (lesson.reserve() ? ", a spare day" : "");
    }

    /** A lesson as its words say it: no flag is set that they do not name, and it may not be shortened. */
    private Lesson newLesson(String title, int length) {
        OneUnit unit = last();
        boolean spare = title.matches("(?i)(spare|catch[- ]?up|buffer|reserve).*");
        int number = unit.lessons.size() + 1;
        while (!taken.add(unit.code + number)) {
            number++;
        }
        Lesson lesson = new Lesson(
                unit.code + number,
                title.strip(),
                length,
                length,
                title.matches("(?i).*\\b(?:optional|if (?:there is )?time(?: permits| allows)?)\\b.*"),
                false,
                spare,
                null,
                0,
                "",
                LessonDetails.NONE,
                Extra.NONE);
        unit.lessons.add(lesson);
        return lesson;
    }

    private static String sessions(int n) {
        return n == 1 ? "1 session" : n + " sessions";
    }
}
