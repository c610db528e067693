package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanFile;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
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

    private static final int KILLS = 12;

    /** One signed-in person at the running application. */
    private static final class Client {
        private final CookieManager cookies = new CookieManager();
        private final HttpClient http =
                HttpClient.newBuilder().cookieHandler(cookies).build();
        private final App app;

        Client(App app) throws Exception {
            this.app = app;
            get("/api/welcome");
            send(
                    "/api/session",
                    "application/x-www-form-urlencoded",
                    "signIn=tolvanen&password=" + URLEncoder.encode("lantern-paper", StandardCharsets.UTF_8));
            get("/api/me");
        }

        String get(String path) throws IOException, InterruptedException {
            return http.send(HttpRequest.newBuilder(URI.create(app.url(path))).build(), BodyHandlers.ofString())
                    .body();
        }

        HttpResponse<String> send(String path, String type, String body) throws IOException, InterruptedException {
            String token = cookies.getCookieStore().getCookies().stream()
                    .filter(c -> c.getName().equals("XSRF-TOKEN"))
                    .findFirst()
                    .orElseThrow()
                    .getValue();
            HttpRequest request = HttpRequest.newBuilder(URI.create(app.url(path)))
                    .header("Content-Type", type)
                    .header("X-XSRF-TOKEN", token)
                    .POST(BodyPublishers.ofString(body))
                    .build();
            return http.send(request, BodyHandlers.ofString());
        }

        long version() throws IOException, InterruptedException {
            return Json.read(get("/api/terms/1/history")).path("version").asLong();
        }
    }

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

    @Test
    void theLastCompleteStepIsThereAfterEachKill(@TempDir Path data) throws Exception {
        Random random = new Random(20261009);
        AtomicLong told = new AtomicLong(1);
        long changesTried = 0;
        try (App app = App.over(data, true)) {
            List<Decisions> expected = new ArrayList<>();
            expected.add(null); // there is no version 0
            expected.add(PlanFile.read(new Client(app).get("/api/terms/1/plan")).decisions());
            for (int kill = 0; kill < KILLS; kill++) {
                Client client = new Client(app);
                Thread writer = new Thread(() -> {
                    try {
                        long version = client.version();
                        while (true) {
                            String body =
                                    "{\"version\":" + version + ",\"seen\":false,\"change\":" + change(version) + "}";
                            HttpResponse<String> answer = client.send("/api/terms/1/changes", "application/json", body);
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
                long before = told.get();
                for (int i = 0; i < 1500 && told.get() == before && writer.isAlive(); i++) {
                    Thread.sleep(10);
                }
                Thread.sleep(random.nextInt(300)); // within the writes that go on behind the first one
                app.kill();
                writer.join(20_000);
                assertThat(wrong.get()).isNull();
                app.start();
                Client after = new Client(app);
                long version = after.version();
                assertThat(version).as("what was told is kept").isBetween(told.get(), told.get() + 1);
                while (expected.size() <= version) {
                    Change change = ChangeJson.read(Json.read(change(expected.size() - 1)))
                            .change();
                    expected.add(Change.make(change, expected.get(expected.size() - 1))
                            .decisions());
                }
                Decisions stored = PlanFile.read(after.get("/api/terms/1/plan")).decisions();
                assertThat(stored)
                        .as("after kill %d, version %d", kill, version)
                        .isEqualTo(expected.get((int) version));
                assertThat(Json.read(after.get("/api/terms/1/history"))
                                .path("lines")
                                .size())
                        .isEqualTo((int) version);
                told.set(version);
                changesTried = version;
            }
            assertThat(changesTried).as("writes went on while it was killed").isGreaterThan(KILLS);
            Client last = new Client(app);
            for (long version = last.version(); version > Math.max(1, changesTried - 5); version--) {
                last.send("/api/terms/1/undo", "application/json", "{\"version\":" + last.version() + "}");
            }
            assertThat(PlanFile.read(last.get("/api/terms/1/plan")).decisions())
                    .isEqualTo(expected.get((int) Math.max(1, changesTried - 5)));
        }
    }
}
