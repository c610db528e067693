package app.matsuri.server.hours;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Office hours of a term, week by week, with who comes.
 *
 * @param courses codes of the courses of the term
 * @param today what is now
 * @param weekdays those on which something is, as MO
 * @param bookings from today on, and those that were withdrawn, in time order
 * @param students whom one can book for
 * @param findings how many there are
 */
public record HoursView(
        long termId,
        String name,
        long version,
        LocalDate today,
        List<String> courses,
        List<HoursLine> hours,
        List<String> weekdays,
        List<HoursWeek> weeks,
        List<BookingLine> bookings,
        List<HoursStudent> students,
        int findings,
        @Nullable String undo,
        @Nullable String redo) {

    /**
     * Office hours.
     *
     * @param said when, a line for each window
     * @param how how they are booked, in words
     * @param line all of it as it could be typed
     * @param booked whether their slots are booked
     * @param groupFrom with groupTo how many one booking may be for
     * @param slots places in the next seven days, of which {@code taken} are taken
     * @param officeHours as the plan has them, see docs/plan-file.md
     */
    public record HoursLine(
            String id,
            String title,
            List<String> courses,
            List<String> said,
            String how,
            String line,
            boolean booked,
            int groupFrom,
            int groupTo,
            int slots,
            int taken,

            @Schema(type = "object", description = "See docs/plan-file.md")
            Map<String, Object> officeHours) {}

    /** A week: its number, its first day, its days on which something is or is off. */
    public record HoursWeek(int number, LocalDate first, List<HoursDay> days) {}

    /**
     * A day.
     *
     * @param off why it is off; empty where it is not
     */
    public record HoursDay(LocalDate date, String off, List<HoursBlock> blocks) {}

    /**
     * Slots of one after the other.
     *
     * @param id of the office hours
     * @param free places that are left, of {@code places}
     */
    public record HoursBlock(
            String id,
            String title,
            LocalDateTime start,
            LocalDateTime end,
            String place,
            String link,
            int free,
            int places,
            boolean withdrawn,
            List<HoursSlot> slots) {}

    /**
     * A slot.
     *
     * @param name its first start, which names it
     * @param state "free", "booked", "blocked", "withdrawn" or "open"
     * @param taken places that are taken, of {@code places}
     * @param who initials of who comes, or came
     * @param byHand it was moved or added
     */
    public record HoursSlot(
            LocalDateTime name,
            LocalDateTime start,
            LocalDateTime end,
            String state,
            int taken,
            int places,
            List<String> who,
            boolean byHand) {}

    /**
     * A booking.
     *
     * @param state "held", "given-back", "withdrawn" or "asked"
     */
    public record BookingLine(
            String uid,
            String hours,
            String title,
            LocalDateTime slot,
            LocalDateTime start,
            LocalDateTime end,
            String place,
            String name,
            String mail,
            boolean onRoster,
            int people,
            String about,
            String state,
            String why) {}

    /** The same for who may only look: without addresses and what people wrote. */
    HoursView forReaders() {
        List<BookingLine> shortened = bookings.stream()
                .map(b -> new BookingLine(
                        b.uid,
                        b.hours,
                        b.title,
                        b.slot,
                        b.start,
                        b.end,
                        b.place,
                        b.name,
                        "",
                        b.onRoster,
                        b.people,
                        "",
                        b.state,
                        b.why))
                .toList();
        return new HoursView(
                termId, name, version, today, courses, hours, weekdays, weeks, shortened, students, findings, undo,
                redo);
    }

    /** Somebody on a roster. */
    public record HoursStudent(String course, String section, String id, String name) {}
}
