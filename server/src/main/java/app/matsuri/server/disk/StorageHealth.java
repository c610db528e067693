package app.matsuri.server.disk;

import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** Down where the database cannot be read; out of service where nothing can be written. */
@Component("storage")
class StorageHealth implements HealthIndicator {

    private static final Logger LOG = LoggerFactory.getLogger(StorageHealth.class);

    private final DataSource connections;
    private final Room room;

    StorageHealth(DataSource connections, Room room) {
        this.connections = connections;
        this.room = room;
    }

    @Override
    public Health health() {
        try (Connection connection = connections.getConnection();
                var statement = connection.createStatement()) {
            statement.execute("select count(*) from account");
        } catch (SQLException e) {
            LOG.warn("The database cannot be read: {}", e.getMessage());
            return Health.down().build();
        }
        return room.enough() ? Health.up().build() : Health.outOfService().build();
    }
}
