package app.matsuri.server.term;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.time.Instant;

/** What a person typed and has not finished. */
@Entity
@IdClass(Draft.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public class Draft {

    /** What names the draft. */
    public record Key(long accountId, String name) {}

    @Id
    public long accountId;

    @Id
    public String name;

    @Column(columnDefinition = "clob")
    public String body;

    public Instant savedAt;
}
