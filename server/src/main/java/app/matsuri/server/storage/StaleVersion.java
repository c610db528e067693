package app.matsuri.server.storage;

import org.jspecify.annotations.Nullable;

/** The term was changed since it was looked at. */
public class StaleVersion extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final long version;
    private final transient @Nullable Object proposal;

    StaleVersion(long version) {
        this(version, null);
    }

    private StaleVersion(long version, @Nullable Object proposal) {
        super("The term was changed elsewhere since this page was loaded.");
        this.version = version;
        this.proposal = proposal;
    }

    /** The same with what the change that was asked for does now. */
    public StaleVersion with(Object fresh) {
        return new StaleVersion(version, fresh);
    }

    /** What the change that was asked for does now, as a proposal of it says; null where it can no longer be made. */
    public @Nullable Object proposal() {
        return proposal;
    }

    /** The version that is stored now. */
    public long version() {
        return version;
    }
}
