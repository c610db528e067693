package app.matsuri.server.disk;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.MatsuriApplication;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.change.ChangeService;
import app.matsuri.server.history.History;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.DriverManager;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.builder.SpringApplicationBuilder;

/**
 * A database as an earlier version left it, with its data, opened by this one: {@code upgrade/v25.sql.gz} is a script of the
 * demo's at version 25 of the schema after thirteen steps, the last ones undone and one of them done again.
 */
class UpgradeTest {

    @TempDir
    Path folder;

    private static InputStream kept(String name) {
        return UpgradeTest.class.getResourceAsStream("/upgrade/" + name);
    }

    private static Decisions plan() throws IOException {
        try (InputStream file = new GZIPInputStream(kept("v25-plan.json.gz"))) {
            return PlanFile.read(file.readAllBytes()).decisions();
        }
    }

    @Test
    void whatWasThereIsThereAndItsHistoryGoesOn() throws Exception {
        Path script = folder.resolve("v25.sql.gz");
        try (InputStream file = kept("v25.sql.gz")) {
            Files.copy(file, script, StandardCopyOption.REPLACE_EXISTING);
        }
        try (var old = DriverManager.getConnection("jdbc:h2:file:" + folder.resolve("matsuri"), "sa", "")) {
            old.createStatement().execute("runscript from '" + script + "' compression gzip");
        }
        try (var server = new SpringApplicationBuilder(MatsuriApplication.class)
                .run("--matsuri.data=" + folder, "--matsuri.today=2026-10-07", "--server.port=0")) {
            TermStore store = server.getBean(TermStore.class);
            ChangeService changes = server.getBean(ChangeService.class);
            History history = server.getBean(History.class);
            SignedIn by = server.getBean(Accounts.class).find("tolvanen").orElseThrow();
            Stored stored = store.any(1);
            assertThat(stored.decisions()).isEqualTo(plan());
            assertThat(history.lines(1)).hasSize((int) stored.version());
            assertThat(history.ends(1).undo().orElseThrow().sentence()).contains("New 2");
            assertThat(history.ends(1).redo().orElseThrow().sentence()).contains("Old step 3");
            long version = stored.version();
            for (int n = 0; n < 6; n++) {
                version = changes.undo(by, 1, version).stored().version();
            }
            assertThat(history.ends(1).undo()).isEmpty();
            for (int n = 0; n < 6; n++) {
                version = changes.redo(by, 1, version).stored().version();
            }
            assertThat(store.any(1).decisions()).isEqualTo(plan());
        }
    }
}
