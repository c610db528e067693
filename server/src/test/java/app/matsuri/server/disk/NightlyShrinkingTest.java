package app.matsuri.server.disk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.matsuri.server.settings.MatsuriProperties;
import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;

/** The database's file gives room back while the server runs, and nobody notices but by waiting. */
class NightlyShrinkingTest {

    @TempDir
    Path folder;

    private final Room room = mock(Room.class);
    private HikariDataSource pool;

    @BeforeEach
    void fill() throws Exception {
        when(room.database()).thenReturn(true);
        when(room.enough()).thenReturn(true);
        when(room.bytes()).thenReturn(Long.MAX_VALUE);
        DataSourceProperties properties = new DataSourceProperties();
        properties.setUrl("jdbc:h2:file:" + folder.resolve("matsuri") + ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE");
        properties.setUsername("sa");
        pool = new DatabaseConfiguration().dataSource(properties, room, 4);
        say("create table told (id int primary key, text varchar(20000))");
        for (int n = 0; n < 40; n++) {
            say("insert into told select x, random_uuid() || repeat(random_uuid(), 200) from system_range(" + n * 50
                    + ", " + (n * 50 + 49) + ")");
        }
    }

    @AfterEach
    void close() {
        pool.close();
    }

    private void say(String sql) throws SQLException {
        try (Connection connection = pool.getConnection()) {
            connection.createStatement().execute(sql);
        }
    }

    private int number(String sql) throws SQLException {
        try (Connection connection = pool.getConnection();
                ResultSet row = connection.createStatement().executeQuery(sql)) {
            row.next();
            return row.getInt(1);
        }
    }

    private NightlyShrinking shrinking(Clock machine) {
        return new NightlyShrinking(
                pool, room, new MatsuriProperties(null, null, folder.toString(), 7, null, 4, 20000), machine);
    }

    private long size() throws Exception {
        return Files.size(folder.resolve(DataFolder.DATABASE));
    }

    @Test
    void whatIsNotUsedIsGivenBackWhileOthersWrite() throws Exception {
        say("delete from told where mod(id, 10) > 0");
        long before = size();
        AtomicBoolean on = new AtomicBoolean(true);
        AtomicInteger told = new AtomicInteger();
        CompletableFuture<Void> writer = CompletableFuture.runAsync(() -> {
            try {
                while (on.get()) {
                    say("insert into told values (" + (100_000 + told.get()) + ", 'written meanwhile')");
                    told.incrementAndGet();
                }
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
        });
        while (told.get() < 20) {
            Thread.sleep(1);
        }
        long given = shrinking(Clock.systemUTC()).shrink();
        int then = told.get();
        while (told.get() < then + 20 && !writer.isDone()) {
            Thread.sleep(1);
        }
        on.set(false);
        writer.get(20, TimeUnit.SECONDS);
        assertThat(given).isGreaterThan(before / 2);
        assertThat(size()).isLessThan(before / 2);
        assertThat(number("select count(*) from told where id < 100000")).isEqualTo(200);
        assertThat(number("select count(*) from told where id >= 100000")).isEqualTo(told.get());
    }

    @Test
    void aFileThatIsUsedOrHasNoRoomBesideItIsLeftAlone() throws Exception {
        say("delete from told where mod(id, 10) > 0");
        when(room.bytes()).thenReturn(Room.LEAST + 1);
        assertThat(shrinking(Clock.systemUTC()).shrink()).isZero();
        when(room.bytes()).thenReturn(Long.MAX_VALUE);
        when(room.database()).thenReturn(false);
        assertThat(shrinking(Clock.systemUTC()).shrink()).isZero();
        when(room.database()).thenReturn(true);
        assertThat(shrinking(Clock.systemUTC()).shrink()).isPositive();
        assertThat(shrinking(Clock.systemUTC()).shrink()).as("a second time").isZero();
        assertThat(number("select count(*) from told")).isEqualTo(200);
    }

    @Test
    void whatIsUnderWayIsNotCutOff() throws Exception {
        say("delete from told where mod(id, 10) > 0");
        Clock machine = mock(Clock.class);
        when(machine.instant())
                .thenReturn(Instant.parse("2026-10-07T03:37:00Z"), Instant.parse("2026-10-07T03:38:00Z"));
        try (Connection connection = pool.getConnection()) {
            connection.setAutoCommit(false);
            connection.createStatement().execute("insert into told values (-1, 'a long one')");
            assertThat(shrinking(machine).shrink()).isZero();
            connection.commit();
        }
        assertThat(number("select count(*) from told where id = -1")).isEqualTo(1);
    }
}
