package app.matsuri.core.repace;

import app.matsuri.core.repace.Stretch.Slot;
import app.matsuri.core.session.Timetable;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.TreeMap;

/**
 * Where a lesson may begin: at the start of a session, or by minutes also within one, behind a lesson that ended in it.
 * Positions are numbered in order of time; the last stands behind all sessions.
 */
final class Positions {

    /** That a lesson does not fit. */
    static final int NONE = -1;

    private final List<Slot> slots;
    private final int usual;
    private final int[] slotOf;
    private final int[] usedOf;
    private final int[] whole;
    /** By length, then position: the position behind such a lesson, and the last slot that it takes. */
    private int[][] behind;

    private int[][] ends;

    private Positions(List<Slot> slots, int usual, int[] slotOf, int[] usedOf, int[] whole) {
        this.slots = slots;
        this.usual = usual;
        this.slotOf = slotOf;
        this.usedOf = usedOf;
        this.whole = whole;
    }

    /**
     * The positions of some slots.
     *
     * @param usual minutes of a lesson of length 1; 0 where lessons take whole sessions
     * @param longest the greatest length of a lesson
     */
    static Positions of(List<Slot> slots, int usual, int longest) {
        int n = slots.size();
        int[] whole = new int[n + 1];
        if (usual == 0) {
            int[] slotOf = new int[n + 1];
            for (int k = 0; k <= n; k++) {
                slotOf[k] = k;
                whole[k] = k;
            }
            return new Positions(slots, 0, slotOf, new int[n + 1], whole);
        }
        TreeMap<Long, Integer> found = new TreeMap<>();
        Deque<Long> open = new ArrayDeque<>();
        for (int k = 0; k <= n; k++) {
            found.put(key(k, 0), 0);
            open.add(key(k, 0));
        }
        while (!open.isEmpty()) {
            long at = open.poll();
            for (int length = 1; length <= longest; length++) {
                long[] taken = take(slots, slot(at), used(at), length * usual);
                if (taken != null && found.putIfAbsent(taken[0], 0) == null) {
                    open.add(taken[0]);
                }
            }
        }
        int[] slotOf = new int[found.size()];
        int[] usedOf = new int[found.size()];
        int p = 0;
        for (long at : found.keySet()) {
            slotOf[p] = slot(at);
            usedOf[p] = used(at);
            if (used(at) == 0) {
                whole[slot(at)] = p;
            }
            found.put(at, p++);
        }
        Positions positions = new Positions(slots, usual, slotOf, usedOf, whole);
        positions.tables(found, longest);
        return positions;
    }

    private void tables(TreeMap<Long, Integer> found, int longest) {
        behind = new int[longest + 1][slotOf.length];
        ends = new int[longest + 1][slotOf.length];
        for (int length = 1; length <= longest; length++) {
            Arrays.fill(behind[length], NONE);
            for (int p = 0; p < slotOf.length; p++) {
                long[] taken = take(slots, slotOf[p], usedOf[p], length * usual);
                if (taken != null) {
                    behind[length][p] = found.get(taken[0]);
                    ends[length][p] = (int) taken[1];
                }
            }
        }
    }

    private static long key(int slot, int used) {
        return (long) slot << 20 | used;
    }

    private static int slot(long key) {
        return (int) (key >> 20);
    }

    private static int used(long key) {
        return (int) (key & 0xFFFFF);
    }

    /** Takes minutes from session to session: where it ends up, and in which slot it ends; null where there are too few. */
    private static long[] take(List<Slot> slots, int from, int gone, int need) {
        int at = from;
        int used = gone;
        int rest = need;
        while (at < slots.size()) {
            int left = slots.get(at).minutes() - used;
            if (rest < left) {
                used += rest;
                boolean tooShort = slots.get(at).minutes() - used < Timetable.LEAST_MINUTES;
                return new long[] {tooShort ? key(at + 1, 0) : key(at, used), at};
            }
            rest -= left;
            at++;
            used = 0;
            if (rest < Timetable.LEAST_MINUTES) {
                return new long[] {key(at, 0), at - 1L};
            }
        }
        return null;
    }

    int size() {
        return slotOf.length;
    }

    /** The slot in which it lies. */
    int slot(int position) {
        return slotOf[position];
    }

    /** Minutes of its slot that are gone; 0 at the start of one. */
    int used(int position) {
        return usedOf[position];
    }

    /** The start of a slot; the last position for as many as there are. */
    int whole(int slot) {
        return whole[slot];
    }

    /** The last slot that something before it takes, where nothing is left empty; -1 for none. */
    int last(int position) {
        return usedOf[position] > 0 ? slotOf[position] : slotOf[position] - 1;
    }

    /**
     * The position behind a lesson that begins here; {@link #NONE} where it does not fit.
     *
     * @param sessions it takes whole sessions, whatever else lessons take
     */
    int behind(int position, int length, boolean sessions) {
        if (usual > 0 && !sessions) {
            return behind[length][position];
        }
        int slot = slotOf[position] + length;
        return slot > slots.size() ? NONE : whole[slot];
    }

    /** The last slot that such a lesson takes. */
    int end(int position, int length, boolean sessions) {
        return usual > 0 && !sessions ? ends[length][position] : slotOf[position] + length - 1;
    }
}
