package app.matsuri.core.change;

import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Several changes as one step: all are made, or none is.
 *
 * @param does what they do together, without a full stop; empty for the sentences of all
 * @param changes one or more, in order
 */
public record Together(String does, List<Change> changes) implements Change {

    public Together {
        changes = List.copyOf(changes);
        if (changes.isEmpty()) {
            throw new IllegalArgumentException("nothing to do together");
        }
    }

    /** Several as one, with the sentences of all; one alone is itself. */
    public static Change of(List<Change> changes) {
        return changes.size() == 1 ? changes.get(0) : new Together("", changes);
    }

    @Override
    public Together at(LocalDateTime moment) {
        return new Together(does, changes.stream().map(c -> c.at(moment)).toList());
    }

    @Override
    public Outcome apply(Decisions before) {
        Decisions now = before;
        List<String> notes = new ArrayList<>();
        for (Change change : changes) {
            Outcome outcome = Change.make(change, now);
            now = outcome.decisions();
            notes.addAll(outcome.notes());
        }
        return new Outcome(now, notes);
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return changes.stream()
                .map(change -> change.takesHold(in))
                .flatMap(Optional::stream)
                .min(LocalDateTime::compareTo);
    }

    @Override
    public String sentence(Decisions before) {
        if (!does.isEmpty()) {
            return does;
        }
        List<String> all = new ArrayList<>();
        Decisions now = before;
        for (Change change : changes) {
            all.add(change.sentence(now));
            now = Change.make(change, now).decisions();
        }
        return String.join("; ", all);
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        Set<Hand> hands = new LinkedHashSet<>();
        Decisions now = before;
        for (Change change : changes) {
            hands.addAll(change.hands(now));
            now = Change.make(change, now).decisions();
        }
        return hands;
    }
}
