package app.matsuri.exchange.calendar;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.calendar.PutClosure;
import app.matsuri.core.change.calendar.RemoveClosure;
import app.matsuri.exchange.calendar.CalendarReader.Event;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.TableFile;
import app.matsuri.exchange.outline.DaysOffReader;
import app.matsuri.exchange.outline.DaysOffReader.Line;
import app.matsuri.exchange.words.DayWords;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** Days off from a file as given: a calendar, a table, a workbook or text; and what differs when it is read again. */
public final class DaysOffFile {

    private DaysOffFile() {}

    /**
     * Reads its lines, rows or events, each with what was understood.
     *
     * @throws app.matsuri.exchange.file.Unreadable when it cannot be read
     */
    public static List<Line> read(Given file, Term term, DayWords days) {
        return switch (file.kind()) {
            case CALENDAR -> events(CalendarReader.read(file, term.zone()), term, days);
            case WORKBOOK, TABLE -> table(TableFile.rows(file), days);
            case TEXT -> DaysOffReader.read(file.text(), days);
        };
    }

    private static List<Line> table(List<List<String>> rows, DayWords days) {
        if (DaysOffTable.recognises(rows)) {
            return DaysOffTable.read(rows, days);
        }
        return DaysOffReader.read(
                String.join(
                        "\n",
                        rows.stream()
                                .map(row -> String.join("\t", row).replaceAll("[\\r\\n]+", " "))
                                .toList()),
                days);
    }

    private static List<Line> events(CalendarReader.Reading reading, Term term, DayWords days) {
        List<Line> lines = new ArrayList<>();
        int number = 0;
        for (Event event : reading.events()) {
            number++;
            if (event.cancelled()
                    || event.lastDay().isBefore(term.first())
                    || event.firstDay().isAfter(term.last())) {
                continue;
            }
            String title = event.summary().replaceAll("\\s+", " ");
            String text = Say.days(event.firstDay(), event.lastDay()) + " " + title;
            if (!event.allDay()) {
                lines.add(new Line(number, text, "passed", "at a time of day, so no day off", null));
                continue;
            }
            // the title is judged as a line of a list would be, the days are the event's own
            Line judged =
                    DaysOffReader.read(event.firstDay() + " " + title, days).get(0);
            if (judged.closure() == null) {
                lines.add(new Line(number, text, judged.state(), judged.said(), null));
            } else {
                Closure closure = judged.closure().withDays(event.firstDay(), event.lastDay());
                boolean due = closure.nothingDue();
                lines.add(new Line(
                        number,
                        text,
                        "off",
                        Say.days(closure.first(), closure.last()) + ": no class, "
                                + (due ? "nothing due" : "work may be due"),
                        closure));
            }
        }
        reading.skipped().forEach(said -> lines.add(new Line(0, said, "not-understood", said, null)));
        return lines;
    }

    /**
     * The days off among the lines, marked where one stands twice, lies over another, is off already, or lies outside
     * the term: states "double", "overlap", "known" and "outside".
     */
    public static List<Line> check(List<Line> lines, Term term) {
        List<Line> checked = new ArrayList<>();
        List<Before> before = new ArrayList<>();
        for (Line line : lines) {
            Closure closure = line.closure();
            Line now = closure == null ? line : checked(line, closure, before, term);
            checked.add(now);
            if (closure != null && now.state().equals("off")) {
                before.add(new Before(now.number(), closure));
            }
        }
        return checked;
    }

    private record Before(int number, Closure closure) {}

    private static Line checked(Line line, Closure closure, List<Before> before, Term term) {
        if (closure.last().isBefore(term.first()) || closure.first().isAfter(term.last())) {
            return with(
                    line,
                    "outside",
                    Say.days(closure.first(), closure.last()) + " "
                            + closure.first().getYear() + ": outside the term");
        }
        for (Before other : before) {
            if (closure.days().equals(other.closure().days()) && same(closure, other.closure())) {
                return with(line, "double", "the same days as line " + other.number());
            }
            if (closure.days().overlaps(other.closure().days()) && same(closure, other.closure())) {
                return with(line, "overlap", line.said() + "; lies over line " + other.number());
            }
        }
        for (Closure known : term.closures()) {
            if (known.everyone() && known.days().encloses(closure.days()) && same(closure, known)) {
                return with(line, "known", "off already" + (known.reason().isEmpty() ? "" : ": " + known.reason()));
            }
        }
        return line;
    }

    /** Whether both take the whole day, or both the same part of it. */
    private static boolean same(Closure a, Closure b) {
        return Objects.equals(a.from(), b.from()) && Objects.equals(a.to(), b.to());
    }

    private static Line with(Line line, String state, String said) {
        return new Line(line.number(), line.text(), state, said, line.closure());
    }

    /**
     * What a file that is read again changes: days off that are new, that moved (the same reason on other days), and
     * that are gone. Days off that a person added, changed or took away by hand are left alone.
     *
     * @param old what the file gave when it was read before
     * @param now what it gives
     */
    public static List<Change> differences(List<Closure> old, List<Closure> now, Term term) {
        List<Closure> gone = new ArrayList<>(old);
        gone.removeAll(now);
        gone.retainAll(term.closures());
        List<Closure> more = new ArrayList<>(now);
        more.removeAll(old);
        more.removeAll(term.closures());
        List<Change> changes = new ArrayList<>();
        for (Closure closure : more) {
            Closure was = gone.stream()
                    .filter(c -> c.reason().equals(closure.reason()) && near(c, closure))
                    .findFirst()
                    .orElse(null);
            if (was == null) {
                changes.add(new AddClosure(closure));
            } else {
                gone.remove(was);
                changes.add(new PutClosure(was.first(), was.last(), was.reason(), closure));
            }
        }
        gone.forEach(c -> changes.add(new RemoveClosure(c.first(), c.last(), c.reason())));
        return changes;
    }

    private static boolean near(Closure a, Closure b) {
        LocalDate x = a.first();
        return Math.abs(x.toEpochDay() - b.first().toEpochDay()) <= 31;
    }
}
