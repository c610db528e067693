package app.matsuri.server.access;

import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Who looked at terms of others, for their owners. Written a while after, many at once: looking waits for nothing. */
@Component
public class Looks {

    private static final Logger LOG = LoggerFactory.getLogger(Looks.class);

    /** For how long it is kept. */
    public static final Duration KEPT = Duration.ofDays(400);

    private final EntityManager entities;
    private final TransactionTemplate own;
    private final Clock clock;
    private final Map<TermLook.Key, Seen> waiting = new HashMap<>();

    private record Seen(Instant first, Instant last, int times) {

        Seen and(Seen later) {
            return new Seen(first, later.last, times + later.times);
        }
    }

    Looks(EntityManager entities, PlatformTransactionManager transactions, Clock clock) {
        this.entities = entities;
        this.own = new TransactionTemplate(transactions);
        own.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.clock = clock;
    }

    /** That somebody looked at a term of another's now. */
    void saw(long accountId, long termId) {
        Instant now = Instant.now(clock);
        TermLook.Key key = new TermLook.Key(termId, accountId, LocalDate.ofInstant(now, ZoneOffset.UTC));
        synchronized (waiting) {
            waiting.merge(key, new Seen(now, now, 1), Seen::and);
        }
    }

    /** Writes what was not written yet. */
    @Scheduled(fixedDelayString = "PT20S", initialDelayString = "PT20S")
    @PreDestroy
    void write() {
        Map<TermLook.Key, Seen> now;
        synchronized (waiting) {
            now = Map.copyOf(waiting);
            waiting.clear();
        }
        now.forEach((key, seen) -> {
            try {
                own.executeWithoutResult(s -> write(key, seen));
            } catch (RuntimeException e) {
                LOG.warn("who looked at term {} is written later: {}", key.termId(), e.getMessage());
                synchronized (waiting) {
                    waiting.merge(key, seen, (later, earlier) -> earlier.and(later));
                }
            }
        });
    }

    private void write(TermLook.Key key, Seen seen) {
        TermLook look = entities.find(TermLook.class, key);
        if (look == null) {
            look = new TermLook();
            look.termId = key.termId();
            look.accountId = key.accountId();
            look.onDay = key.onDay();
            look.firstAt = seen.first();
            look.lastAt = seen.last();
            look.times = seen.times();
            entities.persist(look);
        } else {
            look.lastAt = seen.last();
            look.times += seen.times();
        }
    }

    /**
     * Who looked, within a day (UTC).
     *
     * @param first in the zone of the term
     * @param last likewise
     * @param times how many requests that were
     */
    public record Look(String name, LocalDateTime first, LocalDateTime last, int times) {}

    /**
     * Those of a term, the last first. Callers have made sure that it is the asker's own.
     *
     * @param zone the term's
     */
    public List<Look> of(long termId, ZoneId zone, int most) {
        write();
        return entities
                .createQuery(
                        "select a.displayName, l from TermLook l, Account a where l.termId = :t and a.id = l.accountId"
                                + " order by l.lastAt desc",
                        Object[].class)
                .setParameter("t", termId)
                .setMaxResults(most)
                .getResultList()
                .stream()
                .map(row -> {
                    TermLook l = (TermLook) row[1];
                    return new Look(
                            (String) row[0],
                            LocalDateTime.ofInstant(l.firstAt, zone),
                            LocalDateTime.ofInstant(l.lastAt, zone),
                            l.times);
                })
                .toList();
    }

    /** Takes out what was kept long enough. */
    @Scheduled(cron = "0 17 4 * * *")
    void forget() {
        own.executeWithoutResult(s -> entities.createQuery("delete from TermLook where lastAt < :limit")
                .setParameter("limit", Instant.now(clock).minus(KEPT))
                .executeUpdate());
    }
}
