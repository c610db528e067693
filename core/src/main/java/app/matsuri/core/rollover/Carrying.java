package app.matsuri.core.rollover;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.flow.Usable;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.Sessions;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.threeten.extra.LocalDateRange;

/** Carries dates of one section to the same section of another term. */
final class Carrying {

    private final RollBy by;
    private final SectionSchedule was;
    private final TeachingCalendar from;
    private final Sessions had;
    private final SectionSchedule to;
    private final TeachingCalendar calendar;
    private final Sessions has;
    private final boolean sameShape;

    /**
     * From one to another.
     *
     * @param to the section there; only its classes and days off count
     */
    Carrying(RollBy by, SectionSchedule from, SectionSchedule to) {
        this.by = by.keepsRules() ? new RollBy.ByClass() : by;
        this.was = from;
        this.from = from.calendar();
        this.had = from.sessions();
        this.to = to;
        this.calendar = to.calendar();
        this.has = to.sessions();
        this.sameShape = sameShape(from.calendar().term(), to.calendar().term());
    }

    /** Whether the terms have the same days and days off, a whole number of weeks apart: what stood on a day off stands on the same one. */
    private static boolean sameShape(Term from, Term to) {
        long days = ChronoUnit.DAYS.between(from.first(), to.first());
        return days % 7 == 0
                && ChronoUnit.DAYS.between(from.last(), to.last()) == days
                && from.weekdays().equals(to.weekdays())
                && off(from, days).equals(off(to, 0))
                && from.extraDays().stream()
                        .map(d -> d.plusDays(days))
                        .collect(Collectors.toSet())
                        .equals(Set.copyOf(to.extraDays()));
    }

    private static Set<Closure> off(Term term, long later) {
        return term.closures().stream()
                .map(c -> new Closure(
                        LocalDateRange.ofClosed(
                                c.first().plusDays(later), c.last().plusDays(later)),
                        c.from(),
                        c.to(),
                        "",
                        "",
                        c.noClass(),
                        c.planPauses(),
                        c.nothingDue(),
                        c.only(),
                        c.justInCase(),
                        Extra.NONE))
                .collect(Collectors.toSet());
    }

    /** Where a date of work comes to: a day off is passed over, but by an opening that stood on one. */
    Carried date(LocalDateTime at, Which which) {
        return which == Which.OPENS && stoodOff(at) ? raw(at) : date(at);
    }

    private boolean stoodOff(LocalDateTime at) {
        LocalDate day = at.toLocalDate();
        return was.nothingDue(at) || from.term().contains(day) && !from.teaches(day);
    }

    /** Why a date lies outside the new term; null where it does not. */
    @Nullable
    String outside(@Nullable LocalDateTime at) {
        if (at == null) {
            return null;
        }
        LocalDate day = at.toLocalDate();
        return day.isBefore(calendar.term().first())
                ? "before the first day"
                : day.isAfter(calendar.term().last()) ? "behind the last day" : null;
    }

    /** Where a date comes to; a day off is passed over. */
    Carried date(LocalDateTime at) {
        Carried there = raw(at);
        if (there.at() == null || outside(there.at()) != null || sameShape) {
            return there;
        }
        LocalDate day = there.at().toLocalDate();
        LocalDate rolled = to.onward(there.at(), from.teaches(at.toLocalDate()));
        return rolled.equals(day)
                ? there
                : new Carried(
                        rolled.atTime(there.at().toLocalTime()),
                        there.why() + " would be " + Say.day(day) + ", " + whyNot(there.at()),
                        true);
    }

    /** Where a date comes to, whatever day that is. */
    Carried raw(LocalDateTime at) {
        return by.on(new RollBy.Cases<>() {
            @Override
            public Carried byClass(RollBy.ByClass by) {
                return Carrying.this.byClass(at);
            }

            @Override
            public Carried byWeek(RollBy.ByWeek by) {
                return week(at, by.teaching());
            }

            @Override
            public Carried byDays(RollBy.ByDays by) {
                return new Carried(at.plusDays(by.days()), Carrying.later(by.days()), false);
            }

            @Override
            public Carried byRule(RollBy.ByRule by) {
                return Carrying.this.byClass(at); // what is written down all the same goes by class
            }
        });
    }

    /** The place among the usable sessions to which a lesson goes that began in a session. */
    int position(Session session, int index, Usable usable) {
        if (by.countsSessions()) {
            return onOrAfter(index, usable);
        }
        Carried there = raw(session.start());
        if (there.at() == null) {
            return usable.size();
        }
        LocalDate day = there.at().toLocalDate();
        int first = has.firstAfter(day.atStartOfDay().minusNanos(1));
        int nth = first + nthOfDay(index);
        boolean stands = nth < has.size() && has.get(nth).date().equals(day);
        return stands ? onOrAfter(nth, usable) : usable.onOrAfter(day);
    }

    private static int onOrAfter(int session, Usable usable) {
        int at = 0;
        while (at < usable.size() && usable.session(at) < session) {
            at++;
        }
        return at;
    }

    /** How many classes of its day come before it in the old term. */
    private int nthOfDay(int index) {
        int n = 0;
        while (index - n > 0
                && had.get(index - n - 1).date().equals(had.get(index).date())) {
            n++;
        }
        return n;
    }

    /** The name of the session to which a session goes; empty where there is none that day. */
    Optional<LocalDateTime> session(Session session, int index) {
        LocalDateTime there = raw(session.start()).at();
        return there == null
                ? Optional.empty()
                : has.all().stream()
                        .filter(s -> s.date().equals(there.toLocalDate()))
                        .map(Session::name)
                        .skip(by.countsSessions() ? 0 : nthOfDay(index))
                        .findFirst();
    }

    private static String later(int days) {
        return Say.count(Math.abs(days), "day") + (days < 0 ? " earlier" : " later");
    }

    private Carried week(LocalDateTime at, boolean teaching) {
        LocalDate day = at.toLocalDate();
        LocalDate monday = from.term().weekOf(day);
        int number;
        long more = 0;
        if (teaching) {
            // a week without a teaching day goes with the one before it; one before the first counts back from that
            LocalDate week = monday;
            OptionalInt found = from.teachingWeekNumber(week);
            while (found.isEmpty() && week.isAfter(from.term().first())) {
                week = week.minusWeeks(1);
                more++;
                found = from.teachingWeekNumber(week);
            }
            number = found.orElse(1);
            more = found.isPresent()
                    ? more
                    : from.teachingWeek(1)
                            .map(first -> ChronoUnit.WEEKS.between(first, monday))
                            .orElse(0L);
        } else {
            number = (int) ChronoUnit.WEEKS.between(from.week(1).orElseThrow(), monday) + 1;
        }
        Optional<LocalDate> week = teaching
                ? calendar.teachingWeek(number)
                : Optional.of(calendar.week(1).orElseThrow().plusWeeks(number - 1L));
        String weekday = day.getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
        String why = (teaching ? "teaching week " : "week ") + number + ", " + weekday;
        if (week.isEmpty()) {
            return Carried.nowhere("there is no teaching week " + number);
        }
        int within = Math.floorMod(
                day.getDayOfWeek().getValue() - calendar.term().weekStart().getValue(), 7);
        return new Carried(week.get().plusWeeks(more).plusDays(within).atTime(at.toLocalTime()), why, false);
    }

    private Carried byClass(LocalDateTime at) {
        int base = had.firstAfter(at) - 1;
        if (had.size() == 0) {
            return Carried.nowhere("the section has no class to go by");
        }
        if (base < 0) {
            return before(at);
        }
        Session session = had.get(base);
        if (base >= has.size()) {
            return Carried.nowhere("session " + (base + 1) + " is missing: there are " + has.size());
        }
        Session now = has.get(base);
        if (at.equals(session.start())) {
            return new Carried(now.start(), number(base), false);
        }
        if (at.equals(session.end())) {
            return new Carried(now.end(), number(base), false);
        }
        return behind(at, base, session.date(), now.date());
    }

    /** A date behind a class keeps its distance in teaching days, and in days behind the last of those. */
    private Carried behind(LocalDateTime at, int base, LocalDate was, LocalDate now) {
        LocalDate day = at.toLocalDate();
        int n = from.count(was.plusDays(1), day);
        LocalDate last = n == 0 ? was : from.teachingDays().get(indexBefore(day));
        long rest = ChronoUnit.DAYS.between(last, day);
        Optional<LocalDate> there = n == 0 ? Optional.of(now) : calendar.plus(now, n);
        if (there.isEmpty()) {
            return Carried.nowhere(distance(n) + " behind session " + (base + 1) + " lies behind the last day");
        }
        LocalDate limit = calendar.plus(there.get(), 1).map(d -> d.minusDays(1)).orElse(LocalDate.MAX);
        LocalDate to = there.get().plusDays(rest);
        LocalDate found = to.isAfter(limit) ? limit : to;
        int more = (int) ChronoUnit.DAYS.between(now, found);
        String why = n == 0 && more == 0
                ? "on the day of session " + (base + 1)
                : distance(n == 0 ? more : n, n == 0) + " behind session " + (base + 1);
        return new Carried(found.atTime(at.toLocalTime()), why, false);
    }

    private Carried before(LocalDateTime at) {
        LocalDate day = at.toLocalDate();
        LocalDate was = had.get(0).date();
        if (has.size() == 0) {
            return Carried.nowhere("there is no class");
        }
        LocalDate now = has.get(0).date();
        int n = from.teaches(day) ? from.count(day, was.minusDays(1)) : 0;
        LocalDate there = n == 0 ? null : calendar.plus(now, -n).orElse(null);
        long days = ChronoUnit.DAYS.between(day, was);
        String why = (n == 0 ? distance((int) days, true) : distance(n)) + " before session 1";
        return new Carried((there == null ? now.minusDays(days) : there).atTime(at.toLocalTime()), why, false);
    }

    private int indexBefore(LocalDate day) {
        return from.count(from.term().first(), day) - 1;
    }

    private static String distance(int n) {
        return distance(n, false);
    }

    private static String distance(int n, boolean calendarDays) {
        return Say.count(n, calendarDays ? "day" : "teaching day");
    }

    private String number(int index) {
        return "session " + (index + 1) + " of " + has.size();
    }

    private String whyNot(LocalDateTime at) {
        LocalDate day = at.toLocalDate();
        return calendar.term().closures().stream()
                .filter(c -> c.covers(at) && (c.nothingDue() || c.noClass()))
                .map(c -> c.reason())
                .findFirst()
                .orElse(
                        day.isBefore(calendar.term().first())
                                ? "before the first day"
                                : day.isAfter(calendar.term().last()) ? "behind the last day" : "which does not teach");
    }
}
