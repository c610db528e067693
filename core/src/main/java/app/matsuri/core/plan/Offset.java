package app.matsuri.core.plan;

/**
 * How far from its anchor a date lies.
 *
 * @param n may be negative; 0 adds nothing
 */
public record Offset(int n, Unit unit) {

    /** No distance. */
    public static final Offset NONE = new Offset(0, Unit.DAYS);

    /** What is counted. */
    public enum Unit {
        /** Elapsed time. */
        MINUTES,
        /** Elapsed time. */
        HOURS,
        /** Calendar days at the same local time. */
        DAYS,
        /** Calendar weeks at the same local time. */
        WEEKS,
        /** Teaching days at the same local time. */
        TEACHING_DAYS,
        /** The section's sessions. */
        SESSIONS;

        /** Whether what lies so far away falls at the time of a class, or counts from one. */
        public boolean ofClass() {
            return this == MINUTES || this == HOURS || this == SESSIONS;
        }
    }
}
