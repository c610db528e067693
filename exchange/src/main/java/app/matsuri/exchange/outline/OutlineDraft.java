package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.DueWords;
import app.matsuri.exchange.words.KindWords;
import app.matsuri.exchange.words.PlanNames;
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
import org.jspecify.annotations.Nullable;

/**
 * Units, lessons and work while an outline is read, one line after the other: what the course has already is found, what is new
 * gets codes and ids that it has not used.
 */
final class OutlineDraft {

    private static final Pattern LENGTH = Pattern.compile(
            "\\s*(?:[,(]\\s*(\\d{1,2})\\s*(?:x|classes|class|sessions?|days?|lessons?)?\\)?|\\bx\\s?(\\d{1,2}))$",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern MINUTES =
            Pattern.compile("\\b(\\d{1,3})\\s*min(?:utes)?\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern POINTS =
            Pattern.compile("\\b(\\d{1,4})\\s*(?:points?|pts?)\\b", Pattern.CASE_INSENSITIVE);

    /** "Unit 3", "Chapter 12: Rivers": the code is U3, C12. */
    private static final Pattern NUMBERED = Pattern.compile("^(\\p{L})\\p{L}*\\.?\\s+(\\d{1,2})\\b");

    private static final Pattern WORD_BY_WORD =
            Pattern.compile("(?i)^" + KindWords.ANY + "\\s*:|\\(" + KindWords.ANY + "\\)|[,;]\\s*(?:opens|closes)\\b");

    private static final Pattern WORK_DUE = Pattern.compile("(?i)^(.*?)[,:;]?\\s*\\b(due\\b.*)$");

    private final DueWords due;
    private final @Nullable Course into;
    private final List<OneUnit> units = new ArrayList<>();
    private final Set<String> codes = new HashSet<>();
    private final Set<String> taken = new HashSet<>();
    private int items;

    OutlineDraft(DueWords due, @Nullable Course into) {
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

    /** A draft whose last unit is one of the course, as far as its lessons go. */
    static OutlineDraft under(Unit unit, DayWords days, Course into) {
        OutlineDraft draft = new OutlineDraft(new DueWords(days, PlanNames.of(into)), into);
        OneUnit one = new OneUnit(unit.code(), unit.title());
        one.lessons.addAll(unit.lessons());
        draft.units.add(one);
        return draft;
    }

    List<OneUnit> units() {
        return units;
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

    boolean workOf(String text, List<String> said) {
        if (WORD_BY_WORD.matcher(text).find()) {
            return wordByWord(text, said);
        }
        Matcher m = WORK_DUE.matcher(text);
        boolean split = m.matches();
        return work(split ? m.group(1) : text, split ? m.group(2) : "", said);
    }

    /** An id for work of the last unit that nothing has. */
    private String newId() {
        String id;
        do {
            id = last().code.toLowerCase(Locale.ROOT) + "-" + ++items;
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

    /** A line that says its kind, or more than one of its dates. */
    private boolean wordByWord(String text, List<String> said) {
        OneUnit unit = last();
        String lesson = unit.at == null ? null : unit.at.id();
        TypedLine line = TypedLine.read(text, new TypedLine.Place(due.days(), null, lesson, true, due.names()));
        if (line.wrong().isPresent() || line.title().isEmpty()) {
            said.add(line.wrong().map(w -> "“" + w.text() + "”: " + w.as()).orElse("Work without a name."));
            return false;
        }
        if (line.repeats()) {
            said.add("Work that repeats is typed into the outline or a day by itself: “" + text + "”.");
            return false;
        }
        if (there(unit, line.title(), lesson)) {
            said.add(line.title() + " is there already");
            return true;
        }
        unit.items.add(newItem(line, lesson));
        List<String> dates = new ArrayList<>();
        for (Which which : Which.values()) {
            DateRule date = line.date(which);
            if (date != null) {
                dates.add(which.name().toLowerCase(Locale.ROOT) + " " + RuleSaid.beside(date, lesson));
            }
        }
        said.add(line.title() + ", " + line.kind() + ", "
                + (dates.isEmpty() ? "no date yet" : String.join(", ", dates)));
        return true;
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
        Optional<Lesson> known = unit.was == null
                ? Optional.empty()
                : unit.was.lessons().stream()
                        .filter(l -> l.title().equalsIgnoreCase(title) || l.id().equalsIgnoreCase(title))
                        .findFirst();
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

    /** Adds work; false when it has no name or when it is due was not understood. */
    boolean work(String given, String when, List<String> said) {
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
        OneUnit unit = last();
        String lesson = unit.at == null ? null : unit.at.id();
        if (there(unit, name, lesson)) {
            said.add(title + " is there already");
            return true;
        }
        String kind = kind(title);
        Optional<DateRule> rule = when.isEmpty() ? Optional.empty() : due.read(when, lesson);
        unit.items.add(new Item(
                newId(),
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
        said.add(title + ", " + (rule.isEmpty() ? "no date yet" : "due " + RuleSaid.beside(rule.get(), lesson)));
        return true;
    }

    /** Whether the course has that work of the lesson already. */
    private static boolean there(OneUnit unit, String title, @Nullable String lesson) {
        return unit.was != null && unit.was.items().stream().anyMatch(i -> same(i, title, lesson));
    }

    private static boolean same(Item item, String title, @Nullable String lesson) {
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
