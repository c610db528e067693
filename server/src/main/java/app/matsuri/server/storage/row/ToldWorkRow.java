package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** The dates of one piece of work that the students of a section were told. */
@Entity
@Table(name = "told_work")
@IdClass(ToldWorkRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class ToldWorkRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String section, String item) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String section;

    @Id
    public String item;

    public int position;
    public String title;
    public @Nullable LocalDateTime opens;
    public @Nullable LocalDateTime due;
    public @Nullable LocalDateTime closes;
    public @Nullable String entries;

    @Override
    public Object key() {
        return new Key(termId, course, section, item);
    }
}
