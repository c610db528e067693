package app.matsuri.core.school;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.calendar.MarkDays;
import app.matsuri.core.change.calendar.PutClosure;
import app.matsuri.core.change.calendar.RemoveClosure;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** One thing that a school's calendar says. */
public sealed interface SchoolDay {

    /** A day off, or a run of them, for everyone. */
    record Off(Closure closure) implements SchoolDay {

        @Override
        public LocalDate first() {
            return closure.first();
        }

        @Override
        public LocalDate last() {
            return closure.last();
        }

        @Override
        public String said() {
            LocalTime from = closure.from();
            LocalTime to = closure.to();
            String part = from == null || to == null ? "" : " " + Say.time(from) + " to " + Say.end(to);
            return Say.days(first(), last()) + part + ", "
                    + (closure.reason().isEmpty() ? "day off" : closure.reason())
                    + (closure.noClass() ? "" : ", with classes");
        }

        @Override
        public Change take(@Nullable SchoolDay instead) {
            return instead instanceof Off was
                    ? new PutClosure(was.first(), was.last(), was.closure().reason(), closure)
                    : new AddClosure(closure);
        }

        @Override
        public Change drop() {
            return new RemoveClosure(first(), last(), closure.reason());
        }
    }

    /** A day that teaches although it would not. */
    record Teaches(LocalDate first) implements SchoolDay {

        @Override
        public String said() {
            return Say.day(first) + " teaches";
        }

        @Override
        public Change take(@Nullable SchoolDay instead) {
            return new MarkDays(first, first, MarkDays.Mark.TEACHES, null);
        }
    }

    /** A day that runs as another weekday. */
    record RunsAs(LocalDate first, DayOfWeek weekday) implements SchoolDay {

        @Override
        public String said() {
            return Say.day(first) + " runs as a " + weekday.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
        }

        @Override
        public Change take(@Nullable SchoolDay instead) {
            return new MarkDays(first, first, MarkDays.Mark.RUNS_AS, weekday);
        }
    }

    /** Its first day. */
    LocalDate first();

    /** In words. */
    String said();

    /** The change that makes a term say it, in place of another where one is given. */
    Change take(@Nullable SchoolDay instead);

    /** The change after which a term no longer says it. */
    default Change drop() {
        return new MarkDays(first(), first(), MarkDays.Mark.USUAL, null);
    }

    /** Its last day. */
    default LocalDate last() {
        return first();
    }

    /** All that a term says to everyone, in order. What is for some courses alone is the instructor's own. */
    static List<SchoolDay> of(Term term) {
        List<SchoolDay> all = new ArrayList<>();
        term.closures().stream()
                .filter(Closure::everyone)
                .map(c -> new Off(plain(c)))
                .forEach(all::add);
        term.extraDays().forEach(day -> all.add(new Teaches(day)));
        term.runsAs().forEach((day, weekday) -> all.add(new RunsAs(day, weekday)));
        return all;
    }

    private static Closure plain(Closure c) {
        return new Closure(
                c.days(),
                c.from(),
                c.to(),
                c.reason(),
                c.kind(),
                c.noClass(),
                c.planPauses(),
                c.nothingDue(),
                null,
                c.justInCase(),
                Extra.NONE);
    }

    /** Whether some of it lies within a term. */
    default boolean within(Term term) {
        return !last().isBefore(term.first()) && !first().isAfter(term.last());
    }

    /** Whether a term says just this. */
    default boolean in(Term term) {
        return of(term).contains(this);
    }

    /** Whether it is the same thing, said otherwise: a day off of the same reason, or the same day. */
    default boolean same(SchoolDay other) {
        if (this instanceof Off off && other instanceof Off then) {
            return off.closure().reason().equalsIgnoreCase(then.closure().reason());
        }
        return !(this instanceof Off) && !(other instanceof Off) && first().equals(other.first());
    }
}
