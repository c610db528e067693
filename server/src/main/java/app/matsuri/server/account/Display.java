package app.matsuri.server.account;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * What a person has shown, and how.
 *
 * @param theme "light", "dark", or "system" to follow the machine
 * @param density "wide", or "close" for close-set walls and tables
 * @param landing what is shown after signing in: "wall" of the term that runs where it is the only one, "terms", "courses", "days" or "due"
 * @param hiddenKinds what walls leave out: "classes", "steps" of them, "opens", "due", "closes", "notices"; kinds of work, as
 *     "work:reading"; and by whom it is for: "for:all", "for:sections", "for:attendees", "for:extra-credit" and "for:me"
 * @param hiddenCourses sections of terms that run which are not shown, by their keys
 * @param shownCourses sections of terms that are over which are shown, likewise
 * @param mutedReminders before what the person has no reminder by mail: "opens", "due", "closes", "session" or "booking"
 */
public record Display(
        @NotNull @Pattern(regexp = "system|light|dark", message = "A theme is system, light or dark.")
        String theme,

        @NotNull @Pattern(regexp = "wide|close", message = "A density is wide or close.")
        String density,

        @NotNull
        @Pattern(
                regexp = "terms|wall|courses|days|due",
                message = "After signing in come terms, wall, courses, days or due.")
        String landing,

        @NotNull @Size(max = 100, message = "At most 100 kinds.")
        List<@NotNull @Size(max = 60) String> hiddenKinds,

        @NotNull @Size(max = 500, message = "At most 500 courses.")
        List<@NotNull @Size(max = 2100) String> hiddenCourses,

        @NotNull @Size(max = 500, message = "At most 500 courses.")
        List<@NotNull @Size(max = 2100) String> shownCourses,

        @NotNull @Size(max = 10)
        List<@NotNull @Pattern(regexp = "opens|due|closes|session|booking") String> mutedReminders) {

    /** For who has chosen nothing. */
    public static final Display USUAL =
            new Display("system", "wide", "wall", List.of(), List.of(), List.of(), List.of());
}
