package app.matsuri.server.storage;

/** There is no such term, or it belongs to another workspace. */
public class NoSuchTerm extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public NoSuchTerm() {
        super("There is no such term here. It may belong to another sign-in.");
    }
}
