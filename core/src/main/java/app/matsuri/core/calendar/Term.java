package app.matsuri.core.calendar;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * A term: its bounds, which weekdays teach, and what departs from that.
 *
 * @param name may be empty
 * @param first first day, inclusive
 * @param last last day, inclusive; not before {@code first}, at most {@link #MOST_DAYS} days in all
 * @param zone the zone whose clock all local times are read on
 * @param weekdays the weekdays that teach
 * @param weekStart the first day of a week
 * @param firstPlanDay the first day that the courses' own material may use; null for {@code first}
 * @param closures days off, in the order of the file
 * @param extraDays days that teach although their weekday would not
 * @param runsAs days that follow another weekday's meetings
 * @param rotation day letters; null for none
 */
public record Term(
        String name,
        LocalDate first,
        LocalDate last,
        ZoneId zone,
        Set<DayOfWeek> weekdays,
        DayOfWeek weekStart,
        @Nullable LocalDate firstPlanDay,
        List<Closure> closures,
        SortedSet<LocalDate> extraDays,
        SortedMap<LocalDate, DayOfWeek> runsAs,
        @Nullable DayRotation rotation,
        Extra extra) {

    /** The longest term, in days: five years. */
    public static final int MOST_DAYS = 1_830;

    public Term {
        Objects.requireNonNull(name, "name");
        if (last.isBefore(first)) {
            throw new IllegalArgumentException("the last day " + last + " lies before the first day " + first);
        }
        if (first.plusDays(MOST_DAYS).isBefore(last)) {
            throw new IllegalArgumentException("a term of more than five years: " + first + " to " + last);
        }
        weekdays = Collections.unmodifiableSet(
                weekdays.isEmpty() ? EnumSet.noneOf(DayOfWeek.class) : EnumSet.copyOf(weekdays));
        closures = List.copyOf(closures);
        extraDays = Collections.unmodifiableSortedSet(new TreeSet<>(extraDays));
        runsAs = Collections.unmodifiableSortedMap(new TreeMap<>(runsAs));
    }

    /** A plain term from Monday to Friday without anything off. */
    public static Term of(String name, LocalDate first, LocalDate last, ZoneId zone) {
        return new Term(
                name,
                first,
                last,
                zone,
                EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY),
                DayOfWeek.MONDAY,
                null,
                List.of(),
                new TreeSet<>(),
                new TreeMap<>(Map.of()),
                null,
                Extra.NONE);
    }

    /** The first day that the courses' own material may use. */
    public LocalDate planStart() {
        return firstPlanDay == null ? first : firstPlanDay;
    }

    public boolean contains(LocalDate day) {
        return !day.isBefore(first) && !day.isAfter(last);
    }

    /** The weekday whose meetings the day follows. */
    public DayOfWeek runsAs(LocalDate day) {
        return runsAs.getOrDefault(day, day.getDayOfWeek());
    }

    /** The first day of the week that holds the day. */
    public LocalDate weekOf(LocalDate day) {
        return day.minusDays(Math.floorMod(day.getDayOfWeek().getValue() - weekStart.getValue(), 7));
    }

    public Term withClosures(List<Closure> others) {
        return with(others, firstPlanDay, extraDays, runsAs, rotation);
    }

    /**
     * The same where a course or a section is gone: days off for it alone go with it.
     *
     * @param code of a course ("HYD 210") or a section ("HYD 210/A")
     */
    public Term without(String code) {
        return withClosures(
                closures.stream().flatMap(c -> c.without(code).stream()).toList());
    }

    /** The same with another first plan day; null for the first day. */
    public Term withFirstPlanDay(@Nullable LocalDate day) {
        return with(closures, day, extraDays, runsAs, rotation);
    }

    public Term withMarks(SortedSet<LocalDate> extra, SortedMap<LocalDate, DayOfWeek> swapped) {
        return with(closures, firstPlanDay, extra, swapped, rotation);
    }

    /** The same with other day letters; null for none. */
    public Term withRotation(@Nullable DayRotation other) {
        return with(closures, firstPlanDay, extraDays, runsAs, other);
    }

    private Term with(
            List<Closure> off,
            @Nullable LocalDate planDay,
            SortedSet<LocalDate> more,
            SortedMap<LocalDate, DayOfWeek> swapped,
            @Nullable DayRotation letters) {
        return new Term(name, first, last, zone, weekdays, weekStart, planDay, off, more, swapped, letters, extra);
    }
}
