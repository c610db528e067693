package app.matsuri.server.mail;

import app.matsuri.server.mail.Carrier.NotTaken;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes waiting letters to the mail server. Each is claimed first, so that of several servers on one database one sends it; a letter
 * whose server stopped between claim and answer is not sent again, and says so.
 */
@Component
class Postman {

    private static final Logger LOG = LoggerFactory.getLogger(Postman.class);

    /** How long after a try that failed the next one comes. */
    private static final List<Duration> AGAIN =
            List.of(Duration.ofMinutes(1), Duration.ofMinutes(5), Duration.ofMinutes(25));

    /** Whoever claimed a letter so long ago has stopped: a mail server answers within half a minute or not. */
    private static final Duration LOST = Duration.ofMinutes(10);

    private static final int AT_ONCE = 100;
    private static final int FAULT = 1000;

    private final EntityManager entities;
    private final TransactionTemplate step;
    private final Carrier carrier;
    private final Clock clock;

    Postman(EntityManager entities, TransactionTemplate step, Carrier carrier, Clock clock) {
        this.entities = entities;
        this.step = step;
        this.carrier = carrier;
        this.clock = clock;
    }

    /** Takes away all that waits now; how many were taken. */
    @Scheduled(fixedDelayString = "PT5S", initialDelayString = "PT10S")
    int round() {
        if (carrier.simulated()) {
            return 0;
        }
        lost();
        int taken = 0;
        List<Long> ids = waiting();
        while (!ids.isEmpty()) {
            for (Long id : ids) {
                if (claimed(id) && send(id)) {
                    taken++;
                }
            }
            ids = waiting();
        }
        return taken;
    }

    private void lost() {
        step.executeWithoutResult(s -> entities.createQuery(
                        "update Letter set state = UNSURE, changedAt = :now where state = SENDING and changedAt < :limit")
                .setParameter("now", now())
                .setParameter("limit", now().minus(LOST))
                .executeUpdate());
    }

    private List<Long> waiting() {
        return entities.createQuery(
                        "select id from Letter where state = WAITING and nextTry <= :now order by nextTry, id",
                        Long.class)
                .setParameter("now", now())
                .setMaxResults(AT_ONCE)
                .getResultList();
    }

    private boolean claimed(long id) {
        Integer claimed = step.execute(s -> entities.createQuery(
                        "update Letter set state = SENDING, tries = tries + 1, changedAt = :now where id = :i and state = WAITING")
                .setParameter("now", now())
                .setParameter("i", id)
                .executeUpdate());
        return claimed != null && claimed == 1;
    }

    /** Sends a letter that was claimed; whether it was taken. */
    private boolean send(long id) {
        Letter letter = step.execute(s -> entities.find(Letter.class, id));
        if (letter == null) {
            return false;
        }
        String fault = null;
        try {
            carrier.take(letter);
        } catch (NotTaken e) {
            LOG.warn("letter {} was not taken, try {}: {}", id, letter.tries, e.getMessage());
            fault = e.getMessage() == null ? "" : e.getMessage();
        }
        answered(id, letter.tries, fault);
        return fault == null;
    }

    private void answered(long id, int tries, @Nullable String fault) {
        boolean again = fault != null && tries <= AGAIN.size();
        Letter.State state = fault == null ? Letter.State.SENT : again ? Letter.State.WAITING : Letter.State.FAILED;
        step.executeWithoutResult(s -> {
            Letter now = entities.find(Letter.class, id);
            now.state = state;
            now.changedAt = now();
            now.nextTry = again ? now().plus(AGAIN.get(tries - 1)) : null;
            now.fault = fault == null ? "" : fault.substring(0, Math.min(FAULT, fault.length()));
        });
    }

    private Instant now() {
        return Instant.now(clock);
    }
}
