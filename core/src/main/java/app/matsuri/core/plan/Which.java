package app.matsuri.core.plan;

/** One of an item's three dates, in their order in time. */
public enum Which {
    OPENS,
    DUE,
    CLOSES
}
