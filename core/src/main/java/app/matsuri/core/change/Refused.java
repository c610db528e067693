package app.matsuri.core.change;

/** A change that cannot be made as asked. The message says what, why and what to do; nothing has been changed. */
public class Refused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public Refused(String message) {
        super(message);
    }
}
