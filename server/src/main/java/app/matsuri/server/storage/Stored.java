package app.matsuri.server.storage;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.ForReaders;
import org.jspecify.annotations.Nullable;

/**
 * The decisions of a term as they are stored at a version.
 *
 * @param shortened whether what is private was taken out, for who may only look; never written
 * @param whatIf where they are those of a what-if, of which one, and they are never written; null for the plan
 */
public record Stored(
        long termId,
        long version,
        Rows rows,
        Decisions decisions,
        boolean shortened,
        @Nullable InWhatIf whatIf) {

    /**
     * The what-if that it is as.
     *
     * @throws IllegalStateException where it is the plan as it stands
     */
    public InWhatIf inWhatIf() {
        return Known.there(whatIf, "a what-if");
    }

    /** The same for who may only look. */
    public Stored forReaders() {
        return new Stored(termId, version, rows, ForReaders.of(decisions), true, whatIf);
    }

    /** How much it takes to keep it, in rows. */
    public int weight() {
        return rows.all().size() + 1;
    }

    Stored(long termId, long version, Rows rows, Decisions decisions) {
        this(termId, version, rows, decisions, false, null);
    }
}
