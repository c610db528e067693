package app.matsuri.core.calendar;

import java.time.LocalDate;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A cycle of day letters. Each day that it advances on has the next letter; other days have none.
 *
 * @param letters two to ten different ones, in order, each one to ten characters
 * @param advances on which days it advances
 * @param restarts from this day on it goes on with this letter; where the day does not advance, from the next that does
 */
public record DayRotation(List<String> letters, Advance advances, SortedMap<LocalDate, String> restarts, Extra extra) {

    /** On which days a rotation advances. */
    public enum Advance {
        /** On each teaching day of the term: a day off does not use up a letter. */
        TEACHING_DAYS,
        /** On each day whose weekday teaches, whether it is off or not: a day off uses up its letter. */
        WEEKDAYS
    }

    public static final int LEAST = 2;
    public static final int MOST = 10;

    public DayRotation {
        Objects.requireNonNull(advances, "advances");
        letters = List.copyOf(letters);
        restarts = Collections.unmodifiableSortedMap(new TreeMap<>(restarts));
        if (letters.size() < LEAST || letters.size() > MOST) {
            throw new IllegalArgumentException("a rotation has two to ten letters, not " + letters.size());
        }
        if (new HashSet<>(letters).size() < letters.size()) {
            throw new IllegalArgumentException("a rotation's letters differ from each other");
        }
        for (String letter : letters) {
            if (letter.isBlank() || letter.length() > 10) {
                throw new IllegalArgumentException("“" + letter + "” is no day letter: give one to ten characters");
            }
        }
        for (String letter : restarts.values()) {
            if (!letters.contains(letter)) {
                throw new IllegalArgumentException(
                        "the rotation cannot restart with “" + letter + "”, which is none of its letters");
            }
        }
    }

    /** A rotation without restarts. */
    public static DayRotation of(Advance advances, String... letters) {
        return new DayRotation(List.of(letters), advances, new TreeMap<>(), Extra.NONE);
    }
}
