package app.matsuri.server.storage.row;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** What a section decided about one class. */
@Entity
@Table(name = "section_session")
@IdClass(SectionSessionRow.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public final class SectionSessionRow implements Row {

    /** What names the row. */
    public record Key(long termId, String course, String section, LocalDateTime session) {}

    @Id
    public long termId;

    @Id
    public String course;

    @Id
    public String section;

    @Id
    public LocalDateTime session;

    public boolean heldEmpty;
    public boolean recorded;
    public @Nullable String links;
    public int position;

    @Override
    public Object key() {
        return new Key(termId, course, section, session);
    }
}
