package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Random;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A crash at any moment leaves the last complete step: the real process is killed during writes and compared. */
@Order(1)
class KillTest {

    /** How often: {@code -DargLine=-Dkills=100} for a long look. */
    private static final int KILLS = Integer.getInteger("kills", 2);

    @Test
    void theLastCompleteStepIsThereAfterEachKill(@TempDir Path data) throws Exception {
        Random random = new Random(20261009);
        long changed = 0;
        try (App app = App.over(data, true)) {
            Client client = new Client(app.url(""), "tolvanen");
            Writes writes = new Writes(client);
            for (int kill = 0; kill < KILLS; kill++) {
                long had = writes.told();
                Thread writer = writes.begin(client);
                for (int i = 0; i < 1500 && writes.told() == had && writer.isAlive(); i++) {
                    Thread.sleep(10);
                }
                Thread.sleep(random.nextInt(300)); // within the writes that go on behind the first one
                app.kill();
                writer.join(20_000);
                app.start();
                client = client.at(app.url("")); // who was signed in still is
                changed = writes.compared(client, "after kill " + kill);
            }
            assertThat(changed).as("writes went on while it was killed").isGreaterThan(KILLS);
            long back = Math.max(1, changed - 5);
            for (long version = changed; version < changed + changed - back; version++) {
                client.send("/api/terms/1/undo", "application/json", "{\"version\":" + version + "}");
            }
            writes.as(client, back, "undone");
        }
    }
}
