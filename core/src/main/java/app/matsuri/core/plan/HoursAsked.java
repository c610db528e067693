package app.matsuri.core.plan;

import org.jspecify.annotations.Nullable;

/**
 * What a course must give, as it was asked for.
 *
 * @param in the measure
 * @param amount how many of it, 1 to 100
 */
public record HoursAsked(In in, int amount) {

    /** A measure of a course. */
    public enum In {
        /**
         * Credit hours: each asks for 15 hours of 50 minutes in class and twice that outside (34 CFR 600.2 and common
         * practice).
         */
        CREDITS,
        /** ECTS credits: each asks for 25 to 30 hours of work in all, class included (ECTS Users' Guide 2015). */
        ECTS
    }

    /** Minutes of class that one credit hour asks for. */
    public static final int CLASS_MINUTES_PER_CREDIT = 15 * 50;

    private static final int LEAST_HOURS_PER_ECTS = 25;
    private static final int MOST_HOURS_PER_ECTS = 30;

    public HoursAsked {
        if (amount < 1 || amount > 100) {
            throw new IllegalArgumentException("a course has 1 to 100 credits, not " + amount);
        }
    }

    /** Minutes of class asked for; null where the measure only asks for work in all. */
    public @Nullable Integer classMinutes() {
        return in == In.CREDITS ? (Integer) (amount * CLASS_MINUTES_PER_CREDIT) : null;
    }

    /** The fewest minutes of class and work together; null where nothing is asked of them together. */
    public @Nullable Integer leastMinutes() {
        return in == In.ECTS ? (Integer) (amount * LEAST_HOURS_PER_ECTS * 60) : null;
    }

    /** The most minutes of class and work together; null likewise. */
    public @Nullable Integer mostMinutes() {
        return in == In.ECTS ? (Integer) (amount * MOST_HOURS_PER_ECTS * 60) : null;
    }
}
