package app.matsuri.server.calendar;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.time.Instant;

/** A file that was read into a term, as it was given. */
@Entity
@IdClass(SourceFile.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
class SourceFile {

    /** What names it. */
    record Key(long termId, String name) {}

    @Id
    public long termId;

    @Id
    public String name;

    @Column(columnDefinition = "binary large object")
    public byte[] content;

    public Instant readAt;
}
