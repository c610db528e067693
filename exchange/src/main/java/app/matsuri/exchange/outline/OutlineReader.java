package app.matsuri.exchange.outline;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Unit;
import app.matsuri.exchange.sheet.Entry;
import app.matsuri.exchange.sheet.Meaning;
import app.matsuri.exchange.sheet.Sheet;
import app.matsuri.exchange.words.DayWords;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Reads an outline as people have it, typed, pasted or from a file: every row is kept, taken for something, put aside with why,
 * or doubted.
 */
public final class OutlineReader {

    /** The most lines that are read. */
    public static final int MOST_LINES = Sheet.MOST_ROWS;

    private OutlineReader() {}

    /**
     * One row and what was understood.
     *
     * @param number from 1; 0 for what concerns the whole
     * @param state "unit", "lesson", "work", "heading", "doubtful" or "not-understood"
     * @param doubt what is unclear about it, a sentence; empty for nothing
     * @param differs whether its lesson may be on another date than the plan's: the sheet's
     */
    public record Line(int number, String text, String state, String said, String doubt, boolean differs) {}

    /**
     * A column as it was taken.
     *
     * @param number from 1
     * @param meaning as {@link Meaning#said} names it
     * @param samples what stands in its first cells
     */
    public record Column(int number, String head, String meaning, List<String> samples) {}

    /**
     * What reading came to.
     *
     * @param columns how they were taken; none for a text
     * @param units new ones, and those of the course that get something, whole
     * @param newUnits how many of them are new; likewise lessons and items
     * @param redated how many items that are there get another date
     * @param rows each part of it with what it comes to in the section
     * @param labs what goes to the half-groups' own course; null for nothing
     */
    public record Reading(
            List<Line> lines,
            List<Column> columns,
            List<Unit> units,
            int newUnits,
            int newLessons,
            int newItems,
            int redated,
            List<OutlineRow> rows,
            @Nullable OfHalfGroups labs) {

        /** Whether something of it is to be asked about. */
        public boolean doubtful() {
            return rows.stream().anyMatch(r -> !r.doubt().isEmpty());
        }
    }

    /**
     * Labs as lessons of the half-groups' own course.
     *
     * @param course its code
     * @param units of it, whole, with the labs
     * @param newLessons how many of them are new
     */
    public record OfHalfGroups(String course, List<Unit> units, int newLessons) {

        private static OfHalfGroups of(HalfGroups.Labs labs) {
            return new OfHalfGroups(
                    labs.course().code(),
                    labs.units().stream().map(OneUnit::unit).toList(),
                    labs.units().stream().mapToInt(OneUnit::newLessons).sum());
        }
    }

    /** Reads the text. */
    public static Reading read(String text, DayWords days) {
        return read(text, days, null);
    }

    /** Reads the text for a course that stands alone. */
    public static Reading read(String text, DayWords days, @Nullable Course into) {
        return read(Sheet.of(text), Into.words(days, into));
    }

    /**
     * Reads a sheet for a course. A unit or lesson that the course has already, by title, code or id, gets what stands
     * below it; new ones get codes and ids that the course has not used. Work that its lesson has already is left out.
     */
    public static Reading read(Sheet sheet, Into into) {
        Sheet.Reading reading = sheet.read(into.term(), into.columns(), into.rowsAs());
        Laying.Laid laid = Laying.lay(into, reading);
        List<OutlineRow> rows = OutlineRow.of(laid);
        return new Reading(
                lines(sheet, laid),
                reading.columns().stream()
                        .map(c -> new Column(c.number(), c.head(), c.meaning().said(), c.samples()))
                        .toList(),
                laid.units().stream().map(OneUnit::unit).toList(),
                (int) laid.units().stream().filter(OneUnit::fresh).count(),
                laid.units().stream().mapToInt(OneUnit::newLessons).sum(),
                laid.units().stream().mapToInt(OneUnit::newItems).sum(),
                laid.units().stream().mapToInt(u -> u.redated).sum(),
                rows,
                laid.labs() == null ? null : OfHalfGroups.of(laid.labs()));
    }

    /** A line for each row, with all that its parts came to. */
    private static List<Line> lines(Sheet sheet, Laying.Laid laid) {
        Map<Integer, List<Entry>> byRow = new TreeMap<>();
        laid.entries()
                .forEach(e ->
                        byRow.computeIfAbsent(e.row(), r -> new ArrayList<>()).add(e));
        Map<Integer, String> texts = new HashMap<>();
        sheet.rows().forEach(r -> texts.put(r.number(), r.text()));
        List<Line> lines = new ArrayList<>();
        // what concerns the whole stands first, each by itself
        Objects.requireNonNullElse(byRow.remove(0), List.<Entry>of()).stream()
                .flatMap(e -> e.doubts().stream())
                .distinct()
                .forEach(doubt -> lines.add(new Line(0, "", "doubtful", "", doubt, false)));
        byRow.forEach((row, parts) -> {
            String said = parts.stream()
                    .map(e -> laid.said().getOrDefault(e, ""))
                    .filter(s -> !s.isEmpty())
                    .collect(Collectors.joining(", "));
            String doubt =
                    parts.stream().flatMap(e -> e.doubts().stream()).distinct().collect(Collectors.joining(" "));
            lines.add(new Line(
                    row,
                    texts.getOrDefault(row, ""),
                    doubt.isEmpty() ? state(parts) : state(parts).equals("heading") ? "not-understood" : "doubtful",
                    said,
                    doubt,
                    parts.stream().anyMatch(laid.differing()::contains)));
        });
        return lines;
    }

    private static String state(List<Entry> parts) {
        String state = "heading";
        for (Entry part : parts) {
            if (part instanceof Entry.Taught) {
                return "lesson";
            }
            state = part instanceof Entry.Given
                    ? "work"
                    : part instanceof Entry.UnitBegins && state.equals("heading") ? "unit" : state;
        }
        return state;
    }

    // --- single lines

    /** A new unit of the course as typed: its title. */
    public static Unit unitLine(String text, Course into) {
        OutlineDraft draft = new OutlineDraft(into);
        draft.newUnit(text.strip());
        return draft.last().unit();
    }

    /** A new lesson of a unit as typed: its title, and behind it how many sessions it takes. */
    public static Lesson lessonLine(String text, Course into, Unit unit) {
        return OutlineDraft.under(unit, into).newLessonOf(text.strip());
    }

    /**
     * A new item of a unit as a line says it.
     *
     * @param lesson id of the lesson it belongs to; null for none
     */
    public static Item workLine(TypedLine line, Course into, Unit unit, @Nullable String lesson) {
        return OutlineDraft.under(unit, into).newItem(line, lesson);
    }
}
