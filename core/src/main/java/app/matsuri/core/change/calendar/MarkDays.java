package app.matsuri.core.change.calendar;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.Locale;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * Days that teach although they would not, days that run as another weekday, or days as usual again.
 *
 * @param first inclusive
 * @param last inclusive
 * @param weekday the weekday they run as; null unless {@code as} says so
 */
public record MarkDays(
        LocalDate first, LocalDate last, Mark as, @Nullable DayOfWeek weekday) implements Change {

    /** What the days become. */
    public enum Mark {
        TEACHES,
        RUNS_AS,
        USUAL
    }

    public MarkDays {
        if (as == Mark.RUNS_AS && weekday == null) {
            throw new IllegalArgumentException("say as which weekday the day runs");
        }
    }

    @Override
    public Outcome apply(Decisions before) {
        Term term = before.term();
        if (last.isBefore(first)) {
            throw new Refused("The last day " + Say.day(last) + " lies before the first, " + Say.day(first) + ".");
        }
        if (!term.contains(first) || !term.contains(last)) {
            throw new Refused(Say.days(first, last) + " lies outside the term, which runs "
                    + Say.days(term.first(), term.last()) + ".");
        }
        SortedSet<LocalDate> extra = new TreeSet<>(term.extraDays());
        SortedMap<LocalDate, DayOfWeek> runsAs = new TreeMap<>(term.runsAs());
        for (LocalDate day = first; !day.isAfter(last); day = day.plusDays(1)) {
            extra.remove(day);
            runsAs.remove(day);
            if (as == Mark.TEACHES) {
                extra.add(day);
            } else if (as == Mark.RUNS_AS && day.getDayOfWeek() != weekday) {
                runsAs.put(day, weekday);
            }
        }
        if (extra.equals(term.extraDays()) && runsAs.equals(term.runsAs())) {
            throw new Refused("Nothing changes on " + Say.days(first, last) + ".");
        }
        return Outcome.of(before.withTerm(term.withMarks(extra, runsAs)));
    }

    @Override
    public String sentence(Decisions before) {
        String days = Say.days(first, last);
        boolean one = first.equals(last);
        return switch (as) {
            case TEACHES -> days + (one ? " teaches" : " teach");
            case RUNS_AS ->
                days
                        + (one ? " runs as a " : " run as a ")
                        + Known.there(weekday, "a weekday").getDisplayName(TextStyle.FULL, Locale.ENGLISH);
            case USUAL -> days + " as usual again";
        };
    }
}
