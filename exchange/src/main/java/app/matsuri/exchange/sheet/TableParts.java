package app.matsuri.exchange.sheet;

import app.matsuri.core.calendar.Say;
import app.matsuri.exchange.sheet.Entry.Given;
import app.matsuri.exchange.sheet.Entry.Taught;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.IsoFields;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Reads a table row by row: each comes to a unit, lessons, work, or is put aside with why. */
final class TableParts {

    private static final Pattern NUMBER = Pattern.compile(
            "(?iu)\\s*(?:(?:teaching )?week|wk\\.?|woche|kw|semaine|semana|w)?\\s*(\\d{1,2})\\b.*", Pattern.DOTALL);
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
    private final @Nullable When usual;
    private final List<Entry> entries = new ArrayList<>();
    private final HandedOut handed = new HandedOut();

    private String unit = "";
    private @Nullable Taught last;
    private int week;

    private TableParts(List<SheetRow> rows, Columns columns, SheetDays days, Map<Integer, String> said) {
        this.rows = rows;
        this.columns = columns;
        this.days = days;
        this.term = days.of();
        this.words = new WorkWords(days);
        this.said = said;
        this.usual = usual();
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
        table.handed.open(table.entries);
        return table.entries;
    }

    /** When work of the column is due where its cell does not say it, as its head does: "(Sundays 11:59pm unless stated)". */
    private @Nullable When usual() {
        int c = columns.at(Meaning.WORK_DUE);
        Matcher m = Pattern.compile("\\(([^()]+)\\)")
                .matcher(c < 0 ? "" : columns.names().get(c));
        while (m.find()) {
            When when = words.when().read(m.group(1), null, false).when();
            if (when != null && when.sort() == When.Sort.WEEKDAY) {
                return when;
            }
        }
        return null;
    }

    /** One row, while it is read. */
    private static final class Now {
        final SheetRow row;
        final List<Taught> lessons = new ArrayList<>();
        final List<Given> works = new ArrayList<>();

        @Nullable
        LocalDate first;

        @Nullable
        LocalDate until;

        boolean ofWeek;

        Now(SheetRow row) {
            this.row = row;
        }
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
        Now now = new Now(row);
        int before = entries.size();
        dated(now);
        unitCell(now);
        lessons(now, given);
        works(now);
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

    private void dated(Now now) {
        String cell = columns.cell(now.row, Meaning.DATE);
        String weeks = columns.cell(now.row, Meaning.WEEK);
        List<SheetDays.Found> found = days.find(cell);
        if (found.isEmpty()) {
            found = days.find(weeks);
        }
        Matcher number = NUMBER.matcher(weeks);
        boolean counted = days.find(weeks).isEmpty() && number.matches();
        int before = week;
        if (counted) {
            week = ofTerm(Integer.parseInt(number.group(1)));
        }
        if (!found.isEmpty()) {
            SheetDays.Found day = found.get(0);
            now.first = day.first();
            now.until = found.get(found.size() - 1).last();
            boolean span = !day.first().equals(day.last());
            now.ofWeek = day.last().isAfter(day.first().plusDays(2))
                    || span
                            && RowWords.labelled(columns.cell(now.row, Meaning.LESSON))
                                            .days()
                                            .size()
                                    == 1
                    || weekOf(cell, day);
            if (now.ofWeek && !span) {
                now.until = now.first.plusDays(6);
            }
            if (!day.wrong().isEmpty()) {
                entries.add(Entry.doubt(now.row.number(), "“" + cell.strip() + "”: " + day.wrong()));
            }
        } else if (!columns.has(Meaning.DATE) && week > 0) {
            now.ofWeek = counted && week != before && several(now);
            LocalDate monday = week <= term.weeks().size() ? term.weeks().get(week - 1) : null;
            if (monday != null && now.ofWeek) {
                now.first = monday;
                now.until = monday.plusDays(6);
            }
        }
    }

    /** A week of the term by the number that a sheet gives it: its own, or that of the year (ISO 8601), where it is larger. */
    private int ofTerm(int number) {
        for (int w = 0; number > term.weeks().size() && w < term.weeks().size(); w++) {
            if (term.weeks().get(w).plusDays(3).get(IsoFields.WEEK_OF_WEEK_BASED_YEAR) == number) {
                return w + 1;
            }
        }
        return number;
    }

    /** Whether a single date names a week: the head says it, or "w/c 26 October". */
    private boolean weekOf(String cell, SheetDays.Found day) {
        int c = columns.at(Meaning.DATE);
        String head = c < 0 ? "" : columns.names().get(c).toLowerCase(Locale.ROOT);
        boolean monday =
                day.first().getDayOfWeek() == DayOfWeek.MONDAY || day.first().getDayOfWeek() == DayOfWeek.SUNDAY;
        return monday
                && (head.matches(".*\\bweek( of|beginning|\\b).*")
                        || cell.matches("(?i).*\\b(?:w/?[cbk]|week of|week beginning|ab)\\b.*"));
    }

    /** Whether a row with a week's number stands for all its classes: no row below belongs to the same week. */
    private boolean several(Now now) {
        int at = rows.indexOf(now.row);
        for (int r = at + 1; r < rows.size(); r++) {
            SheetRow next = rows.get(r);
            if (next.blank()) {
                continue;
            }
            String number = columns.cell(next, Meaning.WEEK);
            return !number.isBlank() && !number.equals(columns.cell(now.row, Meaning.WEEK))
                    || columns.cell(next, Meaning.LESSON).isBlank();
        }
        return true;
    }

    private void unitCell(Now now) {
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

    private void lessons(Now now, String given) {
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
    private void free(Now now, String cell) {
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
    private void ofWeek(Now now, String cell, String[] lines) {
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
            LocalDate day = on(now, part.days());
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
                            week,
                            now.lessons.isEmpty(),
                            false,
                            columns.cell(now.row, Meaning.OBJECTIVES),
                            new ArrayList<>()),
                    sized.title());
        }
    }

    /** The day of a week's row that has the first of some weekdays; null where it has none. */
    private static @Nullable LocalDate on(Now now, Set<DayOfWeek> weekdays) {
        if (now.first == null || now.until == null || weekdays.isEmpty()) {
            return null;
        }
        LocalDate monday = now.first.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        return monday.plusDays(EnumSet.copyOf(weekdays).iterator().next().getValue() - 1L);
    }

    private void one(Now now, String text, boolean lesson) {
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
                week,
                week > 0
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
        String rest = words.facts(facts, text, new WorkWords.Place(0, "test", true, null));
        return WorkWords.trimmed(rest.replaceAll("(?i)\\(\\s*in[- ]class\\s*,?\\s*\\)", " "));
    }

    /** Adds a lesson, and the test that it is or holds. */
    private void add(Now now, Taught taught, String text) {
        now.lessons.add(taught);
        entries.add(taught);
        last = taught;
        String inside = RowWords.test(text) ? null : RowWords.testInside(text);
        if (RowWords.test(text) || inside != null) {
            Work work = new Work(now.row.number(), inside == null ? taught.title() : inside, "test");
            work.kind = work.title.toLowerCase(Locale.ROOT).matches(".*\\bquiz.*") ? "quiz" : "test";
            words.facts(work, text, new WorkWords.Place(0, "test", true, null));
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
    private void outside(Now now, String text, @Nullable LocalDate day, boolean test) {
        now.first = day;
        last = null;
        if (!test) {
            return;
        }
        String title = titled(
                days.find(text).isEmpty()
                        ? text
                        : text.substring(0, days.find(text).get(0).start()));
        Work work = new Work(now.row.number(), WorkWords.trimmed(title), "test");
        words.facts(work, text, new WorkWords.Place(0, "test", true, null));
        words.when()
                .span(text, day)
                .or(() -> words.when().span(columns.cell(now.row, Meaning.DATE), day))
                .ifPresentOrElse(s -> spanned(work, s), () -> work.due = day == null ? null : When.day(day, null, ""));
        if (days.old()) {
            work.doubts.add("Its time is that of an earlier term: ask for this term's.");
        }
        now.works.add(new Given(work, null, day, null));
    }

    private void works(Now now) {
        RowWorks row = new RowWorks(now.row, columns, words);
        List<Work> aligned = new ArrayList<>();
        for (int c = 0; c < columns.meanings().size(); c++) {
            Meaning meaning = columns.meanings().get(c);
            String cell = now.row.cell(c);
            if (!meaning.work() || cell.isBlank()) {
                continue;
            }
            for (String line : lines(now, cell)) {
                RowWords.Labelled part = meaning == Meaning.READING || now.ofWeek
                        ? RowWords.labelled(line)
                        : new RowWords.Labelled(Set.of(), line);
                LocalDate day = part.days().isEmpty() ? now.first : on(now, part.days());
                String text = part.days().isEmpty() ? line : part.text();
                WorkWords.Said found = words.read(text, row.place(c, day));
                found.doubts().forEach(d -> entries.add(Entry.doubt(now.row.number(), d)));
                found.opened().forEach(title -> handed.add(title, day));
                for (Work work : found.works()) {
                    Given made = placed(now, work, meaning, part.days(), day);
                    merge(now, made);
                    if (meaning != Meaning.READING) {
                        aligned.add(made.work());
                    }
                }
            }
        }
        now.works.stream()
                .map(Given::work)
                .filter(w -> w.test() && !aligned.contains(w))
                .forEach(aligned::add);
        row.fill(aligned, now.works.stream().map(Given::work).toList(), now.first);
        for (Given work : now.works) {
            usual(now, work);
            handed.add(work);
            entries.add(work);
        }
    }

    /** The lines of a cell that say for which class each is; else the whole cell. */
    private static List<String> lines(Now now, String cell) {
        String[] lines = LINES.split(cell);
        boolean labels = lines.length > 1
                && now.ofWeek
                && Arrays.stream(lines)
                        .anyMatch(l -> !RowWords.labelled(l).days().isEmpty());
        return labels ? Arrays.asList(lines) : List.of(cell);
    }

    /** Gives work of a column its lesson and, where its cell does not say it, when it is due. */
    private Given placed(Now now, Work work, Meaning meaning, Set<DayOfWeek> weekdays, @Nullable LocalDate day) {
        Taught lesson = now.lessons.isEmpty() ? last : now.lessons.get(0);
        Set<DayOfWeek> on = weekdays;
        When due = work.due;
        if (work.test()
                && due != null
                && due.sort() == When.Sort.WEEKDAY
                && due.time() == null
                && due.weekday() != null) {
            on = EnumSet.of(due.weekday());
        }
        boolean found = false;
        for (Taught one : now.lessons) {
            if (one.day() != null && on.contains(one.day().getDayOfWeek())) {
                lesson = one;
                found = true;
                break;
            }
        }
        if (meaning == Meaning.READING && (work.due == null || work.due.sort() == When.Sort.WORDS)) {
            work.due = When.of(When.Sort.CLASS_START, "");
        } else if (work.test() && !found && !on.isEmpty() && now.ofWeek) {
            LocalDate held = on(now, on);
            work.due = held == null ? due : new When(When.Sort.CLASS_START, held, null, null, "");
        } else if (work.test() && (due == null || found || due.sort() == When.Sort.IN_CLASS)) {
            work.due = When.of(When.Sort.IN_CLASS, "");
            work.inClass = true;
        }
        boolean alone = now.lessons.isEmpty() && last == null && day != null;
        return new Given(work, alone ? null : lesson, alone ? day : null, now.ofWeek ? now.first : null);
    }

    /** A test that the topic names already is that of its column, once. */
    private static void merge(Now now, Given made) {
        for (int i = 0; i < now.works.size(); i++) {
            Given there = now.works.get(i);
            boolean both = there.work().test() && made.work().test() && there.row() == made.row() && alike(there, made);
            if (both) {
                Work work = made.work();
                work.minutes = work.minutes == null ? there.work().minutes : work.minutes;
                work.opens = work.opens == null ? there.work().opens : work.opens;
                boolean span = there.work().opens != null;
                work.due = span || work.due == null ? there.work().due : work.due;
                now.works.set(i, new Given(work, there.lesson(), there.day(), there.week()));
                return;
            }
        }
        now.works.add(made);
    }

    private static boolean alike(Given there, Given made) {
        String a = letters(there.work().title());
        String b = letters(made.work().title());
        boolean whole = there.lesson() == null || RowWords.test(there.lesson().title());
        return a.startsWith(b)
                || b.startsWith(a)
                || whole && there.work().kind().equals(made.work().kind())
                || whole && (there.lesson() == null || made.lesson() == there.lesson());
    }

    private static String letters(String text) {
        return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\d]", "");
    }

    /** What is due without a day is due as its column says, else with its class. */
    private void usual(Now now, Given given) {
        Work work = given.work();
        boolean said = work.due != null
                && work.due.sort() == When.Sort.WORDS
                && work.due.text().isEmpty();
        boolean column = columns.has(Meaning.WORK_DUE) && fromDue(now, work);
        if (work.due == null && column && !work.test() && !work.kind.equals("lab") || said) {
            work.due = usual != null ? usual : now.ofWeek ? null : When.of(When.Sort.CLASS_START, "");
            if (work.due == null) {
                work.doubts.add("It is due in this week; the day is not said.");
            }
        }
        if (work.kind.isEmpty()
                || work.kind.equals("other") && !app.matsuri.exchange.words.KindWords.other(work.title)) {
            boolean away = work.due != null
                    && work.due.sort() != When.Sort.IN_CLASS
                    && work.due.sort() != When.Sort.CLASS_START;
            work.kind = away ? "homework" : "other";
        }
    }

    private boolean fromDue(Now now, Work work) {
        for (int c = 0; c < columns.meanings().size(); c++) {
            if (columns.meanings().get(c) == Meaning.WORK_DUE && now.row.cell(c).contains(work.title)) {
                return true;
            }
        }
        return false;
    }

    /** A row that gave nothing says so. */
    private void end(Now now, String given, boolean gave) {
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
