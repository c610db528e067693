package app.matsuri.server.disk;

import com.zaxxer.hikari.HikariDataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;

/** Looks for room before anything is written. */
@Component
class RoomToWrite implements TransactionExecutionListener {

    private static final Logger LOG = LoggerFactory.getLogger(RoomToWrite.class);

    private final Room room;
    private final ObjectProvider<HikariDataSource> pool;

    RoomToWrite(Room room, ObjectProvider<HikariDataSource> pool) {
        this.room = room;
        this.pool = pool;
    }

    @Override
    public void beforeBegin(TransactionExecution transaction) {
        if (transaction.isReadOnly()) {
            return;
        }
        if (!room.enough()) {
            throw new NoRoom();
        }
        pool.ifAvailable(connections -> {
            if (connections.getDataSource() instanceof DatabaseFiles files && files.onlyRead()) {
                LOG.info("The disk has room again: the database is opened to be written.");
                files.written();
                connections.getHikariPoolMXBean().softEvictConnections();
            }
        });
    }
}
