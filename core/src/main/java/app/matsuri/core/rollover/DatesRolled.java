package app.matsuri.core.rollover;

import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.rollover.Rolled.State;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * The dates of work in one course while it is rolled over. What hangs on a lesson, on a unit or on another of the thing's own dates
 * keeps hanging, whatever the way; so does a date in a week that the new term has. The ways carry the rest: by rule, what was fixed
 * by hand waits.
 */
final class DatesRolled {

    private final CourseRolled in;
    private final boolean byRule;
    private final NoticesRolled notices;
    /** What was said about a date of a thing in a section. */
    private final Map<Key, Said> said = new HashMap<>();

    /** A date of a thing in a section. */
    record Key(String section, String id, Which which) {}

    /**
     * @param state what became of it
     * @param alone where the way alone takes it; null where it takes it nowhere
     * @param why why it waits or has no place; null where it has
     */
    record Said(
            State state, @Nullable Carried alone, @Nullable String why) {}

    DatesRolled(CourseRolled in) {
        this.in = in;
        byRule = in.rollover.by().keepsRules();
        notices = new NoticesRolled(in);
    }

    Decisions in(Decisions given) {
        Course course = given.course(in.code).orElseThrow();
        for (Unit unit : in.units) {
            Unit before = course.unit(unit.id()).orElseThrow();
            if (!before.dates().isEmpty()) {
                Map<Which, DateRule> dates = new EnumMap<>(Which.class);
                before.dates().forEach((which, rule) -> {
                    DateRule now = choice(before, everything(before), which, rule, new HashMap<>());
                    if (now != null) {
                        dates.put(which, now);
                    }
                });
                course = course.withUnit(before.withDates(dates));
            }
            for (Item item : before.items()) {
                Map<Which, DateRule> others = new EnumMap<>(Which.class);
                Map<String, Map<Which, Own<DateRule>>> apart = new HashMap<>();
                for (Which which : Which.values()) {
                    DateRule rule = item.rule(which);
                    DateRule now = rule == null ? null : choice(before, item, which, rule, apart);
                    if (!Objects.equals(now, rule)) {
                        others.put(which, now);
                    }
                }
                if (!others.isEmpty()) {
                    course = course.withItem(item.withRules(others));
                }
                for (Map.Entry<String, Map<Which, Own<DateRule>>> each : apart.entrySet()) {
                    Section section = course.section(each.getKey()).orElseThrow();
                    course = course.withSection(section.adjusted(new Adjustment(item.id(), null, each.getValue(), "")));
                }
            }
        }
        Decisions now = given.withCourse(course);
        return now.withCourse(new FilesRolled(in).in(notices.in(now)));
    }

    /** The dates that a unit has for what is in it, as those of one thing. */
    static Item everything(Unit unit) {
        return Item.of("unit:" + unit.id(), null, "other", "Everything in " + unit.title(), null);
    }

    static @Nullable ItemDates dates(SectionSchedule schedule, Unit unit, Item item) {
        ItemDates known = schedule.byItem().get(item.id());
        return known != null || !item.id().startsWith("unit:")
                ? known
                : schedule.would(schedule.course().unit(unit.id()).orElse(unit), item);
    }

    static @Nullable LocalDateTime at(@Nullable ItemDates dates, Which which) {
        return dates == null ? null : dates.at(which);
    }

    /** The plan's rule in the new term; null for none. {@code apart} takes what sections have otherwise. */
    private @Nullable DateRule choice(
            Unit unit, Item item, Which which, DateRule rule, Map<String, Map<Which, Own<DateRule>>> apart) {
        Map<String, Carried> there = new LinkedHashMap<>();
        in.had.forEach((code, had) -> {
            LocalDateTime old = item.details().concerns(code) ? at(dates(had, unit, item), which) : null;
            if (old != null && in.ways.containsKey(code)) {
                there.put(code, in.way(code).date(old, which));
            }
        });
        LocalDateTime taken = in.rollover.taken().get(new Rollover.Taken(in.code, word(which), item.id()));
        if (taken != null) {
            there.keySet().forEach(code -> say(code, item, which, State.CARRIED, null, null));
            return DateRule.at(taken);
        }
        if (there.isEmpty() && !rule.fixed() || stands(rule.anchor())) {
            there.forEach((code, alone) -> say(code, item, which, State.KEPT, byRule ? null : alone, null));
            return rule;
        }
        if (there.isEmpty()) {
            return rule; // it is for no section that comes
        }
        if (byRule) {
            boolean hand = rule.fixed() || foreign(rule.anchor());
            String why = rule.fixed()
                    ? "fixed by hand"
                    : hand ? "what it hangs on does not come along" : "the term has no " + RuleSaid.timed(rule);
            there.forEach((code, alone) -> say(code, item, which, hand ? State.HAND : State.LOST, alone, why));
            return null;
        }
        return written(item, which, rule, there, apart);
    }

    /** Whether a rule on the anchor keeps hanging on it in the new term. */
    private boolean stands(Anchor anchor) {
        return anchor.typed().isEmpty() && !foreign(anchor) && anchor.within(in.calendar());
    }

    /** The dates written down: that of the first section is the plan's, others stand apart where they differ. */
    private @Nullable DateRule written(
            Item item,
            Which which,
            DateRule rule,
            Map<String, Carried> there,
            Map<String, Map<Which, Own<DateRule>>> apart) {
        Map<String, LocalDateTime> places = new LinkedHashMap<>();
        LocalDateTime plan = null;
        for (Map.Entry<String, Carried> each : there.entrySet()) {
            Carried carried = each.getValue();
            String outside = in.way(each.getKey()).outside(carried.at());
            boolean lost = carried.at() == null || outside != null;
            LocalDateTime at = lost ? null : carried.at();
            say(
                    each.getKey(),
                    item,
                    which,
                    lost ? State.LOST : State.CARRIED,
                    carried.at() == null ? null : carried,
                    lost ? carried.at() == null ? carried.why() : carried.why() + " lies " + outside : null);
            places.put(each.getKey(), at);
            plan = plan == null ? at : plan;
        }
        LocalDateTime first = plan;
        places.forEach((code, at) -> {
            if (!Objects.equals(at, first)) {
                apart.computeIfAbsent(code, c -> new EnumMap<>(Which.class))
                        .put(which, at == null ? Own.none() : Own.other(DateRule.at(at)));
            }
        });
        return plan == null ? null : DateRule.at(plan).onDayOff(rule.fixed() ? rule.onDayOff() : null);
    }

    private void say(
            String section, Item item, Which which, State state, @Nullable Carried alone, @Nullable String why) {
        said.put(new Key(section, item.id(), which), new Said(state, alone, why));
    }

    /** Whether it hangs on something that is not in the new term's course. */
    private boolean foreign(Anchor anchor) {
        return anchor.named()
                .filter(n -> n.sort() == Anchor.Sort.LESSON || n.sort() == Anchor.Sort.UNIT)
                .filter(n -> !has(in.course(), n) && has(in.old, n))
                .isPresent();
    }

    private static boolean has(Course course, Anchor.Named named) {
        return named.sort() == Anchor.Sort.LESSON
                ? course.lesson(named.id()).isPresent()
                : course.unit(named.id()).isPresent();
    }

    /** A date as {@link Rolled} names it. */
    static String word(Which which) {
        return which.name().toLowerCase(Locale.ROOT);
    }

    /** The review of the dates of a unit's work in a section. */
    void rows(Unit unit, SectionSchedule is, List<Rolled> rows) {
        new DateRows(in, said).of(unit, is, rows);
    }

    void notices(SectionSchedule is, List<Rolled> rows) {
        notices.rows(is, rows);
    }
}
