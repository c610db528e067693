package app.matsuri.exchange.sheet;

import app.matsuri.exchange.sheet.Entry.Given;
import app.matsuri.exchange.sheet.Entry.Taught;
import app.matsuri.exchange.words.KindWords;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** What the rows of a table give to do, with its lesson and when it is due. */
final class TableWorks {

    private static final Pattern LINES = Pattern.compile("\\R");

    private final Columns columns;
    private final WorkWords words;
    private final List<Entry> entries;
    private final @Nullable When usual;
    private final HandedOut handed = new HandedOut();

    TableWorks(Columns columns, WorkWords words, List<Entry> entries) {
        this.columns = columns;
        this.words = words;
        this.entries = entries;
        this.usual = usual();
    }

    /** Once all rows are read: what says when other work is handed out gives it its day. */
    void handedOut() {
        handed.open(entries);
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

    /**
     * Adds what a row gives to do to the entries.
     *
     * @param last the lesson before the row, and of it where it has none; null for none
     */
    void read(RowRead now, @Nullable Taught last) {
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
                LocalDate day = part.days().isEmpty() ? now.first : now.on(part.days());
                String text = part.days().isEmpty() ? line : part.text();
                WorkWords.Said found = words.read(text, row.place(c, day));
                found.doubts().forEach(d -> entries.add(Entry.doubt(now.row.number(), d)));
                found.opened().forEach(title -> handed.add(title, day));
                for (Work work : found.works()) {
                    Given made = placed(now, last, work, meaning, part.days(), day);
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
    private static List<String> lines(RowRead now, String cell) {
        String[] lines = LINES.split(cell);
        boolean labels = lines.length > 1
                && now.ofWeek
                && Arrays.stream(lines)
                        .anyMatch(l -> !RowWords.labelled(l).days().isEmpty());
        return labels ? Arrays.asList(lines) : List.of(cell);
    }

    /** Gives work of a column its lesson and, where its cell does not say it, when it is due. */
    private Given placed(
            RowRead now,
            @Nullable Taught last,
            Work work,
            Meaning meaning,
            Set<DayOfWeek> weekdays,
            @Nullable LocalDate day) {
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
            LocalDate held = now.on(on);
            work.due = held == null ? due : new When(When.Sort.CLASS_START, held, null, null, "");
        } else if (work.test() && (due == null || found || due.sort() == When.Sort.IN_CLASS)) {
            work.due = When.of(When.Sort.IN_CLASS, "");
            work.inClass = true;
        }
        boolean alone = now.lessons.isEmpty() && last == null && day != null;
        return new Given(work, alone ? null : lesson, alone ? day : null, now.ofWeek ? now.first : null);
    }

    /** A test that the topic names already is that of its column, once. */
    private static void merge(RowRead now, Given made) {
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
    private void usual(RowRead now, Given given) {
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
        if (work.kind.isEmpty() || work.kind.equals("other") && !KindWords.other(work.title)) {
            boolean away = work.due != null
                    && work.due.sort() != When.Sort.IN_CLASS
                    && work.due.sort() != When.Sort.CLASS_START;
            work.kind = away ? "homework" : "other";
        }
    }

    private boolean fromDue(RowRead now, Work work) {
        for (int c = 0; c < columns.meanings().size(); c++) {
            if (columns.meanings().get(c) == Meaning.WORK_DUE && now.row.cell(c).contains(work.title)) {
                return true;
            }
        }
        return false;
    }
}
