package app.matsuri.server.reminder;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;

/** Up to when the reminders of a workspace went out. */
@Entity
@SuppressWarnings("NullAway.Init") // Hibernate fills it
class RemindingRun {

    @Id
    public Long workspaceId;

    /** Inclusive. */
    public Instant upTo;
}
