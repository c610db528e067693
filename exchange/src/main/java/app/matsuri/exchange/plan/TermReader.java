package app.matsuri.exchange.plan;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.DayRotation;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Term;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.threeten.extra.LocalDateRange;

/** Reads a term and its closures. */
public final class TermReader {

    private TermReader() {}

    /** The term; null when a fault leaves it without meaning. */
    public static @Nullable Term term(In in) {
        String name = in.text("name", "");
        LocalDate first = day(in, "first", "the term's first day, such as 2026-08-31");
        LocalDate last = day(in, "last", "the term's last day, such as 2026-12-18");
        ZoneId zone = in.has("zone")
                ? in.parse(in.at("zone"), in.text("zone", "UTC"), "a time zone such as America/Chicago", ZoneId::of)
                : ZoneOffset.UTC;
        Set<DayOfWeek> weekdays = EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY);
        if (in.has("weekdays")) {
            weekdays = EnumSet.noneOf(DayOfWeek.class);
            weekdays.addAll(in.texts("weekdays", "a weekday: MO, TU, WE, TH, FR, SA or SU", Words::weekday));
        }
        DayOfWeek weekStart = in.weekday("weekStart", DayOfWeek.MONDAY);
        LocalDate firstPlanDay = in.date("firstPlanDay");
        List<Closure> closures = in.objects("closures", TermReader::closure);
        TreeSet<LocalDate> extraDays =
                new TreeSet<>(in.texts("extraDays", "a date such as 2026-10-17", LocalDate::parse));
        SortedMap<LocalDate, DayOfWeek> runsAs = new TreeMap<>();
        in.entries("runsAs", entry -> {
            LocalDate day = entry.keyAs("a date such as 2026-10-13", LocalDate::parse);
            DayOfWeek weekday = entry.text("a weekday: MO, TU, WE, TH, FR, SA or SU", Words::weekday);
            if (day != null && weekday != null) {
                runsAs.put(day, weekday);
            }
        });
        DayRotation rotation = in.object("rotation", TermReader::rotation);
        if (first != null && last != null && last.isBefore(first)) {
            in.faults()
                    .fatal(
                            in.at("last"),
                            "The last day " + last + " lies before the first day " + first
                                    + ": exchange them or mend one.");
            return null;
        }
        if (first != null && last != null && ChronoUnit.DAYS.between(first, last) > Term.MOST_DAYS) {
            in.faults()
                    .fatal(
                            in.at("last"),
                            "From " + first + " to " + last
                                    + " are more than five years: check the year of the last day.");
            return null;
        }
        if (in.faults().fatal() || name == null || first == null || last == null || zone == null || weekStart == null) {
            in.extra();
            return null;
        }
        return new Term(
                name,
                first,
                last,
                zone,
                weekdays,
                weekStart,
                firstPlanDay,
                closures,
                extraDays,
                runsAs,
                rotation,
                in.extra());
    }

    /** The day letters; null when a fault leaves them without meaning. */
    public static @Nullable DayRotation rotation(In in) {
        List<String> letters = in.texts("letters", "a day letter in quotes", x -> x);
        String advances = in.word("advances", "teaching-days", Words.all(DayRotation.Advance.class));
        SortedMap<LocalDate, String> restarts = new TreeMap<>();
        in.entries("restarts", entry -> {
            LocalDate day = entry.keyAs("a date such as 2026-10-14", LocalDate::parse);
            String letter = entry.text("a day letter in quotes", x -> x);
            if (day != null && letter != null) {
                restarts.put(day, letter);
            }
        });
        Extra extra = in.extra();
        if (advances == null) {
            return null;
        }
        try {
            return new DayRotation(letters, Words.constant(DayRotation.Advance.class, advances), restarts, extra);
        } catch (IllegalArgumentException e) {
            in.faults().fatal(in.pointer(), "The day letters cannot stand: " + e.getMessage() + ".");
            return null;
        }
    }

    private static @Nullable LocalDate day(In in, String field, String what) {
        if (!in.has(field)) {
            in.faults().fatal(in.pointer(), "“" + field + "” is missing: give " + what + ".");
            return null;
        }
        return in.date(field);
    }

    /** The closure; null when a fault leaves it without meaning. */
    public static @Nullable Closure closure(In in) {
        LocalDate first = day(in, "first", "the first day off, such as 2026-11-25");
        LocalDate last = in.has("last") ? in.date("last") : first;
        LocalTime from = in.time("from");
        LocalTime to = in.endTime("to");
        String reason = in.text("reason", "");
        String kind = in.text("kind", "other");
        boolean noClass = in.flag("noClass", true);
        boolean planPauses = in.flag("planPauses", false);
        boolean nothingDue = in.flag("nothingDue", true);
        List<String> only = in.has("only") ? in.texts("only", "a course or a section such as HYD 210/A", x -> x) : null;
        boolean justInCase = in.flag("justInCase", false);
        if (first != null && last != null && last.isBefore(first)) {
            in.faults().fatal(in.at("last"), "The last day off " + last + " lies before the first, " + first + ".");
            return null;
        }
        if ((from == null) != (to == null)) {
            in.faults().fatal(in.pointer(), "Part of a day needs both “from” and “to”.");
            return null;
        }
        if (from != null && !Closure.inOrder(from, to)) {
            in.faults().fatal(in.at("to"), "“to” " + to + " does not lie after “from” " + from + ".");
            return null;
        }
        if (first == null || last == null || reason == null || kind == null) {
            return null;
        }
        return new Closure(
                LocalDateRange.ofClosed(first, last),
                from,
                to,
                reason,
                kind,
                noClass,
                planPauses,
                nothingDue,
                only,
                justInCase,
                in.extra());
    }
}
