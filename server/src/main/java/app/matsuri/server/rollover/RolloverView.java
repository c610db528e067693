package app.matsuri.server.rollover;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a rollover would come to, before anything is written.
 *
 * @param version of the new term on which it was looked at; 0 for one that is not made yet
 * @param refused why it cannot be done as asked; null where it can
 * @param there whether that is because it was done before
 * @param days from the first day of the old term to that of the new one
 * @param ways every way with what it would mess up
 * @param by the way of the rows
 * @param rows every dated thing
 * @param off the new term's days off
 * @param notes what did not come along as it was
 * @param spare by section, sessions behind the last lesson or held for a reserve
 */
public record RolloverView(
        String from,
        String to,
        LocalDate first,
        LocalDate last,
        long version,
        @Nullable String refused,
        boolean there,
        int days,
        List<RollWay> ways,
        String by,
        List<RolledRow> rows,
        List<RollOff> off,
        List<String> notes,
        List<RollSpare> spare) {

    /** A day off of the new term, or a run of them. */
    public record RollOff(LocalDate first, LocalDate last, String reason) {}

    /**
     * A way.
     *
     * @param by "class", "week", "teaching-week", "days=141" or "rule"
     * @param messes what it would mess up, in words
     * @param hands things that wait for a hand or have no place, each once
     * @param dates all dates, of every section
     * @param placed those that have their place
     * @param waiting those that wait for a hand
     * @param lost those that have no place; with the two before they are all
     */
    public record RollWay(
            String by,
            String messes,
            long weekdays,
            long landed,
            long noSession,
            long hands,
            long dates,
            long placed,
            long waiting,
            long lost) {}

    /**
     * A dated thing of a section, in the old term and in the new one.
     *
     * @param unit title of its unit; null for none
     * @param number of the unit in its course, from 0, which gives its pattern
     * @param weekday how its weekday changes, in words; null where it stays
     * @param landed it fell on a day off and went on
     * @param state "kept", "carried", "hand" or "lost"
     * @param hand why it waits for a hand or has no place; null where it has one
     */
    public record RolledRow(
            String course,
            String section,
            String what,
            @Nullable String unit,
            @Nullable String unitCode,
            int number,
            @Nullable String colour,
            String id,
            String title,
            @Nullable LocalDateTime old,
            @Nullable LocalDateTime now,
            String why,
            @Nullable String weekday,
            boolean landed,
            String state,
            @Nullable String hand,
            @Nullable LocalDateTime suggested) {}

    /** What a section has to spare. */
    public record RollSpare(String course, String section, int sessions, int free, int reserve) {}
}
