package app.matsuri.server.storage;

/** Said within the transaction that writes a term. */
public record TermWritten(Stored before, Stored after) {}
