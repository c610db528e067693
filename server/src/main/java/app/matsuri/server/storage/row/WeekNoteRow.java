package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** Headline and targets of a week; section empty for all of the course, targets as JSON. */
@Entity
@Table(name = "week_note")
@IdClass(WeekNoteRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class WeekNoteRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String section, LocalDate firstDay) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String section;

    @Id
    public LocalDate firstDay;

    public int position;
    public String headline;
    public @Nullable String targets;

    @Override
    public Object key() {
        return new Key(termId, course, section, firstDay);
    }
}
