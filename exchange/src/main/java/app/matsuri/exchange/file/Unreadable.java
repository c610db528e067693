package app.matsuri.exchange.file;

/** A file that cannot be read; the message says what is wrong and what to do. */
public final class Unreadable extends RuntimeException {

    public Unreadable(String message) {
        super(message);
    }

    public Unreadable(String message, Throwable cause) {
        super(message, cause);
    }
}
