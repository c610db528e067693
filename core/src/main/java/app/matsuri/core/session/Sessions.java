package app.matsuri.core.session;

import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/**
 * The sessions of one section, in time order, and what became of those that do not take place.
 *
 * @param all numbered from 0 here and from 1 on screen
 * @param lost sessions that a day off took away, in time order
 * @param cancelled names of classes that were cancelled by hand, in time order
 * @param notes what a person should know about the changes, clashes and rules behind them
 */
public record Sessions(
        List<Session> all,
        List<Lost> lost,
        List<LocalDateTime> cancelled,
        List<Note> notes,
        Map<LocalDateTime, Integer> byName) {

    /** A session that does not take place and why. */
    public record Lost(LocalDateTime name, String reason) {}

    /** Something noteworthy about a session. */
    public record Note(Kind kind, @Nullable LocalDateTime session, String text) {

        /** What is noteworthy. */
        public enum Kind {
            /** A change, hold or record names no session. */
            NAMES_NO_SESSION,
            /** Two patterns give the same start. */
            SAME_START,
            OVERLAP,
            /** A moved or added session stands on a day off. */
            ON_DAY_OFF,
            /** A recurrence could not be read. */
            RULE_NOT_READ,
            /** A pattern gives no session at all. */
            NO_SESSION_FROM_RULE
        }
    }

    static Sessions of(List<Session> all, List<Lost> lost, List<LocalDateTime> cancelled, List<Note> notes) {
        Map<LocalDateTime, Integer> byName = new HashMap<>(all.size() * 2);
        for (int i = 0; i < all.size(); i++) {
            byName.putIfAbsent(all.get(i).name(), i);
        }
        return new Sessions(List.copyOf(all), List.copyOf(lost), List.copyOf(cancelled), List.copyOf(notes), byName);
    }

    public int size() {
        return all.size();
    }

    public Session get(int index) {
        return all.get(index);
    }

    /** The index of the session of that name. */
    public OptionalInt indexOf(LocalDateTime name) {
        Integer index = byName.get(name);
        return index == null ? OptionalInt.empty() : OptionalInt.of(index);
    }

    /** The index of the first session that starts strictly after the moment; {@link #size()} when none does. */
    public int firstAfter(@Nullable LocalDateTime moment) {
        int low = 0;
        int high = all.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (all.get(middle).start().isAfter(moment)) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return low;
    }

    /** The index of the last session that starts strictly before the moment; -1 when none does. */
    public int lastBefore(@Nullable LocalDateTime moment) {
        int index = firstAfter(moment) - 1;
        while (index >= 0 && all.get(index).start().equals(moment)) {
            index--;
        }
        return index;
    }

    /** Minutes of class in all sessions. */
    public int minutes() {
        return all.stream().mapToInt(Session::minutes).sum();
    }
}
