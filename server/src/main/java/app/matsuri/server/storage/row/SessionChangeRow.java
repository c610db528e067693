package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** A change to one class of a section. */
@Entity
@Table(name = "session_change")
@IdClass(SessionChangeRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class SessionChangeRow implements Row {

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

    public String kind;
    public LocalDateTime session;
    public LocalDateTime movedTo;
    public @Nullable Integer minutes;
    public String place;
    public String extra;

    @Override
    public Object key() {
        return new Key(termId, course, section, position);
    }
}
