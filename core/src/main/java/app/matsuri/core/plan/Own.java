package app.matsuri.core.plan;

import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/** What is said of one date apart from the plan: another rule, that there is no such date, or nothing, so that it is as planned. */
public sealed interface Own {

    /** There is no such date. */
    Own NONE = new None();

    /** Nothing is said: the date is as planned. */
    Own AS_PLANNED = new AsPlanned();

    /** Another rule. */
    record Rule(DateRule is) implements Own {

        public Rule {
            Objects.requireNonNull(is, "is");
        }

        @Override
        public <R> R on(Cases<R> cases) {
            return cases.rule(is);
        }
    }

    /** See {@link #NONE}. */
    record None() implements Own {

        @Override
        public <R> R on(Cases<R> cases) {
            return cases.none();
        }
    }

    /** See {@link #AS_PLANNED}. */
    record AsPlanned() implements Own {

        @Override
        public <R> R on(Cases<R> cases) {
            return cases.asPlanned();
        }
    }

    /** What is done with each. */
    interface Cases<R> {

        R rule(DateRule rule);

        R none();

        R asPlanned();
    }

    /** Does what is to be done with this one. */
    <R> R on(Cases<R> cases);

    /** Another rule. */
    static Own rule(DateRule rule) {
        return new Rule(rule);
    }

    /** The rule, or that there is no date where it is null. */
    static Own of(DateRule rule) {
        return rule == null ? NONE : new Rule(rule);
    }

    /** The rule that holds then: its own, or the planned one; null for no date. */
    default DateRule over(DateRule planned) {
        return on(new Cases<>() {
            @Override
            public DateRule rule(DateRule rule) {
                return rule;
            }

            @Override
            public DateRule none() {
                return null;
            }

            @Override
            public DateRule asPlanned() {
                return planned;
            }
        });
    }

    /** The rule that is said, if one is. */
    default Optional<DateRule> said() {
        return Optional.ofNullable(over(null));
    }

    /** The same with another rule in place of the one that is said. */
    default Own with(Function<DateRule, DateRule> other) {
        return said().map(rule -> Own.rule(other.apply(rule))).orElse(this);
    }
}
