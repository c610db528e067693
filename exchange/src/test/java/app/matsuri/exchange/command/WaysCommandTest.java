package app.matsuri.exchange.command;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The command that prints ways out. */
class WaysCommandTest {

    private record Ran(int status, String out, String err) {}

    private static Ran run(String... arguments) throws IOException {
        StringWriter out = new StringWriter();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        int status = WaysCommand.run(arguments, out, new PrintStream(err, true, StandardCharsets.UTF_8));
        return new Ran(status, out.toString(), err.toString(StandardCharsets.UTF_8));
    }

    private static final String DEMO = "../demo/autumn-2026.json";

    @Test
    void printsEveryWayWithItsCostItsStepsAndItsSessions() throws IOException {
        Ran ran = run(DEMO, "--section", "HYD 210/A", "--close", "2026-10-09", "--by", "2026-10-28", "--tidy");
        assertThat(ran.err()).isEmpty();
        assertThat(ran.status()).isZero();
        JsonNode ways = Json.read(ran.out()).path("ways");
        assertThat(ways.valueStream().map(w -> w.path("name").stringValue()))
                .contains(
                        "let-it-slide",
                        "catch-up-in-unit",
                        "catch-up-by-pin",
                        "catch-up-by-date",
                        "leave-it-out",
                        "tidy-the-weeks");
        for (JsonNode way : ways) {
            long sum = way.path("cost")
                    .valueStream()
                    .mapToLong(JsonNode::longValue)
                    .sum();
            assertThat(way.path("total").longValue())
                    .as(way.path("name").stringValue())
                    .isEqualTo(sum);
            assertThat(way.path("cost").size()).isEqualTo(12);
            assertThat(way.path("sessions").size()).isEqualTo(40);
        }
        JsonNode unit = ways.valueStream()
                .filter(w -> w.path("name").stringValue().equals("catch-up-in-unit"))
                .findFirst()
                .orElseThrow();
        assertThat(unit.path("steps").get(0).path("kind").stringValue()).isEqualTo("join");
        assertThat(unit.path("sessions").path("SE1").get(0).stringValue()).isEqualTo("2026-10-23T10:00");
    }

    @Test
    void aRecordOfNotReachedHasItsWaysOutAndTakesWhatWasHeldAsHeld(@TempDir Path folder) throws IOException {
        Path plan = folder.resolve("plan.json");
        JsonNode demo = Json.read(Files.readString(Path.of(DEMO)));
        demo.path("courses")
                .forEach(course -> course.path("sections").forEach(section -> ((ObjectNode) section).remove("taught")));
        Files.writeString(plan, Json.write(demo));
        Path change = folder.resolve("not-reached.json");
        Files.writeString(change, """
                { "kind": "record-taught", "course": "HYD 210", "section": "B", "session": "2026-10-01T13:00", "lessons": [] }
                """);
        String[] given = {
            plan.toString(), "--section", "HYD 210/B", "--change", change.toString(), "--today", "2026-10-07"
        };
        JsonNode ways = Json.read(run(given).out());
        assertThat(ways.path("held").propertyNames()).first().isEqualTo("2026-09-01T13:00");
        assertThat(ways.path("held").propertyNames()).last().isEqualTo("2026-09-29T13:00");
        assertThat(ways.path("chosen").stringValue()).isNotEqualTo("leave-it-out");
        JsonNode open = Json.read(run(Arrays.copyOf(given, 5)).out());
        assertThat(open.path("held").isEmpty())
                .as("without a day nothing counts as held")
                .isTrue();
    }

    @Test
    void whatIsWrongIsSaidWithHowToWriteIt() throws IOException {
        assertThat(run(DEMO).err()).contains("section").contains("Usage");
        assertThat(run(DEMO, "--section", "X/Y").err()).contains("no section");
        assertThat(run(DEMO, "--section", "HYD 210/A", "--close", "soon").err()).contains("no date");
        assertThat(run(DEMO, "--section", "HYD 210/A", "--fast").err()).contains("not understood");
        assertThat(run(DEMO, "--section", "HYD 210/B", "--tidy").status())
                .as("paced by minutes")
                .isZero();
        assertThat(run("none.json", "--section", "A/B").status()).isEqualTo(2);
    }
}
