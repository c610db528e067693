package app.matsuri.core.plan;

import app.matsuri.core.calendar.TeachingCalendar;
import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.util.Optional;

/**
 * What a date rule starts from. Whatever has to be told apart by kind is asked through {@link Cases}, so that a further kind
 * does not compile until everything about it is said.
 */
public sealed interface Anchor {

    /** What the case of this kind answers. */
    <T> T on(Cases<T> cases);

    /** Which end of it the rule takes: of a lesson, a unit or a class; the start where it is a moment. */
    Edge edge();

    /** The thing of the course by whose id it is named; empty where it names none. */
    Optional<Named> named();

    /** The same naming another thing of that sort; itself where it names none. */
    Anchor named(String id);

    /** The moment typed by hand; empty for every other kind. */
    default Optional<LocalDateTime> typed() {
        return Optional.empty();
    }

    /** Which date it takes over as that came out, of what it names or of the thing itself; empty where it is no such date. */
    default Optional<Which> date() {
        return Optional.empty();
    }

    /** Whether a term with that calendar has it: weeks may be too few. */
    default boolean within(TeachingCalendar calendar) {
        return true;
    }

    /** Which of the thing's own dates it takes over; empty where it takes over none. */
    default Optional<Which> own() {
        return named().isEmpty() ? date() : Optional.empty();
    }

    /** One answer for each kind of anchor. */
    interface Cases<T> {
        T fixed(Fixed at);

        T lesson(WithLesson with);

        T unit(WithUnit with);

        T week(InWeek in);

        T ownDate(OwnDate own);

        T item(OfItem of);

        T beginning(OwnBeginning own);

        T rhythm(InRhythm in);
    }

    /** A sort of things that anchors name. */
    enum Sort {
        LESSON,
        UNIT,
        ITEM,
        RHYTHM
    }

    /** A thing of the course by its id. */
    record Named(Sort sort, String id) {

        /** Its id, where it is of the sort. */
        public Optional<String> of(Sort wanted) {
            return sort == wanted ? Optional.of(id) : Optional.empty();
        }
    }

    /** The id of what it names, where that is of the sort. */
    default Optional<String> named(Sort sort) {
        return named().flatMap(n -> n.of(sort));
    }

    /** A local date and time typed by hand. */
    record Fixed(LocalDateTime at) implements Nameless {
        @Override
        public <T> T on(Cases<T> cases) {
            return cases.fixed(this);
        }

        @Override
        public Optional<LocalDateTime> typed() {
            return Optional.of(at);
        }
    }

    /** The start of a lesson's first session, or the end of its last. */
    record WithLesson(String lesson, Edge edge) implements Anchor {
        @Override
        public <T> T on(Cases<T> cases) {
            return cases.lesson(this);
        }

        @Override
        public Optional<Named> named() {
            return Optional.of(new Named(Sort.LESSON, lesson));
        }

        @Override
        public Anchor named(String id) {
            return new WithLesson(id, edge);
        }
    }

    /** The start of a unit's first lesson, or the end of its last, of those the section does not leave out. */
    record WithUnit(String unit, Edge edge) implements Anchor {
        @Override
        public <T> T on(Cases<T> cases) {
            return cases.unit(this);
        }

        @Override
        public Optional<Named> named() {
            return Optional.of(new Named(Sort.UNIT, unit));
        }

        @Override
        public Anchor named(String id) {
            return new WithUnit(id, edge);
        }
    }

    /**
     * A weekday in a week of the term, at 23:59.
     *
     * @param week from 1
     * @param teaching whether weeks without a teaching day are passed over in counting
     */
    record InWeek(int week, boolean teaching, DayOfWeek weekday) implements Nameless {
        @Override
        public <T> T on(Cases<T> cases) {
            return cases.week(this);
        }

        @Override
        public boolean within(TeachingCalendar calendar) {
            return teaching ? calendar.teachingWeek(week).isPresent() : week <= calendar.weeks();
        }
    }

    /** Another of the item's own dates, as it came out. */
    record OwnDate(Which which) implements Nameless {
        @Override
        public <T> T on(Cases<T> cases) {
            return cases.ownDate(this);
        }

        @Override
        public Optional<Which> date() {
            return Optional.of(which);
        }
    }

    /** A date of an item, as it came out; for notices only. */
    record OfItem(String item, Which which) implements Anchor {
        @Override
        public <T> T on(Cases<T> cases) {
            return cases.item(this);
        }

        @Override
        public Edge edge() {
            return Edge.START;
        }

        @Override
        public Optional<Named> named() {
            return Optional.of(new Named(Sort.ITEM, item));
        }

        @Override
        public Anchor named(String id) {
            return new OfItem(id, which);
        }

        @Override
        public Optional<Which> date() {
            return Optional.of(which);
        }
    }

    /** The beginning of the notice itself; for its end only. */
    record OwnBeginning() implements Nameless {
        @Override
        public <T> T on(Cases<T> cases) {
            return cases.beginning(this);
        }

        @Override
        public Optional<Which> date() {
            return Optional.of(Which.OPENS);
        }
    }

    /**
     * The n-th class of a rhythm.
     *
     * @param number from 1; 0 in the rhythm itself, where it stands for each
     */
    record InRhythm(String rhythm, int number, Edge edge) implements Anchor {
        @Override
        public <T> T on(Cases<T> cases) {
            return cases.rhythm(this);
        }

        @Override
        public Optional<Named> named() {
            return Optional.of(new Named(Sort.RHYTHM, rhythm));
        }

        @Override
        public Anchor named(String id) {
            return new InRhythm(id, number, edge);
        }
    }

    /** An anchor that is a moment and names nothing of the course. */
    sealed interface Nameless extends Anchor {
        @Override
        default Edge edge() {
            return Edge.START;
        }

        @Override
        default Optional<Named> named() {
            return Optional.empty();
        }

        @Override
        default Anchor named(String id) {
            return this;
        }
    }
}
