package app.matsuri.core.proposal;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.pace.HeldAsPlanned;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.Untold;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What a change would do, before it is made.
 *
 * @param does what the change is, without a full stop
 * @param sentence what it is and what it moves, in one sentence
 * @param moves every lesson and date that moves
 * @param appear findings that appear
 * @param goAway findings that go away
 * @param notes what did not go quite as asked
 * @param held what counts as held as planned and is recorded with it
 * @param altered dates, of sections whose students were told anything, that it makes other than told
 * @param quiet only what the hand moved moves, and no finding appears: it may be done at once
 * @param nothing everything is so already
 * @param base what the change is made on
 * @param after the decisions with it
 * @param schedule what follows from them
 */
public record Proposal(
        String does,
        String sentence,
        List<Moved> moves,
        List<Finding> appear,
        List<Finding> goAway,
        List<String> notes,
        HeldAsPlanned held,
        int altered,
        boolean quiet,
        boolean nothing,
        Before base,
        Decisions after,
        Schedule schedule) {

    /**
     * The proposal of a change that students do not see yet.
     *
     * @throws app.matsuri.core.change.Refused when it cannot be made
     */
    public static Proposal of(Decisions before, Change change) {
        return of(before, change, false);
    }

    /**
     * The proposal of a change.
     *
     * @param seen students are told what it alters
     * @throws app.matsuri.core.change.Refused when it cannot be made
     */
    public static Proposal of(Decisions before, Change change, boolean seen) {
        return of(Before.of(before, null), change, seen, true);
    }

    /**
     * Decisions with what follows from them, for when several changes of the same are looked at.
     *
     * @param today the day on which they are looked at; null where it is not known, so that nothing counts as held
     */
    public record Before(
            Decisions decisions,
            Schedule schedule,
            List<Finding> findings,
            @Nullable LocalDate today) {

        /** Works out what follows. */
        public static Before of(Decisions decisions, @Nullable LocalDate today) {
            Schedule schedule = Schedule.of(decisions);
            return new Before(decisions, schedule, Findings.of(schedule, today), today);
        }
    }

    /**
     * The proposal of a change of decisions whose consequences are known.
     *
     * @param seen students are told what it alters
     * @param held earlier classes without a record count as held as planned, where it is a repair
     * @throws app.matsuri.core.change.Refused when it cannot be made
     */
    public static Proposal of(Before base, Change change, boolean seen, boolean held) {
        return Say.about(base.decisions().term(), () -> said(base, change, seen, held));
    }

    private static Proposal said(Before base, Change change, boolean seen, boolean held) {
        Decisions before = base.decisions();
        String does = change.sentence(before);
        Schedule old = base.schedule();
        HeldAsPlanned past = held ? HeldAsPlanned.of(old, change, base.today()) : HeldAsPlanned.NOTHING;
        Change.Outcome outcome = Change.make(change, past.in(before));
        Schedule now = Schedule.of(outcome.decisions());
        List<Untold.Altered> altered = Untold.altered(old, now);
        if (seen && !altered.isEmpty()) {
            outcome = outcome.with(Untold.seen(altered, outcome.decisions(), null));
            now = Schedule.of(outcome.decisions());
        }
        List<Moved> moves = new Comparison(change.hands(before)).moves(old, now);
        List<Finding> had = base.findings();
        List<Finding> has = Findings.of(now, base.today());
        List<Finding> appear = missing(has, had);
        List<Finding> goAway = missing(had, has);
        boolean quiet = outcome.notes().isEmpty() && moves.stream().allMatch(Moved::hand) && appear.isEmpty();
        String sentence = does + ": " + Summary.of(moves, appear, goAway) + ".";
        return new Proposal(
                does,
                sentence,
                moves,
                appear,
                goAway,
                outcome.notes(),
                past,
                altered.stream().mapToInt(a -> a.dates().size()).sum(),
                quiet,
                outcome.decisions().equals(before),
                base,
                outcome.decisions(),
                now);
    }

    /** The decisions that the change is made on. */
    public Decisions before() {
        return base.decisions();
    }

    /** What it is as a step of the history: the change, and what counts as held as planned with it. */
    public String step() {
        return held.isEmpty() ? does : does + "; " + held.sentence();
    }

    /** Whether a lesson comes into another unit with it. */
    public boolean leavesUnit() {
        return before().courses().stream()
                .flatMap(course -> course.units().stream()
                        .flatMap(unit -> unit.lessons().stream()
                                .map(lesson -> after.course(course.code())
                                        .flatMap(c -> c.unitOfLesson(lesson.id()))
                                        .filter(u -> !u.id().equals(unit.id())))))
                .anyMatch(Optional::isPresent);
    }

    private static List<Finding> missing(List<Finding> of, List<Finding> in) {
        Set<Finding.Same> known = in.stream().map(Finding::same).collect(Collectors.toSet());
        return of.stream().filter(f -> !known.contains(f.same())).toList();
    }
}
