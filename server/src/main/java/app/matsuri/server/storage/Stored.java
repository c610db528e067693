package app.matsuri.server.storage;

import app.matsuri.core.plan.Decisions;

/**
 * The decisions of a term as they are stored at a version.
 *
 * @param whatIf where they are those of a what-if, of which one, and they are never written; null for the plan
 */
public record Stored(long termId, long version, Rows rows, Decisions decisions, InWhatIf whatIf) {

    Stored(long termId, long version, Rows rows, Decisions decisions) {
        this(termId, version, rows, decisions, null);
    }
}
