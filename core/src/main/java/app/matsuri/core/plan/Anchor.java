package app.matsuri.core.plan;

import java.time.DayOfWeek;
import java.time.LocalDateTime;

/** What a date rule starts from. */
public sealed interface Anchor {

    /** A local date and time typed by hand. */
    record Fixed(LocalDateTime at) implements Anchor {}

    /** The start of a lesson's first session, or the end of its last. */
    record WithLesson(String lesson, Edge edge) implements Anchor {}

    /** The start of a unit's first lesson, or the end of its last, of those the section does not leave out. */
    record WithUnit(String unit, Edge edge) implements Anchor {}

    /**
     * A weekday in a week of the term, at 23:59.
     *
     * @param week from 1
     * @param teaching whether weeks without a teaching day are passed over in counting
     */
    record InWeek(int week, boolean teaching, DayOfWeek weekday) implements Anchor {}

    /** Another of the item's own dates, as it came out. */
    record OwnDate(Which which) implements Anchor {}

    /** A date of an item, as it came out; for notices only. */
    record OfItem(String item, Which which) implements Anchor {}

    /** The beginning of the notice itself; for its end only. */
    record OwnBeginning() implements Anchor {}

    /**
     * The n-th class of a rhythm.
     *
     * @param number from 1; 0 in the rhythm itself, where it stands for each
     */
    record InRhythm(String rhythm, int number, Edge edge) implements Anchor {}
}
