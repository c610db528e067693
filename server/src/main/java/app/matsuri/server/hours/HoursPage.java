package app.matsuri.server.hours;

import java.util.List;

/**
 * The page on which office hours are booked, in words.
 *
 * @param home the page of the link
 * @param post where bookings go; empty where nothing can be booked, as in a preview
 * @param said what came of the last press; empty for nothing
 * @param good whether that was what the reader wanted
 * @param named whether the reader is known; else name and address are asked for
 * @param name as typed before; likewise the address and what about
 */
public record HoursPage(
        String language,
        String title,
        String home,
        String post,
        String said,
        boolean good,
        boolean named,
        String name,
        String mail,
        String about,
        List<Mine> mine,
        List<Hours> hours,
        String zone) {

    /** Whether any of them are booked. */
    public boolean books() {
        return hours.stream().anyMatch(h -> h.booked() && !h.days().isEmpty());
    }

    /** The most people that a booking here may be for. */
    public int people() {
        return hours.stream().mapToInt(Hours::groupTo).max().orElse(1);
    }

    /**
     * A booking of the reader.
     *
     * @param gives whether it may still be given back
     */
    public record Mine(String title, String when, String where, String link, String uid, boolean gives) {}

    /**
     * Office hours that the reader may come to.
     *
     * @param key names them with their term
     * @param words how they are: "15 minutes each", "without booking"
     * @param groupFrom with groupTo how many may come; equal where there is nothing to choose
     */
    public record Hours(
            String key,
            String title,
            String words,
            String howToCome,
            boolean booked,
            int groupFrom,
            int groupTo,
            List<Day> days) {}

    /** A day of them; with when and where the hours of that day are. */
    public record Day(String words, boolean today, String span, String where, String link, List<Time> times) {}

    /**
     * A slot.
     *
     * @param slot its name
     * @param state "free", "taken", "mine", or why it cannot be booked
     * @param note more on it, such as that it is during a class; may be empty
     */
    public record Time(String slot, String time, String state, String words, String note) {

        public boolean free() {
            return state.equals("free");
        }
    }
}
