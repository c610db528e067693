package app.matsuri.server.dates;

import app.matsuri.server.change.ViewPart;
import app.matsuri.server.clock.Today;
import app.matsuri.server.history.History;
import app.matsuri.server.storage.Stored;
import java.time.LocalDate;
import org.springframework.stereotype.Component;

/** Makes the table of dates of a stored term. */
@Component
public class DatesTables implements ViewPart<DatesView> {

    private final History history;
    private final Today today;

    DatesTables(History history, Today today) {
        this.history = history;
        this.today = today;
    }

    /** The dates as they stand. */
    public DatesView stands(Stored stored) {
        return part(Asked.of(stored));
    }

    @Override
    public String view() {
        return "dates";
    }

    @Override
    public String field() {
        return "dates";
    }

    @Override
    public Class<DatesView> type() {
        return DatesView.class;
    }

    @Override
    public DatesView part(Asked asked) {
        Stored stored = asked.stored();
        return new DatesBuilder(asked.decisions(), asked.schedule(), day(stored))
                .view(stored.termId(), stored.version(), day(stored).atStartOfDay(), history.ends(stored));
    }

    private LocalDate day(Stored stored) {
        return today.in(stored.decisions().term().zone());
    }
}
