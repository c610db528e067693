package app.matsuri.server.account;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;

/**
 * How a person reads times and weeks.
 *
 * @param twelveHours "5:00 pm" in place of "17:00"
 * @param weekStart the weekday that begins a week, MO or SU
 */
public record Preferences(
        boolean twelveHours,

        @NotNull @Pattern(regexp = "MO|SU", message = "A week begins on MO or SU.")
        String weekStart) {

    /** The cookie that says which clock, so that every page and file is written for it. */
    public static final String CLOCK = "matsuri-clock";
}
