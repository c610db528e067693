package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Unit;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads an outline that was pasted from a spreadsheet (cells apart by tabs: unit, lesson, sessions, work, when due) or
 * typed as indented text (units, lessons below them, work below those). Every line is kept, understood or not.
 */
public final class OutlineReader {

    /** The most lines that are read. */
    public static final int MOST_LINES = 5_000;

    private static final Pattern LENGTH = Pattern.compile(
            "\\s*(?:[,(]\\s*(\\d{1,2})\\s*(?:x|classes|class|sessions?|days?|lessons?)?\\)?|\\bx\\s?(\\d{1,2}))$",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern MINUTES =
            Pattern.compile("\\b(\\d{1,3})\\s*min(?:utes)?\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern POINTS =
            Pattern.compile("\\b(\\d{1,4})\\s*(?:points?|pts?)\\b", Pattern.CASE_INSENSITIVE);

    private static final Pattern WORK_DUE = Pattern.compile("(?i)^(.*?)[,:;]?\\s*\\b(due\\b.*)$");

    private final DueWords due;
    private final Course into;
    private final List<Line> lines = new ArrayList<>();
    private final List<Draft> units = new ArrayList<>();
    private final Set<String> codes = new HashSet<>();
    private final Set<String> taken = new HashSet<>();
    private int items;

    private OutlineReader(DueWords due, Course into) {
        this.due = due;
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

    /**
     * One line and what was understood.
     *
     * @param state "unit", "lesson", "work", "heading" or "not-understood"
     */
    public record Line(int number, String text, String state, String said) {}

    /**
     * What reading came to.
     *
     * @param units new ones, and those of the course that get something, whole
     * @param newUnits how many of them are new; likewise lessons and items
     */
    public record Reading(List<Line> lines, List<Unit> units, int newUnits, int newLessons, int newItems) {}

    /** A unit while it is read; one that the course has already keeps what is in it. */
    private static final class Draft {
        final String code;
        final String title;
        final Unit was;
        final List<Lesson> lessons = new ArrayList<>();
        final List<Item> items = new ArrayList<>();
        /** The lesson that work belongs to; null for none yet. */
        Lesson at;

        Draft(String code, String title) {
            this.code = code;
            this.title = title;
            this.was = null;
        }

        Draft(Unit was) {
            this.code = was.code();
            this.title = was.title();
            this.was = was;
            lessons.addAll(was.lessons());
            items.addAll(was.items());
        }

        boolean is(String name) {
            return title.equals(name) || was != null && (title.equalsIgnoreCase(name) || code.equalsIgnoreCase(name));
        }

        int oldLessons() {
            return was == null ? 0 : was.lessons().size();
        }

        int oldItems() {
            return was == null ? 0 : was.items().size();
        }

        boolean gives() {
            return was == null || lessons.size() > oldLessons() || items.size() > oldItems();
        }

        Unit unit() {
            return was == null
                    ? new Unit(code, code, title, false, null, "", Map.of(), lessons, items, Extra.NONE)
                    : was.withLessons(lessons).withItems(items);
        }
    }

    /** Reads the text. */
    public static Reading read(String text, DayWords days) {
        return read(text, days, null);
    }

    /**
     * Reads the text for a course. A unit or lesson that the course has already, by title, code or id, gets what stands
     * below it; new ones get codes and ids that the course has not used. Work that its lesson has already is left out.
     */
    public static Reading read(String text, DayWords days, Course into) {
        OutlineReader reader =
                new OutlineReader(into == null ? new DueWords(days) : new DueWords(days, PlanNames.of(into)), into);
        String[] all = text.split("\\R", -1);
        boolean table = List.of(all).stream().anyMatch(l -> l.strip().contains("\t"));
        for (int i = 0; i < all.length; i++) {
            if (all[i].isBlank()) {
                continue;
            }
            if (reader.lines.size() >= MOST_LINES) {
                reader.lines.add(new Line(
                        i + 1,
                        all[i],
                        "not-understood",
                        "An outline has at most " + MOST_LINES + " lines: from here on nothing was read. Split it."));
                break;
            }
            if (table) {
                reader.row(i + 1, all[i]);
            } else {
                reader.indented(i + 1, all[i]);
            }
        }
        return reader.reading();
    }

    private Reading reading() {
        List<Draft> given = units.stream().filter(Draft::gives).toList();
        return new Reading(
                lines,
                given.stream().map(Draft::unit).toList(),
                (int) given.stream().filter(d -> d.was == null).count(),
                given.stream().mapToInt(d -> d.lessons.size() - d.oldLessons()).sum(),
                given.stream().mapToInt(d -> d.items.size() - d.oldItems()).sum());
    }

    // --- single lines

    /** A new unit of the course as typed: its title. */
    public static Unit unitLine(String text, DayWords days, Course into) {
        OutlineReader reader = new OutlineReader(new DueWords(days), into);
        reader.newUnit(text.strip());
        return reader.last().unit();
    }

    /** A new lesson of a unit as typed: its title, and behind it how many sessions it takes. */
    public static Lesson lessonLine(String text, DayWords days, Course into, Unit unit) {
        OutlineReader reader = under(unit, days, into);
        Matcher m = LENGTH.matcher(text.strip());
        return reader.newLesson(titleOf(m, text.strip()), lengthOf(m));
    }

    /**
     * A new item of a unit as typed: its title, and behind "due" when it is due.
     *
     * @param lesson id of the lesson it belongs to; null for none
     * @param said takes what was understood, or what was not
     * @return null where it was not understood
     */
    public static Item workLine(String text, DayWords days, Course into, Unit unit, String lesson, List<String> said) {
        OutlineReader reader = under(unit, days, into);
        Draft draft = reader.last();
        draft.at = unit.lessons().stream()
                .filter(l -> l.id().equals(lesson))
                .findFirst()
                .orElse(null);
        boolean ok = reader.workOf(text.strip(), said);
        return ok ? draft.items.get(0) : null;
    }

    private static OutlineReader under(Unit unit, DayWords days, Course into) {
        OutlineReader reader = new OutlineReader(new DueWords(days, PlanNames.of(into)), into);
        Draft draft = new Draft(unit.code(), unit.title());
        draft.lessons.addAll(unit.lessons());
        reader.units.add(draft);
        return reader;
    }

    /** What a line says of a lesson: its title, and behind it how many sessions it takes. */
    private String lessonOf(String text) {
        Matcher m = LENGTH.matcher(text);
        return lesson(titleOf(m, text), lengthOf(m));
    }

    private static String titleOf(Matcher length, String text) {
        return length.reset().find() && length.start() > 0 ? text.substring(0, length.start()) : text;
    }

    private static int lengthOf(Matcher length) {
        boolean sized = length.reset().find() && length.start() > 0;
        int n = sized ? DayWords.number(length.group(1) != null ? length.group(1) : length.group(2)) : 1;
        return Math.max(1, n);
    }

    private boolean workOf(String text, List<String> said) {
        Matcher m = WORK_DUE.matcher(text);
        boolean split = m.matches();
        return work(split ? m.group(1) : text, split ? m.group(2) : "", said);
    }

    // --- tables

    private Map<String, Integer> columns;

    private void row(int number, String line) {
        String[] cells = line.split("\t", -1);
        if (columns == null) {
            columns = heads(cells);
            if (columns != null) {
                lines.add(new Line(number, line, "heading", "heads, they name the columns"));
                return;
            }
            columns = Map.of("unit", 0, "lesson", 1, "length", 2, "work", 3, "due", 4);
        }
        String unit = cell(cells, "unit");
        String lesson = cell(cells, "lesson");
        String work = cell(cells, "work");
        List<String> said = new ArrayList<>();
        boolean wrong = false;
        if (!unit.isEmpty() && (units.isEmpty() || !last().is(unit))) {
            said.add("unit " + unit(unit));
        }
        if (units.isEmpty() && !(lesson + work).isEmpty()) {
            said.add("unit " + unit("Unit 1"));
        }
        if (!lesson.isEmpty()) {
            Optional<Integer> length = cell(cells, "length").isEmpty()
                    ? Optional.of(1)
                    : DayWords.count(cell(cells, "length").replaceAll("(?i)\\s*(x|classes|class|sessions?|days?)$", ""))
                            .filter(n -> n > 0);
            wrong |= length.isEmpty();
            boolean again = cell(cells, "length").isEmpty()
                    && !work.isEmpty()
                    && last().at != null
                    && last().at.title().equalsIgnoreCase(lesson);
            String added = again ? last().at.id() + " again" : lesson(lesson, length.orElse(1));
            said.add(
                    length.isEmpty() ? "“" + cell(cells, "length") + "” is no number of sessions; 1 was taken" : added);
        }
        String[] works = work.isEmpty() ? new String[0] : work.split("\\s*;\\s*");
        String[] dues = cell(cells, "due").split("\\s*;\\s*", -1);
        for (int w = 0; w < works.length; w++) {
            String when = w < dues.length ? dues[w] : dues.length == 1 ? dues[0] : "";
            wrong |= !work(works[w], when.isBlank() ? "" : "due " + when, said);
        }
        if (works.length == 0 && lesson.isEmpty() && unit.isEmpty()) {
            wrong = true;
            said.add("Neither a unit, a lesson nor work stands in this row.");
        }
        String state = wrong ? "not-understood" : !lesson.isEmpty() ? "lesson" : works.length > 0 ? "work" : "unit";
        lines.add(new Line(number, line, state, String.join(", ", said)));
    }

    private String cell(String[] cells, String column) {
        Integer at = columns.get(column);
        return at == null || at >= cells.length ? "" : unquoted(cells[at]);
    }

    private static String unquoted(String cell) {
        String text = cell.strip();
        return text.length() > 1 && text.startsWith("\"") && text.endsWith("\"")
                ? text.substring(1, text.length() - 1).replace("\"\"", "\"").strip()
                : text;
    }

    private static Map<String, Integer> heads(String[] cells) {
        Map<String, Integer> found = new LinkedHashMap<>();
        for (int i = 0; i < cells.length; i++) {
            String head = unquoted(cells[i]).toLowerCase(Locale.ROOT);
            String column = head.matches("units?|module|chapter|theme")
                    ? "unit"
                    : head.matches("lessons?|topics?|title|content")
                            ? "lesson"
                            : head.matches("(length|sessions?|days|classes|periods|how many.*|no\\. of.*)")
                                    ? "length"
                                    : head.matches("(work|assignments?|homework|tasks?|items?|readings?)")
                                            ? "work"
                                            : head.matches("(due|when due|due date|deadline|when)") ? "due" : null;
            if (column != null) {
                found.putIfAbsent(column, i);
            }
        }
        return found.size() >= 2 ? found : null;
    }

    // --- indented text

    private final List<Integer> depths = new ArrayList<>();

    private void indented(int number, String line) {
        String expanded = line.replace("\t", "    ");
        int indent = 0;
        while (indent < expanded.length() && expanded.charAt(indent) == ' ') {
            indent++;
        }
        String text = expanded.strip().replaceFirst("^[-*•]\\s+", "");
        while (!depths.isEmpty() && depths.get(depths.size() - 1) >= indent) {
            depths.remove(depths.size() - 1);
        }
        int level = depths.size();
        depths.add(indent);
        boolean looksDue = text.matches("(?i).*[,:]?\\s\\bdue\\b.*");
        List<String> said = new ArrayList<>();
        if (level == 0 && !looksDue) {
            lines.add(new Line(
                    number, line, "unit", "unit " + unit(text.replaceFirst("(?i)^unit\\s*\\d*\\s*[:.]\\s*", ""))));
        } else if (units.isEmpty()) {
            lines.add(new Line(number, line, "not-understood", "No unit stands above this line. Begin with one."));
        } else if (level == 1 && !looksDue) {
            lines.add(new Line(number, line, "lesson", lessonOf(text)));
        } else {
            boolean ok = workOf(text, said);
            lines.add(new Line(number, line, ok ? "work" : "not-understood", String.join(", ", said)));
        }
    }

    // --- both

    private Draft last() {
        return units.get(units.size() - 1);
    }

    /** A unit of the course, or one of those read, or a new one; says which. */
    private String unit(String title) {
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
        Optional<Draft> open = units.stream().filter(d -> d.was == was).findFirst();
        Draft draft = open.orElseGet(() -> new Draft(was));
        units.remove(draft);
        units.add(draft);
        draft.at = null;
        return was.code() + " " + was.title() + ", which is there";
    }

    private String newUnit(String title) {
        String letters = title.replaceAll("[^\\p{L}]", "").toUpperCase(Locale.ROOT);
        String stem = letters.length() >= 2 ? letters.substring(0, 2) : (letters + "UN").substring(0, 2);
        String code = stem;
        for (int i = 2; !codes.add(code); i++) {
            code = i < letters.length()
                    ? stem.charAt(0) + letters.substring(i, i + 1)
                    : stem + (i - letters.length() + 2);
        }
        units.add(new Draft(code, title));
        return code + " " + title;
    }

    /** A lesson that the unit had before, or a new one; says which. */
    private String lesson(String given, int length) {
        String title = given.strip();
        Draft unit = last();
        Optional<Lesson> known = unit.was == null
                ? Optional.empty()
                : unit.was.lessons().stream()
                        .filter(l -> l.title().equalsIgnoreCase(title) || l.id().equalsIgnoreCase(title))
                        .findFirst();
        unit.at = known.orElseGet(() -> newLesson(title, length));
        return unit.at.id() + (known.isPresent() ? ", which is there" : " " + sessions(length));
    }

    private Lesson newLesson(String title, int length) {
        Draft unit = last();
        boolean spare = title.matches("(?i)(spare|catch[- ]?up|buffer|reserve).*");
        int number = unit.lessons.size() + 1;
        while (!taken.add(unit.code + number)) {
            number++;
        }
        Lesson lesson = new Lesson(
                unit.code + number,
                title.strip(),
                length,
                1,
                title.matches("(?i).*\\boptional\\b.*"),
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

    /** Adds work; false when it has no name or when it is due was not understood. */
    private boolean work(String given, String when, List<String> said) {
        String title = given.strip();
        Integer minutes = null;
        BigDecimal points = null;
        Matcher m = MINUTES.matcher(title);
        if (m.find()) {
            minutes = DayWords.number(m.group(1));
            title = without(title, m);
        }
        m = POINTS.matcher(title);
        if (m.find()) {
            points = new BigDecimal(m.group(1));
            title = without(title, m);
        }
        String name = title;
        if (title.isEmpty()) {
            said.add("Work without a name: write what it is before “due”.");
            return false;
        }
        Draft unit = last();
        String lesson = unit.at == null ? null : unit.at.id();
        if (unit.was != null && unit.was.items().stream().anyMatch(i -> same(i, name, lesson))) {
            said.add(title + " is there already");
            return true;
        }
        String kind = kind(title);
        Optional<DateRule> rule = when.isEmpty() ? Optional.empty() : due.read(when, lesson);
        String id;
        do {
            id = unit.code.toLowerCase(Locale.ROOT) + "-" + ++items;
        } while (!taken.add(id));
        unit.items.add(new Item(
                id,
                lesson,
                kind,
                title,
                "",
                points,
                minutes,
                "",
                false,
                0,
                null,
                rule.orElse(null),
                null,
                ItemDetails.NONE,
                Extra.NONE));
        if (!when.isEmpty() && rule.isEmpty()) {
            said.add(title + ": “" + when + "” was not understood. Write “due next class”, “due 2 days after, 23:59” or"
                    + " “due 3 nov”. The work stands without a date.");
            return false;
        }
        said.add(title + ", " + (rule.isEmpty() ? "no date yet" : "due " + DueWords.say(rule.get(), lesson)));
        return true;
    }

    private static boolean same(Item item, String title, String lesson) {
        return item.title().equalsIgnoreCase(title) && Objects.equals(item.lesson(), lesson);
    }

    private static String without(String title, Matcher m) {
        return (title.substring(0, m.start()) + title.substring(m.end()))
                .replaceAll("[\\s,;:()]+$", "")
                .replaceAll("\\s*,\\s*,", ",")
                .strip();
    }

    private static String sessions(int n) {
        return n == 1 ? "1 session" : n + " sessions";
    }

    private static final Map<String, String> KINDS = new LinkedHashMap<>();

    static {
        KINDS.put("quiz", "quiz");
        KINDS.put("test|exam|midterm|final", "test");
        KINDS.put("read(ing)?|chapter", "reading");
        KINDS.put("labs?|log|field", "lab");
        KINDS.put("discuss(ion)?|post", "discussion");
        KINDS.put("project|report|draft|proposal", "project");
        KINDS.put("practice", "practice");
        KINDS.put("talk|presentation|poster", "presentation");
        KINDS.put("set|homework|problems?|sheet|exercise|essay", "homework");
    }

    static String kind(String title) {
        for (Map.Entry<String, String> kind : KINDS.entrySet()) {
            if (title.matches("(?i).*\\b(" + kind.getKey() + ")\\b.*")) {
                return kind.getValue();
            }
        }
        return "other";
    }
}
