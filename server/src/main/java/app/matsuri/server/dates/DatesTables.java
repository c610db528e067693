package app.matsuri.server.dates;

import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.server.Today;
import app.matsuri.server.history.History;
import app.matsuri.server.storage.Stored;
import java.time.LocalDate;
import org.springframework.stereotype.Component;

/** Makes the table of dates of a stored term. */
@Component
public class DatesTables {

    private final History history;
    private final Today today;

    DatesTables(History history, Today today) {
        this.history = history;
        this.today = today;
    }

    /** The dates as they stand. */
    public DatesView stands(Stored stored) {
        return view(stored, new DatesBuilder(stored.decisions(), Schedule.of(stored.decisions()), day(stored)));
    }

    /** The dates as a proposal would make them. */
    public DatesView proposed(Stored stored, Proposal proposal) {
        return view(stored, new DatesBuilder(proposal.after(), proposal.schedule(), day(stored)));
    }

    private LocalDate day(Stored stored) {
        return today.in(stored.decisions().term().zone());
    }

    private DatesView view(Stored stored, DatesBuilder builder) {
        return builder.view(stored.termId(), stored.version(), day(stored).atStartOfDay(), history.ends(stored));
    }
}
