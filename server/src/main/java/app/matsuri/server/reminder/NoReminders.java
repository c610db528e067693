package app.matsuri.server.reminder;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;

/** Somebody wants no reminders from a workspace. */
@Entity
@IdClass(NoReminders.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
class NoReminders {

    /** What names the row. */
    record Key(long workspaceId, String mail) {}

    @Id
    public long workspaceId;

    /** In lower case. */
    @Id
    public String mail;
}
