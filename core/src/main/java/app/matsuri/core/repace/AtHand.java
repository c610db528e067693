package app.matsuri.core.repace;

import app.matsuri.core.repace.Stretch.Asked;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Some pacing, found at once: every lesson as soon as it may be; while more is to come before the next pin than there is time
 * for, what may be left out is, and what may be shorter is shortened.
 */
final class AtHand {

    private final List<Asked> lessons;
    private final Stretch.@Nullable Begun begins;
    private final Positions positions;
    private final Fall fall;
    private final int n;
    private final int from;
    private final long usual;
    /** Time before each slot, and what the lessons before each one ask for. */
    private final long[] time;

    private final long[] need;
    private int at;

    @SuppressWarnings("NullAway.Init") // looked at before anything is asked
    private Asked asked;

    private boolean unitBegun;

    AtHand(Stretch stretch, Positions positions, Fall fall) {
        this.positions = positions;
        this.fall = fall;
        lessons = stretch.lessons();
        begins = stretch.begun();
        n = stretch.slots().size();
        from = stretch.from();
        unitBegun = begins != null && !lessons.isEmpty() && lessons.get(0).unit() == begins.unit();
        usual = Math.max(1, stretch.usual());
        time = new long[n + 1];
        for (int k = 0; k < n; k++) {
            time[k + 1] =
                    time[k] + (stretch.usual() > 0 ? stretch.slots().get(k).minutes() : 1);
        }
        need = new long[lessons.size() + 1];
        for (int i = 0; i < lessons.size(); i++) {
            need[i + 1] = need[i] + lessons.get(i).length() * usual;
        }
    }

    /** What it costs, and no less than the cheapest; more than any costs where it leaves out what must have its place. */
    long cost() {
        int[] next = new int[lessons.size()];
        int pinned = lessons.size();
        for (int i = lessons.size() - 1; i >= 0; i--) {
            next[i] = pinned;
            pinned = lessons.get(i).pin() >= 0 ? i : pinned;
        }
        long cost = 0;
        for (int i = 0; i < lessons.size(); i++) {
            asked = lessons.get(i);
            fall.look(asked);
            if (i > 0 && lessons.get(i - 1).unit() != asked.unit()) {
                unitBegun = false;
            }
            int limit = next[i] < lessons.size() ? lessons.get(next[i]).pin() : n;
            long room = time[limit] - time[positions.slot(at)] - positions.used(at);
            long one = lesson(limit, (need[next[i]] - need[i] - Math.max(0, room) + usual - 1) / usual);
            if (one >= Optimum.NO_PACING) {
                return one;
            }
            cost += one;
        }
        // the sums of first slots, which only decide between equals
        return cost + Fall.GIVES_WAY * lessons.size() + (long) n * lessons.size();
    }

    private long lesson(int limit, long lacks) {
        boolean leaves = fall.leaves();
        long gone = leaves ? fall.out() : asked.must() ? Optimum.NO_PACING : fall.lost();
        if (leaves && lacks > 0) {
            return gone;
        }
        int length = (int) Math.max(asked.least(), asked.length() - Math.max(0, lacks));
        int start = start(lacks, length);
        int behind = start == Positions.NONE ? Positions.NONE : positions.behind(start, length, asked);
        if (behind == Positions.NONE || positions.end(start, length, asked) >= limit) {
            return gone;
        }
        int first = positions.slot(start);
        long cost = Math.max(0, first - whole()) * fall.empty
                + (asked.length() - length) * fall.shorten
                + fall.begins(first)
                + fall.crosses(first, positions.end(start, length, asked));
        if (unitBegun && asked.keepsWeeks() && asked.had() < 0) {
            cost += fall.split * (fall.breaks[first] - fall.before(at));
        }
        unitBegun = true;
        at = behind;
        return cost;
    }

    /** The first slot that is whole. */
    private int whole() {
        return positions.used(at) > 0 ? positions.slot(at) + 1 : positions.slot(at);
    }

    private int start(long lacks, int length) {
        if (asked.pin() != -1) {
            boolean within = asked.pinUsed() > 0;
            boolean there = within
                    ? asked.pin() == positions.slot(at)
                            && asked.pinUsed() == positions.used(at)
                            && !positions.leavesRest(at, length, asked)
                    : asked.pin() >= Math.max(from, whole()) && asked.pin() < n;
            return !there ? Positions.NONE : within ? at : positions.whole(asked.pin());
        }
        boolean whole = asked.whole() || positions.leavesRest(at, length, asked);
        int start = positions.slot(at) < from ? positions.whole(from) : whole ? positions.whole(whole()) : at;
        if (asked.opensWeek()) {
            int opens = Math.max(from, whole());
            while (opens < n && !fall.weekStart[opens]) {
                opens++;
            }
            int waits = opens - whole();
            if (opens < n && lacks + waits < 0 && fall.waits(waits)) {
                return positions.whole(opens);
            }
        }
        return positions.slot(start) < n ? start : Positions.NONE;
    }
}
