package app.matsuri.core.change;

/** A thing that a change moves by hand, as against what moves because of it. */
public record Hand(String course, String id) {}
