package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanFile;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import tools.jackson.databind.JsonNode;

/** Changes made one after the other to the first term of the demo, and what the plan has to be after each. */
final class Writes {

    /** The last version of which the application said that it is stored. */
    private final AtomicLong told;

    private final AtomicReference<Throwable> wrong = new AtomicReference<>();

    /** The version before the first of them. */
    private final long begun;

    /** What the plan was when they began, and after each. */
    private final List<Decisions> expected = new ArrayList<>();

    Writes(Client client) throws IOException, InterruptedException {
        begun = version(client);
        told = new AtomicLong(begun);
        expected.add(PlanFile.read(client.get("/api/terms/1/plan")).decisions());
    }

    /** The n-th change: one that touches few rows, then one that touches many, and so on. */
    static String change(long n) {
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

    static long version(Client client) throws IOException, InterruptedException {
        return Json.read(client.get("/api/terms/1/history")).path("version").asLong();
    }

    long told() {
        return told.get();
    }

    /** Goes on writing until the connection breaks. */
    Thread begin(Client client) {
        Thread writer = new Thread(() -> {
            try {
                long version = version(client);
                while (step(client, version).statusCode() == 200) {
                    version++;
                }
            } catch (IOException | InterruptedException e) {
                // the process was killed, as it was meant to be
            }
        });
        writer.setUncaughtExceptionHandler((thread, e) -> wrong.set(e));
        writer.start();
        return writer;
    }

    /** Makes the change that comes after a version. */
    HttpResponse<String> step(Client client, long version) throws IOException, InterruptedException {
        String body = "{\"version\":" + version + ",\"seen\":false,\"change\":" + change(version) + "}";
        HttpResponse<String> answer = client.send("/api/terms/1/changes", "application/json", body);
        if (answer.statusCode() == 200) {
            told.set(version + 1);
        } else if (answer.statusCode() != 502) { // of who stands before several servers
            throw new IllegalStateException(answer.body());
        }
        return answer;
    }

    /** What was told is kept, and what is kept is the last complete step; its version. */
    long compared(Client client, String when) throws IOException, InterruptedException {
        assertThat(wrong.get()).isNull();
        long version = version(client);
        assertThat(version).as("what was told is kept").isBetween(told.get(), told.get() + 1);
        while (begun + expected.size() <= version) {
            JsonNode change = Json.read(change(begun + expected.size() - 1));
            expected.add(Change.make(ChangeJson.read(change).change(), expected.get(expected.size() - 1))
                    .decisions());
        }
        as(client, version, when);
        assertThat(Json.read(client.get("/api/terms/1/history")).path("lines").size())
                .isEqualTo((int) version);
        told.set(version);
        return version;
    }

    /** The plan is as it was at a version. */
    void as(Client client, long version, String when) throws IOException, InterruptedException {
        assertThat(PlanFile.read(client.get("/api/terms/1/plan")).decisions())
                .as("%s, version %d", when, version)
                .isEqualTo(expected.get((int) (version - begun)));
    }
}
