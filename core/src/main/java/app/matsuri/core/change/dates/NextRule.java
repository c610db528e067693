package app.matsuri.core.change.dates;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.WholeWeeks;
import app.matsuri.core.change.dates.Redate.How;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The rule that a date has after one {@link Redate}, and what there is to say of it.
 */
final class NextRule {

    private final Redate redate;
    private final Set<String> notes;

    /**
     * @param notes where what is to be said goes
     */
    NextRule(Redate redate, Set<String> notes) {
        this.redate = redate;
        this.notes = notes;
    }

    /** The rule after the change; empty where it stays as it is. */
    Optional<Own<DateRule>> next(DateRule rule, Resolved now, Which which, Dated thing, SectionSchedule schedule) {
        return redate.how().on(new How.Cases<>() {
            @Override
            public Optional<Own<DateRule>> clear(How.Clear clear) {
                if (thing.kind().equals(Notice.KIND) && which == Which.OPENS) {
                    notes.add("“" + thing.title() + "” keeps its beginning: a notice has one.");
                    return Optional.empty();
                }
                return Optional.of(Own.none());
            }

            @Override
            public Optional<Own<DateRule>> by(How.By by) {
                return NextRule.this.by(rule, by, thing, which, schedule);
            }

            @Override
            public Optional<Own<DateRule>> at(How.At at) {
                return own(Redate.at(rule, at.time()));
            }

            @Override
            public Optional<Own<DateRule>> snap(How.SnapTo snap) {
                return own(snapped(rule, snap));
            }

            @Override
            public Optional<Own<DateRule>> toClass(How.ToClass to) {
                return resolved() ? NextRule.this.toClass(now, to, thing, schedule) : Optional.empty();
            }

            @Override
            public Optional<Own<DateRule>> fix(How.Fix fix) {
                return resolved() && !rule.plain() ? own(DateRule.at(now.moment())) : Optional.empty();
            }

            @Override
            public Optional<Own<DateRule>> follow(How.Follow follow) {
                return resolved() ? NextRule.this.follow(rule, now, which, thing, schedule) : Optional.empty();
            }

            private boolean resolved() {
                if (!now.resolved()) {
                    notes.add("“" + thing.title() + "” has no date to go by: " + now.why() + ".");
                }
                return now.resolved();
            }
        });
    }

    private static Optional<Own<DateRule>> own(DateRule rule) {
        return Optional.of(Own.other(rule));
    }

    private Optional<Own<DateRule>> by(DateRule rule, How.By by, Dated thing, Which which, SectionSchedule schedule) {
        if (comesAlong(rule.anchor())) {
            return Optional.empty();
        }
        if (rule.plain()) {
            LocalDateTime at = rule.typed();
            return later(at, by, thing, schedule).map(to -> Own.other(rule.from(new Anchor.Fixed(to), Offset.NONE)));
        }
        Offset sum = sum(rule.plus(), by);
        if (sum == null) {
            notes.add("“" + thing.title() + "” stays: its date counts in "
                    + rule.plus().unit().name().toLowerCase(Locale.ROOT).replace('_', ' ')
                    + ". Move it by those, or make it fixed first.");
            return Optional.empty();
        }
        return own(rule.from(rule.anchor(), sum));
    }

    /** Whether it hangs on a date that moves too. */
    private boolean comesAlong(Anchor anchor) {
        boolean moves = anchor.date().filter(redate.dates()::contains).isPresent();
        return moves
                && anchor.named(Anchor.Sort.ITEM).map(redate.items()::contains).orElse(true);
    }

    /** Both distances as one; null where they cannot be added. */
    private static @Nullable Offset sum(Offset plus, How.By by) {
        if (plus.n() == 0 || plus.unit() == by.unit()) {
            int n = plus.n() + by.n();
            return n == 0 ? Offset.NONE : new Offset(n, by.unit());
        }
        Integer had = days(plus.n(), plus.unit());
        Integer more = days(by.n(), by.unit());
        if (had == null || more == null) {
            return null;
        }
        return had + more == 0 ? Offset.NONE : new Offset(had + more, Offset.Unit.DAYS);
    }

    private static @Nullable Integer days(int n, Offset.Unit unit) {
        return unit == Offset.Unit.DAYS ? Integer.valueOf(n) : unit == Offset.Unit.WEEKS ? 7 * n : null;
    }

    private Optional<LocalDateTime> later(LocalDateTime at, How.By by, Dated thing, SectionSchedule schedule) {
        TeachingCalendar calendar = schedule.calendar();
        LocalDate day = at.toLocalDate();
        Optional<LocalDateTime> to = switch (by.unit()) {
            case MINUTES -> Optional.of(at.plusMinutes(by.n()));
            case HOURS -> Optional.of(at.plusHours(by.n()));
            case DAYS -> Optional.of(at.plusDays(by.n()));
            case WEEKS -> Optional.of(at.plusWeeks(by.n()));
            case TEACHING_DAYS -> calendar.plus(day, by.n()).map(d -> d.atTime(at.toLocalTime()));
            case SESSIONS -> session(day, by.n(), schedule).map(d -> d.atTime(at.toLocalTime()));
        };
        if (by.unit() == Offset.Unit.DAYS && by.n() % 7 != 0) {
            notes.add(WholeWeeks.trap(by.n()));
        }
        if (to.isEmpty()) {
            notes.add("“" + thing.title() + "” stays on " + Say.day(day) + ": the term does not reach so far.");
        }
        boolean byCalendar = by.unit() == Offset.Unit.DAYS || by.unit() == Offset.Unit.WEEKS;
        return to.map(moment -> onward(moment, byCalendar && calendar.teaches(day), thing, schedule));
    }

    private static Optional<LocalDate> session(LocalDate day, int by, SectionSchedule schedule) {
        int index = by > 0
                ? schedule.sessions().firstAfter(day.atTime(23, 59)) + by - 1
                : schedule.sessions().lastBefore(day.atStartOfDay()) + by + 1;
        return index < 0 || index >= schedule.sessions().size()
                ? Optional.empty()
                : Optional.of(schedule.sessions().get(index).date());
    }

    /** From a moment at which nothing may be due, or a day that does not teach where the old day did, on to the next that teaches. */
    private LocalDateTime onward(LocalDateTime to, boolean taught, Dated thing, SectionSchedule schedule) {
        LocalDate next = schedule.onward(to, taught);
        if (next.equals(to.toLocalDate())) {
            return to;
        }
        notes.add("“" + thing.title() + "” would fall on " + Say.day(to.toLocalDate())
                + (schedule.nothingDue(to) ? ", when nothing may be due" : ", which does not teach") + ", and goes to "
                + Say.day(next) + ".");
        return next.atTime(to.toLocalTime());
    }

    private static DateRule snapped(DateRule rule, How.SnapTo snap) {
        if (rule.plain()) {
            LocalDateTime at = rule.typed();
            LocalDateTime to = at.with(
                    snap.before()
                            ? TemporalAdjusters.previousOrSame(snap.weekday())
                            : TemporalAdjusters.nextOrSame(snap.weekday()));
            return rule.from(new Anchor.Fixed(to), Offset.NONE);
        }
        return rule.snapped(snap.weekday(), snap.before());
    }

    private Optional<Own<DateRule>> toClass(Resolved now, How.ToClass to, Dated thing, SectionSchedule schedule) {
        LocalDate day = now.moment().toLocalDate();
        int index = to.before()
                ? schedule.sessions().lastBefore(day.atTime(23, 59))
                : schedule.sessions().firstAfter(day.atStartOfDay().minusMinutes(1));
        if (index < 0 || index >= schedule.sessions().size()) {
            notes.add("“" + thing.title() + "” stays: there is no class " + (to.before() ? "before " : "after ")
                    + Say.day(day) + ".");
            return Optional.empty();
        }
        Session session = schedule.sessions().get(index);
        DateRule rule = Move.withLesson(session.date(), schedule);
        return own(rule == null ? DateRule.at(session.start()) : rule);
    }

    /** A rule that hangs on a lesson and gives the same date in the section. */
    private Optional<Own<DateRule>> follow(
            DateRule rule, Resolved now, Which which, Dated thing, SectionSchedule schedule) {
        if (rule.anchor().named(Anchor.Sort.LESSON).isPresent()) {
            return Optional.empty();
        }
        String lesson = thing.lesson() != null && schedule.start(thing.lesson()).isPresent()
                ? thing.lesson()
                : lastLesson(now.moment(), schedule);
        if (lesson == null) {
            notes.add("“" + thing.title() + "” stays fixed: no lesson lies before "
                    + Say.day(now.moment().toLocalDate()) + ".");
            return Optional.empty();
        }
        LocalDateTime start = schedule.start(lesson).orElseThrow();
        DateRule with = DateRule.of(new Anchor.WithLesson(lesson, Edge.START));
        if (start.equals(now.moment())) {
            return own(with);
        }
        LocalDate from = start.toLocalDate();
        LocalDate to = now.moment().toLocalDate();
        TeachingCalendar calendar = schedule.calendar();
        boolean counted = calendar.teaches(from) && calendar.teaches(to) && !to.isBefore(from);
        int days = counted ? calendar.count(from, to) - 1 : (int) (to.toEpochDay() - from.toEpochDay());
        DateRule far = days == 0 ? with : with.plus(days, counted ? Offset.Unit.TEACHING_DAYS : Offset.Unit.DAYS);
        return own(
                far.at(now.moment().toLocalTime()).onDayOff(rule.fixed() ? DateRule.OnDayOff.STAY : rule.onDayOff()));
    }

    private static @Nullable String lastLesson(LocalDateTime until, SectionSchedule schedule) {
        String last = null;
        for (var placement : schedule.placements()) {
            if (placement.placed()
                    && !schedule.sessions().get(placement.first()).start().isAfter(until)) {
                last = placement.lesson().id();
            }
        }
        return last;
    }
}
