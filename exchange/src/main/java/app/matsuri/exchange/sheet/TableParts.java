package app.matsuri.exchange.sheet;

import app.matsuri.core.calendar.Say;
import app.matsuri.exchange.sheet.Entry.Given;
import app.matsuri.exchange.sheet.Entry.Taught;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Reads a table row by row: each comes to a unit, lessons, work, or is put aside with why. */
final class TableParts {

    private static final Pattern BAND = Pattern.compile(
            "(?iu)(?:unit|module|part|chapter|section|block|theme|topic|einheit|kapitel|teil|unité|module|partie|chapitre|unidad|módulo|bloque|tema)\\b.*");
    private static final Pattern ONCE_MORE = Pattern.compile("(?iu)\\s*(?:same|\"|''|〃|ditto|dto\\.?|idem)\\s*");
    private static final Pattern LINES = Pattern.compile("\\R");

    private final List<SheetRow> rows;
    private final Columns columns;
    private final SheetDays days;
    private final SheetTerm term;
    private final WorkWords words;
    private final Map<Integer, String> said;
    private final List<Entry> entries = new ArrayList<>();
    private final TableWorks works;
    private final TableDates dates;

    private String unit = "";
    private @Nullable Taught last;

    private TableParts(List<SheetRow> rows, Columns columns, SheetDays days, Map<Integer, String> said) {
        this.rows = rows;
        this.columns = columns;
        this.days = days;
        this.term = days.of();
        this.words = new WorkWords(days);
        this.said = said;
        this.works = new TableWorks(columns, words, entries);
        this.dates = new TableDates(rows, columns, days, entries);
    }

    /**
     * The parts of a table.
     *
     * @param said what a person said of rows, by number: "lesson", "work", "unit" or "nothing"
     */
    static List<Entry> read(List<SheetRow> rows, Columns columns, SheetDays days, Map<Integer, String> said) {
        TableParts table = new TableParts(rows, columns, days, said);
        for (int r = 0; r < rows.size(); r++) {
            if (!rows.get(r).blank()) {
                table.row(r);
            }
        }
        table.works.handedOut();
        return table.entries;
    }

    private void row(int r) {
        SheetRow row = rows.get(r);
        String given = said.getOrDefault(row.number(), "");
        if (r == columns.heads()
                || columns.heads() >= 0
                        && row.cells().equals(rows.get(columns.heads()).cells())) {
            entries.add(Entry.nothing(row.number(), "heads, they name the columns"));
            return;
        }
        if (r < columns.heads() || given.equals("nothing")) {
            entries.add(Entry.nothing(row.number(), r < columns.heads() ? "title" : "left out"));
            return;
        }
        String one = row.cells().stream().filter(c -> !c.isBlank()).findFirst().orElse("");
        if (given.isEmpty() && RowWords.total(one)) {
            entries.add(Entry.nothing(row.number(), "totals"));
            return;
        }
        if (given.equals("unit") || row.filled() == 1 && given.isEmpty() && band(row, r, one)) {
            if (given.equals("unit") || !RowWords.noClass(one)) {
                begin(row.number(), one);
                return;
            }
        }
        if (row.filled() == 1 && given.isEmpty() && alone(row, one)) {
            entries.add(Entry.nothing(row.number(), RowWords.noClass(one) ? "no class" : "a remark"));
            return;
        }
        RowRead now = new RowRead(row);
        int before = entries.size();
        dates.read(now);
        unitCell(now);
        lessons(now, given);
        works.read(now, last);
        end(now, given, entries.size() > before);
    }

    /** Whether a row with one cell is the title of a unit. */
    private boolean band(SheetRow row, int r, String one) {
        if (RowWords.comment(one) || RowWords.total(one) || one.length() > 80) {
            return false;
        }
        if (!row.cell(columns.at(Meaning.UNIT)).isBlank()) {
            return true;
        }
        if (columns.has(Meaning.UNIT)
                || !row.cell(columns.at(Meaning.LESSON)).isBlank() && columns.at(Meaning.LESSON) > 0) {
            return false;
        }
        boolean follows =
                rows.stream().skip(r + 1L).filter(n -> !n.blank()).limit(1).anyMatch(n -> n.filled() > 1);
        boolean short_ = one.length() < 60
                && !one.matches("(?s).*[.!?;]\\s.*|.*\\.$")
                && days.find(one).isEmpty();
        return follows
                && (BAND.matcher(one).matches()
                        || short_
                                && columns.at(Meaning.LESSON) > 0
                                && row.cell(0).equals(one));
    }

    /** Whether a row with one cell is a remark about the sheet. */
    private boolean alone(SheetRow row, String one) {
        if (RowWords.comment(one)) {
            return true;
        }
        boolean topic = !row.cell(columns.at(Meaning.LESSON)).isBlank();
        boolean work = false;
        for (int c = 0; c < columns.meanings().size(); c++) {
            work |= columns.meanings().get(c).work() && !row.cell(c).isBlank();
        }
        return !topic
                && !work
                && !(row.cell(columns.at(Meaning.DATE)).equals(one)
                        && !days.find(one).isEmpty());
    }

    private void unitCell(RowRead now) {
        String cell = columns.cell(now.row, Meaning.UNIT);
        boolean again = cell.isBlank()
                || cell.equalsIgnoreCase(unit)
                || ONCE_MORE.matcher(cell).matches();
        if (!again
                && RowWords.noClass(cell)
                && columns.cell(now.row, Meaning.LESSON).isBlank()) {
            return;
        }
        if (!again) {
            begin(now.row.number(), cell);
        }
    }

    private void begin(int row, String title) {
        unit = title.replaceAll("\\s+", " ").strip();
        entries.add(new Entry.UnitBegins(row, unit, new ArrayList<>()));
        last = null;
    }

    private void lessons(RowRead now, String given) {
        String cell = columns.cell(now.row, Meaning.LESSON);
        if (cell.isBlank() || WorkWords.none(cell)) {
            return;
        }
        boolean lesson = given.equals("lesson");
        if (!lesson && RowWords.noClass(cell) && !cell.contains("\n") && given.isEmpty()) {
            free(now, cell);
            return;
        }
        if (!lesson && (RowWords.secondDay(cell) || RowWords.comment(cell) || given.equals("work"))) {
            LocalDate day = now.first;
            if (day != null && !term.classes().isEmpty() && !term.classes().contains(day)) {
                last = null; // its work stands outside the classes
            }
            return;
        }
        String[] lines = LINES.split(cell);
        boolean labels = lines.length > 0 && !RowWords.labelled(lines[0]).days().isEmpty();
        if (now.ofWeek || labels && lines.length > 1) {
            ofWeek(now, cell, lines);
            return;
        }
        one(now, cell.replaceAll("\\s*\\R\\s*", " / "), lesson);
    }

    /** A row that says that there is no class. */
    private void free(RowRead now, String cell) {
        List<SheetDays.Found> inside = days.find(cell);
        LocalDate from = now.first != null
                ? now.first
                : inside.isEmpty() ? null : inside.get(0).first();
        LocalDate to = now.until != null
                ? now.until
                : inside.isEmpty() ? null : inside.get(inside.size() - 1).last();
        entries.add(free(now.row.number(), cell, from, to));
    }

    /** Days without class, held against those of the term. */
    private Entry free(int row, String text, @Nullable LocalDate from, @Nullable LocalDate to) {
        List<String> doubts = new ArrayList<>();
        if (from != null && to != null && !to.isBefore(from) && !days.old()) {
            List<LocalDate> held = term.classes().subSet(from, to.plusDays(1)).stream()
                    .filter(d -> !term.off().contains(d))
                    .toList();
            if (!held.isEmpty()) {
                doubts.add("The sheet has no class (“"
                        + text.replaceAll("\\s+", " ").strip() + "”), the plan has one on " + Say.day(held.get(0))
                        + ". Add a day off, or keep the class.");
            }
        }
        return new Entry.Nothing(row, "no class", doubts);
    }

    /** A row that stands for the classes of a week. */
    private void ofWeek(RowRead now, String cell, String[] lines) {
        List<RowWords.Labelled> parts = new ArrayList<>();
        String[] all = lines.length == 1 && RowWords.labelled(cell).days().isEmpty() ? cell.split("\\s*;\\s+") : lines;
        for (String line : all) {
            if (!line.isBlank()) {
                parts.add(RowWords.labelled(line));
            }
        }
        int classes = now.first == null || now.until == null
                ? 0
                : term.classes().subSet(now.first, now.until.plusDays(1)).size();
        for (RowWords.Labelled part : parts) {
            LocalDate day = now.on(part.days());
            if (RowWords.noClass(part.text())) {
                LocalDate until = part.days().size() > 1 && day != null ? now.until : day;
                entries.add(free(now.row.number(), part.text(), day, part.days().isEmpty() ? now.until : until));
                continue;
            }
            List<SheetDays.Found> inside = RowWords.test(part.text()) ? days.find(part.text()) : List.of();
            if (!inside.isEmpty() && !term.classes().contains(inside.get(0).first())) {
                outside(now, part.text(), inside.get(0).first(), true);
                continue;
            }
            RowWords.Sized sized = RowWords.sized(part.text());
            int sessions = sized.sessions() > 0
                    ? sized.sessions()
                    : part.days().size() > 1
                            ? part.days().size()
                            : parts.size() == 1 && part.days().isEmpty() ? Math.max(1, classes) : 1;
            add(
                    now,
                    new Taught(
                            now.row.number(),
                            titled(sized.title()),
                            sessions,
                            day,
                            dates.week(),
                            now.lessons.isEmpty(),
                            false,
                            columns.cell(now.row, Meaning.OBJECTIVES),
                            new ArrayList<>()),
                    sized.title());
        }
    }

    private void one(RowRead now, String text, boolean lesson) {
        boolean test = RowWords.test(text);
        List<SheetDays.Found> inside = test ? days.find(text) : List.of();
        LocalDate day = inside.isEmpty() ? now.first : inside.get(0).first();
        boolean outside =
                day != null && !term.classes().isEmpty() && !term.classes().contains(day);
        boolean after = day != null
                && (day.isAfter(term.last())
                        || term.classes().isEmpty() == false
                                && day.isAfter(term.classes().last()));
        if (!lesson && outside && (test || after || RowWords.bracketed(text))) {
            outside(now, text, day, test);
            return;
        }
        RowWords.Sized sized = RowWords.sized(text);
        int cells = RowWords.count(columns.cell(now.row, Meaning.SESSIONS));
        boolean alike = last != null && last.title().equalsIgnoreCase(titled(sized.title()));
        boolean bare = now.first == null
                && columns.cell(now.row, Meaning.CLASS_NUMBER).isBlank()
                && columns.cell(now.row, Meaning.SESSIONS).isBlank();
        String title = inside.isEmpty() ? titled(sized.title()) : titled(text.split("\\s+[–—-]\\s+|,|\\(")[0]);
        Taught taught = new Taught(
                now.row.number(),
                title,
                cells > 0 ? cells : Math.max(1, sized.sessions()),
                day,
                dates.week(),
                dates.week() > 0
                        && !columns.has(Meaning.DATE)
                        && !columns.cell(now.row, Meaning.WEEK).isBlank(),
                alike && bare,
                columns.cell(now.row, Meaning.OBJECTIVES),
                new ArrayList<>());
        if (day != null && outside && !days.old()) {
            boolean off = term.off().contains(day);
            taught.doubts()
                    .add("The sheet has this lesson on " + Say.day(day) + ", when the section has no class"
                            + (off ? ": the day is off." : "."));
        }
        if (cells == 0 && !columns.cell(now.row, Meaning.SESSIONS).isBlank()) {
            taught.doubts()
                    .add("“" + columns.cell(now.row, Meaning.SESSIONS) + "” is no number of sessions; 1 was taken.");
        }
        add(now, taught, text);
    }

    /** A title without its number of minutes, where it is a test's. */
    private String titled(String text) {
        if (!RowWords.test(text)) {
            return text.replaceAll("\\s+", " ");
        }
        Work facts = new Work(0, "", "");
        String rest = WorkFacts.take(facts, text, new WorkWords.Place(0, "test", true, null));
        return WorkTitle.trimmed(rest.replaceAll("(?i)\\(\\s*in[- ]class\\s*,?\\s*\\)", " "));
    }

    /** Adds a lesson, and the test that it is or holds. */
    private void add(RowRead now, Taught taught, String text) {
        now.lessons.add(taught);
        entries.add(taught);
        last = taught;
        String inside = RowWords.test(text) ? null : RowWords.testInside(text);
        if (RowWords.test(text) || inside != null) {
            Work work = new Work(now.row.number(), inside == null ? taught.title() : inside, "test");
            work.kind = work.title.toLowerCase(Locale.ROOT).matches(".*\\bquiz.*") ? "quiz" : "test";
            WorkFacts.take(work, text, new WorkWords.Place(0, "test", true, null));
            work.inClass = true;
            work.due = When.of(When.Sort.IN_CLASS, "");
            words.when().span(text, taught.day()).ifPresent(s -> spanned(work, s));
            now.works.add(new Given(work, taught, null, null));
        }
    }

    private static void spanned(Work work, Entry.Span span) {
        work.opens = When.day(span.day(), span.start(), "");
        work.due = When.day(span.day(), span.end(), "");
        work.inClass = false;
    }

    /** A row outside the classes: an examination, or a day that something else is due. */
    private void outside(RowRead now, String text, @Nullable LocalDate day, boolean test) {
        now.first = day;
        last = null;
        if (!test) {
            return;
        }
        String title = titled(
                days.find(text).isEmpty()
                        ? text
                        : text.substring(0, days.find(text).get(0).start()));
        Work work = new Work(now.row.number(), WorkTitle.trimmed(title), "test");
        WorkFacts.take(work, text, new WorkWords.Place(0, "test", true, null));
        words.when()
                .span(text, day)
                .or(() -> words.when().span(columns.cell(now.row, Meaning.DATE), day))
                .ifPresentOrElse(s -> spanned(work, s), () -> work.due = day == null ? null : When.day(day, null, ""));
        if (days.old()) {
            work.doubts.add("Its time is that of an earlier term: ask for this term's.");
        }
        now.works.add(new Given(work, null, day, null));
    }

    /** A row that gave nothing says so. */
    private void end(RowRead now, String given, boolean gave) {
        if (gave) {
            return;
        }
        String topic = columns.cell(now.row, Meaning.LESSON);
        String text = now.row.text().strip();
        if (RowWords.noClass(topic) || RowWords.noClass(columns.cell(now.row, Meaning.NOTES))) {
            entries.add(free(now.row.number(), text, now.first, now.until));
        } else if (RowWords.secondDay(topic)) {
            entries.add(Entry.nothing(now.row.number(), "the lesson before goes on"));
        } else if (RowWords.comment(topic) || topic.isBlank() && !given.equals("lesson")) {
            LocalDate first = now.first;
            boolean asks = first != null && term.classes().contains(first);
            entries.add(
                    first != null && asks
                            ? Entry.doubt(now.row.number(), "A class on " + Say.day(first) + " without a topic.")
                            : Entry.nothing(now.row.number(), "a remark"));
        } else {
            entries.add(Entry.nothing(now.row.number(), "nothing to do"));
        }
    }
}
