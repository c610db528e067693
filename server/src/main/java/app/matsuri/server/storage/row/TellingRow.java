package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** One time that the students of a section were told dates; those that moved as JSON. */
@Entity
@Table(name = "telling")
@IdClass(TellingRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class TellingRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String section, int position) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String section;

    @Id
    public int position;

    public @Nullable LocalDateTime toldAt;
    public String why;
    public @Nullable String moves;

    @Override
    public Object key() {
        return new Key(termId, course, section, position);
    }
}
