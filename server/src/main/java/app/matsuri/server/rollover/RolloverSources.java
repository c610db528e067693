package app.matsuri.server.rollover;

import app.matsuri.core.plan.Decisions;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.storage.TermStore;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What was read from files to be rolled over, for a while, under names that nobody can guess. */
@Component
class RolloverSources {

    /** For how long. */
    private static final Duration KEPT = Duration.ofHours(2);

    /** How many of a workspace, the last ones. */
    private static final int MOST = 10;

    private final EntityManager entities;
    private final Clock clock;

    RolloverSources(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** One, as it is kept. */
    @Entity(name = "KeptSource")
    @Table(name = "rollover_source")
    @SuppressWarnings("NullAway.Init") // Hibernate fills it
    static class Kept {

        @Id
        String id;

        long workspaceId;
        String name;

        @Column(columnDefinition = "binary large object")
        byte[] decisions;

        Instant readAt;
    }

    /** What a file came to. */
    record Source(String name, Decisions decisions) {}

    /** Keeps one; the name under which it is found. */
    @Transactional
    String keep(SignedIn by, String name, Decisions decisions) {
        Instant now = Instant.now(clock);
        entities.createQuery("delete from KeptSource where readAt < :limit")
                .setParameter("limit", now.minus(KEPT))
                .executeUpdate();
        List<Kept> before = entities.createQuery(
                        "from KeptSource where workspaceId = :w order by readAt desc", Kept.class)
                .setParameter("w", by.workspaceId())
                .getResultList();
        before.stream().skip(MOST - 1).forEach(entities::remove);
        Kept kept = new Kept();
        kept.id = UUID.randomUUID().toString();
        kept.workspaceId = by.workspaceId();
        kept.name = name;
        kept.decisions = TermStore.packed(decisions);
        kept.readAt = now;
        entities.persist(kept);
        return kept.id;
    }

    /** One of a person's workspace; empty where it is no longer there. */
    @Transactional(readOnly = true)
    Optional<Source> find(SignedIn by, String id) {
        return Optional.ofNullable(entities.find(Kept.class, id))
                .filter(kept -> kept.workspaceId == by.workspaceId())
                .filter(kept -> kept.readAt.isAfter(Instant.now(clock).minus(KEPT)))
                .map(kept -> new Source(kept.name, TermStore.unpacked(kept.decisions)));
    }
}
