package app.matsuri.core.repace;

import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.repace.Stretch.Slot;
import app.matsuri.core.session.Timetable;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Where a lesson may begin: at the start of a session, or by minutes also within one, behind a lesson that ended in it.
 * Positions are numbered in order of time; the last stands behind all sessions.
 */
final class Positions {

    /** That a lesson does not fit. */
    static final int NONE = -1;

    /** Minutes of each slot. */
    private final int[] minutes;

    private final int usual;
    private final int[] slotOf;
    private final int[] usedOf;
    private final int[] whole;
    /** By length, then position: the position behind such a lesson, and the last slot that it takes. */
    private int[][] behind = {};

    private int[][] ends = {};
    /** By slot and minutes used, the number of the position. */
    private int[] number = {};

    private int width;

    private Positions(int[] minutes, int usual, int[] slotOf, int[] usedOf, int[] whole) {
        this.minutes = minutes;
        this.usual = usual;
        this.slotOf = slotOf;
        this.usedOf = usedOf;
        this.whole = whole;
    }

    /** The positions in a stretch. */
    static Positions of(Stretch stretch) {
        List<Slot> slots = stretch.slots();
        int[] minutes = slots.stream().mapToInt(Slot::minutes).toArray();
        return stretch.usual() == 0 ? wholeSessions(minutes) : byMinutes(stretch, minutes);
    }

    /** Where lessons take whole sessions: the start of each. */
    private static Positions wholeSessions(int[] minutes) {
        int[] each = IntStream.rangeClosed(0, minutes.length).toArray();
        return new Positions(minutes, 0, each, new int[each.length], each);
    }

    private static Positions byMinutes(Stretch stretch, int[] minutes) {
        int width = 1 + Arrays.stream(minutes).max().orElse(0);
        boolean[] found = reached(stretch, minutes, width);
        int count = 0;
        for (boolean one : found) {
            count += one ? 1 : 0;
        }
        int[] slotOf = new int[count];
        int[] usedOf = new int[count];
        int[] whole = new int[minutes.length + 1];
        int[] number = new int[found.length];
        int p = 0;
        for (int at = 0; at < found.length; at++) {
            if (found[at]) {
                slotOf[p] = at / width;
                usedOf[p] = at % width;
                if (usedOf[p] == 0) {
                    whole[slotOf[p]] = p;
                }
                number[at] = p++;
            }
        }
        Positions positions = new Positions(minutes, stretch.usual(), slotOf, usedOf, whole);
        positions.number = number;
        positions.width = width;
        positions.tables(longest(stretch));
        return positions;
    }

    private static int longest(Stretch stretch) {
        return stretch.lessons().stream().mapToInt(Asked::length).reduce(1, Math::max);
    }

    /** By slot and minutes used in it, whether some lesson can begin there: lessons only lead forward, so one pass finds all. */
    private static boolean[] reached(Stretch stretch, int[] minutes, int width) {
        int longest = longest(stretch);
        int usual = stretch.usual();
        List<Asked> begun =
                stretch.lessons().stream().filter(asked -> asked.gone() > 0).toList();
        boolean[] found = new boolean[(minutes.length + 1) * width];
        for (int at = 0; at < found.length; at++) {
            int slot = at / width;
            int used = at % width;
            if (used != 0 && !found[at]) {
                continue;
            }
            found[at] = true;
            for (int length = 1; length <= longest; length++) {
                long taken = take(minutes, slot, used, length * usual);
                if (taken == NONE) {
                    break;
                }
                found[slot(taken) * width + used(taken)] = true;
            }
            for (Asked asked : begun) {
                for (int length = asked.least(); length <= asked.length(); length++) {
                    long taken = take(minutes, slot, used, length * usual - asked.gone());
                    if (taken != NONE) {
                        found[slot(taken) * width + used(taken)] = true;
                    }
                }
            }
        }
        return found;
    }

    private void tables(int longest) {
        behind = new int[longest + 1][slotOf.length];
        ends = new int[longest + 1][slotOf.length];
        for (int length = 1; length <= longest; length++) {
            for (int p = 0; p < slotOf.length; p++) {
                long taken = take(minutes, slotOf[p], usedOf[p], length * usual);
                behind[length][p] = taken == NONE ? NONE : number[slot(taken) * width + used(taken)];
                ends[length][p] = end(taken);
            }
        }
    }

    /** A position behind a lesson, with the slot in which that ends. */
    private static long key(int slot, int used, int end) {
        return (long) end << 40 | (long) slot << 20 | used;
    }

    private static int end(long key) {
        return (int) (key >> 40);
    }

    private static int slot(long key) {
        return (int) (key >> 20) & 0xFFFFF;
    }

    private static int used(long key) {
        return (int) (key & 0xFFFFF);
    }

    /** Takes minutes from session to session: where it ends up; {@link #NONE} where there are too few. */
    private static long take(int[] minutes, int from, int gone, int need) {
        int at = from;
        int used = gone;
        int rest = need;
        while (at < minutes.length) {
            int left = minutes[at] - used;
            if (rest < left) {
                used += rest;
                boolean tooShort = minutes[at] - used < Timetable.LEAST_MINUTES;
                return tooShort ? key(at + 1, 0, at) : key(at, used, at);
            }
            rest -= left;
            at++;
            used = 0;
            if (rest < Timetable.LEAST_MINUTES) {
                return key(at, 0, at - 1);
            }
        }
        return NONE;
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

    /** The position behind a lesson of some length that begins here; {@link #NONE} where it does not fit. */
    int behind(int position, int length, Asked asked) {
        if (usual > 0 && !asked.whole()) {
            if (asked.gone() == 0) {
                return behind[length][position];
            }
            long taken = rest(position, length, asked);
            return taken == NONE ? NONE : number[slot(taken) * width + used(taken)];
        }
        int slot = slotOf[position] + length;
        return slot > minutes.length ? NONE : whole[slot];
    }

    /** The last slot that such a lesson takes. */
    int end(int position, int length, Asked asked) {
        if (usual == 0 || asked.whole()) {
            return slotOf[position] + length - 1;
        }
        return asked.gone() == 0 ? ends[length][position] : end(rest(position, length, asked));
    }

    private long rest(int position, int length, Asked asked) {
        return take(minutes, slotOf[position], usedOf[position], length * usual - asked.gone());
    }

    /** Whether a lesson that keeps to one session leaves the rest of this one, where it would be cut, for the next, where it fits. */
    boolean leavesRest(int position, int length, Asked asked) {
        int slot = slotOf[position];
        if (!asked.oneSession() || usedOf[position] == 0 || slot + 1 >= minutes.length) {
            return false;
        }
        int need = length * usual - asked.gone();
        return need - (minutes[slot] - usedOf[position]) >= Timetable.LEAST_MINUTES
                && need - minutes[slot + 1] < Timetable.LEAST_MINUTES;
    }
}
