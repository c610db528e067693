package app.matsuri.core.repace;

import app.matsuri.core.plan.Weights;
import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.repace.Pacing.Kind;
import app.matsuri.core.repace.Pacing.Place;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.repace.Stretch.Slot;
import java.util.Arrays;
import java.util.List;

/**
 * The cheapest pacing of a stretch, found exactly by dynamic programming over lesson and position. Ties go to the one that gives way
 * in the fewest places, then to earlier sessions.
 *
 * <p>A state, once a lesson is dealt with, is the position behind the last that any lesson takes, whether its session is shared
 * already, and whether a lesson of the present unit is placed. What comes later depends on nothing else. Costs only add up, so a
 * state that costs more than some pacing that is at hand already is never gone on from.
 */
public final class Optimum {

    /** A cost, then how many places give way, then the sum of first slots: in one number, the greater first. */
    private static final long COST = 1L << 36;

    private static final long GIVES_WAY = 1L << 24;
    private static final long NEVER = Long.MAX_VALUE / 4;
    private static final int SHARED = 2;
    private static final int BEGUN = 1;

    /** Where a state came from, and how: the state, the kind of place, and the length that the lesson was given. */
    private static final int FROM_BITS = 20;

    private static final int KIND_BITS = 2;
    private static final int LONGEST = (1 << 31 - FROM_BITS - KIND_BITS) - 1;
    private static final Kind[] KINDS = Kind.values();

    private final List<Asked> lessons;
    private final Stretch.Begun begins;
    private final Positions positions;
    private final int n;
    private final int[] breaks;
    private final boolean[] weekStart;
    private final long[] dates;

    private final long empty;
    private final long across;
    private final long midWeek;
    private final long split;
    private final long testAfterBreak;
    private final long shorten;
    private final Weights weights;

    /** By state, the cheapest way there: of the lesson before, and of the one that is dealt with. */
    private long[] was;

    private long[] is;
    /** The states between which there are any, and the least that any costs. */
    private int low;

    private int high;
    private long least;
    private int nextLow;
    private int nextHigh;
    private long nextLeast;

    /** What some pacing costs: no state that costs more is gone on from. */
    private long most;

    /** The lesson that is dealt with: what it costs to move it from the day that was told, and where its states come from. */
    private Asked asked;

    private long toldDay;
    private long told;
    private int[] from;
    private int[] starting;

    /** The cheapest ways to the start of a slot, with nothing of the unit before and with something, less what that splits. */
    private long bare;

    private int bareFrom;
    private long begun;
    private int begunFrom;
    private long splits;

    private final int[][] back;
    /** By lesson and state, the position in which it begins; null where that follows from where it ends. */
    private final int[][] starts;

    private Optimum(Stretch stretch) {
        List<Slot> slots = stretch.slots();
        lessons = stretch.lessons();
        begins = stretch.begun();
        weights = stretch.weights();
        n = slots.size();
        breaks = new int[n];
        weekStart = new boolean[n];
        dates = new long[n];
        for (int k = 0; k < n; k++) {
            Slot slot = slots.get(k);
            breaks[k] = slot.breaksBefore();
            weekStart[k] = slot.weekStart();
            dates[k] = slot.date().toEpochDay();
        }
        int longest = 1;
        for (Asked asked : lessons) {
            longest = Math.max(longest, asked.length());
        }
        positions = Positions.of(slots, stretch.usual(), Math.min(longest, LONGEST));
        empty = weights.of(Cost.EMPTY) * COST;
        across = weights.of(Cost.ACROSS) * COST;
        midWeek = weights.of(Cost.MID_WEEK) * COST;
        split = weights.of(Cost.SPLIT) * COST;
        testAfterBreak = weights.of(Cost.TEST_AFTER_BREAK) * COST;
        shorten = weights.of(Cost.SHORTEN) * COST;
        int width = positions.size() * 4;
        was = new long[width];
        is = new long[width];
        back = new int[lessons.size()][width];
        starts = stretch.usual() > 0 ? new int[lessons.size()][width] : null;
    }

    /**
     * The cheapest pacing.
     *
     * @throws IllegalArgumentException for a lesson longer than 511 sessions
     */
    public static Pacing of(Stretch stretch) {
        for (Asked asked : stretch.lessons()) {
            if (asked.length() > LONGEST) {
                throw new IllegalArgumentException(
                        "lesson " + asked.id() + " asks for more than " + LONGEST + " sessions, which is no pacing");
            }
        }
        Optimum optimum = new Optimum(stretch);
        return optimum.run(optimum.new AtHand(stretch).cost());
    }

    private static int state(int position, boolean shared, boolean begun) {
        return position * 4 + (shared ? SHARED : 0) + (begun ? BEGUN : 0);
    }

    private Pacing run(long atHand) {
        most = atHand;
        int end = pass();
        Place[] places = new Place[lessons.size()];
        for (int i = lessons.size() - 1; i >= 0; i--) {
            int how = back[i][end];
            places[i] = place(i, end, how);
            end = how & (1 << FROM_BITS) - 1;
        }
        return new Pacing(List.of(places));
    }

    /** Deals with all lessons; the state in which the cheapest pacing ends. */
    private int pass() {
        Arrays.fill(was, NEVER);
        Arrays.fill(is, NEVER);
        boolean underWay =
                begins != null && !lessons.isEmpty() && lessons.get(0).unit() == begins.unit();
        int start = state(0, false, underWay);
        was[start] = 0;
        low = start;
        high = start;
        least = 0;
        for (int i = 0; i < lessons.size(); i++) {
            boolean newUnit =
                    i > 0 && lessons.get(i - 1).unit() != lessons.get(i).unit();
            lesson(i, newUnit);
        }
        int end = low;
        for (int at = low; at <= high; at++) {
            if (was[at] < was[end]) {
                end = at;
            }
        }
        return end;
    }

    private void look(Asked lesson) {
        asked = lesson;
        toldDay = asked.told() == null ? Long.MIN_VALUE : asked.told().toEpochDay();
        told = asked.told() == null ? 0 : weights.of(asked.test() ? Cost.TOLD_TEST : Cost.TOLD) * COST;
    }

    /** Deals with one lesson: from the states behind the one before to those behind it. */
    private void lesson(int i, boolean newUnit) {
        look(lessons.get(i));
        from = back[i];
        starting = starts == null ? null : starts[i];
        nextLow = Integer.MAX_VALUE;
        nextHigh = -1;
        nextLeast = NEVER;
        splits = asked.keepsWeeks() && asked.had() < 0 && !newUnit ? split : 0;
        step(newUnit);
        place();
        Arrays.fill(was, low, high + 1, NEVER);
        long[] swap = was;
        was = is;
        is = swap;
        low = nextLow;
        high = nextHigh;
        least = nextLeast;
    }

    private Place place(int i, int at, int how) {
        Kind kind = KINDS[how >> FROM_BITS & (1 << KIND_BITS) - 1];
        int position = at / 4;
        return switch (kind) {
            case LEFT_OUT -> Place.LEFT_OUT;
            case NO_ROOM -> Place.NO_ROOM;
            case JOINED -> Place.joined(positions.last(position));
            case PLACED -> {
                int given = how >> FROM_BITS + KIND_BITS;
                int start = starts == null ? positions.whole(positions.slot(position) - given) : starts[i][at];
                int first = positions.slot(start);
                int end = positions.end(start, given, lessons.get(i).whole());
                yield new Place(Kind.PLACED, first, end - first + 1, given, positions.used(start));
            }
        };
    }

    /** What becomes of a lesson that takes no time of its own. */
    private void step(boolean newUnit) {
        boolean leaves = (asked.reserve() || asked.leavable()) && asked.pin() == -1;
        long leave = told + weights.of(asked.reserve() ? Cost.RESERVE : Cost.LEAVE_OUT) * COST + GIVES_WAY;
        long noRoom = told + (long) weights.of(Cost.NO_ROOM) * asked.length() * COST + GIVES_WAY;
        boolean lacks = least + noRoom <= most;
        boolean joins = asked.joinable() && asked.least() == 1;
        long join = weights.of(Cost.JOIN) * COST + (asked.length() - 1) * shorten + GIVES_WAY;
        if (!leaves && !lacks && !joins) {
            return;
        }
        for (int at = low; at <= high; at++) {
            long there = was[at];
            if (there > most) {
                continue;
            }
            int to = newUnit ? at & ~BEGUN : at;
            if (leaves) {
                take(to, there + leave, at | Kind.LEFT_OUT.ordinal() << FROM_BITS);
            }
            if (lacks) {
                take(to, there + noRoom, at | Kind.NO_ROOM.ordinal() << FROM_BITS);
            }
            int last = positions.last(at / 4);
            if (joins && (at & SHARED) == 0 && last >= 0 && (asked.pin() == -1 || asked.pin() == last)) {
                long cost = join + falls(last) + crosses(last, last) + splitHere(to, last) + last;
                take(to | SHARED | BEGUN, there + cost, at | Kind.JOINED.ordinal() << FROM_BITS);
            }
        }
    }

    private boolean take(int to, long all, int how) {
        if (all >= is[to] || all > most) {
            return false;
        }
        is[to] = all;
        from[to] = how;
        nextLow = Math.min(nextLow, to);
        nextHigh = Math.max(nextHigh, to);
        nextLeast = Math.min(nextLeast, all);
        return true;
    }

    /**
     * Gives a lesson time of its own. What is left empty before it costs by the session, and of what came before only the breaks
     * until its unit's last session count, which add up: so the one cheapest way to each session is carried along.
     */
    private void place() {
        boolean alone = asked.whole() || asked.pin() != -1 && asked.pinUsed() == 0;
        bare = NEVER;
        begun = NEVER;
        int size = positions.size();
        int last = asked.pin() == -1 ? n - 1 : asked.pin();
        int reached = high / 4;
        // ways that end within the slot before: they reach the start of this one only where a lesson begins a session
        // by itself
        int partial = low / 4;
        for (int p = low / 4; p < size; p++) {
            int slot = positions.slot(p);
            if (slot > last || partial > reached && bare > most && begun + splits * breaks[slot] > most) {
                break;
            }
            if (positions.used(p) > 0) {
                boolean may = asked.pin() == -1 || asked.pin() == slot && asked.pinUsed() == positions.used(p);
                if (p <= reached && !alone && may) {
                    goesOn(p);
                }
                continue;
            }
            bare = bare >= NEVER ? NEVER : bare + empty;
            begun = begun >= NEVER ? NEVER : begun + empty;
            if (p <= reached) {
                carry(p * 4, p * 4 + 4);
            }
            if ((asked.pin() == -1 || asked.pin() == slot) && asked.pinUsed() == 0) {
                begin(p, slot, alone || asked.opensWeek() && weekStart[slot] ? partial : p);
            }
            // ways that end within the slot before may leave it at its end from here on
            carry(partial * 4, p * 4);
            partial = p + 1;
        }
    }

    /** Carries the cheapest of some ways along: with nothing of the unit before, and with something. */
    private void carry(int first, int end) {
        for (int at = first; at < end; at++) {
            long there = was[at];
            if (there > most) {
                continue;
            }
            if (splits > 0 && (at & BEGUN) != 0) {
                there -= splits * before(at / 4);
                if (there < begun) {
                    begun = there;
                    begunFrom = at;
                }
            } else if (there < bare) {
                bare = there;
                bareFrom = at;
            }
        }
    }

    /** A lesson begins with a slot: from what is carried, or from a way that ends within the slot before. */
    private void begin(int p, int slot, int partial) {
        long reach = bare;
        int by = bareFrom;
        if (begun < NEVER && begun + splits * breaks[slot] < reach) {
            reach = begun + splits * breaks[slot];
            by = begunFrom;
        }
        for (int at = partial * 4; at < p * 4; at++) {
            long there = was[at] > most ? NEVER : was[at] + splitHere(at, slot);
            if (there < reach) {
                reach = there;
                by = at;
            }
        }
        if (reach <= most) {
            lengths(by, reach, p);
        }
    }

    /** A lesson begins within a session, where the one before it ended. */
    private void goesOn(int p) {
        long reach = NEVER;
        int by = 0;
        for (int at = p * 4; at < p * 4 + 4; at++) {
            long there = was[at] > most ? NEVER : was[at] + splitHere(at, positions.slot(p));
            if (there < reach) {
                reach = there;
                by = at;
            }
        }
        if (reach <= most) {
            lengths(by, reach, p);
        }
    }

    /** What the breaks between a lesson and the one before it in its unit cost. */
    private long splitHere(int at, int slot) {
        return splits > 0 && (at & BEGUN) != 0 ? splits * (breaks[slot] - before(at / 4)) : 0;
    }

    /** How many breaks end before the last session of the unit that is under way at a position. */
    private int before(int position) {
        int last = positions.last(position);
        return last < 0 ? begins.breaksBefore() : breaks[last];
    }

    private void lengths(int at, long there, int start) {
        int first = positions.slot(start);
        long base = there + falls(first) + first;
        if (base > most) {
            return;
        }
        for (int length = asked.length(); length >= asked.least(); length--) {
            int behind = positions.behind(start, length, asked.whole());
            if (behind == Positions.NONE) {
                continue;
            }
            int shorter = asked.length() - length;
            int end = positions.end(start, length, asked.whole());
            long all = base + shorter * shorten + crosses(first, end) + (shorter > 0 ? GIVES_WAY : 0);
            int to = state(behind, false, true);
            int how = at | Kind.PLACED.ordinal() << FROM_BITS | length << FROM_BITS + KIND_BITS;
            if (take(to, all, how) && starting != null) {
                starting[to] = start;
            }
        }
    }

    private long crosses(int first, int end) {
        int begins = asked.had() >= 0 ? asked.had() : breaks[first];
        return breaks[end] > begins ? across : 0;
    }

    /** What it costs that a lesson begins in a slot. */
    private long falls(int first) {
        long cost = 0;
        if (asked.opensWeek() && !weekStart[first]) {
            cost += midWeek;
        }
        if (asked.test() && asked.had() < 0 && first > 0 && breaks[first] > breaks[first - 1]) {
            cost += testAfterBreak;
        }
        return toldDay == dates[first] ? cost : cost + told;
    }

    /**
     * Some pacing, found at once: every lesson as soon as it may be; while more is to come before the next pin than there is time
     * for, what may be left out is, and what may be shorter is shortened.
     */
    private final class AtHand {

        private final long usual;
        /** Time before each slot, and what the lessons before each one ask for. */
        private final long[] time;

        private final long[] need;
        private int at;
        private boolean unitBegun =
                begins != null && !lessons.isEmpty() && lessons.get(0).unit() == begins.unit();

        AtHand(Stretch stretch) {
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

        /** What it costs, and no less than the cheapest. */
        long cost() {
            int[] next = new int[lessons.size()];
            int pinned = lessons.size();
            for (int i = lessons.size() - 1; i >= 0; i--) {
                next[i] = pinned;
                pinned = lessons.get(i).pin() >= 0 ? i : pinned;
            }
            long cost = 0;
            for (int i = 0; i < lessons.size(); i++) {
                look(lessons.get(i));
                if (i > 0 && lessons.get(i - 1).unit() != asked.unit()) {
                    unitBegun = false;
                }
                int limit = next[i] < lessons.size() ? lessons.get(next[i]).pin() : n;
                long room = time[limit] - time[positions.slot(at)] - positions.used(at);
                cost += lesson(limit, (need[next[i]] - need[i] - Math.max(0, room) + usual - 1) / usual);
            }
            // the sums of first slots, which only decide between equals
            return cost + GIVES_WAY * lessons.size() + (long) n * lessons.size();
        }

        private long lesson(int limit, long lacks) {
            boolean leaves = (asked.reserve() || asked.leavable()) && asked.pin() == -1;
            long gone = told
                    + (leaves
                            ? weights.of(asked.reserve() ? Cost.RESERVE : Cost.LEAVE_OUT) * COST
                            : (long) weights.of(Cost.NO_ROOM) * asked.length() * COST);
            if (leaves && lacks > 0) {
                return gone;
            }
            int length = (int) Math.max(asked.least(), asked.length() - Math.max(0, lacks));
            int start = start(lacks);
            int behind = start == Positions.NONE ? Positions.NONE : positions.behind(start, length, asked.whole());
            if (behind == Positions.NONE || positions.end(start, length, asked.whole()) >= limit) {
                return gone;
            }
            int first = positions.slot(start);
            long cost = Math.max(0, first - whole()) * empty
                    + (asked.length() - length) * shorten
                    + falls(first)
                    + crosses(first, positions.end(start, length, asked.whole()));
            if (unitBegun && asked.keepsWeeks() && asked.had() < 0) {
                cost += split * (breaks[first] - before(at));
            }
            unitBegun = true;
            at = behind;
            return cost;
        }

        /** The first slot that is whole. */
        private int whole() {
            return positions.used(at) > 0 ? positions.slot(at) + 1 : positions.slot(at);
        }

        private int start(long lacks) {
            if (asked.pin() != -1) {
                boolean within = asked.pinUsed() > 0;
                boolean there = within
                        ? asked.pin() == positions.slot(at) && asked.pinUsed() == positions.used(at)
                        : asked.pin() >= whole() && asked.pin() < n;
                return !there ? Positions.NONE : within ? at : positions.whole(asked.pin());
            }
            int start = asked.whole() ? positions.whole(whole()) : at;
            if (asked.opensWeek()) {
                int opens = whole();
                while (opens < n && !weekStart[opens]) {
                    opens++;
                }
                int waits = opens - whole();
                if (opens < n && lacks + waits < 0 && waits * empty < midWeek) {
                    return positions.whole(opens);
                }
            }
            return positions.slot(start) < n ? start : Positions.NONE;
        }
    }
}
