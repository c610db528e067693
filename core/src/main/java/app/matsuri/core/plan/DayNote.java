package app.matsuri.core.plan;

import java.time.LocalDate;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A few words on a day.
 *
 * @param section code of the section it is for; null for all of the course
 * @param own for oneself and whoever stands in, never for students
 */
public record DayNote(LocalDate date, @Nullable String section, String text, boolean own) {

    public DayNote {
        Objects.requireNonNull(date, "date");
        Objects.requireNonNull(text, "text");
    }

    /** Whether it stands in the same place: the same day, for the same section. */
    public boolean same(DayNote other) {
        return date.equals(other.date) && Objects.equals(section, other.section);
    }

    /** Whether it is for the section. */
    public boolean concerns(String code) {
        return section == null || section.equals(code);
    }
}
