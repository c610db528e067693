package app.matsuri.server.history;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.history.HistoryEntry.Kind;
import app.matsuri.server.storage.Delta;
import app.matsuri.server.storage.InWhatIf;
import app.matsuri.server.storage.Rows;
import app.matsuri.server.storage.Stored;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
        entry.termId = termId;
        entry.seq = last(termId) + 1;
        entry.madeAt = Instant.now(clock);
        entry.accountId = by.accountId();
        entry.accountName = by.displayName();
        entry.kind = kind;
        entry.ofSeq = ofSeq;
        entry.sentence = sentence;
        entry.delta = delta.json();
        entry.ofOneself = delta.ofOneself();
        entities.persist(entry);
        entities.flush();
        entities.clear();
    }

    private long last(long termId) {
        return entities.createQuery("select coalesce(max(seq), 0) from HistoryEntry where termId = :t", Long.class)
                .setParameter("t", termId)
                .getSingleResult();
    }

    /** All lines, oldest first. */
    @Transactional(readOnly = true)
    public List<Line> lines(long termId) {
        return entities.createQuery(
                        "select new app.matsuri.server.history.History$Line(seq, madeAt, accountName, kind, ofSeq,"
                                + " sentence, name) from HistoryEntry where termId = :t order by seq",
                        Line.class)
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
        return Delta.of(entities.find(HistoryEntry.class, new HistoryEntry.Key(termId, seq)).delta);
    }

    /** The deltas of all entries after one, newest first. */
    @Transactional(readOnly = true)
    public List<Delta> deltasAfter(long termId, long seq) {
        return entities.createQuery(
                        "select delta from HistoryEntry where termId = :t and seq > :s order by seq desc", String.class)
                .setParameter("t", termId)
                .setParameter("s", seq)
                .getResultStream()
                .map(Delta::of)
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
                    node.set("delta", Json.read(e.delta));
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
        int done = 0;
        int undone = 0;
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
                entry.delta = Json.write(node.get("delta"));
                entry.ofOneself = Delta.of(entry.delta).ofOneself();
                entries.add(entry);
                undone = entry.kind == Kind.CHANGE ? 0 : undone + (entry.kind == Kind.UNDO ? 1 : 0);
                undone -= entry.kind == Kind.REDO ? 1 : 0;
                done += entry.kind == Kind.BEGIN ? 0 : entry.kind == Kind.UNDO ? -1 : 1;
                boolean begins = entry.kind == Kind.BEGIN == (entries.size() == 1);
                if (entry.seq != entries.size() || !begins || done < 0 || undone < 0) {
                    return false;
                }
            }
            Rows rows = stored.rows();
            for (int i = entries.size() - 1; i >= 0; i--) {
                Delta delta = Delta.of(entries.get(i).delta);
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

    /** Gives a moment a name, or takes it away (null). */
    @Transactional
    public boolean name(long termId, long seq, @Nullable String name) {
        HistoryEntry entry = entities.find(HistoryEntry.class, new HistoryEntry.Key(termId, seq));
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
        Deque<Line> done = new ArrayDeque<>();
        Deque<Line> undone = new ArrayDeque<>();
        List<Line> lines = new ArrayList<>(lines(termId));
        for (Line line : lines) {
            switch (line.kind()) {
                case CHANGE -> {
                    done.push(line);
                    undone.clear();
                }
                case UNDO -> undone.push(done.pop());
                case REDO -> done.push(undone.pop());
                default -> {
                    // the beginning stays
                }
            }
        }
        return new Ends(Optional.ofNullable(done.peek()), Optional.ofNullable(undone.peek()));
    }
}
