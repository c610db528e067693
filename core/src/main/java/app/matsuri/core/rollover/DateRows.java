package app.matsuri.core.rollover;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.rollover.DatesRolled.Key;
import app.matsuri.core.rollover.DatesRolled.Said;
import app.matsuri.core.rollover.Rolled.State;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.RulesInForce;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The review of dates that were rolled over: each with what became of it, and where it could be. */
final class DateRows {

    private final CourseRolled in;
    private final Map<Key, Said> said;

    /**
     * @param said what was said about a date of a thing in a section
     */
    DateRows(CourseRolled in, Map<Key, Said> said) {
        this.in = in;
        this.said = said;
    }

    /** Adds those of a unit's work in a section. */
    void of(Unit unit, SectionSchedule is, List<Rolled> rows) {
        String code = is.section().code();
        SectionSchedule had = in.had(code);
        Item all = DatesRolled.everything(unit);
        for (Which which : Which.values()) {
            Said of = said.get(new Key(code, all.id(), which));
            if (of != null && of.why() != null) {
                rows.add(waiting(
                        unit,
                        is,
                        all,
                        which,
                        DatesRolled.at(DatesRolled.dates(had, unit, all), which),
                        of.state(),
                        of));
            }
        }
        for (Item item : unit.items()) {
            ItemDates was = had.byItem().get(item.id());
            ItemDates now = is.byItem().get(item.id());
            for (Which which : Which.values()) {
                if (was != null && was.rule(which) != null) {
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

    private Rolled itemRow(
            Unit unit, SectionSchedule is, Item item, Which which, ItemDates was, @Nullable ItemDates now) {
        Said of = said.get(new Key(is.section().code(), item.id(), which));
        LocalDateTime old = DatesRolled.at(was, which);
        Resolved resolved = now == null ? null : now.get(which);
        if (now == null) {
            String why = is.course().item(item.id()).isPresent()
                    ? "not for this section"
                    : "its rhythm has no such class here";
            return waiting(unit, is, item, which, old, State.LOST, new Said(State.LOST, null, why));
        }
        if (resolved == null) {
            boolean around = was.rules().from(which) == RulesInForce.From.AROUND;
            Said said = of != null && of.why() != null
                    ? of
                    : new Said(State.HAND, null, around ? "what it lies in waits" : "no date");
            return waiting(unit, is, item, which, old, said.state(), said);
        }
        if (!resolved.resolved()) {
            State state = Optional.ofNullable(now.rule(which))
                    .flatMap(rule -> rule.anchor().own())
                    .map(o -> itemRow(unit, is, item, o, was, now).state())
                    .orElse(State.LOST);
            State own = state == State.HAND ? State.HAND : State.LOST;
            return waiting(unit, is, item, which, old, own, new Said(own, alone(is, old, which), resolved.why()));
        }
        boolean given = of != null && of.state() == State.CARRIED;
        boolean rolled = of != null && given && of.alone() != null ? of.alone().landed() : resolved.rolled();
        State state = given ? State.CARRIED : State.KEPT;
        return row(unit, is, item, which, old, resolved.at(), why(of, now, which, resolved), rolled, state, null);
    }

    /** Where the way alone would take a date; null for nowhere. */
    private @Nullable Carried alone(SectionSchedule is, @Nullable LocalDateTime old, Which which) {
        if (old == null) {
            return null;
        }
        Carrying way = in.way(is.section().code());
        Carried there = way.date(old, which);
        return there.at() == null || way.outside(there.at()) != null ? null : there;
    }

    private static String why(@Nullable Said of, ItemDates now, Which which, Resolved resolved) {
        Carried alone = of == null ? null : of.alone();
        if (of != null && alone != null && of.state() == State.CARRIED) {
            return alone.why();
        }
        DateRule rule = Known.there(now.rule(which), which);
        String around = now.rules().from(which) == RulesInForce.From.AROUND ? "what it lies in: " : "";
        String rolled = resolved.rolled() ? ", rolled off a day off" : "";
        String stands = around + (rule.plain() ? "given by hand" : RuleSaid.timed(rule)) + rolled;
        return of == null
                        || alone == null
                        || of.state() != State.KEPT
                        || alone.at() == null
                        || alone.at().equals(resolved.at())
                ? stands
                : stands + "; " + alone.why() + " alone would be " + Say.moment(alone.at());
    }

    private static void more(Unit unit, SectionSchedule is, Item item, List<Rolled> rows) {
        ItemDates now = is.byItem().get(item.id());
        for (Which which : Which.values()) {
            if (DatesRolled.at(now, which) != null) {
                String why = "one more: its rhythm has more classes here";
                LocalDateTime at = DatesRolled.at(now, which);
                rows.add(row(unit, is, item, which, null, at, why, false, State.KEPT, null));
            }
        }
    }

    /** A date that waits for a hand or has no place, with where it could be. */
    private Rolled waiting(
            Unit unit, SectionSchedule is, Item item, Which which, @Nullable LocalDateTime old, State state, Said of) {
        Carried alone = of.alone();
        boolean within = alone != null
                && alone.at() != null
                && in.way(is.section().code()).outside(alone.at()) == null;
        LocalDateTime suggested = alone != null && within ? alone.at() : in.lastDay(is, old);
        String why = of.why()
                + (suggested == null
                        ? ""
                        : "; " + (alone != null && within ? alone.why() : "the last day that teaches") + " would be "
                                + Say.moment(suggested));
        return row(unit, is, item, which, old, null, why, false, state, suggested);
    }

    private static Rolled row(
            Unit unit,
            SectionSchedule is,
            Item item,
            Which which,
            @Nullable LocalDateTime old,
            @Nullable LocalDateTime at,
            String why,
            boolean rolled,
            State state,
            @Nullable LocalDateTime suggested) {
        String word = DatesRolled.word(which);
        String course = is.course().code();
        String section = is.section().code();
        return new Rolled(course, section, word, unit, item.id(), item.title(), old, at, why, rolled, state, suggested);
    }
}
