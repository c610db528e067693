package app.matsuri.server.history;

import app.matsuri.core.calendar.Known;
import app.matsuri.exchange.plan.Json;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.history.HistoryEntry.Kind;
import app.matsuri.server.storage.Delta;
import app.matsuri.server.storage.InWhatIf;
import app.matsuri.server.storage.Rows;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.row.Row;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The history of terms. Callers have made sure that the term is the workspace's own. */
@Component
public class History {

    private static final Logger LOG = LoggerFactory.getLogger(History.class);

    private static final String LINES =
            "select new app.matsuri.server.history.History$Line(seq, madeAt, accountName, kind, ofSeq, sentence, name)"
                    + " from HistoryEntry where termId = :t";

    private final EntityManager entities;
    private final Clock clock;

    History(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** One line without its delta. */
    @Schema(name = "HistoryLine")
    public record Line(
            long seq,
            Instant madeAt,
            String accountName,
            Kind kind,
            @Nullable Long ofSeq,
            String sentence,
            @Nullable String name) {}

    /** Appends an entry. Part of the caller's transaction. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void append(long termId, SignedIn by, Kind kind, @Nullable Long ofSeq, String sentence, Delta delta) {
        HistoryEntry entry = new HistoryEntry();
        HistoryEntry last = last(termId);
        entry.termId = termId;
        entry.seq = last == null ? 1 : last.seq + 1;
        entry.madeAt = Instant.now(clock);
        entry.accountId = by.accountId();
        entry.accountName = by.displayName();
        entry.kind = kind;
        entry.ofSeq = ofSeq;
        entry.sentence = sentence;
        entry.delta(delta.json());
        stands(entry, last);
        entry.ofOneself = delta.ofOneself();
        entities.persist(entry);
        entities.flush();
        entities.clear();
    }

    private @Nullable HistoryEntry last(long termId) {
        return entities.createQuery("from HistoryEntry where termId = :t order by seq desc", HistoryEntry.class)
                .setParameter("t", termId)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .orElse(null);
    }

    /** Says what an undo and a redo would do after an entry: from those before it, without reading them all. */
    private void stands(HistoryEntry entry, @Nullable HistoryEntry last) {
        Long of = entry.ofSeq;
        Long undo;
        Long redo;
        if (of == null) {
            undo = entry.kind == Kind.CHANGE ? entry.seq : 0;
            redo = Long.valueOf(0);
        } else if (entry.kind == Kind.UNDO) { // what stood before that change was made stands again
            undo = Known.there(entry(entry.termId, of - 1), "what is before a change").undoSeq;
            redo = of;
        } else { // what had been taken back before that change was
            undo = of;
            redo = Known.there(entry(entry.termId, undone(entry.termId, of) - 1), "what is before an undo").redoSeq;
        }
        if (undo == null || redo == null || (last != null && last.undoSeq == null)) {
            Standing standing = standing(entry.termId);
            standing.add(entry.kind, entry.seq, of);
            undo = standing.undo();
            redo = standing.redo();
        }
        entry.undoSeq = undo;
        entry.redoSeq = redo;
    }

    private @Nullable HistoryEntry entry(long termId, long seq) {
        return entities.find(HistoryEntry.class, new HistoryEntry.Key(termId, seq));
    }

    /** The last entry that took a change back. */
    private long undone(long termId, long of) {
        return entities.createQuery(
                        "select max(seq) from HistoryEntry where termId = :t and ofSeq = :of and kind = :undo",
                        Long.class)
                .setParameter("t", termId)
                .setParameter("of", of)
                .setParameter("undo", Kind.UNDO)
                .getSingleResult();
    }

    /** Out of all entries, where they are from before it was kept with each. */
    private Standing standing(long termId) {
        Standing standing = new Standing();
        lines(termId).forEach(l -> standing.add(l.kind(), l.seq(), l.ofSeq()));
        return standing;
    }

    /** All lines, oldest first. */
    @Transactional(readOnly = true)
    public List<Line> lines(long termId) {
        return entities.createQuery(LINES + " order by seq", Line.class)
                .setParameter("t", termId)
                .getResultList();
    }

    /** Likewise for who may look at the term as it is given: what is for oneself is not said. */
    @Transactional(readOnly = true)
    public List<Line> lines(Stored stored) {
        List<Line> lines = lines(stored.termId());
        if (!stored.shortened()) {
            return lines;
        }
        Set<Long> own = new HashSet<>(
                entities.createQuery("select seq from HistoryEntry where termId = :t and ofOneself = true", Long.class)
                        .setParameter("t", stored.termId())
                        .getResultList());
        return lines.stream()
                .map(l -> own.contains(l.seq()) || own.contains(l.ofSeq())
                        ? new Line(l.seq(), l.madeAt(), l.accountName(), l.kind(), l.ofSeq(), "For oneself", null)
                        : l)
                .toList();
    }

    /** The delta of an entry. */
    @Transactional(readOnly = true)
    public Delta delta(long termId, long seq) {
        return Delta.of(
                Known.there(entry(termId, seq), "an entry of the history").delta());
    }

    /** The deltas of all entries after one, newest first. */
    @Transactional(readOnly = true)
    public List<Delta> deltasAfter(long termId, long seq) {
        return entities.createQuery(
                        "from HistoryEntry where termId = :t and seq > :s order by seq desc", HistoryEntry.class)
                .setParameter("t", termId)
                .setParameter("s", seq)
                .getResultStream()
                .map(entry -> {
                    entities.detach(entry);
                    return Delta.of(entry.delta());
                })
                .toList();
    }

    /** The whole history as JSON, for a bundle. */
    @Transactional(readOnly = true)
    public String json(long termId) {
        ArrayNode all = Json.MAPPER.createArrayNode();
        entities.createQuery("from HistoryEntry where termId = :t order by seq", HistoryEntry.class)
                .setParameter("t", termId)
                .getResultStream()
                .forEach(e -> {
                    ObjectNode node = all.addObject()
                            .put("seq", e.seq)
                            .put("at", e.madeAt.toString())
                            .put("who", e.accountName)
                            .put("kind", e.kind.name())
                            .put("sentence", e.sentence);
                    if (e.ofSeq != null) {
                        node.put("of", e.ofSeq.longValue());
                    }
                    if (e.name != null) {
                        node.put("name", e.name);
                    }
                    node.set("delta", Json.read(e.delta()));
                    entities.detach(e);
                });
        return Json.write(all);
    }

    /**
     * Puts a history in place of that of a new term, where it leads to what the term is.
     *
     * @return whether it does; where it does not, nothing changes
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean bring(Stored stored, SignedIn by, String json) {
        List<HistoryEntry> entries = new ArrayList<>();
        Standing standing = new Standing();
        try {
            for (JsonNode node : Json.read(json)) {
                node.path("delta").path("steps").forEach(step -> {
                    of(step.get("before"), stored.termId());
                    of(step.get("after"), stored.termId());
                });
                HistoryEntry entry = new HistoryEntry();
                entry.termId = stored.termId();
                entry.seq = node.path("seq").longValue();
                entry.madeAt = Instant.parse(node.path("at").stringValue());
                entry.accountId = by.accountId();
                entry.accountName = node.path("who").stringValue();
                entry.kind = Kind.valueOf(node.path("kind").stringValue());
                entry.ofSeq = node.has("of") ? Long.valueOf(node.path("of").longValue()) : null;
                entry.sentence = node.path("sentence").stringValue();
                entry.name = node.has("name") ? node.path("name").stringValue() : null;
                entry.delta(Json.write(node.get("delta")));
                entry.ofOneself = Delta.of(entry.delta()).ofOneself();
                entries.add(entry);
                boolean begins = entry.kind == Kind.BEGIN == (entries.size() == 1);
                if (entry.seq != entries.size() || !begins || !standing.add(entry.kind, entry.seq, entry.ofSeq)) {
                    return false;
                }
                entry.undoSeq = standing.undo();
                entry.redoSeq = standing.redo();
            }
            Rows rows = stored.rows();
            for (int i = entries.size() - 1; i >= 0; i--) {
                Delta delta = Delta.of(entries.get(i).delta());
                if (!delta.leadsTo(rows)) {
                    return false;
                }
                rows = delta.inverse().applyTo(rows);
            }
        } catch (RuntimeException e) {
            LOG.warn("a bundle's history cannot be read", e);
            return false;
        }
        if (entries.isEmpty()) {
            return false;
        }
        entities.createQuery("delete from HistoryEntry where termId = :t")
                .setParameter("t", stored.termId())
                .executeUpdate();
        entries.forEach(entities::persist);
        entities.flush();
        entities.clear();
        return true;
    }

    private static void of(JsonNode row, long termId) {
        if (row instanceof ObjectNode object && object.has("termId")) {
            object.put("termId", termId);
        }
    }

    /**
     * Takes rows out of every entry for good, as if they had never been.
     *
     * @param name that stands in no sentence any more
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void forget(long termId, Predicate<Row> rows, String name) {
        for (HistoryEntry entry : entities.createQuery("from HistoryEntry where termId = :t", HistoryEntry.class)
                .setParameter("t", termId)
                .getResultList()) {
            Delta delta = Delta.of(entry.delta());
            Delta without = delta.without(rows);
            if (without.steps().size() < delta.steps().size()) {
                entry.delta(without.json());
            }
            entry.sentence = entry.sentence.replace(name, "a student");
        }
        entities.flush();
        entities.clear();
    }

    /** Gives a moment a name, or takes it away (null). */
    @Transactional
    public boolean name(long termId, long seq, @Nullable String name) {
        HistoryEntry entry = entry(termId, seq);
        if (entry == null) {
            return false;
        }
        entry.name = name;
        return true;
    }

    /**
     * What can be undone and done again.
     *
     * @param undo the change that an undo takes back
     * @param redo the change that a redo makes again
     */
    public record Ends(Optional<Line> undo, Optional<Line> redo) {}

    /** What can be undone and done again now, in the plan or in the what-if beside it. */
    @Transactional(readOnly = true)
    public Ends ends(Stored stored) {
        if (stored.shortened()) {
            return new Ends(Optional.empty(), Optional.empty()); // who may only look undoes nothing
        }
        InWhatIf in = stored.whatIf();
        return in == null ? ends(stored.termId()) : new Ends(step(in.undo()), step(in.redo()));
    }

    private static Optional<Line> step(@Nullable String sentence) {
        return Optional.ofNullable(sentence).map(s -> new Line(0, Instant.EPOCH, "", Kind.CHANGE, null, s, null));
    }

    /** What can be undone and done again in the plan. */
    @Transactional(readOnly = true)
    public Ends ends(long termId) {
        HistoryEntry last = last(termId);
        if (last == null) {
            return new Ends(Optional.empty(), Optional.empty());
        }
        Long undo = last.undoSeq;
        Long redo = last.redoSeq;
        if (undo == null || redo == null) {
            Standing standing = standing(termId);
            return new Ends(line(termId, standing.undo()), line(termId, standing.redo()));
        }
        return new Ends(line(termId, undo), line(termId, redo));
    }

    /** One line; empty where there is none. */
    @Transactional(readOnly = true)
    public Optional<Line> line(long termId, long seq) {
        return seq == 0
                ? Optional.empty()
                : entities.createQuery(LINES + " and seq = :s", Line.class)
                        .setParameter("t", termId)
                        .setParameter("s", seq)
                        .getResultStream()
                        .findFirst();
    }
}
