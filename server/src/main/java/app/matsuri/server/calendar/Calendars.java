package app.matsuri.server.calendar;

import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.server.Today;
import app.matsuri.server.history.History;
import app.matsuri.server.storage.Stored;
import org.springframework.stereotype.Component;

/** Makes the set-up view of a stored term. */
@Component
public class Calendars {

    private final History history;
    private final Today today;

    Calendars(History history, Today today) {
        this.history = history;
        this.today = today;
    }

    /** The term as it stands. */
    public CalendarView stands(Stored stored) {
        return new CalendarBuilder(
                        stored.decisions(),
                        stored.decisions(),
                        Schedule.of(stored.decisions()),
                        today.in(stored.decisions().term().zone()))
                .view(stored.termId(), stored.version(), history.ends(stored));
    }

    /** The term as a proposal would make it. */
    public CalendarView proposed(Stored stored, Proposal proposal) {
        return new CalendarBuilder(
                        proposal.after(),
                        proposal.before(),
                        proposal.schedule(),
                        today.in(proposal.after().term().zone()))
                .view(stored.termId(), stored.version(), history.ends(stored));
    }
}
