package app.matsuri.core.calendar;

import java.util.Collections;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What a plan file said about a thing and Matsuri does not know: kept word for word and written again.
 *
 * @param json field name to its JSON text, never null
 */
public record Extra(SortedMap<String, String> json) {

    /** Nothing unknown. */
    public static final Extra NONE = new Extra(Collections.emptySortedMap());

    public Extra {
        json = json.isEmpty() ? Collections.emptySortedMap() : Collections.unmodifiableSortedMap(new TreeMap<>(json));
    }

    /** The given fields; {@link #NONE} when there are none. */
    public static Extra of(Map<String, String> json) {
        return json.isEmpty() ? NONE : new Extra(new TreeMap<>(json));
    }
}
