package app.matsuri.exchange.outline;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Unit;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.DueWords;
import app.matsuri.exchange.words.PlanNames;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Reads an outline that was pasted from a spreadsheet (cells apart by tabs: unit, lesson, sessions, work, when due) or
 * typed as indented text (units, lessons below them, work below those). Every line is kept, understood or not.
 */
public final class OutlineReader {

    /** The most lines that are read. */
    public static final int MOST_LINES = 5_000;

    private final OutlineDraft draft;
    private final List<Line> lines = new ArrayList<>();

    private final OutlineWork workLines;

    private OutlineReader(DayWords days, @Nullable Course into) {
        this.draft = new OutlineDraft(into);
        this.workLines =
                new OutlineWork(draft, into == null ? new DueWords(days) : new DueWords(days, PlanNames.of(into)));
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

    /** Reads the text. */
    public static Reading read(String text, DayWords days) {
        return read(text, days, null);
    }

    /**
     * Reads the text for a course. A unit or lesson that the course has already, by title, code or id, gets what stands
     * below it; new ones get codes and ids that the course has not used. Work that its lesson has already is left out.
     */
    public static Reading read(String text, DayWords days, @Nullable Course into) {
        OutlineReader reader = new OutlineReader(days, into);
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
        List<OneUnit> given = draft.units().stream().filter(OneUnit::gives).toList();
        return new Reading(
                lines,
                given.stream().map(OneUnit::unit).toList(),
                (int) given.stream().filter(OneUnit::fresh).count(),
                given.stream().mapToInt(OneUnit::newLessons).sum(),
                given.stream().mapToInt(OneUnit::newItems).sum());
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

    // --- tables

    private @Nullable Map<String, Integer> columns;

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
        if (!unit.isEmpty() && (draft.empty() || !draft.last().is(unit))) {
            said.add("unit " + draft.unit(unit));
        }
        if (draft.empty() && !(lesson + work).isEmpty()) {
            said.add("unit " + draft.unit("Unit 1"));
        }
        if (!lesson.isEmpty()) {
            Optional<Integer> length = cell(cells, "length").isEmpty()
                    ? Optional.of(1)
                    : DayWords.count(cell(cells, "length").replaceAll("(?i)\\s*(x|classes|class|sessions?|days?)$", ""))
                            .filter(n -> n > 0);
            wrong |= length.isEmpty();
            Lesson at = draft.empty() ? null : draft.last().at;
            boolean again = cell(cells, "length").isEmpty()
                    && !work.isEmpty()
                    && at != null
                    && at.title().equalsIgnoreCase(lesson);
            String added = at != null && again ? at.id() + " again" : draft.lesson(lesson, length.orElse(1));
            said.add(
                    length.isEmpty() ? "“" + cell(cells, "length") + "” is no number of sessions; 1 was taken" : added);
        }
        String[] works = work.isEmpty() ? new String[0] : work.split("\\s*;\\s*");
        String[] dues = cell(cells, "due").split("\\s*;\\s*", -1);
        for (int w = 0; w < works.length; w++) {
            String when = w < dues.length ? dues[w] : dues.length == 1 ? dues[0] : "";
            wrong |= !workLines.dated(works[w], when.isBlank() ? "" : "due " + when, said);
        }
        if (works.length == 0 && lesson.isEmpty() && unit.isEmpty()) {
            wrong = true;
            said.add("Neither a unit, a lesson nor work stands in this row.");
        }
        String state = wrong ? "not-understood" : !lesson.isEmpty() ? "lesson" : works.length > 0 ? "work" : "unit";
        lines.add(new Line(number, line, state, String.join(", ", said)));
    }

    private String cell(String[] cells, String column) {
        Integer at = columns == null ? null : columns.get(column);
        return at == null || at >= cells.length ? "" : unquoted(cells[at]);
    }

    private static String unquoted(String cell) {
        String text = cell.strip();
        return text.length() > 1 && text.startsWith("\"") && text.endsWith("\"")
                ? text.substring(1, text.length() - 1).replace("\"\"", "\"").strip()
                : text;
    }

    private static @Nullable Map<String, Integer> heads(String[] cells) {
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
                    number,
                    line,
                    "unit",
                    "unit " + draft.unit(text.replaceFirst("(?i)^unit\\s*\\d*\\s*[:.]\\s*", ""))));
        } else if (draft.empty()) {
            lines.add(new Line(number, line, "not-understood", "No unit stands above this line. Begin with one."));
        } else if (level == 1 && !looksDue) {
            lines.add(new Line(number, line, "lesson", draft.lessonOf(text)));
        } else {
            boolean ok = workLines.line(text, said);
            lines.add(new Line(number, line, ok ? "work" : "not-understood", String.join(", ", said)));
        }
    }
}
