package app.matsuri.server.disk;

import app.matsuri.server.settings.MatsuriProperties;
import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Gives back, at night, the room that the database's file holds and does not use: the file is written anew without it, while
 * nobody else has a connection; whoever asks for one meanwhile waits.
 */
@Component
class NightlyShrinking {

    private static final Logger LOG = LoggerFactory.getLogger(NightlyShrinking.class);

    /** In percent: a file that is used so far is left alone. */
    private static final int FULL_ENOUGH = 70;

    /** How long what is under way may take until the night is let go by. */
    private static final Duration PATIENCE = Duration.ofSeconds(15);

    private final DataSource connections;
    private final Room room;
    private final Path file;
    private final Clock machine;

    NightlyShrinking(
            DataSource connections, Room room, MatsuriProperties settings, @Qualifier("machine") Clock machine) {
        this.connections = connections;
        this.room = room;
        this.file = Path.of(settings.data()).resolve(DataFolder.DATABASE);
        this.machine = machine;
    }

    @Scheduled(cron = "0 37 3 * * *")
    void tonight() {
        try {
            shrink();
        } catch (SQLException | IOException e) {
            LOG.warn("The database's file was not shrunk: {}", e.getMessage());
        }
    }

    /**
     * Shrinks the file, where that gives back enough and there is room to write it anew.
     *
     * @return the bytes given back; 0 where it was left alone
     */
    long shrink() throws SQLException, IOException {
        if (!room.database() || !Files.exists(file) || !(connections instanceof HikariDataSource pool)) {
            return 0;
        }
        long before = Files.size(file);
        if (used(pool) >= FULL_ENOUGH || room.bytes() - before < Room.LEAST) {
            return 0;
        }
        HikariPoolMXBean state = pool.getHikariPoolMXBean();
        state.suspendPool();
        try {
            if (!alone(state)) {
                LOG.info("The database's file was not shrunk tonight: something else went on.");
                return 0;
            }
            try (Connection only = pool.getDataSource().getConnection();
                    Statement statement = only.createStatement()) {
                statement.execute("SHUTDOWN COMPACT");
            }
        } finally {
            state.resumePool();
        }
        long given = before - Files.size(file);
        LOG.info("The database's file was shrunk from {} to {} bytes.", before, before - given);
        return given;
    }

    /** How much of the file is used, in percent. */
    private static int used(HikariDataSource pool) throws SQLException {
        try (Connection connection = pool.getConnection();
                Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("select min(cast(setting_value as int)) from"
                        + " information_schema.settings where setting_name in ('info.FILL_RATE',"
                        + " 'info.CHUNKS_FILL_RATE')")) {
            return row.next() ? row.getInt(1) : 100;
        }
    }

    /** Waits until nobody has a connection any more; false where somebody keeps one. */
    private boolean alone(HikariPoolMXBean state) {
        Instant until = Instant.now(machine).plus(PATIENCE);
        while (state.getTotalConnections() > 0) {
            state.softEvictConnections();
            if (Instant.now(machine).isAfter(until)) {
                return false;
            }
            try {
                Thread.sleep(20);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return false;
            }
        }
        return true;
    }
}
