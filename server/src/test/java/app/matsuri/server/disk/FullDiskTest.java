package app.matsuri.server.disk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.function.Consumer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.Mockito;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.health.contributor.Status;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** The disk is full while something is written, and has room again: all without a new start. */
class FullDiskTest {

    @TempDir
    Path folder;

    private final Room room = mock(Room.class);
    private HikariDataSource pool;
    private JdbcTemplate sql;
    private TransactionTemplate writing;

    @BeforeEach
    void open() throws Exception {
        disk(false);
        DataSourceProperties properties = new DataSourceProperties();
        properties.setUrl(FullDisk.url(folder.resolve("d")));
        properties.setUsername("sa");
        properties.setPassword("");
        properties.setBeanClassLoader(getClass().getClassLoader());
        properties.afterPropertiesSet();
        pool = new DatabaseConfiguration().dataSource(properties, room, 4);
        sql = new JdbcTemplate(pool);
        JdbcTransactionManager transactions = new JdbcTransactionManager(pool);
        transactions.addListener(new RoomToWrite(room, only(pool)));
        writing = new TransactionTemplate(transactions);
        sql.execute("create table account (id int primary key)");
        sql.update("insert into account values (1)");
    }

    @AfterEach
    void close() {
        FullDisk.FULL.set(false);
        pool.close();
    }

    private void disk(boolean full) {
        FullDisk.FULL.set(full);
        when(room.enough()).thenReturn(!full);
        when(room.bytes()).thenReturn(full ? 0 : 1_000_000_000L);
    }

    @SuppressWarnings("unchecked")
    private static ObjectProvider<HikariDataSource> only(HikariDataSource pool) {
        ObjectProvider<HikariDataSource> provider = mock(ObjectProvider.class);
        Mockito.doAnswer(call -> {
                    call.<Consumer<HikariDataSource>>getArgument(0).accept(pool);
                    return null;
                })
                .when(provider)
                .ifAvailable(any());
        return provider;
    }

    private Integer count() {
        return sql.queryForObject("select count(*) from account", Integer.class);
    }

    private Status health() throws SQLException {
        return new StorageHealth(pool, room).health().getStatus();
    }

    @Test
    void whatIsWrittenWithoutRoomIsRefusedBeforeItBegins() throws Exception {
        disk(true);
        assertThatThrownBy(() -> writing.executeWithoutResult(t -> sql.update("insert into account values (2)")))
                .isInstanceOf(NoRoom.class)
                .hasMessageContaining("disk of the server is full");
        assertThat(count()).isEqualTo(1);
        assertThat(health()).isEqualTo(Status.OUT_OF_SERVICE);
        disk(false);
        writing.executeWithoutResult(t -> sql.update("insert into account values (2)"));
        assertThat(count()).isEqualTo(2);
        assertThat(health()).isEqualTo(Status.UP);
    }

    @Test
    void theDiskIsFullInTheMiddleOfIt() throws Exception {
        assertThatThrownBy(() -> writing.executeWithoutResult(t -> {
                    sql.update("insert into account values (2)");
                    disk(true);
                }))
                .hasStackTraceContaining("No space left");
        assertThat(count()).as("read on").isEqualTo(1);
        assertThat(health()).isEqualTo(Status.OUT_OF_SERVICE);
        disk(false);
        writing.executeWithoutResult(t -> sql.update("insert into account values (3)"));
        assertThat(count()).as("written again").isEqualTo(2);
        pool.close();
        open2();
        assertThat(count()).as("and stored").isEqualTo(2);
    }

    private void open2() {
        DatabaseFiles files = new DatabaseFiles(FullDisk.url(folder.resolve("d")), "sa", "", room);
        sql = new JdbcTemplate(files);
    }

    @Test
    void aDatabaseThatCannotBeReadIsDown() throws Exception {
        sql.execute("drop table account");
        assertThat(health()).isEqualTo(Status.DOWN);
    }
}
