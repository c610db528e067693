package app.matsuri.server.history;

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

    @Column(columnDefinition = "clob")
    public String delta;

    /** Whether it is of something for oneself, or of one student's own dates. */
    public boolean ofOneself;

    /** What a person called this moment; null for nothing. */
    public @Nullable String name;
}
