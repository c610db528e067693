package app.matsuri.core.rollover;

import java.util.OptionalInt;

/** By what dates go from one term to another. */
public sealed interface RollBy {

    /** "by class", "by week", "by teaching week", "by 141 days", "by rule". */
    String word();

    /** What the case of this kind answers. */
    <T> T on(Cases<T> cases);

    /** How many days later all dates are; empty where that differs. */
    default OptionalInt later() {
        return OptionalInt.empty();
    }

    /** Whether sessions are counted: by class. */
    default boolean countsSessions() {
        return false;
    }

    /** Whether rules are kept and nothing is written down: by rule. */
    default boolean keepsRules() {
        return false;
    }

    /** One answer for each kind. */
    interface Cases<T> {
        T byClass(ByClass by);

        T byWeek(ByWeek by);

        T byDays(ByDays by);

        T byRule(ByRule by);
    }

    /** Session k to session k; a date between sessions keeps its distance in teaching days, and its time. */
    record ByClass() implements RollBy {
        @Override
        public String word() {
            return "by class";
        }

        @Override
        public <T> T on(Cases<T> cases) {
            return cases.byClass(this);
        }

        @Override
        public boolean countsSessions() {
            return true;
        }
    }

    /**
     * The same weekday of the same week.
     *
     * @param teaching weeks without a teaching day are passed over in counting
     */
    record ByWeek(boolean teaching) implements RollBy {
        @Override
        public String word() {
            return teaching ? "by teaching week" : "by week";
        }

        @Override
        public <T> T on(Cases<T> cases) {
            return cases.byWeek(this);
        }
    }

    /** So many calendar days later, or earlier where negative. */
    record ByDays(int days) implements RollBy {
        @Override
        public String word() {
            return "by " + days + " days";
        }

        @Override
        public <T> T on(Cases<T> cases) {
            return cases.byDays(this);
        }

        @Override
        public OptionalInt later() {
            return OptionalInt.of(days);
        }
    }

    /** Rules are kept and lessons flow anew; what was fixed by hand waits for a hand. */
    record ByRule() implements RollBy {
        @Override
        public String word() {
            return "by rule";
        }

        @Override
        public <T> T on(Cases<T> cases) {
            return cases.byRule(this);
        }

        @Override
        public boolean keepsRules() {
            return true;
        }
    }
}
