package app.matsuri.exchange.table;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.dates.PutDates;
import app.matsuri.core.change.notice.PutNotice;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.outline.NoticeLine;
import app.matsuri.exchange.table.EntryColumns.Part;
import app.matsuri.exchange.table.TableReading.Line;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.MomentWords;
import app.matsuri.exchange.words.TimeWords;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Reads a table of entries as other calendars write them: a title, a start and an end. What is called as a piece of work is when that is
 * due, what has the hours of a class is that class, anything else is a notice.
 */
public final class EntriesReader {

    private static final Pattern SLASHED = Pattern.compile("\\b(\\d{1,2})/(\\d{1,2})(?:/\\d{2,4})?\\b");

    private final Schedule schedule;
    private final @Nullable String usual;
    private final DayWords days;
    private final EntryColumns columns;
    private final List<Line> lines = new ArrayList<>();
    private final List<PutDates.Entry> dates = new ArrayList<>();
    private final List<Change> notices = new ArrayList<>();
    private Decisions now;
    private int same;

    private EntriesReader(Decisions decisions, @Nullable String usual, DayWords days, EntryColumns columns) {
        this.now = decisions;
        this.schedule = Schedule.of(decisions);
        this.usual = usual;
        this.days = days;
        this.columns = columns;
    }

    /**
     * Reads the rows of a table.
     *
     * @param usual code of the course that entries are for where they do not say; null for the only one
     * @throws Unreadable when no column has titles or none has days
     */
    public static TableReading read(
            List<List<String>> rows, Decisions decisions, @Nullable String usual, DayWords days) {
        DayWords as = written(rows, days);
        EntryColumns columns = (rows.isEmpty() ? Optional.<EntryColumns>empty() : EntryColumns.of(rows, as))
                .orElseThrow(() -> new Unreadable("No column of titles and days was found. The first row names the"
                        + " columns: title, start date, start time, end date, end time; or keep the first row of a"
                        + " table that was downloaded here."));
        String course = usual != null || decisions.courses().size() != 1
                ? usual
                : decisions.courses().get(0).code();
        EntriesReader reader = new EntriesReader(decisions, course, as, columns);
        for (int r = columns.heads() ? 1 : 0; r < rows.size(); r++) {
            reader.row(r + 1, rows.get(r));
        }
        if (!columns.aside().isEmpty()) {
            String said = "Nothing is read from " + String.join(", ", columns.aside()) + ".";
            reader.lines.add(0, new Line(1, "the columns", "", "", "unknown", said));
        }
        List<Change> changes = new ArrayList<>();
        if (!reader.dates.isEmpty()) {
            changes.add(new PutDates(reader.dates));
        }
        changes.addAll(reader.notices);
        return new TableReading(reader.lines, changes, reader.same);
    }

    /** 13/10 says that days stand before months, 10/13 that they do not, for the whole table. */
    private static DayWords written(List<List<String>> rows, DayWords days) {
        boolean dayFirst = false;
        boolean monthFirst = false;
        for (List<String> row : rows) {
            Matcher m = SLASHED.matcher(String.join(" ", row));
            while (m.find()) {
                dayFirst |= Integer.parseInt(m.group(1)) > 12;
                monthFirst |= Integer.parseInt(m.group(2)) > 12;
            }
        }
        return dayFirst == monthFirst ? days : new DayWords(days.base(), days.first(), days.last(), dayFirst);
    }

    /** An entry, and the row that it stands in. */
    private record Entry(
            int row,
            String title,
            LocalDateTime begins,
            @Nullable LocalDateTime ends,
            boolean wholeDays) {}

    private void row(int number, List<String> row) {
        String title = columns.cell(row, Part.TITLE);
        if (title.isEmpty()) {
            lines.add(new Line(number, String.join(", ", row), "", "", "not-understood", "It has no title."));
            return;
        }
        Entry entry = entry(number, title, row);
        if (entry == null) {
            return;
        }
        Named named = named(entry, columns.cell(row, Part.COURSE));
        if (named == null) {
            say(
                    entry,
                    "",
                    "unknown",
                    now.courses().isEmpty() ? "There is no course." : "For which course? Choose one.");
        } else if (!there(named, entry)) {
            String place = columns.cell(row, Part.PLACE);
            notice(named, entry, columns.cell(row, Part.WORDS), place);
        }
    }

    private @Nullable Entry entry(int number, String title, List<String> row) {
        Optional<MomentWords> start = MomentWords.read(columns.cell(row, Part.START_DAY), days);
        if (start.isEmpty()) {
            String cell = columns.cell(row, Part.START_DAY);
            lines.add(new Line(
                    number,
                    title,
                    "",
                    "start",
                    "not-understood",
                    cell.isEmpty() ? "It has no day." : "“" + cell + "” is no day yet. Write 2026-10-08."));
            return null;
        }
        LocalTime from = time(columns.cell(row, Part.START_TIME), start.get().time());
        String endCell = columns.cell(row, Part.END_DAY);
        // "17:00" in a column of ends that has days elsewhere
        LocalTime endAlone = TimeWords.read(endCell).orElse(null);
        Optional<MomentWords> end = MomentWords.read(endCell, days);
        LocalDate last = end.map(MomentWords::day).orElse(start.get().day());
        LocalTime to = time(
                columns.cell(row, Part.END_TIME),
                endAlone != null ? endAlone : end.map(MomentWords::time).orElse(null));
        boolean wholeDays = EntryColumns.yes(columns.cell(row, Part.ALL_DAY)) || from == null && to == null;
        LocalDate first = start.get().day();
        if (!endCell.isEmpty() && end.isEmpty() && endAlone == null || last.isBefore(first)) {
            String said = last.isBefore(first) ? "It ends before it begins." : "“" + endCell + "” is no day yet.";
            lines.add(new Line(number, title, "", "end", "not-understood", said));
            return null;
        }
        if (wholeDays) {
            return new Entry(
                    number, title, first.atStartOfDay(), last.isAfter(first) ? last.atStartOfDay() : null, true);
        }
        LocalDateTime begins = first.atTime(from == null ? to : from);
        LocalDateTime ends = to == null ? null : last.atTime(to);
        return new Entry(number, title, begins, ends == null || ends.isAfter(begins) ? ends : null, false);
    }

    private static @Nullable LocalTime time(String cell, @Nullable LocalTime otherwise) {
        return TimeWords.field(cell).orElse(otherwise);
    }

    /** A course, and a title without its code. */
    private record Named(Course course, String title) {}

    private @Nullable Named named(Entry entry, String code) {
        String title = entry.title();
        for (Course course : now.courses()) {
            String lead = course.code();
            if (title.regionMatches(true, 0, lead, 0, lead.length())
                    && title.length() > lead.length()
                    && !Character.isLetterOrDigit(title.charAt(lead.length()))) {
                String rest = title.substring(lead.length()).replaceFirst("^[\\s:,–-]+", "");
                return new Named(course, rest.isEmpty() ? title : rest);
            }
        }
        String wanted = code.isEmpty() ? usual : code;
        return now.courses().stream()
                .filter(c -> wanted != null && c.code().equalsIgnoreCase(wanted))
                .findFirst()
                .map(c -> new Named(c, title))
                .orElse(null);
    }

    /** Whether the entry is something that the course has: its work, a class, a notice. */
    private boolean there(Named named, Entry entry) {
        Course course = named.course();
        List<Item> called = course.items().stream()
                .filter(i -> i.title().equalsIgnoreCase(named.title()))
                .toList();
        if (called.size() > 1) {
            say(entry, "due", "unknown", called.size() + " pieces of work are called so: change them in Dates.");
            return true;
        }
        if (called.size() == 1) {
            due(course, called.get(0), entry);
            return true;
        }
        boolean begins = !entry.wholeDays()
                && schedule.sections().stream()
                        .filter(s -> s.course().code().equals(course.code()))
                        .anyMatch(s -> s.sessions().all().stream()
                                .anyMatch(c -> c.start().equals(entry.begins())
                                        && (entry.ends() == null || c.end().equals(entry.ends()))));
        boolean known = course.besides().notices().stream()
                .anyMatch(n -> n.title().equalsIgnoreCase(named.title()) && same(course, n, entry));
        if (begins || known) {
            same++;
        }
        return begins || known;
    }

    private boolean same(Course course, Notice notice, Entry entry) {
        return schedule.sections().stream()
                .filter(s -> s.course().code().equals(course.code()))
                .flatMap(s -> s.notice(course.code(), notice.id()).stream())
                .flatMap(d -> d.entries().stream())
                .anyMatch(e -> entry.begins().equals(e.begins()));
    }

    private void due(Course course, Item item, Entry entry) {
        LocalDateTime ends = entry.ends();
        LocalDateTime at = entry.wholeDays()
                ? (ends == null ? entry.begins() : ends).toLocalDate().atTime(23, 59)
                : ends == null ? entry.begins() : ends;
        Set<LocalDateTime> had = schedule.sections().stream()
                .filter(s -> s.course().code().equals(course.code()))
                .flatMap(s -> s.dated(item).stream())
                .map(d -> d.at(Which.DUE))
                .filter(d -> d != null)
                .collect(Collectors.toSet());
        boolean day =
                entry.wholeDays() && had.stream().anyMatch(d -> d.toLocalDate().equals(at.toLocalDate()));
        if (had.contains(at) || day) {
            same++;
            return;
        }
        dates.add(
                new PutDates.Entry(course.code(), item.id(), List.of(), Map.of(Which.DUE, Own.other(DateRule.at(at)))));
        String from = had.isEmpty()
                ? "no date"
                : had.stream().sorted().map(Say::moment).collect(Collectors.joining(" or "));
        say(entry, "due", "changed", from + " to " + Say.moment(at));
    }

    private void notice(Named named, Entry entry, String words, String place) {
        LocalDateTime ends = entry.ends();
        NoticeTime when = NoticeTime.once(
                entry.wholeDays(), DateRule.at(entry.begins()), ends == null ? null : DateRule.at(ends));
        Notice plain = Notice.of(NoticeLine.id(named.course(), named.title()), named.title(), when);
        Notice notice = new Notice(
                plain.id(),
                null,
                plain.title(),
                words,
                place,
                List.of(),
                when,
                Map.of(),
                plain.reach(),
                List.of(),
                List.of(),
                null,
                Extra.NONE);
        now = now.withCourse(named.course().withNotice(notice));
        notices.add(new PutNotice(named.course().code(), notice));
        say(entry, "", "changed", "in " + named.course().code() + ": " + NoticeLine.say(notice));
    }

    private void say(Entry entry, String column, String state, String said) {
        lines.add(new Line(entry.row(), entry.title(), "", column, state, said));
    }
}
