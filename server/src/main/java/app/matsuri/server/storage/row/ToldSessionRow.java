package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** A session as the students of a section were told it. */
@Entity
@Table(name = "told_session")
@IdClass(ToldSessionRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class ToldSessionRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String section, LocalDateTime name) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String section;

    @Id
    public LocalDateTime name;

    public LocalDateTime starts;
    public LocalDateTime ends;
    public String place;
    /** Lessons as JSON, each with its id and title; null for none. */
    public @Nullable String lessons;

    @Override
    public Object key() {
        return new Key(termId, course, section, name);
    }
}
