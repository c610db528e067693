package app.matsuri.exchange.rollover;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** Ids that are free, in the order in which they are asked for: many of the same name cost no more than many names. */
final class FreeIds {

    private final Set<String> taken = new HashSet<>();
    private final Map<String, Integer> numbers = new HashMap<>();

    /** The name itself, else with the first number behind it that is free, from 2. */
    String of(String name) {
        String id = name;
        while (!taken.add(id)) {
            id = name + "-" + numbers.merge(name, 2, (before, first) -> before + 1);
        }
        return id;
    }
}
