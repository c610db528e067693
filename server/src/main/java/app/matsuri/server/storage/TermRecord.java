package app.matsuri.server.storage;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A term of a workspace and the version of its decisions. */
@Entity
@Table(name = "term")
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public class TermRecord {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    public Long id;

    public long workspaceId;
    public long version;
    public Instant createdAt;
    public boolean archived;

    /** When it was deleted; null where it was not. */
    public @Nullable Instant deletedAt;
}
