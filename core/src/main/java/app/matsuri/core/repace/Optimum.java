package app.matsuri.core.repace;

import app.matsuri.core.plan.Weights;
import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.repace.Pacing.Kind;
import app.matsuri.core.repace.Pacing.Place;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.repace.Stretch.Slot;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/**
 * The cheapest pacing of a stretch, found exactly by dynamic programming over lesson and session. Ties go to the one that gives way
 * in the fewest places, then to earlier sessions.
 *
 * <p>A state, once a lesson is dealt with, is the last slot that any lesson takes, whether that slot is shared already, and whether a
 * lesson of the present unit is placed. What comes later depends on nothing else.
 */
public final class Optimum {

    /** A cost, then how many places give way, then the sum of first slots: in one number, the greater first. */
    private static final long COST = 1L << 36;

    private static final long GIVES_WAY = 1L << 24;
    private static final long NEVER = Long.MAX_VALUE / 4;

    private final List<Slot> slots;
    private final List<Asked> lessons;
    private final Stretch.Begun begins;
    private final Weights weights;
    private final int width;
    /** By lesson and state: the cheapest way there, and by which state and which place. */
    private final long[][] best;

    private final int[][] from;
    private final Place[][] by;

    private Optimum(Stretch stretch) {
        slots = stretch.slots();
        lessons = stretch.lessons();
        begins = stretch.begun();
        weights = stretch.weights();
        width = (slots.size() + 1) * 4;
        best = new long[lessons.size() + 1][width];
        from = new int[lessons.size() + 1][width];
        by = new Place[lessons.size() + 1][width];
    }

    /** The cheapest pacing. */
    public static Pacing of(Stretch stretch) {
        return new Optimum(stretch).run();
    }

    /** The state with the last taken slot (-1 for none), whether it is shared, and whether the present unit has begun. */
    private static int state(int last, boolean shared, boolean begun) {
        return (last + 1) * 4 + (shared ? 2 : 0) + (begun ? 1 : 0);
    }

    private Pacing run() {
        for (long[] row : best) {
            Arrays.fill(row, NEVER);
        }
        boolean underWay =
                begins != null && !lessons.isEmpty() && lessons.get(0).unit() == begins.unit();
        best[0][state(-1, false, underWay)] = 0;
        for (int i = 0; i < lessons.size(); i++) {
            boolean newUnit =
                    i > 0 && lessons.get(i - 1).unit() != lessons.get(i).unit();
            for (int at = 0; at < width; at++) {
                if (best[i][at] < NEVER) {
                    step(i, at, newUnit);
                }
            }
            place(i, newUnit);
        }
        int end = 0;
        for (int at = 1; at < width; at++) {
            if (best[lessons.size()][at] < best[lessons.size()][end]) {
                end = at;
            }
        }
        List<Place> places = new ArrayList<>();
        for (int i = lessons.size(); i > 0; i--) {
            places.add(by[i][end]);
            end = from[i][end];
        }
        Collections.reverse(places);
        return new Pacing(places);
    }

    private void step(int i, int at, boolean newUnit) {
        Asked asked = lessons.get(i);
        int last = at / 4 - 1;
        boolean shared = (at & 2) != 0;
        boolean begun = (at & 1) != 0 && !newUnit;
        long untold = asked.told() == null ? 0 : told(asked);
        if ((asked.reserve() || asked.leavable()) && asked.pin() == -1) {
            long cost = untold + weights.of(asked.reserve() ? Cost.RESERVE : Cost.LEAVE_OUT);
            take(i, at, state(last, shared, begun), cost * COST + GIVES_WAY, Place.LEFT_OUT);
        }
        long noRoom = untold + (long) weights.of(Cost.NO_ROOM) * asked.length();
        take(i, at, state(last, shared, begun), noRoom * COST + GIVES_WAY, Place.NO_ROOM);
        if (asked.joinable()
                && !shared
                && last >= 0
                && asked.least() == 1
                && (asked.pin() == -1 || asked.pin() == last)) {
            long cost = weights.of(Cost.JOIN)
                    + (asked.length() - 1L) * weights.of(Cost.SHORTEN)
                    + placed(asked, last, last, before(begun, last));
            take(i, at, state(last, true, true), cost * COST + GIVES_WAY + last, new Place(Kind.JOINED, last, 1));
        }
    }

    /**
     * Gives a lesson sessions of its own. What is left empty before it costs by the session, and of what came before only the
     * breaks until its unit's last session count: so the cheapest way to each session is carried along, one for each such count.
     */
    private void place(int i, boolean newUnit) {
        Asked asked = lessons.get(i);
        int most = begins == null ? 0 : begins.breaksBefore();
        int counts =
                Math.max(most, slots.isEmpty() ? 0 : slots.get(slots.size() - 1).breaksBefore()) + 2;
        long[] carried = new long[counts];
        int[] carriedFrom = new int[counts];
        Arrays.fill(carried, NEVER);
        for (int first = 0; first < slots.size(); first++) {
            for (int count = 0; count < counts; count++) {
                carried[count] = Math.min(NEVER, carried[count] + weights.of(Cost.EMPTY) * COST);
            }
            for (int at = state(first - 1, false, false); at <= state(first - 1, true, true); at++) {
                if (best[i][at] >= NEVER) {
                    continue;
                }
                int count = before((at & 1) != 0 && !newUnit, first - 1) + 1;
                if (best[i][at] < carried[count]) {
                    carried[count] = best[i][at];
                    carriedFrom[count] = at;
                }
            }
            if (asked.pin() != -1 && asked.pin() != first) {
                continue;
            }
            for (int count = 0; count < counts; count++) {
                if (carried[count] < NEVER) {
                    lengths(i, carriedFrom[count], carried[count], first, count - 1);
                }
            }
        }
    }

    private void lengths(int i, int at, long there, int first, int before) {
        Asked asked = lessons.get(i);
        for (int length = asked.length(); length >= asked.least(); length--) {
            int end = first + length - 1;
            if (end >= slots.size()) {
                continue;
            }
            int shorter = asked.length() - length;
            long cost = (long) shorter * weights.of(Cost.SHORTEN) + placed(asked, first, end, before);
            long all = there + cost * COST + (shorter > 0 ? GIVES_WAY : 0) + first;
            int to = state(end, false, true);
            if (all < best[i + 1][to]) {
                best[i + 1][to] = all;
                from[i + 1][to] = at;
                by[i + 1][to] = new Place(Kind.PLACED, first, length);
            }
        }
    }

    /** How many breaks end before the last session of the unit so far; -1 where it has none. */
    private int before(boolean begun, int last) {
        return !begun ? -1 : last < 0 ? begins.breaksBefore() : slots.get(last).breaksBefore();
    }

    /** What a lesson costs by where it falls; {@code before} is how many breaks end before its unit's last session. */
    private long placed(Asked asked, int first, int end, int before) {
        Slot opening = slots.get(first);
        long cost = 0;
        int from = asked.had() >= 0 ? asked.had() : opening.breaksBefore();
        if (slots.get(end).breaksBefore() > from) {
            cost += weights.of(Cost.ACROSS);
        }
        if (asked.opensWeek() && !opening.weekStart()) {
            cost += weights.of(Cost.MID_WEEK);
        }
        if (asked.keepsWeeks() && before >= 0 && asked.had() < 0) {
            cost += (long) (opening.breaksBefore() - before) * weights.of(Cost.SPLIT);
        }
        if (asked.test()
                && asked.had() < 0
                && first > 0
                && opening.breaksBefore() > slots.get(first - 1).breaksBefore()) {
            cost += weights.of(Cost.TEST_AFTER_BREAK);
        }
        if (asked.told() != null && !opening.date().equals(asked.told())) {
            cost += told(asked);
        }
        return cost;
    }

    private long told(Asked asked) {
        return weights.of(asked.test() ? Cost.TOLD_TEST : Cost.TOLD);
    }

    private void take(int i, int at, int to, long cost, Place place) {
        long all = best[i][at] + cost;
        if (all < best[i + 1][to]) {
            best[i + 1][to] = all;
            from[i + 1][to] = at;
            by[i + 1][to] = place;
        }
    }
}
