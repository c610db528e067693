package app.matsuri.core.repace;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.repace.Pacing.Kind;
import app.matsuri.core.repace.Pacing.Place;
import app.matsuri.core.repace.Stretch.Asked;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/** What a way does, said of each lesson. */
final class Edits {

    private Edits() {}

    /** What a pacing does other than placing each lesson as long as it asks, one behind the other. */
    static List<Way.Edit> of(Paced now, Pacing pacing) {
        List<Way.Edit> edits = new ArrayList<>();
        int last = -1;
        for (int i = 0; i < pacing.places().size(); i++) {
            Asked asked = now.stretch().lessons().get(i);
            Place place = pacing.places().get(i);
            String title = "“" + now.placements().get(i).lesson().title() + "”";
            String id = asked.id();
            if (place.kind() == Kind.LEFT_OUT && asked.begun()) {
                int had = now.in().section().length(now.placements().get(i).lesson()) - asked.length();
                edits.add(new Way.Edit("shorten", id, null, Math.max(0, had), "Count " + title + " as finished"));
            } else if (place.kind() == Kind.LEFT_OUT) {
                edits.add(
                        asked.reserve()
                                ? new Way.Edit("give-up-reserve", id, null, 0, "Give up the spare day " + title)
                                : new Way.Edit("leave-out", id, null, 0, "Leave out " + title));
            } else if (place.kind() == Kind.NO_ROOM) {
                edits.add(new Way.Edit("no-room", id, null, 0, title + " finds no class"));
            } else {
                for (int k = last + 1; k < place.first(); k++) {
                    LocalDateTime empty = start(now, k);
                    edits.add(new Way.Edit("leave-empty", null, empty, 0, "Leave " + Say.moment(empty) + " empty"));
                }
                last = Math.max(last, place.last());
                if (place.kind() == Kind.JOINED) {
                    edits.add(new Way.Edit(
                            "join", id, start(now, place.first()), 0, "Join " + title + " to the lesson before it"));
                }
                if (place.length() < asked.length()) {
                    edits.add(new Way.Edit(
                            "shorten",
                            id,
                            null,
                            place.length(),
                            "Shorten " + title + " to "
                                    + (place.length() == 1 ? "one class" : place.length() + " classes")));
                }
                if (asked.opensWeek()
                        && !now.stretch().slots().get(place.first()).weekStart()) {
                    edits.add(new Way.Edit(
                            "begin-mid-week",
                            id,
                            start(now, place.first()),
                            0,
                            "Begin the unit of " + title + " mid-week"));
                }
            }
        }
        return edits;
    }

    private static LocalDateTime start(Paced now, int slot) {
        return now.in().sessions().get(now.sessions().get(slot)).start();
    }
}
