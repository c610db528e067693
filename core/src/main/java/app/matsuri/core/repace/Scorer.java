package app.matsuri.core.repace;

import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.repace.Pacing.Kind;
import app.matsuri.core.repace.Pacing.Place;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.repace.Stretch.Slot;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What a pacing costs, read from where its lessons fall, kind by kind as domain.md counts them. Written apart from {@link Optimum},
 * so that each holds the other to account.
 */
public final class Scorer {

    private final Stretch stretch;
    private final Pacing pacing;
    private final Map<Cost, Integer> costs = new EnumMap<>(Cost.class);

    private Scorer(Stretch stretch, Pacing pacing) {
        this.stretch = stretch;
        this.pacing = pacing;
    }

    /** The cost by kind; kinds that cost nothing are left out. */
    public static Map<Cost, Integer> costs(Stretch stretch, Pacing pacing) {
        Scorer scorer = new Scorer(stretch, pacing);
        for (int i = 0; i < stretch.lessons().size(); i++) {
            scorer.lesson(i);
        }
        scorer.empties();
        scorer.splits();
        return scorer.costs;
    }

    /** All of it together. */
    public static long total(Map<Cost, Integer> costs) {
        return costs.values().stream().mapToLong(n -> n).sum();
    }

    private void add(Cost cost, int times) {
        if (times > 0) {
            costs.merge(cost, times * stretch.weights().of(cost), Integer::sum);
        }
    }

    private void lesson(int i) {
        Asked asked = stretch.lessons().get(i);
        Place place = pacing.places().get(i);
        List<Slot> slots = stretch.slots();
        if (place.kind() == Kind.LEFT_OUT && asked.begun()) {
            add(Cost.SHORTEN, asked.length());
        } else if (place.kind() == Kind.LEFT_OUT) {
            add(asked.reserve() ? Cost.RESERVE : Cost.LEAVE_OUT, 1);
        } else if (place.kind() == Kind.NO_ROOM) {
            add(Cost.NO_ROOM, asked.length());
        } else {
            add(Cost.JOIN, place.kind() == Kind.JOINED ? 1 : 0);
            add(Cost.SHORTEN, asked.length() - place.given());
            int from = asked.had() >= 0 ? asked.had() : slots.get(place.first()).breaksBefore();
            add(Cost.ACROSS, slots.get(place.last()).breaksBefore() > from ? 1 : 0);
            add(Cost.MID_WEEK, asked.opensWeek() && !slots.get(place.first()).weekStart() ? 1 : 0);
            boolean afterBreak = slots.get(place.first()).afterBreak();
            add(Cost.TEST_AFTER_BREAK, asked.test() && !asked.begun() && afterBreak ? 1 : 0);
        }
        if (asked.told() != null) {
            boolean stays = place.placed() && slots.get(place.first()).date().equals(asked.told());
            add(asked.test() ? Cost.TOLD_TEST : Cost.TOLD, stays ? 0 : 1);
        }
    }

    /** Sessions before the last placed lesson that nothing takes. */
    private void empties() {
        boolean[] taken = new boolean[stretch.slots().size()];
        int last = -1;
        for (Place place : pacing.places()) {
            if (place.placed()) {
                last = Math.max(last, place.last());
                for (int k = place.first(); k <= place.last(); k++) {
                    taken[k] = true;
                }
            }
        }
        int empty = 0;
        for (int k = 0; k < last; k++) {
            empty += taken[k] ? 0 : 1;
        }
        add(Cost.EMPTY, empty);
    }

    /** Breaks between one placed lesson of a unit that keeps to weeks and the next. */
    private void splits() {
        int breaks = 0;
        for (int i = 0; i < pacing.places().size(); i++) {
            Place next = pacing.places().get(i);
            Asked asked = stretch.lessons().get(i);
            if (!next.placed() || !asked.keepsWeeks()) {
                continue;
            }
            int before = before(i);
            if (before >= 0 && asked.had() < 0) {
                breaks += stretch.slots().get(next.first()).breaksBefore() - before;
            }
        }
        add(Cost.SPLIT, breaks);
    }

    /** How many breaks end before the last session that the unit had before its lesson; -1 where it had none. */
    private int before(int lesson) {
        int unit = stretch.lessons().get(lesson).unit();
        for (int k = lesson - 1; k >= 0 && stretch.lessons().get(k).unit() == unit; k--) {
            Place before = pacing.places().get(k);
            if (before.placed()) {
                return stretch.slots().get(before.last()).breaksBefore();
            }
        }
        boolean first = stretch.lessons().get(0).unit() == unit;
        return first && stretch.begun() != null && stretch.begun().unit() == unit
                ? stretch.begun().breaksBefore()
                : -1;
    }
}
