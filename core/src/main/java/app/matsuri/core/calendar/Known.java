package app.matsuri.core.calendar;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What has been made sure of before and cannot be missing. */
public final class Known {

    private Known() {}

    /**
     * What stands for the key.
     *
     * @throws IllegalStateException when nothing does, which is a fault of the program
     */
    public static <K, V> V in(Map<K, V> map, K key) {
        return there(map.get(key), key);
    }

    /** What an exception says; its kind where it says nothing. */
    public static String message(Throwable wrong) {
        String message = wrong.getMessage();
        return message == null ? wrong.toString() : message;
    }

    /**
     * The thing that is there.
     *
     * @param what names it in the fault
     * @throws IllegalStateException when it is null, which is a fault of the program
     */
    public static <T> T there(@Nullable T thing, Object what) {
        if (thing == null) {
            throw new IllegalStateException("nothing for " + what);
        }
        return thing;
    }
}
