package app.matsuri.server.storage;

/** The term was changed since it was looked at. */
public class StaleVersion extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final long version;

    StaleVersion(long version) {
        super("The term was changed elsewhere since this page was loaded.");
        this.version = version;
    }

    /** The version that is stored now. */
    public long version() {
        return version;
    }
}
