package app.matsuri.core.repace;

import app.matsuri.core.repace.Pacing.Kind;
import app.matsuri.core.repace.Pacing.Place;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.repace.Stretch.Slot;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The cheapest pacing of a stretch, found exactly by dynamic programming over lesson and position. Ties go to the one that gives way
 * in the fewest places, then to earlier sessions.
 *
 * <p>A state, once a lesson is dealt with, is the position behind the last that any lesson takes, whether its session is shared
 * already, and whether a lesson of the present unit is placed. What comes later depends on nothing else. Costs only add up, so a
 * state that costs more than some pacing that is at hand already is never gone on from.
 */
public final class Optimum {

    private static final long NEVER = Long.MAX_VALUE / 4;
    /** More than any pacing costs, and less than what cannot be. */
    static final long NO_PACING = NEVER / 2;

    private static final int SHARED = 2;
    private static final int BEGUN = 1;

    /** Where a state came from, and how: the state, the kind of place, and the length that the lesson was given. */
    private static final int FROM_BITS = 20;

    private static final int KIND_BITS = 2;
    private static final int LONGEST = (1 << 31 - FROM_BITS - KIND_BITS) - 1;
    private static final Kind[] KINDS = Kind.values();

    private final List<Asked> lessons;
    private final Stretch.@Nullable Begun begins;
    private final Positions positions;
    private final int n;
    /** The first slot that lessons may take. */
    private final int firstSlot;

    private final Fall fall;

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

    /** The lesson that is dealt with, and where its states come from. */
    @SuppressWarnings("NullAway.Init") // looked at before anything is asked
    private Asked asked;

    private final int[] from;
    private final int @Nullable [] starting;

    /** The cheapest ways to the start of a slot, with nothing of the unit before and with something, less what that splits. */
    private long bare;

    private int bareFrom;
    private long begun;
    private int begunFrom;
    private long splits;

    /** By lesson, the first state behind it, and from there on where each came from. */
    private final int[] lowest;

    private final int[][] back;
    /** By lesson, from its first state on, the position in which it begins; null where that follows from where it ends. */
    private final int @Nullable [][] starts;

    private Optimum(Stretch stretch) {
        List<Slot> slots = stretch.slots();
        lessons = stretch.lessons();
        begins = stretch.begun();
        n = slots.size();
        firstSlot = stretch.from();
        positions = Positions.of(stretch);
        fall = new Fall(stretch, positions);
        int width = positions.size() * 4;
        was = new long[width];
        is = new long[width];
        from = new int[width];
        starting = stretch.usual() > 0 ? new int[width] : null;
        lowest = new int[lessons.size()];
        back = new int[lessons.size()][];
        starts = stretch.usual() > 0 ? new int[lessons.size()][] : null;
    }

    /**
     * The cheapest pacing of a stretch in which no lesson must have its place.
     *
     * @throws IllegalArgumentException for a lesson longer than 511 sessions
     */
    public static Pacing of(Stretch stretch) {
        return holding(stretch).orElseThrow();
    }

    /**
     * The cheapest pacing; empty where not every lesson can have its place that must.
     *
     * @throws IllegalArgumentException for a lesson longer than 511 sessions
     */
    public static Optional<Pacing> holding(Stretch stretch) {
        for (Asked asked : stretch.lessons()) {
            if (asked.length() > LONGEST) {
                throw new IllegalArgumentException(
                        "lesson " + asked.id() + " asks for more than " + LONGEST + " sessions, which is no pacing");
            }
        }
        Optimum optimum = new Optimum(stretch);
        return optimum.run(new AtHand(stretch, optimum.positions, optimum.fall).cost());
    }

    private static int state(int position, boolean shared, boolean begun) {
        return position * 4 + (shared ? SHARED : 0) + (begun ? BEGUN : 0);
    }

    private Optional<Pacing> run(long atHand) {
        most = atHand;
        int end = pass();
        if (end < 0) {
            return Optional.empty();
        }
        Place[] places = new Place[lessons.size()];
        for (int i = lessons.size() - 1; i >= 0; i--) {
            int how = back[i][end - lowest[i]];
            places[i] = place(i, end, how);
            end = how & (1 << FROM_BITS) - 1;
        }
        return Optional.of(new Pacing(List.of(places)));
    }

    /** Deals with all lessons; the state in which the cheapest pacing ends, -1 where there is none. */
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
            if (!lesson(i, newUnit)) {
                return -1;
            }
        }
        int end = low;
        for (int at = low; at <= high; at++) {
            if (was[at] < was[end]) {
                end = at;
            }
        }
        return end;
    }

    /** Deals with one lesson: from the states behind the one before to those behind it, if there are any. */
    private boolean lesson(int i, boolean newUnit) {
        asked = lessons.get(i);
        fall.look(asked);
        nextLow = Integer.MAX_VALUE;
        nextHigh = -1;
        nextLeast = NEVER;
        splits = asked.keepsWeeks() && asked.had() < 0 && !newUnit ? fall.split : 0;
        step(newUnit);
        place();
        if (nextHigh < 0) {
            return false;
        }
        lowest[i] = nextLow;
        back[i] = Arrays.copyOfRange(from, nextLow, nextHigh + 1);
        if (starts != null) {
            starts[i] = Arrays.copyOfRange(starting, nextLow, nextHigh + 1);
        }
        Arrays.fill(was, low, high + 1, NEVER);
        long[] swap = was;
        was = is;
        is = swap;
        low = nextLow;
        high = nextHigh;
        least = nextLeast;
        return true;
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
                        starts == null ? positions.whole(positions.slot(position) - given) : starts[i][at - lowest[i]];
                int first = positions.slot(start);
                int end = positions.end(start, given, lessons.get(i));
                yield new Place(Kind.PLACED, first, end - first + 1, given, positions.used(start));
            }
        };
    }

    /** What becomes of a lesson that takes no time of its own. */
    private void step(boolean newUnit) {
        boolean leaves = fall.leaves();
        long leave = fall.out() + Fall.GIVES_WAY;
        long noRoom = fall.lost() + Fall.GIVES_WAY;
        boolean lacks = !asked.must() && least + noRoom <= most;
        boolean joins = asked.joinable() && asked.least() == 1;
        long join = fall.joined() + Fall.GIVES_WAY;
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
                long cost = join + fall.begins(last) + fall.crosses(last, last) + splitHere(to, last) + last;
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
            if (slot > last || partial > reached && bare > most && begun + splits * fall.breaks[slot] > most) {
                break;
            }
            if (positions.used(p) > 0) {
                boolean may = asked.pin() == -1 || asked.pin() == slot && asked.pinUsed() == positions.used(p);
                if (p <= reached && !alone && may && slot >= firstSlot) {
                    goesOn(p);
                }
                continue;
            }
            bare = bare >= NEVER ? NEVER : bare + fall.empty;
            begun = begun >= NEVER ? NEVER : begun + fall.empty;
            if (p <= reached) {
                carry(p * 4, p * 4 + 4);
            }
            if ((asked.pin() == -1 || asked.pin() == slot) && asked.pinUsed() == 0 && slot >= firstSlot) {
                boolean fromWithin = alone || asked.opensWeek() && fall.weekStart[slot];
                begin(p, slot, fromWithin ? partial : p);
                if (asked.oneSession() && !fromWithin) {
                    leavingRest(p, slot, partial);
                }
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
                there -= splits * fall.before(at / 4);
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
        if (begun < NEVER && begun + splits * fall.breaks[slot] < reach) {
            reach = begun + splits * fall.breaks[slot];
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
            lengths(by, reach, p, p);
        }
    }

    /** A lesson that keeps to one session begins with a slot, and leaves what the one before it left of the slot before. */
    private void leavingRest(int p, int slot, int partial) {
        for (int at = partial * 4; at < p * 4; at++) {
            if (was[at] <= most) {
                lengths(at, was[at] + splitHere(at, slot), p, at / 4);
            }
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
            lengths(by, reach, p, p);
        }
    }

    /** What the breaks between a lesson and the one before it in its unit cost. */
    private long splitHere(int at, int slot) {
        return splits > 0 && (at & BEGUN) != 0 ? splits * (fall.breaks[slot] - fall.before(at / 4)) : 0;
    }

    /** @param came the position from which it comes: where that is another than the one it begins in, only lengths that leave its rest */
    private void lengths(int at, long there, int start, int came) {
        int first = positions.slot(start);
        long base = there + fall.begins(first) + first;
        if (base > most) {
            return;
        }
        for (int length = asked.length(); length >= asked.least(); length--) {
            int behind = positions.behind(start, length, asked);
            if (behind == Positions.NONE || positions.leavesRest(came, length, asked) != (came != start)) {
                continue;
            }
            int shorter = asked.length() - length;
            int end = positions.end(start, length, asked);
            long all = base + shorter * fall.shorten + fall.crosses(first, end) + (shorter > 0 ? Fall.GIVES_WAY : 0);
            int to = state(behind, false, true);
            int how = at | Kind.PLACED.ordinal() << FROM_BITS | length << FROM_BITS + KIND_BITS;
            if (take(to, all, how) && starting != null) {
                starting[to] = start;
            }
        }
    }
}
