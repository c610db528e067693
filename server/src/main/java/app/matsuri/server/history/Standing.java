package app.matsuri.server.history;

import app.matsuri.server.history.HistoryEntry.Kind;
import java.util.ArrayDeque;
import java.util.Deque;
import org.jspecify.annotations.Nullable;

/** Which changes of a history stand and which were taken back, entry by entry from the first one on. */
final class Standing {

    private final Deque<Long> done = new ArrayDeque<>();
    private final Deque<Long> undone = new ArrayDeque<>();

    /**
     * The next entry.
     *
     * @param of the entry that it undoes or does again
     * @return whether it can follow those before it
     */
    boolean add(Kind kind, long seq, @Nullable Long of) {
        return switch (kind) {
            case BEGIN -> done.isEmpty() && undone.isEmpty();
            case CHANGE -> {
                done.push(seq);
                undone.clear();
                yield true;
            }
            case UNDO -> move(done, undone, of);
            case REDO -> move(undone, done, of);
        };
    }

    private static boolean move(Deque<Long> from, Deque<Long> to, @Nullable Long of) {
        if (of == null || !of.equals(from.peek())) {
            return false;
        }
        to.push(from.pop());
        return true;
    }

    /** The change that an undo takes back; 0 for none. */
    long undo() {
        return done.isEmpty() ? 0 : done.peek();
    }

    /** The change that a redo makes again; 0 for none. */
    long redo() {
        return undone.isEmpty() ? 0 : undone.peek();
    }
}
