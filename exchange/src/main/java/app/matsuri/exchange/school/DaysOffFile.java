package app.matsuri.exchange.school;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.calendar.PutClosure;
import app.matsuri.core.change.calendar.RemoveClosure;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Plain;
import app.matsuri.exchange.file.TableFile;
import app.matsuri.exchange.school.DaysOffReader.Line;
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
    public static List<Line> read(Given given, Term term, DayWords days) {
        Given file = Plain.of(given);
        if (file.kind() == Given.Kind.TEXT) {
            return DaysOffReader.read(file.text(), days, term.weekdays());
        }
        boolean table = file.kind() != Given.Kind.CALENDAR;
        if (table && DaysOffTable.recognises(TableFile.rows(file))) {
            return DaysOffTable.read(TableFile.rows(file), days);
        }
        return DaysOffReader.lines(SchoolCalendar.read(file, DaysOffReader.term(days, term.weekdays())));
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
            now = line.state().equals("doubtful") && now.state().equals("overlap") ? line : now;
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
