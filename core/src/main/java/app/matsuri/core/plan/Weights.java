package app.matsuri.core.plan;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What each way of putting up with a lost class costs, in whole numbers.
 *
 * @param costs one for each kind
 */
public record Weights(Map<Cost, Integer> costs) {

    /** The kinds of cost, each with what it costs to begin with. */
    public enum Cost {
        /** A reserve session given up. */
        RESERVE(1, "a spare day given up"),
        /** A lesson whose told day changes or goes. */
        TOLD(3, "a lesson not on the day that was told"),
        /** A session left empty before the last placed lesson. */
        EMPTY(6, "a class left empty"),
        /** A lesson that runs across a break. */
        ACROSS(6, "a lesson that runs across a break"),
        /** A unit that asked for a week start and is split by a break. */
        SPLIT(8, "a unit split by a break"),
        /** An optional or yielding lesson left out. */
        LEAVE_OUT(10, "an optional lesson left out"),
        /** A lesson that holds a test on the first session after a break. */
        TEST_AFTER_BREAK(10, "a test in the first class after a break"),
        /** A lesson that holds a test and whose told day changes or goes, in place of {@link #TOLD}. */
        TOLD_TEST(12, "a test not on the day that was told"),
        /** A lesson joined to the one before. */
        JOIN(15, "a lesson joined to the one before"),
        /** A lesson shortened, for each session. */
        SHORTEN(20, "a class taken from a lesson"),
        /** A unit that asked for a week start begins mid-week. */
        MID_WEEK(30, "a unit that begins mid-week"),
        /** A required session that finds no room. */
        NO_ROOM(1000, "a class that finds no room");

        private final int usual;
        private final String said;

        Cost(int usual, String said) {
            this.usual = usual;
            this.said = said;
        }

        /** One of it, in plain words. */
        public String said() {
            return said;
        }

        public int usual() {
            return usual;
        }

        /** As the plan file and tables of costs name it, such as "leaveOut". */
        public String word() {
            StringBuilder word = new StringBuilder();
            boolean upper = false;
            for (char c : name().toCharArray()) {
                if (c == '_') {
                    upper = true;
                } else {
                    word.append(upper ? c : Character.toLowerCase(c));
                    upper = false;
                }
            }
            return word.toString();
        }
    }

    /** What a course begins with. */
    public static final Weights USUAL = new Weights(Map.of());

    public Weights {
        Map<Cost, Integer> all = new LinkedHashMap<>();
        for (Cost cost : Cost.values()) {
            all.put(cost, costs.getOrDefault(cost, cost.usual()));
        }
        costs = java.util.Collections.unmodifiableMap(all);
    }

    public int of(Cost cost) {
        return costs.get(cost);
    }
}
