package app.matsuri.server.disk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.matsuri.server.settings.MatsuriProperties;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/** Copies of a data folder, made while it is written and brought back; and folders on which nothing may be started. */
class CopiesTest {

    @TempDir
    Path at;

    private Path folder;
    private Path zip;
    private Connection connection;

    @BeforeEach
    void fill() throws Exception {
        folder = Files.createDirectory(at.resolve("it's data"));
        zip = at.resolve("copy.zip");
        Files.write(folder.resolve("links.key"), new byte[] {1, 2, 3});
        connection = open();
        connection.createStatement().execute("create table account (id int primary key, name clob)");
        write(1, 400);
    }

    @AfterEach
    void close() throws SQLException {
        connection.close();
    }

    private Connection open() throws SQLException {
        return DriverManager.getConnection("jdbc:h2:file:" + folder.resolve("matsuri"), "sa", "");
    }

    private DataSource connections() {
        return new SingleConnectionDataSource(connection, true);
    }

    private void write(int from, int to) throws SQLException {
        for (int i = from; i <= to; i++) {
            connection.createStatement().execute("insert into account values (" + i + ", repeat('x" + i + "', 300))");
        }
    }

    private int count() throws SQLException {
        try (ResultSet found = connection.createStatement().executeQuery("select count(*) from account")) {
            found.next();
            return found.getInt(1);
        }
    }

    @Test
    void aCopyIsOfOneMomentAndIsBroughtBack() throws Exception {
        Copies.write(connections(), folder, zip);
        write(401, 500);
        assertThatThrownBy(() -> Copies.restore(zip, folder))
                .isInstanceOf(Copies.NoCopy.class)
                .hasMessageContaining("A server runs");
        connection.close();
        Path before = Copies.restore(zip, folder);
        connection = open();
        assertThat(count()).isEqualTo(400);
        assertThat(before).isDirectoryContaining("glob:**.mv.db").isDirectoryContaining("glob:**links.key");
        connection.close();
        assertThat(Copies.read(before.resolve(DataFolder.DATABASE)))
                .as("what was there is kept")
                .isEqualTo(500);
        connection = open();
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left.map(file -> file.getFileName().toString())).noneMatch(name -> name.startsWith("."));
        }
    }

    @Test
    void whatIsNoCopyChangesNothing() throws Exception {
        Copies.write(connections(), folder, zip);
        connection.close();
        byte[] whole = Files.readAllBytes(zip);
        byte[] stored = Files.readAllBytes(folder.resolve(DataFolder.DATABASE));
        Files.write(zip, java.util.Arrays.copyOf(whole, whole.length / 2));
        assertThatThrownBy(() -> Copies.restore(zip, folder)).isInstanceOf(Copies.NoCopy.class);
        Files.write(zip, new byte[0]);
        assertThatThrownBy(() -> Copies.restore(zip, folder)).hasMessageContaining("no database");
        assertThatThrownBy(() -> Copies.restore(at.resolve("none.zip"), folder)).hasMessageContaining("no such file");
        assertThat(Files.readAllBytes(folder.resolve(DataFolder.DATABASE))).isEqualTo(stored);
        connection = open();
        assertThat(count()).isEqualTo(400);
    }

    @Test
    void aDatabaseThatCannotBeReadWholeIsNoCopy() throws Exception {
        connection.close();
        Path database = folder.resolve(DataFolder.DATABASE);
        try (RandomAccessFile file = new RandomAccessFile(database.toFile(), "rw")) {
            for (long i = 3 * 4_096; i < file.length(); i += 512) {
                file.seek(i);
                file.write(new byte[200]);
            }
        }
        assertThatThrownBy(() -> Copies.read(database)).isInstanceOf(SQLException.class);
        Files.delete(database);
        connection = open();
    }

    @Test
    void anEmptiedOrForeignFileIsNoFirstVisit() throws Exception {
        assertThat(DataFolder.wrong(folder)).isEmpty();
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder)))
                .isEqualTo("rwx------");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.resolve("links.key"))))
                .isEqualTo("rw-------");
        assertThat(DataFolder.wrong(at.resolve("new")))
                .as("an empty folder is a first visit")
                .isEmpty();
        for (byte[] content : List.of(new byte[0], new byte[20_000], "some notes".getBytes())) {
            Path other = Files.createTempDirectory(at, "other");
            Files.write(other.resolve(DataFolder.DATABASE), content);
            assertThat(DataFolder.wrong(other).orElse(""))
                    .contains("no first visit")
                    .contains("./matsuri restore");
            assertThat(Files.readAllBytes(other.resolve(DataFolder.DATABASE))).isEqualTo(content);
        }
    }

    @Test
    void whyTheServerDoesNotStartIsSaidInASentence() {
        assertThat(new DatabaseFailure()
                        .analyze(new IllegalStateException(new SQLException("locked", "90020", 90020)))
                        .getDescription())
                .contains("Another server runs");
        assertThat(new DatabaseFailure()
                        .analyze(new IllegalStateException(new SQLException("File corrupted", "90030", 90030)))
                        .getAction())
                .contains("./matsuri restore");
    }

    @Test
    void aCopyADayIsMadeAndTheLastFewAreKept() throws Exception {
        Room room = mock(Room.class);
        when(room.enough()).thenReturn(true);
        when(room.database()).thenReturn(true);
        for (int day = 1; day <= 5; day++) {
            Clock clock = Clock.fixed(Instant.parse("2026-10-0" + day + "T03:00:00Z"), ZoneOffset.UTC);
            DailyCopies copies = new DailyCopies(
                    connections(),
                    room,
                    clock,
                    new MatsuriProperties(null, null, folder.toString(), 3, null, 10, 20000));
            copies.today();
            copies.today();
        }
        try (Stream<Path> kept = Files.list(folder.resolve(DailyCopies.FOLDER))) {
            assertThat(kept.map(file -> file.getFileName().toString()).sorted())
                    .containsExactly("matsuri-2026-10-03.zip", "matsuri-2026-10-04.zip", "matsuri-2026-10-05.zip");
        }
    }
}
