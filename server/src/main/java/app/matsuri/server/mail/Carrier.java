package app.matsuri.server.mail;

/** What takes letters away: a mail server, or nothing where mail is simulated. */
interface Carrier {

    /** Whether letters only stay where they can be read. */
    boolean simulated();

    /**
     * Takes one away.
     *
     * @throws NotTaken when it did not
     */
    void take(Letter letter) throws NotTaken;

    /** The words of a letter as they go over the wire, by RFC 5322. */
    byte[] wire(Letter letter);

    /** A letter that was not taken. */
    final class NotTaken extends Exception {

        private static final long serialVersionUID = 1L;

        NotTaken(String why, Throwable cause) {
            super(why, cause);
        }
    }
}
