package app.matsuri.server.disk;

import app.matsuri.server.settings.MatsuriProperties;
import java.io.File;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** How much room the disk has on which the data lie. */
@Component
public class Room {

    /** In bytes: with less, nothing is written any more, so that what the database does by itself still finds room. */
    public static final long LEAST = 20_000_000;

    private final File folder;
    private final boolean database;

    Room(MatsuriProperties settings, @Value("${spring.datasource.url:}") String url) {
        this.folder = new File(settings.data()).getAbsoluteFile();
        this.database = url.startsWith("jdbc:h2:");
    }

    /** Whether the database lies there too; else another server has it, which looks after its own disk and copies. */
    public boolean database() {
        return database;
    }

    /** In bytes; without limit where the folder is not there, as with a database in memory. */
    public long bytes() {
        return database && folder.isDirectory() ? folder.getUsableSpace() : Long.MAX_VALUE;
    }

    /** Whether there is enough to write. */
    public boolean enough() {
        return bytes() >= LEAST;
    }
}
