package app.matsuri.server.calendar;

import app.matsuri.server.change.ViewPart;
import app.matsuri.server.clock.Today;
import app.matsuri.server.history.History;
import app.matsuri.server.storage.Stored;
import org.springframework.stereotype.Component;

/** Makes the set-up view of a stored term. */
@Component
public class Calendars implements ViewPart<CalendarView> {

    private final History history;
    private final Today today;

    Calendars(History history, Today today) {
        this.history = history;
        this.today = today;
    }

    /** The term as it stands. */
    public CalendarView stands(Stored stored) {
        return part(Asked.of(stored));
    }

    @Override
    public String view() {
        return "term";
    }

    @Override
    public String field() {
        return "calendar";
    }

    @Override
    public Class<CalendarView> type() {
        return CalendarView.class;
    }

    @Override
    public CalendarView part(Asked asked) {
        Stored stored = asked.stored();
        return new CalendarBuilder(
                        asked.decisions(),
                        stored.decisions(),
                        asked.schedule(),
                        today.in(asked.decisions().term().zone()))
                .view(stored.termId(), stored.version(), history.ends(stored));
    }
}
