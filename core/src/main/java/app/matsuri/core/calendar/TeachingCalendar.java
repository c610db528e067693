package app.matsuri.core.calendar;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.threeten.extra.LocalDateRange;

/**
 * Counting in teaching days and weeks of one term. A teaching day is a day within the term that is an extra day, or
 * whose weekday (or the weekday it runs as) teaches and which no whole-day <em>no class</em> closure for everyone
 * covers. Built in one pass over the term; every question after that is answered in constant time.
 */
public final class TeachingCalendar {

    private final Term term;
    private final LocalDate[] teaching;
    /** For day i of the term: how many teaching days lie strictly before it; one entry more than days. */
    private final int[] before;

    private final LocalDate firstWeek;
    private final int weeks;
    private final LocalDate[] teachingWeeks;
    private final int[] teachingWeekNumber;
    /** Day letter of day i of the term, null for none; null without a rotation. */
    private final String @Nullable [] letters;

    private TeachingCalendar(Term term) {
        this.term = term;
        int days = (int) ChronoUnit.DAYS.between(term.first(), term.last()) + 1;
        boolean[] off = new boolean[days];
        for (Closure closure : term.closures()) {
            if (closure.noClass() && closure.wholeDay() && closure.everyone()) {
                int from = Math.max(0, index(closure.first()));
                int to = Math.min(days - 1, index(closure.last()));
                for (int i = from; i <= to; i++) {
                    off[i] = true;
                }
            }
        }
        before = new int[days + 1];
        List<LocalDate> found = new ArrayList<>(days);
        for (int i = 0; i < days; i++) {
            before[i] = found.size();
            LocalDate day = term.first().plusDays(i);
            if (term.extraDays().contains(day) || !off[i] && term.weekdays().contains(term.runsAs(day))) {
                found.add(day);
            }
        }
        before[days] = found.size();
        teaching = found.toArray(LocalDate[]::new);

        firstWeek = term.weekOf(term.first());
        weeks = (int) ChronoUnit.WEEKS.between(firstWeek, term.weekOf(term.last())) + 1;
        teachingWeekNumber = new int[weeks];
        List<LocalDate> taught = new ArrayList<>(weeks);
        for (int w = 0; w < weeks; w++) {
            LocalDate monday = firstWeek.plusWeeks(w);
            if (count(monday, monday.plusDays(6)) > 0) {
                taught.add(monday);
                teachingWeekNumber[w] = taught.size();
            }
        }
        teachingWeeks = taught.toArray(LocalDate[]::new);
        letters = term.rotation() == null ? null : letters(term.rotation(), days);
    }

    private String[] letters(DayRotation rotation, int days) {
        String[] found = new String[days];
        int next = 0;
        var restarts = new java.util.TreeMap<>(rotation.restarts());
        for (int i = 0; i < days; i++) {
            LocalDate day = term.first().plusDays(i);
            while (!restarts.isEmpty() && !restarts.firstKey().isAfter(day)) {
                next = rotation.letters().indexOf(restarts.pollFirstEntry().getValue());
            }
            boolean advances = rotation.advances() == DayRotation.Advance.TEACHING_DAYS
                    ? teaches(day)
                    : term.weekdays().contains(day.getDayOfWeek());
            if (advances) {
                found[i] = rotation.letters().get(next);
                next = (next + 1) % rotation.letters().size();
            }
        }
        return found;
    }

    /** The day's letter; empty where the term has no rotation, outside the term, and on days it does not advance on. */
    public Optional<String> letter(LocalDate day) {
        return letters == null || !term.contains(day) ? Optional.empty() : Optional.ofNullable(letters[index(day)]);
    }

    /** The calendar of the term. */
    public static TeachingCalendar of(Term term) {
        return new TeachingCalendar(term);
    }

    public Term term() {
        return term;
    }

    /** All teaching days, in order. */
    public List<LocalDate> teachingDays() {
        return List.of(teaching);
    }

    public boolean teaches(LocalDate day) {
        return term.contains(day) && before[index(day) + 1] > before[index(day)];
    }

    /**
     * The n-th teaching day strictly after the day (n &gt; 0) or strictly before it (n &lt; 0); for 0 the day itself
     * if it teaches, else the next one. The day may lie outside the term.
     *
     * @return empty when the day found would lie outside the term
     */
    public Optional<LocalDate> plus(LocalDate day, int n) {
        int at = beforeOf(day);
        long wanted;
        if (n == 0) {
            wanted = at;
        } else if (n > 0) {
            wanted = (long) at + n - (teaches(day) ? 0 : 1);
        } else {
            wanted = (long) at + n;
        }
        return wanted < 0 || wanted >= teaching.length ? Optional.empty() : Optional.of(teaching[(int) wanted]);
    }

    /** Teaching days from a to b, both included; 0 when b lies before a. */
    public int count(LocalDate a, LocalDate b) {
        return b.isBefore(a) ? 0 : beforeOf(b.plusDays(1)) - beforeOf(a);
    }

    /** The n of "the n-th teaching day of the term"; empty when the day does not teach. */
    public OptionalInt dayNumber(LocalDate day) {
        return teaches(day) ? OptionalInt.of(before[index(day)] + 1) : OptionalInt.empty();
    }

    /** How many weeks the term touches. */
    public int weeks() {
        return weeks;
    }

    /** The first day of term week k, counted from 1; empty when the term has no such week. */
    public Optional<LocalDate> week(int k) {
        return k < 1 || k > weeks ? Optional.empty() : Optional.of(firstWeek.plusWeeks(k - 1L));
    }

    /** The first day of teaching week k, counted from 1 without the weeks that hold no teaching day. */
    public Optional<LocalDate> teachingWeek(int k) {
        return k < 1 || k > teachingWeeks.length ? Optional.empty() : Optional.of(teachingWeeks[k - 1]);
    }

    /** The number of the term week that holds the day; empty outside the term's weeks. */
    public OptionalInt weekNumber(LocalDate day) {
        long week = ChronoUnit.WEEKS.between(firstWeek, term.weekOf(day));
        return day.isBefore(firstWeek) || week >= weeks ? OptionalInt.empty() : OptionalInt.of((int) week + 1);
    }

    /** The number of the teaching week that holds the day; empty when that week has no teaching day. */
    public OptionalInt teachingWeekNumber(LocalDate day) {
        OptionalInt week = weekNumber(day);
        return week.isEmpty() || teachingWeekNumber[week.getAsInt() - 1] == 0
                ? OptionalInt.empty()
                : OptionalInt.of(teachingWeekNumber[week.getAsInt() - 1]);
    }

    /** Runs of four or more consecutive calendar days within the term without a teaching day, in order. */
    public List<LocalDateRange> breaks() {
        List<LocalDateRange> found = new ArrayList<>();
        LocalDate open = term.first();
        for (LocalDate day : teaching) {
            addBreak(found, open, day.minusDays(1));
            open = day.plusDays(1);
        }
        addBreak(found, open, term.last());
        return found;
    }

    private static void addBreak(List<LocalDateRange> found, LocalDate first, LocalDate last) {
        if (ChronoUnit.DAYS.between(first, last) >= 3) {
            found.add(LocalDateRange.ofClosed(first, last));
        }
    }

    /** Weekdays that teach or on which the term has an extra or swapped day, from the first day of the week on. */
    public List<DayOfWeek> columns() {
        List<DayOfWeek> columns = new ArrayList<>(7);
        for (int i = 0; i < 7; i++) {
            DayOfWeek weekday = term.weekStart().plus(i);
            boolean shown = term.weekdays().contains(weekday)
                    || term.extraDays().stream().anyMatch(d -> d.getDayOfWeek() == weekday)
                    || term.runsAs().keySet().stream().anyMatch(d -> d.getDayOfWeek() == weekday && teaches(d));
            if (shown) {
                columns.add(weekday);
            }
        }
        return columns;
    }

    private int index(LocalDate day) {
        long index = ChronoUnit.DAYS.between(term.first(), day);
        return (int) Math.max(Integer.MIN_VALUE / 2, Math.min(Integer.MAX_VALUE / 2, index));
    }

    private int beforeOf(LocalDate day) {
        int index = index(day);
        return before[Math.max(0, Math.min(before.length - 1, index))];
    }
}
