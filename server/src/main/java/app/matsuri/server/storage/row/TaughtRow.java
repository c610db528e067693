package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDateTime;

/** A lesson taught in a class. */
@Entity
@Table(name = "taught_lesson")
@IdClass(TaughtRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class TaughtRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String section, LocalDateTime session, int position) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String section;

    @Id
    public LocalDateTime session;

    @Id
    public int position;

    public String lesson;

    @Override
    public Object key() {
        return new Key(termId, course, section, session, position);
    }
}
