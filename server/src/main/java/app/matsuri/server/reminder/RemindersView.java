package app.matsuri.server.reminder;

import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Of what a course reminds, what will go out, and what went.
 *
 * @param reminders as the plan file has them
 * @param coming in order of time
 * @param more how many come after those
 * @param gone the last first
 * @param now up to when reminders went out, in the term's zone
 * @param simulated mail only stays in the outbox
 * @param still time stands still until somebody lets it run
 * @param instructors how many who teach have an address
 */
public record RemindersView(
        List<Object> reminders,
        List<Coming> coming,
        int more,
        List<WentOut> gone,
        LocalDateTime now,
        boolean simulated,
        boolean still,
        int instructors) {

    /**
     * What will go out.
     *
     * @param name by which it is stopped
     * @param item id of the course's own work, which may have a reminder of its own or none; null for anything else
     * @param before "opens", "due", "closes" or "session"
     * @param date what it comes before
     * @param readers how many get it
     * @param withoutAddress how many more would, but have no address or want none
     * @param mail whether it goes by mail; else in feeds alone
     */
    public record Coming(
            String name,
            LocalDateTime at,
            String section,
            String title,
            @Nullable String item,
            String before,
            LocalDateTime date,
            int readers,
            int withoutAddress,
            boolean mail,
            boolean stopped) {}

    /**
     * What went out, or did not.
     *
     * @param letter id of one of its letters, to look at
     */
    public record WentOut(
            LocalDateTime at, String title, long letter, int sent, int waiting, int failed, int missed, int unsure) {}
}
