package app.matsuri.server.lanes;

import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.server.Today;
import app.matsuri.server.history.History;
import app.matsuri.server.storage.Stored;
import java.time.LocalDate;
import org.springframework.stereotype.Component;

/** Makes the lanes of a stored term. */
@Component
public class Lanes {

    private final History history;
    private final Today today;

    Lanes(History history, Today today) {
        this.history = history;
        this.today = today;
    }

    /** The lanes as they stand. */
    public LanesView stands(Stored stored) {
        Schedule schedule = Schedule.of(stored.decisions());
        return new LanesBuilder(stored.decisions(), schedule, null, today(stored))
                .view(stored.termId(), stored.version(), history.ends(stored));
    }

    /** The lanes as a proposal would make them. */
    public LanesView proposed(Stored stored, Proposal proposal) {
        return new LanesBuilder(proposal.after(), proposal.schedule(), Schedule.of(stored.decisions()), today(stored))
                .view(stored.termId(), stored.version(), history.ends(stored));
    }

    LocalDate today(Stored stored) {
        return today.in(stored.decisions().term().zone());
    }
}
