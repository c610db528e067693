package app.matsuri.server.colleague;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

/** A mail as it would have been sent: a stand-in for a mail service, kept where it can be read. */
@Entity
@SuppressWarnings("NullAway.Init") // Hibernate fills it
class OutboxMail {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    public Long id;

    public long workspaceId;
    public String recipient;
    public String subject;
    public String body;
    public Instant sentAt;
}
