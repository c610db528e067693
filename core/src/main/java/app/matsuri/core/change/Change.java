package app.matsuri.core.change;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Whatever a person does to a term: a pure function from decisions to decisions. */
public interface Change {

    /**
     * The decisions after it.
     *
     * @throws Refused when it cannot be made
     */
    Outcome apply(Decisions before);

    /** What it does, in one sentence without a full stop, for the proposal and the history. */
    String sentence(Decisions before);

    /** Lessons and items that it moves by hand. */
    default Set<Hand> hands(Decisions before) {
        return Set.of();
    }

    /**
     * Where it takes hold of a section as a repair: when the class at hand begins, which is the first that may be another after it;
     * {@link LocalDateTime#MAX} for no class in particular. Empty where it is no repair of the section.
     */
    default Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return Optional.empty();
    }

    /** The same as it is made at a moment, in the term's zone. */
    default Change at(LocalDateTime moment) {
        return this;
    }

    /**
     * The decisions after a change, with what is recorded as taught kept.
     *
     * @throws Refused when it cannot be made
     */
    static Outcome make(Change change, Decisions before) {
        Outcome outcome = Say.about(before.term(), () -> change.apply(before));
        return outcome.with(KeepTaught.from(before, outcome.decisions()));
    }

    /** What a change is, in one sentence, with the year of a day in none of the term's years. */
    static String said(Change change, Decisions before) {
        return Say.about(before.term(), () -> change.sentence(before));
    }

    /**
     * What a change comes to.
     *
     * @param notes what did not go quite as asked, a sentence each
     */
    record Outcome(Decisions decisions, List<String> notes) {

        public static Outcome of(Decisions decisions) {
            return new Outcome(decisions, List.of());
        }

        public Outcome with(Decisions others) {
            return new Outcome(others, notes);
        }
    }
}
