package app.matsuri.core.session;

import app.matsuri.core.session.Session.Origin;
import app.matsuri.core.session.Sessions.Note;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.Set;

/**
 * What each kind of change does to the classes as they are so far; answers the class that it is about.
 *
 * @param recorded names of classes with a record: they are not cancelled
 */
record ChangesMade(Drafts drafts, DaysOff daysOff, Set<LocalDateTime> recorded)
        implements SessionChange.Cases<Optional<Draft>> {

    @Override
    public Optional<Draft> cancel(SessionChange.Cancel cancel) {
        Optional<Draft> found = drafts.find(cancel.session());
        found.filter(draft -> !recorded.contains(draft.name)).ifPresent(draft -> draft.cancelled = true);
        return found;
    }

    @Override
    public Optional<Draft> move(SessionChange.Move move) {
        Optional<Draft> found = drafts.find(move.session());
        found.filter(draft -> !draft.cancelled).ifPresent(draft -> {
            draft.start = move.to();
            draft.minutes = move.minutes() == null ? draft.minutes : move.minutes();
            draft.end = draft.start.plusMinutes(draft.minutes);
            draft.origin = draft.origin == Origin.ADDED ? Origin.ADDED : Origin.MOVED;
            noteDayOff(draft);
        });
        return found;
    }

    @Override
    public Optional<Draft> add(SessionChange.Add add) {
        Draft draft = new Draft(add.at(), add.minutes(), add.place(), "", Origin.ADDED);
        drafts.addMore(draft);
        noteDayOff(draft);
        return Optional.of(draft);
    }

    private void noteDayOff(Draft draft) {
        daysOff.wholeDay(draft.start.toLocalDate())
                .ifPresent(closure ->
                        drafts.note(Note.Kind.ON_DAY_OFF, draft.name, "stands on a day off: " + closure.reason()));
    }
}
