package app.matsuri.server.reminder;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;

/** A reminder that somebody stopped before it went out. */
@Entity
@IdClass(StoppedReminding.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
class StoppedReminding {

    /** What names the row. */
    record Key(long termId, String name) {}

    @Id
    public long termId;

    @Id
    public String name;
}
