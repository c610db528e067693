package app.matsuri.server.history;

import app.matsuri.core.calendar.Known;
import app.matsuri.server.storage.Packed;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** One line of a term's history: who did what and when, with the delta that did it. Never rewritten. */
@Entity
@Table(name = "history_entry")
@IdClass(HistoryEntry.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public class HistoryEntry {

    /** What an entry is. */
    public enum Kind {
        /** The term was made; cannot be undone. */
        BEGIN,
        CHANGE,
        UNDO,
        REDO
    }

    /** What names the entry. */
    public record Key(long termId, long seq) {}

    @Id
    public long termId;

    @Id
    public long seq;

    public Instant madeAt;
    public long accountId;
    public String accountName;

    @jakarta.persistence.Enumerated(jakarta.persistence.EnumType.STRING)
    public Kind kind;

    /** The entry that it undoes or does again; null for others. */
    public @Nullable Long ofSeq;

    public String sentence;

    /** As it was kept before deltas were packed; null in newer entries. */
    @Column(name = "delta", columnDefinition = "clob")
    private @Nullable String plain;

    @Column(columnDefinition = "binary large object")
    private byte @Nullable [] packed;

    /** The change that an undo takes back after this entry; 0 for none, null in entries from before it was kept. */
    public @Nullable Long undoSeq;

    /** The change that a redo makes again after this entry; likewise. */
    public @Nullable Long redoSeq;

    /** Whether it is of something for oneself, or of one student's own dates. */
    public boolean ofOneself;

    /** What a person called this moment; null for nothing. */
    public @Nullable String name;

    /** The delta, see {@link app.matsuri.server.storage.Delta#json()}. */
    public String delta() {
        return packed == null ? Known.there(plain, "an entry's delta") : Packed.text(packed);
    }

    void delta(String json) {
        plain = null;
        packed = Packed.of(json);
    }
}
