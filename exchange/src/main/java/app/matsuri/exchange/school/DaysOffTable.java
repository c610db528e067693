package app.matsuri.exchange.school;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.exchange.school.DaysOffReader.Line;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.TimeWords;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.threeten.extra.LocalDateRange;

/** Days off as a table with the columns that Matsuri itself writes: first, last, reason, and the rest where given. */
final class DaysOffTable {

    private DaysOffTable() {}

    static boolean recognises(List<List<String>> rows) {
        List<String> header = header(rows);
        return header.contains("first") && header.contains("reason");
    }

    private static List<String> header(List<List<String>> rows) {
        return rows.isEmpty()
                ? List.of()
                : rows.get(0).stream().map(c -> c.toLowerCase(Locale.ROOT)).toList();
    }

    static List<Line> read(List<List<String>> rows, DayWords days) {
        List<String> header = header(rows);
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(1, String.join(", ", rows.get(0)), "heading", "the names of the columns", null));
        for (int i = 1; i < rows.size(); i++) {
            lines.add(line(i + 1, rows.get(i), header, days));
        }
        return lines;
    }

    private static Line line(int number, List<String> row, List<String> header, DayWords days) {
        String text = String.join(", ", row.stream().filter(c -> !c.isEmpty()).toList());
        Optional<LocalDate> first = days.read(cell(row, header, "first"));
        String lastCell = cell(row, header, "last");
        Optional<LocalDate> last = lastCell.isEmpty() ? first : days.read(lastCell);
        if (first.isEmpty() || last.isEmpty() || last.get().isBefore(first.get())) {
            return new Line(number, text, "not-understood", "First and last day make no run of days.", null);
        }
        String begins = cell(row, header, "from");
        String ends = cell(row, header, "to");
        boolean part = !begins.isEmpty() || !ends.isEmpty();
        LocalTime from = TimeWords.read(begins).orElse(null);
        LocalTime to = ends.matches("24:00|midnight")
                ? LocalTime.MIDNIGHT
                : TimeWords.read(ends).orElse(null);
        if (part && (from == null || to == null || !Closure.inOrder(from, to))) {
            return new Line(number, text, "not-understood", "From and to make no part of a day.", null);
        }
        String only = cell(row, header, "for");
        String kind = cell(row, header, "kind");
        Closure closure = new Closure(
                LocalDateRange.ofClosed(first.get(), last.get()),
                from,
                to,
                cell(row, header, "reason"),
                kind.isEmpty() ? "other" : kind,
                yes(cell(row, header, "no class"), true),
                yes(cell(row, header, "plan pauses"), false),
                yes(cell(row, header, "nothing due"), true),
                only.isEmpty() || only.equals("everyone") ? null : Arrays.asList(only.split(",\\s*")),
                false,
                Extra.NONE);
        return new Line(number, text, "off", said(closure), closure);
    }

    private static String said(Closure closure) {
        List<String> effects = new ArrayList<>();
        if (closure.noClass()) {
            effects.add("no class");
        }
        if (closure.planPauses()) {
            effects.add("plan pauses");
        }
        effects.add(closure.nothingDue() ? "nothing due" : "work may be due");
        return Say.days(closure.first(), closure.last()) + ": " + String.join(", ", effects);
    }

    private static boolean yes(String cell, boolean otherwise) {
        return cell.isEmpty() ? otherwise : cell.equalsIgnoreCase("yes") || cell.equalsIgnoreCase("true");
    }

    private static String cell(List<String> row, List<String> header, String column) {
        int at = header.indexOf(column);
        return at < 0 || at >= row.size() ? "" : row.get(at).strip();
    }
}
