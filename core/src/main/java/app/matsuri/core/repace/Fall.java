package app.matsuri.core.repace;

import app.matsuri.core.plan.Weights;
import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.repace.Stretch.Slot;
import java.util.List;

/**
 * What it costs where one lesson falls, in the numbers that {@link Optimum} adds up: the lesson that is looked at is set first.
 */
final class Fall {

    /** A cost, then how many places give way, then the sum of first slots: in one number, the greater first. */
    static final long COST = 1L << 36;

    static final long GIVES_WAY = 1L << 24;

    final long empty;
    final long split;
    final long shorten;
    final int[] breaks;
    final boolean[] weekStart;
    private final boolean[] afterBreak;
    private final long across;
    private final long midWeek;
    private final long testAfterBreak;
    private final long[] dates;
    private final Weights weights;
    /** By position, how many breaks end before the last session of the unit that is under way there. */
    private final int[] before;

    /** The lesson that is looked at, and what it costs to move it from the day that was told. */
    @SuppressWarnings("NullAway.Init") // looked at before anything is asked
    private Asked asked;

    private long toldDay;
    private long told;

    Fall(Stretch stretch, Positions positions) {
        weights = stretch.weights();
        empty = weights.of(Cost.EMPTY) * COST;
        across = weights.of(Cost.ACROSS) * COST;
        midWeek = weights.of(Cost.MID_WEEK) * COST;
        split = weights.of(Cost.SPLIT) * COST;
        testAfterBreak = weights.of(Cost.TEST_AFTER_BREAK) * COST;
        shorten = weights.of(Cost.SHORTEN) * COST;
        List<Slot> slots = stretch.slots();
        breaks = new int[slots.size()];
        weekStart = new boolean[slots.size()];
        afterBreak = new boolean[slots.size()];
        dates = new long[slots.size()];
        for (int k = 0; k < slots.size(); k++) {
            Slot slot = slots.get(k);
            breaks[k] = slot.breaksBefore();
            weekStart[k] = slot.weekStart();
            afterBreak[k] = slot.afterBreak();
            dates[k] = slot.date().toEpochDay();
        }
        before = new int[positions.size()];
        for (int p = 0; p < before.length; p++) {
            int last = positions.last(p);
            before[p] = last >= 0
                    ? breaks[last]
                    : stretch.begun() == null ? 0 : stretch.begun().breaksBefore();
        }
    }

    void look(Asked lesson) {
        asked = lesson;
        toldDay = asked.told() == null ? Long.MIN_VALUE : asked.told().toEpochDay();
        told = asked.told() == null ? 0 : weights.of(asked.test() ? Cost.TOLD_TEST : Cost.TOLD) * COST;
    }

    /** Whether it may be left out or given up. */
    boolean leaves() {
        return (asked.reserve() || asked.leavable()) && asked.pin() == -1;
    }

    /** What it costs to leave it out, to give it up, or to drop what is left of it. */
    long out() {
        if (asked.begun()) {
            return told + asked.length() * shorten;
        }
        return told + weights.of(asked.reserve() ? Cost.RESERVE : Cost.LEAVE_OUT) * COST;
    }

    /** What it costs that it finds no room. */
    long lost() {
        return told + (long) weights.of(Cost.NO_ROOM) * asked.length() * COST;
    }

    /** What it costs to join it, wherever. */
    long joined() {
        return weights.of(Cost.JOIN) * COST + (asked.length() - 1) * shorten;
    }

    /** What it costs that it begins in a slot. */
    long begins(int first) {
        long cost = 0;
        if (asked.opensWeek() && !weekStart[first]) {
            cost += midWeek;
        }
        if (asked.test() && !asked.begun() && afterBreak[first]) {
            cost += testAfterBreak;
        }
        return toldDay == dates[first] ? cost : cost + told;
    }

    /** What it costs that it runs from one slot to another. */
    long crosses(int first, int end) {
        int from = asked.had() >= 0 ? asked.had() : breaks[first];
        return breaks[end] > from ? across : 0;
    }

    /** Whether so many empty sessions cost less than to begin its unit mid-week. */
    boolean waits(int sessions) {
        return sessions * empty < midWeek;
    }

    /** How many breaks end before the last session of the unit that is under way at a position. */
    int before(int position) {
        return before[position];
    }
}
