package app.matsuri.core.repace;

import app.matsuri.core.plan.Weights;
import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.repace.Pacing.Kind;
import app.matsuri.core.repace.Pacing.Place;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.repace.Stretch.Slot;
import java.time.LocalDate;
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
                throw new IllegalArgumentException("lesson " + asked.id() + " asks for more than " + LONGEST
                        + " sessions, which is no pacing");
            }
        }
        return new Optimum(stretch).run();
    }

    private static int state(int position, boolean shared, boolean begun) {
        return position * 4 + (shared ? SHARED : 0) + (begun ? BEGUN : 0);
    }

    private Pacing run() {
        long most = new AtHand().cost();
        Arrays.fill(was, NEVER);
        boolean underWay =
                begins != null && !lessons.isEmpty() && lessons.get(0).unit() == begins.unit();
        was[state(0, false, underWay)] = 0;
        for (int i = 0; i < lessons.size(); i++) {
            boolean newUnit =
                    i > 0 && lessons.get(i - 1).unit() != lessons.get(i).unit();
            Arrays.fill(is, NEVER);
            step(i, newUnit, most);
            place(i, newUnit, most);
            long[] swap = was;
            was = is;
            is = swap;
        }
        int end = 0;
        for (int at = 1; at < was.length; at++) {
            if (was[at] < was[end]) {
                end = at;
            }
        }
        Place[] places = new Place[lessons.size()];
        for (int i = lessons.size() - 1; i >= 0; i--) {
            int how = back[i][end];
            places[i] = place(i, end, how);
            end = how & (1 << FROM_BITS) - 1;
        }
        return new Pacing(List.of(places));
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
                int start =
                        starts == null ? positions.whole(positions.slot(position) - given) : starts[i][at];
                int first = positions.slot(start);
                int end = positions.end(start, given, lessons.get(i).whole());
                yield new Place(Kind.PLACED, first, end - first + 1, given, positions.used(start));
            }
        };
    }

    /** What becomes of a lesson that takes no time of its own. */
    private void step(int i, boolean newUnit, long most) {
        Asked asked = lessons.get(i);
        long untold = asked.told() == null ? 0 : told(asked);
        boolean leaves = (asked.reserve() || asked.leavable()) && asked.pin() == -1;
        long leave = untold + weights.of(asked.reserve() ? Cost.RESERVE : Cost.LEAVE_OUT) * COST + GIVES_WAY;
        long noRoom = untold + (long) weights.of(Cost.NO_ROOM) * asked.length() * COST + GIVES_WAY;
        boolean joins = asked.joinable() && asked.least() == 1;
        long join = weights.of(Cost.JOIN) * COST + (asked.length() - 1) * shorten + GIVES_WAY;
        for (int at = 0; at < was.length; at++) {
            long there = was[at];
            if (there > most) {
                continue;
            }
            int to = newUnit ? at & ~BEGUN : at;
            if (leaves) {
                take(i, at, to, there + leave, Kind.LEFT_OUT);
            }
            take(i, at, to, there + noRoom, Kind.NO_ROOM);
            int last = positions.last(at / 4);
            if (joins && (at & SHARED) == 0 && last >= 0 && (asked.pin() == -1 || asked.pin() == last)) {
                long cost = join + falls(asked, last) + crosses(asked, last, last) + splits(asked, to, last) + last;
                take(i, at, to | SHARED | BEGUN, there + cost, Kind.JOINED);
            }
        }
    }

    private void take(int i, int at, int to, long all, Kind kind) {
        if (all < is[to]) {
            is[to] = all;
            back[i][to] = at | kind.ordinal() << FROM_BITS;
        }
    }

    /**
     * Gives a lesson time of its own. What is left empty before it costs by the session, and of what came before only the breaks
     * until its unit's last session count, which add up: so the one cheapest way to each session is carried along.
     */
    private void place(int i, boolean newUnit, long most) {
        Asked asked = lessons.get(i);
        boolean splits = asked.keepsWeeks() && asked.had() < 0 && split > 0;
        boolean whole = asked.whole() || asked.pin() != -1 && asked.pinUsed() == 0;
        // cheapest ways to the start of the present slot with nothing of the unit before, and with something
        long bare = NEVER;
        long begun = NEVER;
        int bareFrom = 0;
        int begunFrom = 0;
        int size = positions.size();
        int last = asked.pin() < 0 ? n - 1 : asked.pin();
        // ways that end within the slot before: they reach the start of this one only where a lesson begins a session by itself
        int partial = 0;
        for (int p = 0; p < size; p++) {
            int slot = positions.slot(p);
            if (slot > last) {
                break;
            }
            if (positions.used(p) > 0) {
                if (!whole && (asked.pin() == -1 || asked.pin() == slot && asked.pinUsed() == positions.used(p))) {
                    goesOn(i, p, newUnit, splits, most);
                }
                continue;
            }
            bare = bare >= NEVER ? NEVER : bare + empty;
            begun = begun >= NEVER ? NEVER : begun + empty;
            // behind a whole session
            for (int at = p * 4; at < p * 4 + 4; at++) {
                long there = was[at];
                if (there > most) {
                    continue;
                }
                if (splits && !newUnit && (at & BEGUN) != 0) {
                    there -= split * before(p);
                    if (there < begun) {
                        begun = there;
                        begunFrom = at;
                    }
                } else if (there < bare) {
                    bare = there;
                    bareFrom = at;
                }
            }
            boolean here = (asked.pin() == -1 || asked.pin() == slot) && asked.pinUsed() == 0 && slot < n;
            boolean itself = whole || asked.opensWeek() && slot < n && weekStart[slot];
            if (here) {
                long reach = bare;
                int from = bareFrom;
                if (begun < NEVER && begun + split * breaks[slot] < reach) {
                    reach = begun + split * breaks[slot];
                    from = begunFrom;
                }
                if (itself) {
                    for (int at = partial * 4; at < p * 4; at++) {
                        long there = was[at] > most ? NEVER : was[at] + splitTo(at, newUnit, splits, slot);
                        if (there < reach) {
                            reach = there;
                            from = at;
                        }
                    }
                }
                if (reach <= most) {
                    lengths(i, from, reach, p);
                }
            }
            // ways that end within the slot before may leave it at its end from here on
            for (int at = partial * 4; at < p * 4; at++) {
                long there = was[at];
                if (there > most) {
                    continue;
                }
                if (splits && !newUnit && (at & BEGUN) != 0) {
                    there -= split * before(at / 4);
                    if (there < begun) {
                        begun = there;
                        begunFrom = at;
                    }
                } else if (there < bare) {
                    bare = there;
                    bareFrom = at;
                }
            }
            partial = p + 1;
        }
    }

    /** A lesson begins within a session, where the one before it ended. */
    private void goesOn(int i, int p, boolean newUnit, boolean splits, long most) {
        long reach = NEVER;
        int from = 0;
        for (int at = p * 4; at < p * 4 + 4; at++) {
            long there = was[at] > most ? NEVER : was[at] + splitTo(at, newUnit, splits, positions.slot(p));
            if (there < reach) {
                reach = there;
                from = at;
            }
        }
        if (reach <= most) {
            lengths(i, from, reach, p);
        }
    }

    private long splitTo(int at, boolean newUnit, boolean splits, int slot) {
        return splits && !newUnit && (at & BEGUN) != 0 ? split * (breaks[slot] - before(at / 4)) : 0;
    }

    /** How many breaks end before the last session of the unit that is under way at a position. */
    private int before(int position) {
        int last = positions.last(position);
        return last < 0 ? begins.breaksBefore() : breaks[last];
    }

    private void lengths(int i, int at, long there, int start) {
        Asked asked = lessons.get(i);
        int first = positions.slot(start);
        long base = there + falls(asked, first) + first;
        for (int length = asked.length(); length >= asked.least(); length--) {
            int behind = positions.behind(start, length, asked.whole());
            if (behind == Positions.NONE) {
                continue;
            }
            int shorter = asked.length() - length;
            int end = positions.end(start, length, asked.whole());
            long all = base + shorter * shorten + crosses(asked, first, end) + (shorter > 0 ? GIVES_WAY : 0);
            int to = state(behind, false, true);
            if (all < is[to]) {
                is[to] = all;
                back[i][to] = at | Kind.PLACED.ordinal() << FROM_BITS | length << FROM_BITS + KIND_BITS;
                if (starts != null) {
                    starts[i][to] = start;
                }
            }
        }
    }

    private long crosses(Asked asked, int first, int end) {
        int from = asked.had() >= 0 ? asked.had() : breaks[first];
        return breaks[end] > from ? across : 0;
    }

    /** What breaks between a lesson and the one before it in its unit cost, where it joins that one's session. */
    private long splits(Asked asked, int at, int first) {
        boolean counts = asked.keepsWeeks() && asked.had() < 0 && (at & BEGUN) != 0;
        return counts ? split * (breaks[first] - before(at / 4)) : 0;
    }

    /** What it costs that a lesson begins in a slot. */
    private long falls(Asked asked, int first) {
        long cost = 0;
        if (asked.opensWeek() && !weekStart[first]) {
            cost += midWeek;
        }
        if (asked.test() && asked.had() < 0 && first > 0 && breaks[first] > breaks[first - 1]) {
            cost += testAfterBreak;
        }
        LocalDate told = asked.told();
        if (told != null && told.toEpochDay() != dates[first]) {
            cost += told(asked);
        }
        return cost;
    }

    private long told(Asked asked) {
        return weights.of(asked.test() ? Cost.TOLD_TEST : Cost.TOLD) * COST;
    }

    /** Some pacing, found at once: every lesson as soon as it may, else left out, else without room. */
    private final class AtHand {

        private int at;
        private boolean begun =
                begins != null && !lessons.isEmpty() && lessons.get(0).unit() == begins.unit();

        /** What it costs, and no less than the cheapest. */
        long cost() {
            int[] limits = new int[lessons.size()];
            int limit = n;
            for (int i = lessons.size() - 1; i >= 0; i--) {
                limits[i] = limit;
                limit = lessons.get(i).pin() >= 0 ? lessons.get(i).pin() : limit;
            }
            long cost = 0;
            for (int i = 0; i < lessons.size(); i++) {
                if (i > 0 && lessons.get(i - 1).unit() != lessons.get(i).unit()) {
                    begun = false;
                }
                cost += lesson(lessons.get(i), limits[i]);
            }
            // the sums of first slots, which only decide between equals
            return cost + GIVES_WAY * lessons.size() + (long) n * lessons.size();
        }

        private long lesson(Asked asked, int limit) {
            int start = start(asked);
            int behind = start == Positions.NONE
                    ? Positions.NONE
                    : positions.behind(start, asked.length(), asked.whole());
            if (behind == Positions.NONE
                    || positions.end(start, asked.length(), asked.whole()) >= limit) {
                long untold = asked.told() == null ? 0 : told(asked);
                boolean leaves = (asked.reserve() || asked.leavable()) && asked.pin() == -1;
                return untold
                        + (leaves
                                ? weights.of(asked.reserve() ? Cost.RESERVE : Cost.LEAVE_OUT) * COST
                                : (long) weights.of(Cost.NO_ROOM) * asked.length() * COST);
            }
            int first = positions.slot(start);
            int whole = positions.used(at) > 0 ? positions.slot(at) + 1 : positions.slot(at);
            long cost = Math.max(0, first - whole) * empty
                    + falls(asked, first)
                    + crosses(asked, first, positions.end(start, asked.length(), asked.whole()));
            if (begun && asked.keepsWeeks() && asked.had() < 0) {
                cost += split * (breaks[first] - before(at));
            }
            begun = true;
            at = behind;
            return cost;
        }

        private int start(Asked asked) {
            int whole = positions.used(at) > 0 ? positions.slot(at) + 1 : positions.slot(at);
            if (asked.pin() != -1) {
                boolean within = asked.pinUsed() > 0;
                boolean there = within
                        ? asked.pin() == positions.slot(at) && asked.pinUsed() == positions.used(at)
                        : asked.pin() >= whole && asked.pin() < n;
                return !there ? Positions.NONE : within ? at : positions.whole(asked.pin());
            }
            int start = asked.whole() ? positions.whole(Math.min(whole, n)) : at;
            return positions.slot(start) < n ? start : Positions.NONE;
        }
    }
}
