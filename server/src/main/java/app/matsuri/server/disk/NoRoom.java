package app.matsuri.server.disk;

/** The disk is full: nothing is written until there is room again. */
public class NoRoom extends RuntimeException {

    NoRoom() {
        super("The disk of the server is full. Nothing was stored; what is stored can be read. Whoever runs the server"
                + " has to make room; then try again.");
    }
}
