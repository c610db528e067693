package app.matsuri.core.calendar;

import java.time.Duration;

/**
 * How long what a thread is at may still take. What goes through many things asks between two of them, so that one
 * request that would never end gives its thread back. No thread is interrupted: that would close a database's files.
 */
public final class TimeLimit {

    private static final long NONE = Long.MAX_VALUE;

    /** When it is over, in nanoseconds of the running machine. */
    private static final ThreadLocal<Long> OVER = ThreadLocal.withInitial(() -> NONE);

    private TimeLimit() {}

    /** It took longer than it may. */
    public static final class TooLong extends RuntimeException {

        TooLong() {
            super("it takes longer than it may");
        }
    }

    /** From now on what this thread does may take so long; {@link #end()} has to follow. */
    public static void begin(Duration most) {
        OVER.set(System.nanoTime() + most.toNanos());
    }

    /** There is no limit any more. */
    public static void end() {
        OVER.remove();
    }

    /**
     * Goes on where there is time left, or no limit.
     *
     * @throws TooLong where it is over
     */
    public static void look() {
        long over = OVER.get();
        if (over != NONE && System.nanoTime() - over > 0) {
            throw new TooLong();
        }
    }
}
