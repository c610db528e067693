package app.matsuri.server.hours;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Decisions;
import app.matsuri.server.change.Remarks;
import app.matsuri.server.change.ViewPart;
import app.matsuri.server.clock.Today;
import app.matsuri.server.history.History;
import app.matsuri.server.storage.Stored;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Makes the view of office hours, and says what a change does to bookings before it is made. */
@Component
class Hours implements ViewPart<HoursView>, Remarks {

    /** The most bookings that a remark names. */
    private static final int NAMED = 5;

    private final Bookings bookings;
    private final History history;
    private final Today today;

    Hours(Bookings bookings, History history, Today today) {
        this.bookings = bookings;
        this.history = history;
        this.today = today;
    }

    HoursView stands(Stored stored) {
        return part(Asked.of(stored));
    }

    @Override
    public String view() {
        return "hours";
    }

    @Override
    public String field() {
        return "hours";
    }

    @Override
    public Class<HoursView> type() {
        return HoursView.class;
    }

    @Override
    public HoursView part(Asked asked) {
        Stored stored = asked.stored();
        HoursView view = new HoursBuilder(
                        asked.decisions(),
                        bookings.of(stored.termId()),
                        today.in(stored.decisions().term().zone()))
                .view(stored.termId(), stored.version(), asked.schedule(), history.ends(stored));
        return stored.shortened() ? view.forReaders() : view;
    }

    @Override
    public List<String> of(Stored stored, Decisions after) {
        return Say.about(after.term(), () -> said(stored, after));
    }

    private List<String> said(Stored stored, Decisions after) {
        List<Bookings.Followed> all = bookings.followed(stored, after);
        return List.of(
                        remark(all.stream().filter(f -> f.slot() == null).toList(), "withdrawn, and told"),
                        remark(all.stream().filter(f -> f.slot() != null).toList(), "moved, and told"))
                .stream()
                .filter(r -> !r.isEmpty())
                .toList();
    }

    private static String remark(List<Bookings.Followed> some, String what) {
        if (some.isEmpty()) {
            return "";
        }
        String names = some.stream()
                .limit(NAMED)
                .map(f -> f.booking().personName + ", " + Say.moment(f.booking().starts))
                .collect(Collectors.joining("; "));
        return Say.count(some.size(), "booking") + " of office hours would be " + what + ": " + names
                + (some.size() > NAMED ? " and " + (some.size() - NAMED) + " more" : "") + ".";
    }
}
