package app.matsuri.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** Copies of collections with one thing different. */
public final class With {

    private With() {}

    /** The map with the key's value replaced, or without the key where the value is null. */
    public static <K, V> Map<K, V> entry(Map<K, V> map, K key, @Nullable V value) {
        Map<K, V> copy = new LinkedHashMap<>(map);
        if (value == null) {
            copy.remove(key);
        } else {
            copy.put(key, value);
        }
        return copy;
    }

    /** The list with one more behind it. */
    public static <T> List<T> added(List<T> list, T last) {
        List<T> copy = new ArrayList<>(list);
        copy.add(last);
        return copy;
    }

    /** The set with or without the member. */
    public static <T> Set<T> member(Set<T> set, T member, boolean in) {
        Set<T> copy = new LinkedHashSet<>(set);
        if (in) {
            copy.add(member);
        } else {
            copy.remove(member);
        }
        return copy;
    }

    /** The list with the first element that matches replaced, or with the new one added where none does. */
    public static <T> List<T> put(List<T> list, Predicate<T> match, T value) {
        List<T> copy = new ArrayList<>(list);
        for (int i = 0; i < copy.size(); i++) {
            if (match.test(copy.get(i))) {
                copy.set(i, value);
                return copy;
            }
        }
        copy.add(value);
        return copy;
    }

    /** The list without the elements that match. */
    public static <T> List<T> without(List<T> list, Predicate<T> match) {
        return list.stream().filter(match.negate()).toList();
    }

    /** The list with a code replaced, or without it (null). */
    public static List<String> renamed(List<String> codes, String old, @Nullable String code) {
        return codes.stream()
                .filter(c -> code != null || !c.equals(old))
                .map(c -> c.equals(old) ? code : c)
                .toList();
    }
}
