package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Two servers on one PostgreSQL, every request at the next of them: who is signed in, what is stored, and a crash of one. */
@Order(1)
class TwoServersTest {

    private static final List<String> VIEWS =
            List.of("wall", "lanes", "dates", "findings", "calendar", "courses", "history", "hours", "telling", "plan");

    @TempDir
    Path folder;

    private App started(EmbeddedPostgres database, String name) throws Exception {
        Path data = Files.createDirectory(folder.resolve(name));
        if (Files.exists(folder.resolve("one"))) {
            Path key = folder.resolve("one").resolve("links.key");
            if (Files.exists(key)) {
                Files.copy(key, data.resolve("links.key"));
            }
        }
        return App.over(
                data,
                true,
                "--spring.datasource.url=" + database.getJdbcUrl("postgres", "postgres"),
                "--spring.datasource.username=postgres");
    }

    @Test
    void twoAreAsOne() throws Exception {
        try (EmbeddedPostgres database = EmbeddedPostgres.start();
                App one = started(database, "one");
                App two = started(database, "two");
                RoundRobin both = new RoundRobin(List.of(one, two))) {
            Client client = new Client(both.url(), "tolvanen");
            whatOneReadTheOtherHas(client);
            sameEverywhere(client, one, two);
            Writes writes = new Writes(client);
            oneIsKilledInMidWrite(client, writes, one);
            long version = writes.compared(client.at(two.url("")), "after one was killed");
            one.start();
            writes.as(client.at(one.url("")), version, "on the one that was killed");
            sameEverywhere(client, one, two);
            assertThat(tenAtOnce(both))
                    .as("each made all of theirs, and nobody's is lost")
                    .isEqualTo(20);
            sameEverywhere(client, one, two);
        }
    }

    /** A file that one server read is rolled over by the other. */
    private void whatOneReadTheOtherHas(Client client) throws Exception {
        byte[] plan = Files.readAllBytes(Path.of("..", "demo", "autumn-2026.json"));
        String read = client.send(
                        "/api/rollover-sources",
                        "application/json",
                        Json.MAPPER.writeValueAsString(
                                Map.of("name", "autumn.json", "content", plan, "course", "HYD 210")))
                .body();
        String source = Json.read(read).path("id").stringValue(read);
        for (int n = 0; n < 2; n++) {
            HttpResponse<String> looked = client.send(
                    "/api/rollover-previews",
                    "application/json",
                    "{\"source\":\"" + source + "\",\"to\":1,\"courses\":[\"HYD 210\"],\"units\":[],\"by\":\"class\","
                            + "\"taken\":[],\"fit\":false,\"again\":false}");
            assertThat(looked.statusCode()).as(looked.body()).isEqualTo(200);
        }
    }

    private void sameEverywhere(Client client, App one, App two) throws Exception {
        for (String view : VIEWS) {
            String path = "/api/terms/1/" + view;
            String there = client.at(one.url("")).get(path);
            assertThat(there)
                    .as(view)
                    .isEqualTo(client.at(two.url("")).get(path))
                    .doesNotContain("\"status\":4");
        }
    }

    private void oneIsKilledInMidWrite(Client client, Writes writes, App one) throws Exception {
        long version = Writes.version(client);
        int refused = 0;
        for (int n = 0; n < 40; n++) {
            if (n == 12) {
                Thread killer = new Thread(one::kill);
                killer.start();
            }
            HttpResponse<String> answer = writes.step(client, version);
            if (answer.statusCode() == 200) {
                version++;
            } else {
                refused++;
                HttpResponse<String> again = client.tried("/api/terms/1/history");
                again = again.statusCode() == 502 ? client.tried("/api/terms/1/history") : again;
                version = Json.read(again.body()).path("version").asLong();
            }
        }
        assertThat(refused).as("asked at the one that was killed").isPositive();
        assertThat(version).as("the other one went on").isGreaterThan(20);
    }

    /** Ten clients make two changes each, again and again until they are first; how many were made. */
    private int tenAtOnce(RoundRobin both) throws Exception {
        List<Client> clients = new java.util.ArrayList<>();
        for (int n = 0; n < 10; n++) {
            clients.add(new Client(both.url(), "tolvanen"));
        }
        long before = Writes.version(clients.get(0));
        IntStream.range(0, 10).parallel().forEach(n -> {
            try {
                for (int made = 0; made < 2; ) {
                    long version = Writes.version(clients.get(n));
                    JsonNode change = Json.read("{\"kind\":\"add-closure\",\"closure\":{\"first\":\"2026-10-09\","
                            + "\"last\":\"2026-10-09\",\"reason\":\"At once " + n + " " + made + "\"}}");
                    HttpResponse<String> answer = clients.get(n)
                            .send(
                                    "/api/terms/1/changes",
                                    "application/json",
                                    "{\"version\":" + version + ",\"change\":" + Json.write(change) + "}");
                    assertThat(answer.statusCode()).as(answer.body()).isIn(200, 409);
                    made += answer.statusCode() == 200 ? 1 : 0;
                }
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        String plan = clients.get(0).get("/api/terms/1/plan");
        for (int n = 0; n < 10; n++) {
            assertThat(plan).contains("At once " + n + " 0", "At once " + n + " 1");
        }
        return (int) (Writes.version(clients.get(0)) - before);
    }
}
