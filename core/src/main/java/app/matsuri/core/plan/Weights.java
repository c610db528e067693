package app.matsuri.core.plan;

import app.matsuri.core.calendar.Known;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
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
        return Known.in(costs, cost);
    }

    /** What is odd about them, a sentence each: what would be done that nobody means. */
    public List<String> doubts() {
        List<String> doubts = new ArrayList<>();
        int most = costs.entrySet().stream()
                .filter(e -> e.getKey() != Cost.NO_ROOM)
                .mapToInt(Map.Entry::getValue)
                .max()
                .orElse(0);
        if (of(Cost.NO_ROOM) <= most) {
            doubts.add(
                    "A class that finds no room costs no more than other things do: lessons would be lost to spare those.");
        }
        if (of(Cost.TOLD_TEST) < of(Cost.TOLD)) {
            doubts.add("A test off the day that was told costs less than a lesson: tests would be moved first.");
        }
        if (of(Cost.RESERVE) > of(Cost.EMPTY)) {
            doubts.add(
                    "A spare day given up costs more than a class left empty: classes would stand empty beside spare days.");
        }
        if (of(Cost.LEAVE_OUT) > of(Cost.SHORTEN)) {
            doubts.add(
                    "An optional lesson left out costs more than a class taken from a lesson: others would be cut short for it.");
        }
        costs.forEach((cost, n) -> {
            if (n == 0) {
                doubts.add("It costs nothing: " + cost.said() + ". That would be done whenever it helps at all.");
            }
        });
        return doubts;
    }
}
