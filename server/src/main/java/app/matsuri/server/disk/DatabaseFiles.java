package app.matsuri.server.disk;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Properties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.datasource.AbstractDataSource;

/**
 * Opens connections to an H2 database. A write that fails closes all of the database; it is opened again, and where the
 * disk has no room for what opening writes, to be read only.
 */
class DatabaseFiles extends AbstractDataSource {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseFiles.class);
    private static final String ONLY_READ = ";ACCESS_MODE_DATA=r";

    static {
        FlushedFiles.register();
    }

    private final String url;
    private final String user;
    private final String password;
    private final Room room;
    private volatile boolean onlyRead;

    DatabaseFiles(String url, String user, String password, Room room) {
        this.url = url;
        this.user = user;
        this.password = password;
        this.room = room;
    }

    /** Whether it was opened to be read only. */
    boolean onlyRead() {
        return onlyRead;
    }

    /** From now on it is opened to be written again. */
    void written() {
        onlyRead = false;
    }

    @Override
    public Connection getConnection() throws SQLException {
        return getConnection(user, password);
    }

    @Override
    public Connection getConnection(String name, String secret) throws SQLException {
        Properties who = new Properties();
        who.put("user", name);
        who.put("password", secret);
        try {
            return DriverManager.getConnection(onlyRead ? url + ONLY_READ : url, who);
        } catch (SQLException e) {
            if (onlyRead || room.enough()) {
                throw e;
            }
            LOG.warn("The disk is full ({} bytes): the database is opened to be read only.", room.bytes());
            Connection opened = DriverManager.getConnection(url + ONLY_READ, who);
            onlyRead = true;
            return opened;
        }
    }
}
