package app.matsuri.core.proposal;

import app.matsuri.core.change.Change;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.Schedule;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a change would do, before it is made.
 *
 * @param does what the change is, without a full stop
 * @param sentence what it is and what it moves, in one sentence
 * @param moves every lesson and date that moves
 * @param appear findings that appear
 * @param goAway findings that go away
 * @param notes what did not go quite as asked
 * @param quiet only what the hand moved moves, and no problem appears: it may be done at once
 */
public record Proposal(
        String does,
        String sentence,
        List<Moved> moves,
        List<Finding> appear,
        List<Finding> goAway,
        List<String> notes,
        boolean quiet,
        Decisions before,
        Decisions after,
        Schedule schedule) {

    /**
     * The proposal of a change.
     *
     * @throws app.matsuri.core.change.Refused when it cannot be made
     */
    public static Proposal of(Decisions before, Change change) {
        String does = change.sentence(before);
        Change.Outcome outcome = Change.make(change, before);
        Schedule old = Schedule.of(before);
        Schedule now = Schedule.of(outcome.decisions());
        List<Moved> moves = new Comparison(change.hands(before)).moves(old, now);
        List<Finding> had = Findings.of(old);
        List<Finding> has = Findings.of(now);
        List<Finding> appear = missing(has, had);
        List<Finding> goAway = missing(had, has);
        boolean quiet = outcome.notes().isEmpty()
                && moves.stream().allMatch(Moved::hand)
                && appear.stream().noneMatch(f -> f.severity() == Finding.Severity.PROBLEM);
        String sentence = does + ": " + Summary.of(moves, appear, goAway) + ".";
        return new Proposal(
                does, sentence, moves, appear, goAway, outcome.notes(), quiet, before, outcome.decisions(), now);
    }

    private static List<Finding> missing(List<Finding> of, List<Finding> in) {
        Set<Finding.Same> known = in.stream().map(Finding::same).collect(Collectors.toSet());
        return of.stream().filter(f -> !known.contains(f.same())).toList();
    }
}
