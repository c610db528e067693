package app.matsuri.core.plan;

/** Which end of a lesson or unit a date hangs on. */
public enum Edge {
    START,
    END
}
