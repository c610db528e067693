package app.matsuri.core.plan;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A headline for a week, and what is to be reached in it.
 *
 * @param first the first day of the calendar week, which begins on the term's first day of the week
 * @param section code of the section it is for; null for all of the course
 * @param headline may be empty
 * @param targets what is to be reached, a line each
 */
public record WeekNote(LocalDate first, @Nullable String section, String headline, List<String> targets) {

    public WeekNote {
        Objects.requireNonNull(first, "first");
        Objects.requireNonNull(headline, "headline");
        targets = List.copyOf(targets);
    }

    /** Whether it stands in the same place: the same week, for the same section. */
    public boolean same(WeekNote other) {
        return first.equals(other.first) && Objects.equals(section, other.section);
    }

    /** The words on a week for a section: its own, else those of the course; null for none. */
    public static @Nullable WeekNote of(List<WeekNote> notes, LocalDate first, String code) {
        return notes.stream()
                .filter(note -> note.first().equals(first) && note.concerns(code))
                .max(Comparator.comparing(note -> note.section() != null))
                .orElse(null);
    }

    /** Whether it is for the section. */
    public boolean concerns(String code) {
        return section == null || section.equals(code);
    }
}
