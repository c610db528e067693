package app.matsuri.core.shown;

import java.time.LocalDate;
import java.util.List;

/**
 * A day as it was told.
 *
 * @param off why there is no class, of a public holiday or a break; empty for no such day
 * @param words a few words on the day
 * @param due what is due on it, or closes where it is never due, in order of time
 * @param opens what opens on it and is not due on it
 * @param closes what closes on it and was due before
 */
public record ShownDay(
        LocalDate date,
        String off,
        List<String> words,
        List<ShownSession> sessions,
        List<ShownThing> due,
        List<ShownThing> opens,
        List<ShownThing> closes,
        List<ShownNotice> notices) {

    public ShownDay {
        words = List.copyOf(words);
        sessions = List.copyOf(sessions);
        due = List.copyOf(due);
        opens = List.copyOf(opens);
        closes = List.copyOf(closes);
        notices = List.copyOf(notices);
    }

    /** Whether nothing is said of it. */
    public boolean blank() {
        return off.isEmpty()
                && words.isEmpty()
                && sessions.isEmpty()
                && due.isEmpty()
                && opens.isEmpty()
                && closes.isEmpty()
                && notices.isEmpty();
    }
}
