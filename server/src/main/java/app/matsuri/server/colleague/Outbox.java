package app.matsuri.server.colleague;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The simulated outbox: nothing leaves the machine, everything can be read. */
@Component
public class Outbox {

    private final EntityManager entities;
    private final Clock clock;

    Outbox(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** A mail in the outbox. */
    public record Mail(long id, String recipient, String subject, String body, Instant sentAt) {}

    /** Puts a mail into the workspace's outbox. */
    @Transactional
    public void send(long workspaceId, String recipient, String subject, String body) {
        OutboxMail mail = new OutboxMail();
        mail.workspaceId = workspaceId;
        mail.recipient = recipient;
        mail.subject = subject;
        mail.body = body;
        mail.sentAt = Instant.now(clock);
        entities.persist(mail);
    }

    /** The workspace's mails, newest first, 200 at most. */
    @Transactional(readOnly = true)
    public List<Mail> of(long workspaceId) {
        return entities.createQuery("from OutboxMail where workspaceId = :w order by id desc", OutboxMail.class)
                .setParameter("w", workspaceId)
                .setMaxResults(200)
                .getResultStream()
                .map(m -> new Mail(m.id, m.recipient, m.subject, m.body, m.sentAt))
                .toList();
    }
}
