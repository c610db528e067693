package app.matsuri.exchange.school;

import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.TableFile;
import app.matsuri.exchange.file.TableFile.Row;
import app.matsuri.exchange.school.Finding.What;
import app.matsuri.exchange.words.Days;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** A school's calendar as a table: its columns say what is when, and whether students come. */
final class SchoolTable {

    /** What a column has. */
    private enum Column {
        DATE(
                "date|dates|datum|tag|fecha|fechas|jour|start|start date|begin|begins|begin date|from|first|first day|von|beginn|début|date de début|inicio|fecha de inicio|desde|when"),
        END("end|end date|ends|to|until|thru|through|last|last day|bis|ende|fin|date de fin|fecha de fin|hasta"),
        WEEKDAY("day|days|weekday|day of week|dow|wochentag|jour de la semaine|día|dia"),
        EVENT(
                "event|events|description|holiday|reason|what|occasion|title|name|activity|details|anlass|bezeichnung|ereignis|beschreibung|événement|evenement|motif|libellé|evento|motivo|descripción|actividad|holiday/event"),
        STUDENTS(
                "students|student|students attend|student attendance|pupils|classes|classes meet|in session|school in session|instruction|schüler|studierende|unterricht|lehrveranstaltungen|élèves|étudiants|cours|alumnos|estudiantes|clases"),
        OFF("no school|no classes|closed|off|day off|holiday|frei|férié|inhábil"),
        STAFF("staff|teachers|faculty|employees|offices|lehrkräfte|personnel|personal|docentes"),
        ENDS(
                "dismissal|dismissal time|release|release time|end time|early release|schluss|unterrichtsschluss|sortie|salida"),
        NOTES(
                "type|status|notes|note|comment|comments|kind|category|remarks|bemerkung|bemerkungen|remarque|remarques|observaciones|schedule");

        private final Set<String> heads;

        Column(String heads) {
            this.heads = Set.of(heads.split("\\|"));
        }
    }

    private static final Pattern YES =
            Pattern.compile("(?iu)y|yes|x|✓|in|attend|full(?: day)?|regular|open|ja|oui|s[ií]|meet|j|o");
    private static final Pattern NO = Pattern.compile("(?iu)n|no|off|none|closed|out|nein|non|frei|—|–|-");
    private static final Pattern HALF = Pattern.compile(
            "(?iu)h|half(?: day)?|½|1/2|0[.,]5|early(?: (?:release|dismissal))?|e|er|ed|partial|halb|demi(?:-journée)?|media?|medio");

    private final SchoolCalendar.Term term;
    private final Judge judge;
    private final TermYears years;
    private final Map<Column, Integer> columns;
    private final List<Finding> found = new ArrayList<>();

    private SchoolTable(Map<Column, Integer> columns, String text, SchoolCalendar.Term term, Judge judge) {
        this.columns = columns;
        this.term = term;
        this.judge = judge;
        this.years = new TermYears(text, term);
    }

    static List<Finding> read(Given file, SchoolCalendar.Term term, Judge judge) {
        List<Row> rows = TableFile.numbered(file);
        for (int r = 0; r < Math.min(rows.size(), 15); r++) {
            Map<Column, Integer> columns = columns(rows.get(r).cells());
            boolean says = columns.containsKey(Column.EVENT)
                    || columns.containsKey(Column.STUDENTS)
                    || columns.containsKey(Column.OFF);
            if (columns.containsKey(Column.DATE) && says) {
                StringBuilder text = new StringBuilder();
                rows.forEach(row -> text.append(String.join(" ", row.cells())).append('\n'));
                SchoolTable table = new SchoolTable(columns, text.toString(), term, judge);
                rows.subList(r + 1, rows.size()).forEach(table::row);
                return table.found;
            }
        }
        return SchoolCalendar.lines(
                rows.stream().map(Row::number).toList(),
                rows.stream().map(SchoolTable::joined).toList(),
                term,
                judge);
    }

    private static String joined(Row row) {
        return String.join("\t", row.cells()).replaceAll("[\\r\\n]+", " ").strip();
    }

    private static Map<Column, Integer> columns(List<String> heads) {
        Map<Column, Integer> found = new EnumMap<>(Column.class);
        for (int c = 0; c < heads.size(); c++) {
            String head = heads.get(c)
                    .toLowerCase(Locale.ROOT)
                    .replaceAll("[?:*.]|\\s+\\(.*\\)", "")
                    .replaceAll("\\s+", " ")
                    .strip();
            for (Column column : Column.values()) {
                if (column.heads.contains(head) && !found.containsKey(column)) {
                    found.put(column, c);
                    break;
                }
            }
        }
        // a table with "Day" and nothing else that is a date has its dates there
        if (!found.containsKey(Column.DATE) && found.containsKey(Column.WEEKDAY)) {
            found.put(Column.DATE, found.remove(Column.WEEKDAY));
        }
        // "Holiday" is what the day is called, unless another column has that
        if (!found.containsKey(Column.EVENT) && found.containsKey(Column.OFF) && !found.containsKey(Column.STUDENTS)) {
            found.put(Column.EVENT, found.remove(Column.OFF));
        }
        return found;
    }

    private String cell(Row row, Column column) {
        Integer c = columns.get(column);
        return c == null || c >= row.cells().size() ? "" : row.cells().get(c).strip();
    }

    private void row(Row row) {
        String text = joined(row);
        String end = cell(row, Column.END);
        String date = cell(row, Column.DATE)
                + (end.isEmpty() || cell(row, Column.DATE).isEmpty() ? "" : " - " + end);
        List<Days.Group> groups = Days.find(Days.plain(date), 0, years);
        if (groups.isEmpty() || groups.get(0).spans().isEmpty() || letters(date, groups) > 12) {
            undated(row, text, date);
            return;
        }
        String words = Days.plain(
                cell(row, Column.EVENT) + (cell(row, Column.NOTES).isEmpty() ? "" : ". " + cell(row, Column.NOTES)));
        List<Finding> one = found(row, text, words, checked(row, groups.get(0).spans()));
        found.addAll(one);
    }

    /** How many letters stand beside the days of a cell. */
    private static long letters(String date, List<Days.Group> groups) {
        String rest = date;
        for (int g = groups.size() - 1; g >= 0; g--) {
            rest = rest.substring(0, groups.get(g).start())
                    + rest.substring(groups.get(g).end());
        }
        return rest.chars().filter(Character::isLetter).count();
    }

    /** The weekday printed beside a date is held against it. */
    private List<Days.Span> checked(Row row, List<Days.Span> spans) {
        DayOfWeek printed = Days.weekday(
                cell(row, Column.WEEKDAY).replaceFirst("[-–/].*", "").strip());
        Days.Span span = spans.get(0);
        if (printed == null
                || printed == span.first().getDayOfWeek()
                || !span.wrong().isEmpty()) {
            return spans;
        }
        List<Days.Span> doubted = new ArrayList<>(spans);
        doubted.set(
                0,
                new Days.Span(
                        span.first(),
                        span.last(),
                        span.first() + " is a " + Days.name(span.first().getDayOfWeek()) + ", and " + Days.name(printed)
                                + " is printed."));
        return doubted;
    }

    /** A row without a date goes on with the one above it, or is a line of words. */
    private void undated(Row row, String text, String date) {
        DayOfWeek weekday = Days.weekday(cell(row, Column.WEEKDAY));
        int k = found.size() - 1;
        while (k > 0 && found.get(k).reason().startsWith("goes on")) {
            k--;
        }
        Finding before = k < 0 ? null : found.get(k);
        LocalDate ends = before == null || before.what() != What.OFF ? null : before.last();
        boolean same = status(row) == What.OFF || cell(row, Column.EVENT).isEmpty();
        if (before != null
                && ends != null
                && date.isBlank()
                && same
                && ends.plusDays(1).getDayOfWeek() == weekday) {
            found.set(k, before.until(ends.plusDays(1)));
            found.add(Finding.nothing(row.number(), text, "goes on with line " + before.line()));
            return;
        }
        if (text.isBlank()) {
            return;
        }
        List<Finding> lines = SchoolCalendar.lines(List.of(row.number()), List.of(text), term, judge);
        found.addAll(lines);
    }

    /** What a row's columns say of students; nothing where they come, null where no column says it. */
    private @Nullable What status(Row row) {
        String off = cell(row, Column.OFF);
        String students = cell(row, Column.STUDENTS);
        if (!off.isEmpty() && YES.matcher(off).matches()) {
            return What.OFF;
        }
        if (NO.matcher(students).matches()) {
            return What.OFF;
        }
        return HALF.matcher(students).matches()
                ? What.PART
                : YES.matcher(students).matches() ? What.NOTHING : null;
    }

    private List<Finding> found(Row row, String text, String words, List<Days.Span> spans) {
        What status = status(row);
        String said = status == null ? words + ". " + Days.plain(cell(row, Column.STUDENTS)) : words;
        List<Finding> judged = judge.judge(new Judge.Said(row.number(), text, said, spans, Judge.Over.NOTHING, null));
        if (status == null) {
            return judged;
        }
        if (status == What.NOTHING) {
            List<Finding> kept = judged.stream()
                    .filter(f -> f.what() != What.OFF && f.what() != What.PART && f.what() != What.NOTHING)
                    .toList();
            return kept.isEmpty() ? List.of(Finding.nothing(row.number(), text, "classes meet")) : kept;
        }
        List<Finding> all = new ArrayList<>();
        for (Days.Span span : spans) {
            if (span.last().isBefore(term.first()) || span.first().isAfter(term.last())) {
                continue;
            }
            Finding off = Finding.of(row.number(), text, What.OFF, span.first(), span.last(), Reasons.of(words));
            Finding one = status == What.OFF ? off : half(row, words, off);
            all.add(span.wrong().isEmpty() ? one : one.doubted(span.wrong()));
        }
        return all.isEmpty() ? List.of(Finding.nothing(row.number(), text, "another term")) : all;
    }

    private Finding half(Row row, String words, Finding off) {
        Optional<LocalTime> at =
                Hours.at(cell(row, Column.ENDS)).or(() -> Hours.after(words)).or(() -> Hours.at(words));
        return at.map(time -> off.during(time, LocalTime.MIDNIGHT))
                .orElseGet(() -> off.during(LocalTime.NOON, LocalTime.MIDNIGHT)
                        .doubted("It is half a day, and does not say until when."));
    }
}
