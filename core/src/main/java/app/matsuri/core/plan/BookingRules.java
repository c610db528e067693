package app.matsuri.core.plan;

import org.jspecify.annotations.Nullable;

/**
 * How slots of office hours are booked.
 *
 * @param minutes length of a slot, 5 or more
 * @param pause minutes between two slots, 0 or more
 * @param places in a slot, 1 or more
 * @param groupFrom the fewest people that one booking is for, 1 or more; each takes a place
 * @param groupTo the most
 * @param aWeek the most bookings that a person may hold in one week of the term; null for no limit
 * @param aTerm the most in the term; null for no limit
 * @param fromDays from so many days before a slot's day on it may be booked, 0 or more
 * @param untilHours until so many hours before its start, 0 or more
 * @param giveBackHours until so many hours before its start a booking may be given back, 0 or more
 * @param namesSeen whether others see who booked
 */
public record BookingRules(
        int minutes,
        int pause,
        int places,
        int groupFrom,
        int groupTo,
        @Nullable Integer aWeek,
        @Nullable Integer aTerm,
        int fromDays,
        int untilHours,
        int giveBackHours,
        boolean namesSeen) {

    /** The most places, and the largest group. */
    public static final int MOST_PLACES = 500;

    /** The longest that a slot may be booked before, in days. */
    public static final int MOST_DAYS = 366;

    public BookingRules {
        if (minutes < 5 || minutes > 24 * 60 || pause < 0 || pause > 24 * 60) {
            throw new IllegalArgumentException("A slot takes 5 minutes or more, within a day.");
        }
        if (places < 1 || places > MOST_PLACES) {
            throw new IllegalArgumentException("A slot has 1 to " + MOST_PLACES + " places.");
        }
        if (groupFrom < 1 || groupTo < groupFrom || groupTo > places) {
            throw new IllegalArgumentException("A group has at least one, and at most as many as a slot has places.");
        }
        if (aWeek != null && aWeek < 1 || aTerm != null && aTerm < 1) {
            throw new IllegalArgumentException("A limit of bookings is 1 or more.");
        }
        if (fromDays < 0
                || fromDays > MOST_DAYS
                || untilHours < 0
                || giveBackHours < 0
                || untilHours > MOST_DAYS * 24
                || giveBackHours > MOST_DAYS * 24) {
            throw new IllegalArgumentException("Slots are booked within a year before they are.");
        }
    }

    /** Slots for one person each, two weeks before until an hour before. */
    public static BookingRules of(int minutes) {
        return new BookingRules(minutes, 0, 1, 1, 1, null, null, 14, 1, 1, false);
    }
}
