package app.matsuri.server.storage;

import app.matsuri.core.plan.Decisions;
import app.matsuri.server.storage.row.Row;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** The one way to read and write decisions. Every question names the workspace that asks. */
@Component
public class TermStore {

    private final EntityManager entities;
    private final Clock clock;
    private final Cache<Long, Stored> loaded =
            Caffeine.newBuilder().maximumSize(200).build();

    TermStore(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** The terms of a workspace, newest first. */
    @Transactional(readOnly = true)
    public List<Stored> all(long workspaceId) {
        List<Stored> terms = new ArrayList<>();
        entities.createQuery("from TermRecord where workspaceId = :w order by id", TermRecord.class)
                .setParameter("w", workspaceId)
                .getResultList()
                .forEach(t -> terms.add(load(workspaceId, t.id)));
        return terms;
    }

    /**
     * The decisions as they are stored now. The version row is read first, so that another process or a restored
     * backup is noticed.
     *
     * @throws NoSuchTerm when the workspace has no such term
     */
    @Transactional(readOnly = true)
    public Stored load(long workspaceId, long termId) {
        long version = version(workspaceId, termId);
        Stored known = loaded.getIfPresent(termId);
        if (known != null && known.version() == version) {
            return known;
        }
        List<Row> all = new ArrayList<>();
        for (Class<? extends Row> table : Rows.TABLES) {
            all.addAll(entities.createQuery("from " + table.getSimpleName() + " where termId = :t", table)
                    .setParameter("t", termId)
                    .getResultList());
        }
        entities.clear();
        Rows rows = Rows.of(all);
        Stored stored = new Stored(termId, version, rows, RowReader.decisions(rows));
        loaded.put(termId, stored);
        return stored;
    }

    private long version(long workspaceId, long termId) {
        return entities.createQuery("select version from TermRecord where id = :t and workspaceId = :w", Long.class)
                .setParameter("t", termId)
                .setParameter("w", workspaceId)
                .getResultStream()
                .findFirst()
                .orElseThrow(NoSuchTerm::new);
    }

    /** Makes a term with the decisions, at version 1. */
    @Transactional
    public Stored create(long workspaceId, Decisions decisions) {
        TermRecord term = new TermRecord();
        term.workspaceId = workspaceId;
        term.version = 1;
        term.createdAt = Instant.now(clock);
        entities.persist(term);
        entities.flush();
        Rows rows = RowWriter.rows(term.id, decisions);
        write(Delta.between(new Rows(), rows));
        return new Stored(term.id, 1, rows, decisions);
    }

    /** What leads from what is stored to the decisions. */
    public Delta delta(Stored before, Decisions after) {
        return Delta.between(before.rows(), RowWriter.rows(before.termId(), after));
    }

    /**
     * Writes a delta on top of a version and raises it. Part of the caller's transaction.
     *
     * @throws StaleVersion when another change came first
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public Stored write(Stored before, Delta delta) {
        int raised = entities.createQuery("update TermRecord set version = version + 1 where id = :t and version = :v")
                .setParameter("t", before.termId())
                .setParameter("v", before.version())
                .executeUpdate();
        if (raised == 0) {
            throw new StaleVersion(before.version() + 1);
        }
        write(delta);
        Rows rows = delta.applyTo(before.rows());
        Stored after = new Stored(before.termId(), before.version() + 1, rows, RowReader.decisions(rows));
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                loaded.put(after.termId(), after);
            }
        });
        return after;
    }

    /**
     * Refuses a version that is not the stored one.
     *
     * @throws StaleVersion when it is not
     */
    public static void expect(Stored stored, long version) {
        if (stored.version() != version) {
            throw new StaleVersion(stored.version());
        }
    }

    /** New rows first, table by table as they refer to each other; then changed ones; then those that go, in reverse. */
    private void write(Delta delta) {
        for (Class<? extends Row> table : Rows.TABLES) {
            delta.steps().stream()
                    .filter(s -> s.table() == table && s.before() == null)
                    .forEach(s -> entities.persist(s.after()));
            entities.flush();
        }
        delta.steps().stream()
                .filter(s -> s.before() != null && s.after() != null)
                .forEach(s -> entities.merge(s.after()));
        entities.flush();
        for (int i = Rows.TABLES.size() - 1; i >= 0; i--) {
            Class<? extends Row> table = Rows.TABLES.get(i);
            delta.steps().stream()
                    .filter(s -> s.table() == table && s.after() == null)
                    .forEach(s -> entities.remove(entities.find(table, s.key())));
            entities.flush();
        }
        entities.clear();
    }
}
