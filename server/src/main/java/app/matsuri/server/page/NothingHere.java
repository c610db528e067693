package app.matsuri.server.page;

/** An address shows nothing: it never did, or does no longer. Both look alike. */
public final class NothingHere extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public NothingHere() {}

    public NothingHere(Throwable cause) {
        super(cause);
    }
}
