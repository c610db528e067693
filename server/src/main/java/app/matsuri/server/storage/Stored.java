package app.matsuri.server.storage;

import app.matsuri.core.plan.Decisions;

/** The decisions of a term as they are stored at a version. */
public record Stored(long termId, long version, Rows rows, Decisions decisions) {}
