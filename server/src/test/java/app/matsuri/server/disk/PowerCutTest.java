package app.matsuri.server.disk;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.core.io.ClassPathResource;

/** What was committed is there after a power cut, as it is flushed first; on files that are not flushed it is not. */
class PowerCutTest {

    private static final int MANY = 40;

    @TempDir
    Path folder;

    @BeforeEach
    void known() {
        FlushedFiles.register();
        PowerCut.register();
        PowerCut.OFF.set(false);
    }

    @AfterEach
    void again() {
        PowerCut.OFF.set(false);
    }

    /** Commits rows, cuts the power off, and counts how many are on the disk. */
    private int left(String files) throws SQLException {
        Path database = folder.resolve("matsuri");
        String url = "jdbc:h2:" + files + database + ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE";
        Connection writing = DriverManager.getConnection(url, "sa", "");
        writing.setAutoCommit(false);
        writing.createStatement().execute("create table step (id int primary key, sentence varchar(2000))");
        for (int n = 0; n < MANY; n++) {
            writing.createStatement().execute("insert into step values (" + n + ", repeat('Day off. ', 100))");
            writing.commit();
        }
        PowerCut.OFF.set(true);
        try {
            writing.close();
        } catch (SQLException cut) {
            assertThat(cut.getErrorCode()).isPositive(); // it cannot be closed in order any more
        }
        try (Connection after = DriverManager.getConnection(
                        "jdbc:h2:file:" + database + ";IFEXISTS=TRUE;DB_CLOSE_ON_EXIT=FALSE", "sa", "");
                ResultSet row = after.createStatement().executeQuery("select count(*) from step")) {
            row.next();
            return row.getInt(1);
        } catch (SQLException nothing) {
            return -1; // not even the table is there
        }
    }

    @Test
    void nothingThatWasCommittedIsLost() throws Exception {
        assertThat(left("flushed:powercut:")).isEqualTo(MANY);
    }

    @Test
    void withoutFlushingItWouldBe() throws Exception {
        assertThat(left("powercut:")).isLessThan(MANY);
    }

    @Test
    void theServersDatabaseLiesOnFilesThatAreFlushed() throws Exception {
        assertThat(new ClassPathResource("application.yaml")
                        .getContentAsString(java.nio.charset.StandardCharsets.UTF_8))
                .contains("jdbc:h2:flushed:");
    }
}
