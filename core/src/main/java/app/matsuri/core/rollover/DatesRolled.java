package app.matsuri.core.rollover;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.RulesInForce;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * The dates of work in one course while it is rolled over. A rule stays where it gives the date that the way says; else the
 * date is written down. By rule all rules stay, and only what was fixed by hand waits.
 */
final class DatesRolled {

    private final CourseRolled in;
    private final boolean byRule;
    private final NoticesRolled notices;
    /** What was said about a date of a thing in a section: where it comes to, and why it waits. */
    private final Map<Key, Said> said = new HashMap<>();

    private record Key(String section, String id, Which which) {}

    /** @param hand why it waits for a hand; null where it does not */
    private record Said(Carried carried, String hand) {}

    DatesRolled(CourseRolled in) {
        this.in = in;
        byRule = in.rollover.by() instanceof RollBy.ByRule;
        notices = new NoticesRolled(in);
    }

    Decisions in(Decisions given) {
        Decisions now = pass(given, false);
        now = pass(now, true);
        return now.withCourse(notices.in(now));
    }

    /** Deals with rules that hang on another date of their thing, or with all others. */
    private Decisions pass(Decisions now, boolean own) {
        Course course = now.course(in.code).orElseThrow();
        Map<String, SectionSchedule> is = new LinkedHashMap<>();
        Schedule.of(now.withCourses(List.of(course)))
                .sections()
                .forEach(s -> is.put(s.section().code(), s));
        for (Unit unit : in.units) {
            Unit before = course.unit(unit.id()).orElseThrow();
            if (!before.dates().isEmpty()) {
                Map<Which, DateRule> dates = new EnumMap<>(Which.class);
                dates.putAll(before.dates());
                rolled(before, everything(before), before.dates(), own, is, new HashMap<>())
                        .forEach((which, rule) -> {
                            if (rule == null) {
                                dates.remove(which);
                            } else {
                                dates.put(which, rule);
                            }
                        });
                course = course.withUnit(before.withDates(dates));
            }
            for (Item item : before.items()) {
                Map<Which, DateRule> rules = new EnumMap<>(Which.class);
                for (Which which : Which.values()) {
                    if (item.rule(which) != null) {
                        rules.put(which, item.rule(which));
                    }
                }
                Map<String, Map<Which, Optional<DateRule>>> apart = new HashMap<>();
                Map<Which, DateRule> others = rolled(before, item, rules, own, is, apart);
                if (!others.isEmpty()) {
                    course = course.withItem(item.withRules(others));
                }
                for (Map.Entry<String, Map<Which, Optional<DateRule>>> each : apart.entrySet()) {
                    Section section = course.section(each.getKey()).orElseThrow();
                    Map<Which, Optional<DateRule>> all = new EnumMap<>(Which.class);
                    section.adjustment(item.id()).ifPresent(a -> all.putAll(a.dates()));
                    all.putAll(each.getValue());
                    course = course.withSection(section.adjusted(new Adjustment(item.id(), null, all, "")));
                }
            }
        }
        return now.withCourse(course);
    }

    /** The dates that a unit has for what is in it, as those of one thing. */
    private static Item everything(Unit unit) {
        return Item.of("unit:" + unit.id(), null, "other", "Everything in " + unit.title(), null);
    }

    /** The rules that differ; null for one that goes. */
    private Map<Which, DateRule> rolled(
            Unit unit,
            Item item,
            Map<Which, DateRule> rules,
            boolean own,
            Map<String, SectionSchedule> is,
            Map<String, Map<Which, Optional<DateRule>>> apart) {
        Map<Which, DateRule> others = new EnumMap<>(Which.class);
        rules.forEach((which, rule) -> {
            if (rule.anchor() instanceof Anchor.OwnDate == own) {
                Map<String, LocalDateTime> olds = new LinkedHashMap<>();
                Map<String, LocalDateTime> news = new LinkedHashMap<>();
                in.had.forEach((code, had) -> {
                    if (item.details().concerns(code) && is.containsKey(code)) {
                        olds.put(code, at(dates(had, unit, item, false), which));
                        news.put(code, at(dates(is.get(code), unit, item, true), which));
                    }
                });
                DateRule now = choice(item, which, rule, olds, news, apart);
                if (!Objects.equals(now, rule)) {
                    others.put(which, now);
                }
            }
        });
        return others;
    }

    private static ItemDates dates(SectionSchedule schedule, Unit unit, Item item, boolean now) {
        ItemDates known = schedule.byItem().get(item.id());
        return known != null || !item.id().startsWith("unit:")
                ? known
                : schedule.would(now ? unit : schedule.course().unit(unit.id()).orElse(unit), item);
    }

    private static LocalDateTime at(ItemDates dates, Which which) {
        Resolved resolved = dates == null ? null : dates.get(which);
        return resolved == null ? null : resolved.at();
    }

    /** The plan's rule; {@code apart} takes what sections have otherwise. */
    private DateRule choice(
            Item item,
            Which which,
            DateRule rule,
            Map<String, LocalDateTime> olds,
            Map<String, LocalDateTime> news,
            Map<String, Map<Which, Optional<DateRule>>> apart) {
        boolean waits = byRule && (rule.fixed() || foreign(rule.anchor()));
        Map<String, Carried> there = new LinkedHashMap<>();
        olds.forEach((code, old) -> {
            if (old != null) {
                there.put(code, in.ways.get(code).date(old));
            }
        });
        LocalDateTime taken = in.rollover.taken().get(new Rollover.Taken(in.code, word(which), item.id()));
        boolean agree = there.entrySet().stream()
                .allMatch(e -> Objects.equals(e.getValue().at(), news.get(e.getKey())));
        if (!waits && (byRule || agree)) {
            return rule;
        }
        if (waits) {
            String why = rule.fixed() ? "fixed by hand" : "what it hangs on does not come along";
            olds.keySet().forEach(code -> say(code, item, which, there.get(code), taken == null ? why : null));
            return taken == null ? null : DateRule.at(taken);
        }
        there.forEach((code, carried) ->
                say(code, item, which, carried, carried.at() == null && taken == null ? carried.why() : null));
        return written(which, rule, there, taken, apart);
    }

    /** The dates written down: that of the first section is the plan's, others stand apart where they differ. */
    private static DateRule written(
            Which which,
            DateRule rule,
            Map<String, Carried> there,
            LocalDateTime taken,
            Map<String, Map<Which, Optional<DateRule>>> apart) {
        LocalDateTime first = null;
        for (Carried carried : there.values()) {
            LocalDateTime at = carried.at() == null ? taken : carried.at();
            first = first == null ? at : first;
        }
        LocalDateTime plan = first;
        there.forEach((code, carried) -> {
            LocalDateTime at = carried.at() == null ? taken : carried.at();
            if (!Objects.equals(at, plan)) {
                apart.computeIfAbsent(code, c -> new EnumMap<>(Which.class))
                        .put(which, Optional.ofNullable(at).map(DateRule::at));
            }
        });
        return plan == null ? null : DateRule.at(plan).onDayOff(rule.fixed() ? rule.onDayOff() : null);
    }

    private void say(String section, Item item, Which which, Carried carried, String hand) {
        said.put(new Key(section, item.id(), which), new Said(carried, hand));
    }

    /** Whether it hangs on something that is not in the new term's course. */
    private boolean foreign(Anchor anchor) {
        Course course = in.course();
        if (anchor instanceof Anchor.WithLesson with) {
            return course.lesson(with.lesson()).isEmpty()
                    && in.old.lesson(with.lesson()).isPresent();
        }
        return anchor instanceof Anchor.WithUnit with
                && course.unit(with.unit()).isEmpty()
                && in.old.unit(with.unit()).isPresent();
    }

    /** A date as {@link Rolled} names it. */
    private static String word(Which which) {
        return which.name().toLowerCase(Locale.ROOT);
    }

    // --- rows

    void rows(Unit unit, SectionSchedule is, List<Rolled> rows) {
        String code = is.section().code();
        SectionSchedule had = in.had.get(code);
        Item all = everything(unit);
        for (Which which : Which.values()) {
            Said waits = said.get(new Key(code, all.id(), which));
            if (waits != null && waits.hand() != null) {
                LocalDateTime old = at(dates(had, unit, all, false), which);
                rows.add(row(unit, is, all, which, old, null, waits.hand(), waits));
            }
        }
        for (Item item : unit.items()) {
            ItemDates was = had.byItem().get(item.id());
            ItemDates now = is.byItem().get(item.id());
            for (Which which : Which.values()) {
                boolean dated = was != null && was.rule(which) != null;
                if (dated) {
                    rows.add(itemRow(unit, is, item, which, was, now));
                }
            }
        }
        is.course()
                .unit(unit.id())
                .ifPresent(u -> u.items().stream()
                        .filter(i -> unit.item(i.id()) == null && is.byItem().containsKey(i.id()))
                        .forEach(i -> more(u, is, i, rows)));
    }

    private Rolled itemRow(Unit unit, SectionSchedule is, Item item, Which which, ItemDates was, ItemDates now) {
        Said of = said.get(new Key(is.section().code(), item.id(), which));
        LocalDateTime old = at(was, which);
        Resolved resolved = now == null ? null : now.get(which);
        String why;
        if (now == null) {
            why = is.course().item(item.id()).isPresent()
                    ? "not for this section"
                    : "its rhythm has no such class here";
        } else if (resolved == null) {
            why = of == null || of.hand() == null ? "no date" : of.hand();
        } else if (!resolved.resolved()) {
            why = resolved.why();
        } else {
            why = why(of, now, which, resolved);
        }
        return row(unit, is, item, which, old, resolved == null ? null : resolved.at(), why, of);
    }

    private static String why(Said of, ItemDates now, Which which, Resolved resolved) {
        if (of != null
                && of.carried() != null
                && resolved.at().equals(of.carried().at())) {
            return of.carried().why();
        }
        DateRule rule = now.rule(which);
        String around = now.rules().from(which) == RulesInForce.From.AROUND ? "what it lies in: " : "";
        String rolled = resolved.rolled() ? ", rolled off a day off" : "";
        return around + (rule.plain() ? "given by hand" : RuleSaid.of(rule)) + rolled;
    }

    private static void more(Unit unit, SectionSchedule is, Item item, List<Rolled> rows) {
        ItemDates now = is.byItem().get(item.id());
        for (Which which : Which.values()) {
            if (at(now, which) != null) {
                rows.add(new Rolled(
                        is.course().code(),
                        is.section().code(),
                        word(which),
                        unit,
                        item.id(),
                        item.title(),
                        null,
                        at(now, which),
                        "one more: its rhythm has more classes here",
                        false,
                        null,
                        null));
            }
        }
    }

    private Rolled row(
            Unit unit,
            SectionSchedule is,
            Item item,
            Which which,
            LocalDateTime old,
            LocalDateTime now,
            String why,
            Said of) {
        String hand = of == null ? null : of.hand();
        Carried carried = of == null ? null : of.carried();
        boolean landed = now != null && (carried != null ? carried.landed() : why.endsWith("rolled off a day off"));
        LocalDateTime suggested = null;
        String because = why;
        if (hand != null) {
            boolean placed = carried != null && carried.at() != null;
            suggested = placed ? carried.at() : lastDay(is, old);
            hand += placed
                    ? "; " + carried.why() + " would be"
                    : suggested == null ? "" : "; the last day that teaches would be";
            because = suggested == null ? hand : hand + " " + Say.moment(suggested);
        }
        return new Rolled(
                in.code,
                is.section().code(),
                word(which),
                unit,
                item.id(),
                item.title(),
                old,
                now,
                because,
                landed,
                hand,
                suggested);
    }

    private static LocalDateTime lastDay(SectionSchedule is, LocalDateTime old) {
        var days = is.calendar().teachingDays();
        return old == null || days.isEmpty() ? null : days.get(days.size() - 1).atTime(old.toLocalTime());
    }

    void notices(SectionSchedule is, List<Rolled> rows) {
        notices.rows(is, rows);
    }
}
