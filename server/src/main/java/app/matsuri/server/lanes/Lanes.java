package app.matsuri.server.lanes;

import app.matsuri.core.schedule.Schedule;
import app.matsuri.server.change.ViewPart;
import app.matsuri.server.clock.Today;
import app.matsuri.server.history.History;
import app.matsuri.server.storage.Stored;
import java.time.LocalDate;
import org.springframework.stereotype.Component;

/** Makes the lanes of a stored term. */
@Component
public class Lanes implements ViewPart<LanesView> {

    private final History history;
    private final Today today;

    Lanes(History history, Today today) {
        this.history = history;
        this.today = today;
    }

    /** The lanes as they stand. */
    public LanesView stands(Stored stored) {
        return part(Asked.of(stored));
    }

    @Override
    public String view() {
        return "lanes";
    }

    @Override
    public String field() {
        return "lanes";
    }

    @Override
    public Class<LanesView> type() {
        return LanesView.class;
    }

    @Override
    public LanesView part(Asked asked) {
        Stored stored = asked.stored();
        Schedule before =
                asked.proposal() == null ? null : asked.proposal().base().schedule();
        return new LanesBuilder(asked.decisions(), asked.schedule(), before, today(stored))
                .view(stored.termId(), stored.version(), history.ends(stored));
    }

    LocalDate today(Stored stored) {
        return today.in(stored.decisions().term().zone());
    }
}
