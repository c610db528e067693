package app.matsuri.core.session;

import app.matsuri.core.session.Session.Origin;
import java.time.LocalDateTime;

/** A class while the sessions of a section are worked out: where its pattern put it, and what became of it so far. */
final class Draft {
    final LocalDateTime name;
    LocalDateTime start;
    LocalDateTime end;
    int minutes;
    final String place;
    final String link;
    Origin origin;
    boolean cancelled;

    Draft(LocalDateTime start, int minutes, String place, String link, Origin origin) {
        this.name = start;
        this.start = start;
        this.end = start.plusMinutes(minutes);
        this.minutes = minutes;
        this.place = place;
        this.link = link;
        this.origin = origin;
    }
}
