package app.matsuri.core.rollover;

/** By what dates go from one term to another. */
public sealed interface RollBy {

    /** Session k to session k; a date between sessions keeps its distance in teaching days, and its time. */
    record ByClass() implements RollBy {}

    /**
     * The same weekday of the same week.
     *
     * @param teaching weeks without a teaching day are passed over in counting
     */
    record ByWeek(boolean teaching) implements RollBy {}

    /** So many calendar days later, or earlier where negative. */
    record ByDays(int days) implements RollBy {}

    /** Rules are kept and lessons flow anew; what was fixed by hand waits for a hand. */
    record ByRule() implements RollBy {}
}
