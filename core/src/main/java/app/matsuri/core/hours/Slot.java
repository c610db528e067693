package app.matsuri.core.hours;

import java.time.LocalDate;
import java.time.LocalDateTime;

/**
 * One slot of office hours; where they are open without booking, a whole window of a day.
 *
 * @param hours id of the office hours
 * @param name its first start, which it keeps for life
 * @param start as it now is
 * @param end as it now is, exclusive
 * @param place where, may be empty
 * @param link to the meeting, may be empty
 * @param blocked it is not given out
 * @param byHand it was moved or added
 */
public record Slot(
        String hours,
        LocalDateTime name,
        LocalDateTime start,
        LocalDateTime end,
        String place,
        String link,
        boolean blocked,
        boolean byHand) {

    public LocalDate date() {
        return start.toLocalDate();
    }
}
