package app.matsuri.server.mail;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Every letter that was written; those that wait go out by themselves. */
@Component
public class Letters {

    private static final int MOST = 200;

    private final EntityManager entities;
    private final Clock clock;
    private final Carrier carrier;
    private final MailSettings settings;
    private final Environment environment;

    Letters(EntityManager entities, Clock clock, Carrier carrier, MailSettings settings, Environment environment) {
        this.entities = entities;
        this.clock = clock;
        this.carrier = carrier;
        this.settings = settings;
        this.environment = environment;
    }

    /** Whether letters only stay where they can be read. */
    public boolean simulated() {
        return carrier.simulated();
    }

    /** Where Matsuri is to be reached, as letters say that nobody asked for. */
    public String address() {
        return settings.address() == null
                ? "http://localhost:"
                        + environment.getProperty("local.server.port", environment.getProperty("server.port", "8460"))
                : settings.address();
    }

    /** Whom letters are from. */
    public String from() {
        return settings.from();
    }

    /**
     * Writes a letter of plain words. Part of the caller's transaction: nothing goes out unless that is made.
     *
     * @param zone in which its moment is said
     */
    @Transactional
    public void write(long workspaceId, ZoneId zone, String recipient, String subject, String body) {
        Letter letter = new Letter();
        letter.workspaceId = workspaceId;
        letter.recipient = recipient;
        letter.subject = subject;
        letter.body = body;
        letter.moment = Instant.now(clock);
        letter.zone = zone.getId();
        write(letter);
    }

    /** Likewise, one that is made up already but for what becomes of it; one that was missed stays so. */
    @Transactional
    public Letter write(Letter letter) {
        letter.changedAt = Instant.now(clock);
        if (letter.state != Letter.State.MISSED) {
            letter.state = carrier.simulated() ? Letter.State.SENT : Letter.State.WAITING;
            letter.nextTry = carrier.simulated() ? null : letter.changedAt;
            letter.tries = carrier.simulated() ? 1 : 0;
        }
        entities.persist(letter);
        return letter;
    }

    /** The workspace's letters, newest first, 200 at most. */
    @Transactional(readOnly = true)
    public List<Letter> of(long workspaceId) {
        return entities.createQuery("from Letter where workspaceId = :w order by id desc", Letter.class)
                .setParameter("w", workspaceId)
                .setMaxResults(MOST)
                .getResultList();
    }

    /** One of them; empty for none. */
    @Transactional(readOnly = true)
    public Optional<Letter> of(long workspaceId, long id) {
        return Optional.ofNullable(entities.find(Letter.class, id)).filter(l -> l.workspaceId == workspaceId);
    }

    /** Has one that did not go out, or of which that is not known, go out once more. */
    @Transactional
    public Optional<Letter> again(long workspaceId, long id) {
        Optional<Letter> letter =
                of(workspaceId, id).filter(l -> l.state == Letter.State.FAILED || l.state == Letter.State.UNSURE);
        letter.ifPresent(l -> {
            l.state = carrier.simulated() ? Letter.State.SENT : Letter.State.WAITING;
            l.tries = 0;
            l.nextTry = carrier.simulated() ? null : Instant.now(clock);
            l.changedAt = Instant.now(clock);
            l.fault = "";
        });
        return letter;
    }

    /** A letter as it goes over the wire, by RFC 5322. */
    byte[] wire(Letter letter) {
        return carrier.wire(letter);
    }
}
