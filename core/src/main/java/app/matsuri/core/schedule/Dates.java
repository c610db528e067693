package app.matsuri.core.schedule;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.Sessions;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.TemporalAdjusters;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Resolves the date rules of items in one section. */
final class Dates {

    private final Course course;
    /** Its code, to name it. */
    private final String section;

    private final TeachingCalendar calendar;
    private final Sessions sessions;
    private final Map<String, Placement> byLesson = new HashMap<>();
    private final Map<String, Unit> units = new HashMap<>();
    private final Map<String, List<Integer>> rhythms = new HashMap<>();
    private final DueDays dueDays;

    Dates(Course course, String section, TeachingCalendar calendar, Sessions sessions, List<Placement> placements) {
        this.course = course;
        this.section = section;
        this.calendar = calendar;
        this.sessions = sessions;
        for (Placement placement : placements) {
            byLesson.put(placement.lesson().id(), placement);
            units.put(placement.unit().id(), placement.unit());
        }
        dueDays = DueDays.of(calendar, course.code(), section);
    }

    ItemDates of(Unit unit, Item item, List<Adjustment> adjustments) {
        RulesInForce rules = RulesInForce.of(unit, item, adjustments);
        Map<Which, Resolved> done = new EnumMap<>(Which.class);
        Set<Which> open = EnumSet.noneOf(Which.class);
        for (Which which : Which.values()) {
            resolve(rules, which, done, open);
        }
        return new ItemDates(unit, item, rules, done.get(Which.OPENS), done.get(Which.DUE), done.get(Which.CLOSES));
    }

    /** The date, or null where the item has none; {@code open} holds the dates on the way here. */
    private @Nullable Resolved resolve(RulesInForce rules, Which which, Map<Which, Resolved> done, Set<Which> open) {
        DateRule rule = rules.rule(which);
        if (rule == null || done.containsKey(which)) {
            return done.get(which);
        }
        if (!open.add(which)) {
            return Resolved.unresolved("its dates hang on each other in a circle");
        }
        Resolved resolved = follow(rule.anchor().on(new Bases(own -> resolve(rules, own, done, open))), rule, which);
        open.remove(which);
        done.put(which, resolved);
        return resolved;
    }

    private static String word(Which which) {
        return which.name().toLowerCase(Locale.ROOT);
    }

    /**
     * Where an anchor lies.
     *
     * @param at its moment; null where there is none
     * @param session the index of its session; -1 for none
     * @param why why there is no moment; null where there is one
     */
    private record Base(
            @Nullable LocalDateTime at,
            int session,
            @Nullable String why) {

        static Base at(LocalDateTime moment) {
            return new Base(moment, -1, null);
        }

        static Base none(@Nullable String why) {
            return new Base(null, -1, why);
        }

        /** The moment of one that has one. */
        LocalDateTime moment() {
            return Known.there(at, "an anchor without a moment");
        }
    }

    /** What hangs on the anchor comes to, by the rule. */
    private Resolved follow(Base base, DateRule rule, Which which) {
        return base.why() == null ? from(rule, which, base) : Resolved.unresolved(base.why());
    }

    /**
     * What a rule of a notice comes to, which may also hang on a date of an item.
     *
     * @param begins when the notice begins, for a rule that hangs on that; null where none may
     */
    Resolved notice(DateRule rule, Map<String, ItemDates> items, @Nullable LocalDateTime begins) {
        Base base = rule.anchor().on(new Bases(which -> null) {
            @Override
            public Base ownDate(Anchor.OwnDate own) {
                return own.which() == Which.OPENS ? beginning(new Anchor.OwnBeginning()) : super.ownDate(own);
            }

            @Override
            public Base beginning(Anchor.OwnBeginning own) {
                return begins == null ? Base.none("its beginning hangs on itself") : Base.at(begins);
            }

            @Override
            public Base item(Anchor.OfItem of) {
                ItemDates dates = items.get(of.item());
                if (dates == null) {
                    return Base.none("there is no work “" + of.item() + "” here");
                }
                Resolved other = dates.get(of.which());
                String title = "“" + dates.item().title() + "”";
                if (other == null) {
                    return Base.none(title + " has no date “" + word(of.which()) + "” to hang on");
                }
                return other.resolved() ? Base.at(other.moment()) : Base.none(title + " has no date: " + other.why());
            }
        });
        return follow(base, rule, Which.OPENS);
    }

    /** Where each kind of anchor lies in the section. */
    private class Bases implements Anchor.Cases<Base> {

        private final Function<Which, Resolved> own;

        /** @param own the other dates of the same thing; null for one that it does not have */
        Bases(Function<Which, Resolved> own) {
            this.own = own;
        }

        @Override
        public Base fixed(Anchor.Fixed fixed) {
            return Base.at(fixed.at());
        }

        @Override
        public Base lesson(Anchor.WithLesson with) {
            return ofLesson(with.lesson(), with.edge());
        }

        @Override
        public Base unit(Anchor.WithUnit with) {
            Unit unit = units.get(with.unit());
            if (unit == null) {
                return Base.none("there is no unit “" + with.unit() + "” with a lesson");
            }
            List<Lesson> here = unit.lessons().stream()
                    .filter(l -> !Known.in(byLesson, l.id()).leftOut())
                    .toList();
            if (here.isEmpty()) {
                return Base.none("section " + section + " leaves out every lesson of “" + unit.title() + "”");
            }
            Lesson lesson = here.get(with.edge() == Edge.START ? 0 : here.size() - 1);
            return ofLesson(lesson.id(), with.edge());
        }

        @Override
        public Base week(Anchor.InWeek in) {
            Optional<LocalDate> week = in.teaching() ? calendar.teachingWeek(in.week()) : calendar.week(in.week());
            return week.map(w -> w.with(TemporalAdjusters.nextOrSame(in.weekday())))
                    .map(day -> Base.at(day.atTime(23, 59)))
                    .orElseGet(() ->
                            Base.none("the term has no " + (in.teaching() ? "teaching week " : "week ") + in.week()));
        }

        @Override
        public Base ownDate(Anchor.OwnDate date) {
            Resolved other = own.apply(date.which());
            if (other == null) {
                return Base.none("it has no date “" + word(date.which()) + "” to hang on");
            }
            return other.resolved() ? Base.at(other.moment()) : Base.none(other.why());
        }

        @Override
        public Base item(Anchor.OfItem of) {
            return Base.none("only a notice may hang on that");
        }

        @Override
        public Base beginning(Anchor.OwnBeginning own) {
            return Base.none("only a notice may hang on that");
        }

        @Override
        public Base rhythm(Anchor.InRhythm in) {
            Optional<Rhythm> rhythm = course.rhythm(in.rhythm());
            if (rhythm.isEmpty()) {
                return Base.none("there is no rhythm “" + in.rhythm() + "”");
            }
            List<Integer> classes = rhythms.computeIfAbsent(
                    in.rhythm(), r -> Rhythms.classes(rhythm.get(), sessions, byLesson.values()));
            if (in.number() < 1 || in.number() > classes.size()) {
                return Base.none("“" + rhythm.get().title() + "” has no class number " + in.number() + " here");
            }
            return session(classes.get(in.number() - 1), in.edge());
        }
    }

    private Base ofLesson(String id, Edge edge) {
        Placement placement = byLesson.get(id);
        if (placement == null) {
            return Base.none("there is no lesson “" + id + "”");
        }
        String title = "“" + placement.lesson().title() + "”";
        if (placement.leftOut()) {
            return Base.none("section " + section + " leaves out " + title);
        }
        if (!placement.placed()) {
            return Base.none(title + " has no session");
        }
        if (edge == Edge.END && placement.noSession()) {
            return Base.none("the rest of " + title + " has no session");
        }
        return session(edge == Edge.START ? placement.first() : placement.last(), edge);
    }

    private Base session(int index, Edge edge) {
        Session session = sessions.get(index);
        return new Base(edge == Edge.START ? session.start() : session.end(), index, null);
    }

    private Resolved from(DateRule rule, Which which, Base base) {
        LocalDateTime at = plus(base, rule.plus(), rule.anchor().edge());
        if (at == null) {
            return Resolved.unresolved("counting "
                    + rule.plus().n()
                    + " "
                    + rule.plus().unit().name().toLowerCase(Locale.ROOT).replace('_', ' ')
                    + " from there leaves the term");
        }
        if (rule.snapTo() != null) {
            at = at.with(
                    rule.snapBefore()
                            ? TemporalAdjusters.previousOrSame(rule.snapTo())
                            : TemporalAdjusters.nextOrSame(rule.snapTo()));
        }
        if (rule.time() != null) {
            at = at.toLocalDate().atTime(rule.time());
        }
        DateRule.OnDayOff onDayOff = rule.onDayOff(which);
        if (onDayOff == DateRule.OnDayOff.STAY || !dueDays.nothingDue(at)) {
            return new Resolved(at, false, rule.fixed(), false, null);
        }
        int step = onDayOff == DateRule.OnDayOff.NEXT ? 1 : -1;
        Optional<LocalDate> day = dueDays.next(at.toLocalDate(), step, step, at.toLocalTime());
        LocalDateTime stays = at;
        return day.map(d -> new Resolved(d.atTime(stays.toLocalTime()), true, rule.fixed(), false, null))
                .orElseGet(() -> new Resolved(stays, false, rule.fixed(), true, null));
    }

    /** The moment so far from the base; null when a count leaves the term. */
    private @Nullable LocalDateTime plus(Base base, Offset plus, Edge edge) {
        int n = plus.n();
        if (n == 0) {
            return base.moment();
        }
        return switch (plus.unit()) {
            case MINUTES -> elapsed(base.moment(), Duration.ofMinutes(n));
            case HOURS -> elapsed(base.moment(), Duration.ofHours(n));
            case DAYS -> base.moment().plusDays(n);
            case WEEKS -> base.moment().plusWeeks(n);
            case TEACHING_DAYS ->
                calendar.plus(base.moment().toLocalDate(), n)
                        .map(day -> day.atTime(base.moment().toLocalTime()))
                        .orElse(null);
            case SESSIONS -> session(base, n, edge);
        };
    }

    private LocalDateTime elapsed(LocalDateTime from, Duration time) {
        return from.atZone(calendar.term().zone()).plus(time).toLocalDateTime();
    }

    private @Nullable LocalDateTime session(Base base, int n, Edge edge) {
        long index;
        if (base.session() >= 0) {
            index = (long) base.session() + n;
        } else if (n > 0) {
            index = (long) sessions.firstAfter(base.moment()) + n - 1;
        } else {
            index = (long) sessions.lastBefore(base.moment()) + n + 1;
        }
        if (index < 0 || index >= sessions.size()) {
            return null;
        }
        Session session = sessions.get((int) index);
        return edge == Edge.START ? session.start() : session.end();
    }
}
