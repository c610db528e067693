package app.matsuri.core.flow;

import app.matsuri.core.session.Session;
import app.matsuri.core.session.Sessions;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** The sessions of a section that lessons may take: open and without a record, in order. */
public final class Usable {

    private final Sessions all;
    private final int[] sessions;
    private final boolean[] opensWeek;
    private final int start;

    private Usable(Sessions all, int[] sessions, boolean[] opensWeek, int start) {
        this.all = all;
        this.sessions = sessions;
        this.opensWeek = opensWeek;
        this.start = start;
    }

    /**
     * The usable ones.
     *
     * @param weekStart the first day of a week
     */
    public static Usable of(Sessions all, DayOfWeek weekStart) {
        int n = all.size();
        int[] found = new int[n];
        boolean[] firsts = new boolean[n];
        int count = 0;
        int begin = 0;
        long week = Long.MIN_VALUE;
        for (int i = 0; i < n; i++) {
            Session session = all.get(i);
            boolean opens = false;
            if (session.open()) {
                long own = Math.floorDiv(session.date().toEpochDay() + 3 - (weekStart.getValue() - 1), 7);
                opens = own != week;
                week = own;
            }
            if (session.record()) {
                begin = count;
            } else if (session.open()) {
                firsts[count] = opens;
                found[count++] = i;
            }
        }
        return new Usable(all, Arrays.copyOf(found, count), firsts, begin);
    }

    public int size() {
        return sessions.length;
    }

    /** The index, among all sessions, of the k-th usable one. */
    public int session(int k) {
        return sessions[k];
    }

    /** Whether the k-th is the first of its week, taught and past ones counted. */
    public boolean opensWeek(int k) {
        return opensWeek[k];
    }

    /** Where placing begins: behind the last session with a record. */
    public int start() {
        return start;
    }

    /** The first on or after the day, those before the start included; as many as there are where none is. */
    public int onOrAfter(@Nullable LocalDate day) {
        int low = 0;
        int high = sessions.length;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (all.get(sessions[middle]).date().isBefore(day)) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }
}
