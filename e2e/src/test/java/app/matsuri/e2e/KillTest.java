package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanFile;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A crash at any moment leaves the last complete step: the real process is killed during writes and compared. */
@Order(1)
class KillTest {

    /** How often: {@code -DargLine=-Dkills=100} for a long look. */
    private static final int KILLS = Integer.getInteger("kills", 2);

    /** The n-th change: one that touches few rows, then one that touches many, and so on. */
    private static String change(long n) {
        String day = LocalDate.of(2026, 10, 14).plusDays(n % 60).toString();
        return n % 3 == 0
                ? "{\"kind\":\"put-lesson\",\"course\":\"HYD 210\",\"unit\":\"RE\",\"lesson\":{\"id\":\"N" + n
                        + "\",\"title\":\"New " + n + "\"},\"before\":\"RE1\"}"
                : n % 3 == 1
                        ? "{\"kind\":\"add-closure\",\"closure\":{\"first\":\"" + day + "\",\"last\":\"" + day
                                + "\",\"reason\":\"Step " + n + "\"}}"
                        : "{\"kind\":\"move\",\"course\":\"HYD 210\",\"items\":[\"report\",\"proposal\",\"topic\"],\"to\":\""
                                + day + "\"}";
    }

    private static long version(Client client) throws IOException, InterruptedException {
        return Json.read(client.get("/api/terms/1/history")).path("version").asLong();
    }

    @Test
    void theLastCompleteStepIsThereAfterEachKill(@TempDir Path data) throws Exception {
        Random random = new Random(20261009);
        AtomicLong told = new AtomicLong(1);
        long changesTried = 0;
        try (App app = App.over(data, true)) {
            List<Decisions> expected = new ArrayList<>();
            expected.add(null); // there is no version 0
            Client client = new Client(app, "tolvanen");
            expected.add(PlanFile.read(client.get("/api/terms/1/plan")).decisions());
            for (int kill = 0; kill < KILLS; kill++) {
                Client writing = client;
                Thread writer = new Thread(() -> {
                    try {
                        long version = version(writing);
                        while (true) {
                            String body =
                                    "{\"version\":" + version + ",\"seen\":false,\"change\":" + change(version) + "}";
                            HttpResponse<String> answer =
                                    writing.send("/api/terms/1/changes", "application/json", body);
                            if (answer.statusCode() != 200) {
                                throw new IllegalStateException(answer.body());
                            }
                            told.set(++version);
                        }
                    } catch (IOException | InterruptedException e) {
                        // the process was killed, as it was meant to be
                    }
                });
                AtomicReference<Throwable> wrong = new AtomicReference<>();
                writer.setUncaughtExceptionHandler((thread, e) -> wrong.set(e));
                writer.start();
                long had = told.get();
                for (int i = 0; i < 1500 && told.get() == had && writer.isAlive(); i++) {
                    Thread.sleep(10);
                }
                Thread.sleep(random.nextInt(300)); // within the writes that go on behind the first one
                app.kill();
                writer.join(20_000);
                assertThat(wrong.get()).isNull();
                app.start();
                client = new Client(app, "tolvanen");
                long version = version(client);
                assertThat(version).as("what was told is kept").isBetween(told.get(), told.get() + 1);
                while (expected.size() <= version) {
                    Change change = ChangeJson.read(Json.read(change(expected.size() - 1)))
                            .change();
                    expected.add(Change.make(change, expected.get(expected.size() - 1))
                            .decisions());
                }
                Decisions stored =
                        PlanFile.read(client.get("/api/terms/1/plan")).decisions();
                assertThat(stored)
                        .as("after kill %d, version %d", kill, version)
                        .isEqualTo(expected.get((int) version));
                assertThat(Json.read(client.get("/api/terms/1/history"))
                                .path("lines")
                                .size())
                        .isEqualTo((int) version);
                told.set(version);
                changesTried = version;
            }
            assertThat(changesTried).as("writes went on while it was killed").isGreaterThan(KILLS);
            for (long version = version(client); version > Math.max(1, changesTried - 5); version--) {
                client.send("/api/terms/1/undo", "application/json", "{\"version\":" + version(client) + "}");
            }
            assertThat(PlanFile.read(client.get("/api/terms/1/plan")).decisions())
                    .isEqualTo(expected.get((int) Math.max(1, changesTried - 5)));
        }
    }
}
