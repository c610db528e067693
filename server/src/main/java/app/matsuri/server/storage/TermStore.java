package app.matsuri.server.storage;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.change.NoSuch;
import app.matsuri.core.plan.Decisions;
import app.matsuri.server.storage.row.Row;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** The one way to read and write decisions. Every question names the workspace that asks. */
@Component
public class TermStore {

    /** What is kept beside a term's decisions, each before what it refers to. */
    private static final List<String> BESIDE = List.of(
            "HistoryEntry",
            "SourceFile",
            "Colleague",
            "StoredFile",
            "HandInRecord",
            "TermLook",
            "WhatIf",
            "PublicLink");

    private final EntityManager entities;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    /**
     * Rows of all terms that are kept, one for so many bytes of the heap: some 180 terms of the usual size with 256 MB. What is
     * short of memory takes them all.
     */
    private static final long MOST_ROWS = Runtime.getRuntime().maxMemory() / 2_048;

    private final Cache<Long, Stored> loaded = Caffeine.newBuilder()
            .maximumWeight(MOST_ROWS)
            .weigher((Long id, Stored stored) -> stored.weight())
            .softValues()
            .build();

    TermStore(EntityManager entities, Clock clock, ApplicationEventPublisher events) {
        this.entities = entities;
        this.clock = clock;
        this.events = events;
    }

    /** For how many days a deleted term can be brought back. */
    public static final int DAYS_KEPT = 30;

    /** A term that was deleted, and when. */
    public record DeletedTerm(Stored stored, Instant at) {}

    /** The terms of a workspace, in the order in which they were made; without those that were deleted. */
    @Transactional(readOnly = true)
    public List<Stored> all(long workspaceId) {
        List<Stored> terms = new ArrayList<>();
        entities.createQuery(
                        "select id, version from TermRecord where workspaceId = :w and deletedAt is null order by id",
                        Object[].class)
                .setParameter("w", workspaceId)
                .getResultList()
                .forEach(row -> terms.add(known((Long) row[0], (Long) row[1])));
        return terms;
    }

    /**
     * The decisions as they are stored now. The version row is read first, so that another process or a restored
     * backup is noticed.
     *
     * @throws NoSuch when the workspace has no such term
     */
    @Transactional(readOnly = true)
    public Stored load(long workspaceId, long termId) {
        return known(termId, version(workspaceId, termId));
    }

    /** How many terms a workspace has, deleted ones that can be brought back among them. */
    @Transactional(readOnly = true)
    public long count(long workspaceId) {
        return entities.createQuery("select count(*) from TermRecord where workspaceId = :w", Long.class)
                .setParameter("w", workspaceId)
                .getSingleResult();
    }

    private Stored known(long termId, long version) {
        Stored known = loaded.getIfPresent(termId);
        if (known != null && known.version() == version) {
            return known;
        }
        Stored stored = read(termId, version);
        loaded.put(termId, stored);
        return stored;
    }

    private Stored read(long termId, long version) {
        List<Row> all = new ArrayList<>();
        for (Class<? extends Row> table : Rows.TABLES) {
            all.addAll(entities.createQuery("from " + table.getSimpleName() + " where termId = :t", table)
                    .setParameter("t", termId)
                    .getResultList());
        }
        entities.clear();
        Rows rows = Rows.of(all);
        return new Stored(termId, version, rows, RowReader.decisions(rows));
    }

    /** A term with the workspace that it belongs to. */
    public record Owned(Stored stored, long workspaceId) {}

    /** Every term of every workspace, for whoever owns the data; without those that were deleted. */
    @Transactional(readOnly = true)
    public List<Owned> everywhere() {
        List<Owned> terms = new ArrayList<>();
        entities.createQuery("from TermRecord where deletedAt is null order by id", TermRecord.class)
                .getResultList()
                .forEach(t -> terms.add(new Owned(read(t.id, t.version), t.workspaceId)));
        return terms;
    }

    /**
     * The term, whosever it is, for whoever owns the data.
     *
     * @throws NoSuch when there is none
     */
    @Transactional(readOnly = true)
    public Stored any(long termId) {
        return there(termId).orElseThrow(() -> NoSuch.term(termId));
    }

    /** Likewise; empty where there is none, or it was deleted. */
    @Transactional(readOnly = true)
    public Optional<Stored> there(long termId) {
        return Optional.ofNullable(entities.find(TermRecord.class, termId))
                .filter(term -> term.deletedAt == null)
                .map(term -> load(term.workspaceId, termId));
    }

    private long version(long workspaceId, long termId) {
        return entities.createQuery(
                        "select version from TermRecord where id = :t and workspaceId = :w and deletedAt is null",
                        Long.class)
                .setParameter("t", termId)
                .setParameter("w", workspaceId)
                .getResultStream()
                .findFirst()
                .orElseThrow(() -> NoSuch.term(termId));
    }

    private TermRecord record(long workspaceId, long termId) {
        TermRecord term = entities.find(TermRecord.class, termId);
        if (term == null || term.workspaceId != workspaceId) {
            throw NoSuch.term(termId);
        }
        return term;
    }

    /** Whether a term is kept out of the lists. */
    @Transactional(readOnly = true)
    public boolean archived(long termId) {
        return entities.find(TermRecord.class, termId).archived;
    }

    /** Keeps a term out of the lists, or takes it in again. */
    @Transactional
    public void archive(long workspaceId, long termId, boolean archived) {
        record(workspaceId, termId).archived = archived;
    }

    /** Gives a term to another workspace, with its links. */
    @Transactional
    public void handOver(long workspaceId, long termId, long to) {
        record(workspaceId, termId).workspaceId = to;
        entities.createQuery("update PublicLink set workspaceId = :w where termId = :t")
                .setParameter("w", to)
                .setParameter("t", termId)
                .executeUpdate();
    }

    /** Deletes a term: it is as if it were not, and can be brought back for {@link #DAYS_KEPT} days. */
    @Transactional
    public void delete(long workspaceId, long termId) {
        TermRecord term = record(workspaceId, termId);
        term.deletedAt = term.deletedAt == null ? Instant.now(clock) : term.deletedAt;
        loaded.invalidate(termId);
    }

    /** Brings a deleted term back. */
    @Transactional
    public void bringBack(long workspaceId, long termId) {
        record(workspaceId, termId).deletedAt = null;
    }

    /** The terms of a workspace that were deleted and can be brought back, the last one first. */
    @Transactional(readOnly = true)
    public List<DeletedTerm> deleted(long workspaceId) {
        List<DeletedTerm> deleted = new ArrayList<>();
        entities.createQuery(
                        "from TermRecord where workspaceId = :w and deletedAt is not null order by deletedAt desc",
                        TermRecord.class)
                .setParameter("w", workspaceId)
                .getResultList()
                .forEach(t -> deleted.add(
                        new DeletedTerm(read(t.id, t.version), Known.there(t.deletedAt, "a deleted term"))));
        return deleted;
    }

    /** Takes out for good what was deleted too long ago to be brought back. */
    @Transactional
    public void forget() {
        Instant limit = Instant.now(clock).minus(Duration.ofDays(DAYS_KEPT + 1L));
        List<Long> gone = entities.createQuery("select id from TermRecord where deletedAt < :limit", Long.class)
                .setParameter("limit", limit)
                .getResultList();
        for (Long termId : gone) {
            entities.createQuery("delete from WhatIfStep where whatIfId in (select id from WhatIf where termId = :t)")
                    .setParameter("t", termId)
                    .executeUpdate();
            for (String table : BESIDE) {
                entities.createQuery("delete from " + table + " where termId = :t")
                        .setParameter("t", termId)
                        .executeUpdate();
            }
            for (int i = Rows.TABLES.size() - 1; i >= 0; i--) {
                entities.createQuery("delete from " + Rows.TABLES.get(i).getSimpleName() + " where termId = :t")
                        .setParameter("t", termId)
                        .executeUpdate();
            }
            entities.createQuery("delete from TermRecord where id = :t")
                    .setParameter("t", termId)
                    .executeUpdate();
        }
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

    /** Decisions on their own, to be kept beside terms. */
    public static byte[] packed(Decisions decisions) {
        return Packed.of(Delta.between(new Rows(), RowWriter.rows(0, decisions)).json());
    }

    /** What was packed so. */
    public static Decisions unpacked(byte[] packed) {
        return RowReader.decisions(Delta.of(Packed.text(packed)).applyTo(new Rows()));
    }

    /** What leads from what is stored to the decisions. */
    public Delta delta(Stored before, Decisions after) {
        return Delta.between(before.rows(), RowWriter.rows(before.termId(), after));
    }

    /** What the decisions become with a delta. */
    public static Decisions decisions(Stored before, Delta delta) {
        return RowReader.decisions(delta.applyTo(before.rows()));
    }

    /**
     * Writes a delta on top of a version and raises it. Part of the caller's transaction. The delta is of rows, so that
     * undo needs no knowledge of changes; it stays in the history.
     *
     * @param decisions what the delta leads to, kept as what is stored
     * @throws StaleVersion when another change came first
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public Stored write(Stored before, Delta delta, Decisions decisions) {
        if (before.shortened()) {
            throw new IllegalStateException("what was shortened for who may only look is never written");
        }
        int raised = entities.createQuery("update TermRecord set version = version + 1 where id = :t and version = :v")
                .setParameter("t", before.termId())
                .setParameter("v", before.version())
                .executeUpdate();
        if (raised == 0) {
            throw new StaleVersion(before.version() + 1);
        }
        write(delta);
        Rows rows = delta.applyTo(before.rows());
        Stored after = new Stored(before.termId(), before.version() + 1, rows, decisions);
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                loaded.put(after.termId(), after);
            }
        });
        events.publishEvent(new TermWritten(before, after));
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
