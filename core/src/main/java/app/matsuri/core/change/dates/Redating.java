package app.matsuri.core.change.dates;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.WholeWeeks;
import app.matsuri.core.change.Change.Outcome;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.dates.Redate.How;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.NoticeAsItem;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.RulesInForce;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.TemporalAdjusters;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Works out one {@link Redate}. */
public final class Redating {

    private final Redate redate;
    private final Decisions before;
    private final Map<String, SectionSchedule> views = new java.util.LinkedHashMap<>();
    private final Set<String> notes = new LinkedHashSet<>();
    private final Map<String, Item> redated = new HashMap<>();
    private int changed;

    Redating(Redate redate, Decisions before) {
        this.redate = redate;
        this.before = before;
        Course course = Find.course(before, redate.course());
        redate.sections().forEach(code -> Find.section(before, redate.course(), code));
        Schedule schedule = Schedule.of(before.withCourses(List.of(course)));
        schedule.sections().forEach(s -> views.put(s.section().code(), s));
    }

    Outcome run() {
        Course course = Find.course(before, redate.course());
        Map<String, Item> items = new HashMap<>();
        course.items().forEach(i -> items.put(i.id(), i));
        NoticesRedated notices = new NoticesRedated(course);
        course = notices.in(course);
        for (String id : redate.items()) {
            Item item = items.containsKey(id)
                    ? items.get(id)
                    : NoticeAsItem.item(course, id).orElseGet(() -> Find.item(before, redate.course(), id));
            if (notices.series(id)) {
                notes.add("“" + item.title() + "” is a series and stays: change it on the Wall, on one of its days.");
                continue;
            }
            if (item.locked()) {
                notes.add("“" + item.title() + "” has an official date and stays.");
                continue;
            }
            course = redated(course, item);
        }
        if (changed == 0) {
            throw new Refused(
                    notes.isEmpty()
                            ? "None of what is chosen has such a date: nothing changes."
                            : String.join(" ", notes));
        }
        return new Outcome(before.withCourse(notices.out(withItems(course), redated)), List.copyOf(notes));
    }

    /** With all items that differ, in one go: a course may have some hundred. */
    private Course withItems(Course course) {
        return course.withUnits(course.units().stream()
                .map(unit -> unit.withItems(unit.items().stream()
                        .map(i -> redated.getOrDefault(i.id(), i))
                        .toList()))
                .toList());
    }

    private Course redated(Course in, Item item) {
        List<Section> sections = in.sections().stream()
                .filter(s -> item.details().concerns(s.code()))
                .filter(s -> redate.sections().isEmpty() || redate.sections().contains(s.code()))
                .toList();
        if (sections.isEmpty()) {
            notes.add("“" + item.title() + "” is for no section that is chosen.");
            return in;
        }
        if (!redate.sections().isEmpty()) {
            Course now = in;
            for (Section section : sections) {
                now = own(now, item, section, redate.dates());
            }
            return now;
        }
        SectionSchedule first = Known.in(views, sections.get(0).code());
        Map<Which, DateRule> plan = new EnumMap<>(Which.class);
        Course now = in;
        for (Which which : redate.dates()) {
            ItemDates dates = dates(first, item);
            DateRule rule = planned(dates, item, which);
            if (rule == null) {
                continue;
            }
            Resolved resolved = dates.get(which);
            Optional<Own<DateRule>> next =
                    resolved == null ? Optional.empty() : next(rule, resolved, which, item, first);
            if (next.isPresent()) {
                plan.put(which, next.get().over(rule));
                changed++;
            }
        }
        redated.put(item.id(), item.withRules(plan));
        for (Section section : sections) {
            Set<Which> owns = new LinkedHashSet<>(redate.dates());
            Optional<Adjustment> adjustment = section.adjustment(item.id());
            owns.removeIf(which ->
                    !adjustment.map(a -> a.dates().containsKey(which)).orElse(false)
                            && !(redate.how().fixes() && differs(first, Known.in(views, section.code()), item, which)));
            now = own(now, item, section, owns);
        }
        return now;
    }

    private static ItemDates dates(SectionSchedule in, Item item) {
        return in.dated(item.id()).orElseThrow();
    }

    private static boolean differs(SectionSchedule a, SectionSchedule b, Item item, Which which) {
        Resolved one = dates(a, item).get(which);
        Resolved other = dates(b, item).get(which);
        return other != null && other.resolved() && one != null && !other.equals(one);
    }

    /** The rule without what a section has of its own. */
    private static @Nullable DateRule planned(ItemDates dates, Item item, Which which) {
        return dates.rules().from(which) == RulesInForce.From.ADJUSTMENT ? item.rule(which) : dates.rule(which);
    }

    private Course own(Course in, Item item, Section section, Set<Which> dates) {
        Course now = in;
        SectionSchedule schedule = Known.in(views, section.code());
        ItemDates in0 = dates(schedule, item);
        for (Which which : dates) {
            DateRule rule = in0.rule(which);
            Resolved resolved = in0.get(which);
            if (rule == null || resolved == null) {
                continue;
            }
            Optional<Own<DateRule>> next = next(rule, resolved, which, item, schedule);
            if (next.isPresent()) {
                Section was = now.section(section.code()).orElseThrow();
                Optional<Adjustment> own = was.adjustment(item.id());
                Map<Which, Own<DateRule>> all = new EnumMap<>(Which.class);
                own.ifPresent(a -> all.putAll(a.dates()));
                all.put(which, next.get());
                String why = own.map(Adjustment::why).orElse("");
                now = now.withSection(was.adjusted(new Adjustment(item.id(), null, all, why)));
                changed++;
            }
        }
        return now;
    }

    /** The rule after the change; empty where it stays as it is. */
    private Optional<Own<DateRule>> next(
            DateRule rule, Resolved now, Which which, Item item, SectionSchedule schedule) {
        return redate.how().on(new How.Cases<>() {
            @Override
            public Optional<Own<DateRule>> clear(How.Clear clear) {
                if (item.kind().equals(NoticeAsItem.KIND) && which == Which.OPENS) {
                    notes.add("“" + item.title() + "” keeps its beginning: a notice has one.");
                    return Optional.empty();
                }
                return Optional.of(Own.none());
            }

            @Override
            public Optional<Own<DateRule>> by(How.By by) {
                return Redating.this.by(rule, by, item, which, schedule);
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
                return resolved() ? Redating.this.toClass(now, to, item, schedule) : Optional.empty();
            }

            @Override
            public Optional<Own<DateRule>> fix(How.Fix fix) {
                return resolved() && !rule.plain() ? own(DateRule.at(now.moment())) : Optional.empty();
            }

            @Override
            public Optional<Own<DateRule>> follow(How.Follow follow) {
                return resolved() ? Redating.this.follow(rule, now, which, item, schedule) : Optional.empty();
            }

            private boolean resolved() {
                if (!now.resolved()) {
                    notes.add("“" + item.title() + "” has no date to go by: " + now.why() + ".");
                }
                return now.resolved();
            }
        });
    }

    private static Optional<Own<DateRule>> own(DateRule rule) {
        return Optional.of(Own.other(rule));
    }

    private Optional<Own<DateRule>> by(DateRule rule, How.By by, Item item, Which which, SectionSchedule schedule) {
        if (comesAlong(rule.anchor())) {
            return Optional.empty();
        }
        if (rule.plain()) {
            LocalDateTime at = rule.typed();
            return later(at, by, item, schedule).map(to -> Own.other(rule.from(new Anchor.Fixed(to), Offset.NONE)));
        }
        Offset sum = sum(rule.plus(), by);
        if (sum == null) {
            notes.add("“" + item.title() + "” stays: its date counts in "
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

    private Optional<LocalDateTime> later(LocalDateTime at, How.By by, Item item, SectionSchedule schedule) {
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
            notes.add("“" + item.title() + "” stays on " + Say.day(day) + ": the term does not reach so far.");
        }
        boolean byCalendar = by.unit() == Offset.Unit.DAYS || by.unit() == Offset.Unit.WEEKS;
        return to.map(moment -> onward(moment, byCalendar && calendar.teaches(day), item, schedule));
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
    private LocalDateTime onward(LocalDateTime to, boolean taught, Item item, SectionSchedule schedule) {
        LocalDate next = schedule.onward(to, taught);
        if (next.equals(to.toLocalDate())) {
            return to;
        }
        notes.add("“" + item.title() + "” would fall on " + Say.day(to.toLocalDate())
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

    private Optional<Own<DateRule>> toClass(Resolved now, How.ToClass to, Item item, SectionSchedule schedule) {
        LocalDate day = now.moment().toLocalDate();
        int index = to.before()
                ? schedule.sessions().lastBefore(day.atTime(23, 59))
                : schedule.sessions().firstAfter(day.atStartOfDay().minusMinutes(1));
        if (index < 0 || index >= schedule.sessions().size()) {
            notes.add("“" + item.title() + "” stays: there is no class " + (to.before() ? "before " : "after ")
                    + Say.day(day) + ".");
            return Optional.empty();
        }
        Session session = schedule.sessions().get(index);
        DateRule rule = Move.withLesson(session.date(), schedule);
        return own(rule == null ? DateRule.at(session.start()) : rule);
    }

    /** A rule that hangs on a lesson and gives the same date in the section. */
    private Optional<Own<DateRule>> follow(
            DateRule rule, Resolved now, Which which, Item item, SectionSchedule schedule) {
        if (rule.anchor().named(Anchor.Sort.LESSON).isPresent()) {
            return Optional.empty();
        }
        String lesson = item.lesson() != null && schedule.start(item.lesson()).isPresent()
                ? item.lesson()
                : lastLesson(now.moment(), schedule);
        if (lesson == null) {
            notes.add("“" + item.title() + "” stays fixed: no lesson lies before "
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
