package app.matsuri.server.hostile;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.Bodies;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import app.matsuri.server.change.EveryChangeHttpTest;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

/**
 * Requests as nobody means them, over everything that reads: each ends in an answer that is no fault of the server, and
 * what is stored can be read and shown. As many as {@code matsuri.fuzz} says, from the seed {@code matsuri.fuzz-seed}.
 */
class MutatedRequestsTest extends DemoTest {

    private static final int MANY = Integer.getInteger("matsuri.fuzz", 5_000);
    private static final long SEED = Long.getLong("matsuri.fuzz-seed", 20_260_831L);

    /** What is slower than this, in milliseconds, is said; no assertion, as machines differ. */
    private static final long SLOW = 2_000;

    private static final List<String> VIEWS = List.of(
            "/wall",
            "/lanes",
            "/dates",
            "/findings",
            "/calendar",
            "/courses",
            "/history",
            "/goes",
            "/telling",
            "/plan",
            "/hours",
            "/sheet");

    /** Where files are read: the address, and the body around the content. */
    private static final Map<String, String> READERS = Map.of(
            "/days-off/read", "{\"name\":\"%s\",\"content\":\"%s\"}",
            "/timetable/read", "{\"name\":\"%s\",\"content\":\"%s\"}",
            "/roster/read", "{\"course\":\"HYD 210\",\"section\":\"A\",\"name\":\"%s\",\"content\":\"%s\"}",
            "/outline/reading", "{\"course\":\"HYD 210\",\"name\":\"%s\",\"content\":\"%s\"}",
            "/dates/reading", "{\"name\":\"%s\",\"content\":\"%s\"}",
            "/grade-book", "{\"name\":\"%s\",\"content\":\"%s\"}");

    private static final Runtime RUNTIME = Runtime.getRuntime();

    private final Random random = new Random(SEED);
    private final Nasty nasty = new Nasty(random);
    private final Map<String, byte[]> files = new TreeMap<>();
    private final List<String> changes = new ArrayList<>();
    private final List<Map.Entry<String, HttpMethod>> operations = new ArrayList<>();
    private final List<String> wrong = new ArrayList<>();
    private final Map<String, Long> slow = new LinkedHashMap<>();

    @BeforeEach
    void gather() throws IOException {
        for (String folder : List.of(
                "../demo",
                "../exchange/src/test/resources/calendars",
                "../exchange/src/test/resources/schools",
                "../exchange/src/test/resources/sheets",
                "../exchange/src/test/resources/examples")) {
            try (Stream<Path> all = Files.list(Path.of(folder))) {
                for (Path file : all.filter(Files::isRegularFile).sorted().toList()) {
                    files.put(file.getFileName().toString(), Files.readAllBytes(file));
                }
            }
        }
        EveryChangeHttpTest.changes().map(c -> c.replace('\'', '"')).forEach(changes::add);
        Bodies.operations()
                .properties()
                .forEach(path -> path.getValue()
                        .properties()
                        .forEach(operation -> operations.add(Map.entry(
                                path.getKey(),
                                HttpMethod.valueOf(operation.getKey().toUpperCase())))));
    }

    @Test
    void noneEndsInAFaultOfTheServer() throws Exception {
        Map<Integer, Integer> answers = new TreeMap<>();
        for (int i = 1; i <= MANY; i++) {
            answers.merge(one(), 1, Integer::sum);
            if (i % 5_000 == 0) {
                System.out.println("after " + i + " requests: " + answers + ", " + wrong.size() + " wrong, " + live()
                        + " MB of heap in use");
            }
            if (i % 200 == 0) {
                views("after " + i);
            }
            if (i % 400 == 0) {
                browser = Browser.of(mvc, accounts);
                term = browser.open(Browser.demo());
                at = "/api/terms/" + term;
            }
        }
        // said and not asserted: machines differ
        System.out.println("answers " + answers + ", slower than " + SLOW + " ms: " + slow);
        assertThat(wrong).isEmpty();
        assertThat(answers).containsKeys(200, 400, 404, 422);
    }

    /** What is reachable, in megabytes: the heap behind a collection, in which what is only garbage is gone. */
    private static long live() {
        System.gc();
        return (RUNTIME.totalMemory() - RUNTIME.freeMemory()) / 1_000_000;
    }

    private int one() throws Exception {
        int kind = random.nextInt(100);
        if (kind < 35) {
            return change();
        }
        if (kind < 60) {
            return operation();
        }
        if (kind < 75) {
            return file();
        }
        if (kind < 85) {
            return plan();
        }
        return words();
    }

    private static Object tree(String json) {
        return Json.MAPPER.treeToValue(Json.read(json), Object.class);
    }

    private int change() throws Exception {
        Object change = tree(changes.get(random.nextInt(changes.size())));
        for (int times = random.nextInt(3); times >= 0; times--) {
            change = nasty.tree(change);
        }
        String body = Json.MAPPER.writeValueAsString(change);
        if (random.nextInt(3) == 0) {
            return send(
                    HttpMethod.POST,
                    at + "/proposals?view=" + of("wall", "lanes", "courses", "dates") + "&section=A&course=HYD%20210",
                    body);
        }
        JsonNode standing = browser.get(at + "/standing").body();
        return send(
                HttpMethod.POST,
                at + "/changes",
                "{\"version\":" + standing.path("version").asLong() + ",\"change\":" + body + "}");
    }

    private String of(String... some) {
        return some[random.nextInt(some.length)];
    }

    private int operation() throws Exception {
        Map.Entry<String, HttpMethod> operation = operations.get(random.nextInt(operations.size()));
        String path = operation.getKey();
        String address = path.replace("{termId}", random.nextInt(20) == 0 ? encoded(nasty.text()) : Long.toString(term))
                .replace("{seq}", "1");
        while (address.contains("{")) {
            address = address.replaceFirst("\\{\\w+\\}", "1".repeat(random.nextInt(3)) + encoded(nasty.text()));
        }
        StringBuilder query = new StringBuilder();
        for (JsonNode parameter : Bodies.operations()
                .path(path)
                .path(operation.getValue().name().toLowerCase())
                .path("parameters")) {
            if (parameter.path("in").stringValue("").equals("query") && random.nextInt(4) > 0) {
                String value = switch (parameter.path("name").stringValue("")) {
                    case "course" -> "HYD 210";
                    case "section" -> "A";
                    default -> nasty.text();
                };
                query.append(query.isEmpty() ? "?" : "&")
                        .append(parameter.path("name").stringValue())
                        .append('=')
                        .append(encoded(random.nextInt(3) == 0 ? nasty.text() : value));
            }
        }
        String body = operation.getValue() == HttpMethod.GET
                ? null
                : Json.MAPPER.writeValueAsString(nasty.tree(tree(Bodies.of(operation.getValue(), path))));
        return send(operation.getValue(), address + query, body);
    }

    private static String encoded(String text) {
        String encoded = URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
        return encoded.length() > 3_000
                ? encoded.substring(0, 3_000).replaceFirst("%.?$", "")
                : encoded.isEmpty() ? "x" : encoded;
    }

    private int file() throws Exception {
        List<String> names = new ArrayList<>(files.keySet());
        String name = names.get(random.nextInt(names.size()));
        String to = new ArrayList<>(new TreeMap<>(READERS).keySet()).get(random.nextInt(READERS.size()));
        String content = Base64.getEncoder().encodeToString(nasty.bytes(files.get(name)));
        String called = random.nextInt(5) == 0
                ? "x" + of(".csv", ".xlsx", ".ics", ".txt", ".html", ".docx", ".imscc", ".pdf", "")
                : name;
        HttpMethod method = to.equals("/grade-book") ? HttpMethod.PUT : HttpMethod.POST;
        return send(method, at + to, String.format(READERS.get(to), called, content));
    }

    private int plan() throws Exception {
        List<String> plans = files.keySet().stream()
                .filter(n -> n.endsWith(".json") && !n.contains("truth") && !n.startsWith("flood"))
                .toList();
        byte[] given = files.get(plans.get(random.nextInt(plans.size())));
        byte[] body = nasty.bytes(given);
        if (random.nextInt(4) > 0) {
            Object tree = tree(new String(given, StandardCharsets.UTF_8));
            for (int times = random.nextInt(3); times >= 0; times--) {
                tree = nasty.tree(tree);
            }
            body = Json.MAPPER.writeValueAsBytes(tree);
        }
        Map<String, Object> before = new HashMap<>(Map.of("term", term));
        Browser.Answer made = ask(HttpMethod.POST, "/api/terms", body, "application/octet-stream");
        if (made != null && made.status() == 201) {
            term = made.body().path("id").asLong();
            at = "/api/terms/" + term;
            views("of a plan that was taken");
            term = (Long) before.get("term");
            at = "/api/terms/" + term;
        }
        return made == null ? 500 : made.status();
    }

    private int words() throws Exception {
        String text = encoded(random.nextInt(3) == 0 ? nasty.text() : nasty.text() + " " + nasty.text());
        return switch (random.nextInt(6)) {
            case 0 -> send(HttpMethod.GET, at + "/days?text=" + text, null);
            case 1 -> send(HttpMethod.GET, at + "/times?text=" + text, null);
            case 2 -> send(HttpMethod.GET, at + "/meetings?text=" + text, null);
            case 3 -> send(HttpMethod.GET, at + "/rules?course=HYD%20210&lesson=CH2&which=due&text=" + text, null);
            case 4 ->
                send(
                        HttpMethod.POST,
                        at + "/outline/line",
                        Json.MAPPER.writeValueAsString(Map.of(
                                "course",
                                "HYD 210",
                                "level",
                                of("unit", "lesson", "work", "notice"),
                                "unit",
                                "CH",
                                "text",
                                nasty.text() + " " + nasty.text())));
            default ->
                send(
                        HttpMethod.POST,
                        at + "/outline/day",
                        Json.MAPPER.writeValueAsString(Map.of(
                                "course",
                                "HYD 210",
                                "section",
                                "A",
                                "date",
                                "2026-10-09",
                                "text",
                                nasty.text() + " " + nasty.text())));
        };
    }

    private void views(String when) throws Exception {
        for (String view : VIEWS) {
            String query = view.equals("/findings") || view.equals("/lanes") ? "" : "?course=HYD%20210&section=A";
            int status = send(HttpMethod.GET, at + view + query, null);
            assertThat(status).as(when + " " + view).isNotEqualTo(401);
        }
    }

    private int send(HttpMethod method, String address, String body) throws Exception {
        Browser.Answer answer =
                ask(method, address, body == null ? null : body.getBytes(StandardCharsets.UTF_8), "application/json");
        return answer == null ? 500 : answer.status();
    }

    private Browser.Answer ask(HttpMethod method, String address, byte[] body, String type) {
        long begun = System.nanoTime();
        String what = method + " " + address + " " + (body == null ? "" : new String(body, StandardCharsets.UTF_8));
        String said = what.substring(0, Math.min(what.length(), 700));
        try {
            Browser.Answer answer = browser.ask(method, address, body, type);
            String text = answer.body().toString();
            if (answer.status() >= 500 || text.contains("app.matsuri") || text.contains("java.")) {
                wrong.add(answer.status() + " " + said);
            }
            return answer;
        } catch (Exception | StackOverflowError | OutOfMemoryError e) {
            wrong.add(e + " " + said);
            return null;
        } finally {
            long ms = (System.nanoTime() - begun) / 1_000_000;
            if (ms > SLOW) {
                slow.put(said.substring(0, Math.min(said.length(), 200)), ms);
            }
        }
    }
}
