package app.matsuri.server.settings;

/** What the address of a database says of it. */
public final class DatabaseAddress {

    private static final String ELSEWHERE = "jdbc:postgresql:";

    private DatabaseAddress() {}

    /** Whether it is PostgreSQL on a server of its own, not a file in the data folder. */
    public static boolean elsewhere(String url) {
        return url.startsWith(ELSEWHERE);
    }
}
