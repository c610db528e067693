package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDate;

/** A few words on a day; section empty for all of the course. */
@Entity
@Table(name = "day_note")
@IdClass(DayNoteRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class DayNoteRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String section, LocalDate onDate) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String section;

    @Id
    public LocalDate onDate;

    public int position;
    public String text;
    public boolean own;

    @Override
    public Object key() {
        return new Key(termId, course, section, onDate);
    }

    @Override
    public boolean ofOneself() {
        return own;
    }
}
