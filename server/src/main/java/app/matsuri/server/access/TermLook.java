package app.matsuri.server.access;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;

/** That somebody looked at a term that is another's, on a day (UTC). */
@Entity
@Table(name = "term_look")
@IdClass(TermLook.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public class TermLook {

    /** What names the row. */
    public record Key(long termId, long accountId, LocalDate onDay) {}

    @Id
    public long termId;

    @Id
    public long accountId;

    @Id
    public LocalDate onDay;

    public Instant firstAt;
    public Instant lastAt;
    public int times;
}
