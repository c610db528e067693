package app.matsuri.server.account;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/**
 * How a person reads times and weeks, and what they are shown and told.
 *
 * @param twelveHours "5:00 pm" in place of "17:00"
 * @param weekStart the weekday that begins a week, MO or SU
 * @param mail where reminders for who teaches go; null or empty for nowhere
 * @param classReminder minutes before the next class at which the person is told of it; null for not
 * @param display what is shown and how; null in a request to leave it as it is
 */
public record Preferences(
        boolean twelveHours,

        @NotNull @Pattern(regexp = "MO|SU", message = "A week begins on MO or SU.")
        String weekStart,

        @Nullable
        @Size(max = 200, message = "At most 200 characters.")
        @Email(message = "That is no mail address: it has the form name@place.")
        String mail,

        @Nullable
        @Min(value = 1, message = "Give 1 to 1440 minutes.")
        @Max(value = 1440, message = "Give 1 to 1440 minutes.")
        Integer classReminder,

        @Nullable @Valid Display display) {

    /** The cookie that says which clock, so that every page and file is written for it. */
    public static final String CLOCK = "matsuri-clock";
}
