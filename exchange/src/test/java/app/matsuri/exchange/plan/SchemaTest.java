package app.matsuri.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.Files;
import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The JSON Schema that ships, by a validator library: what the reader takes it takes, and what is written fits it. */
class SchemaTest {

    private static final JsonSchema SCHEMA = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
            .getSchema(SchemaTest.class.getResourceAsStream("/plan-file.schema.json"));

    private static boolean fits(String text) {
        return SCHEMA.validate(text, InputFormat.JSON).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("app.matsuri.exchange.Files#examples")
    void theExamplesFitAsTheyAreAndAsTheyAreWritten(String name) {
        String text = Files.example(name + ".json");
        assertThat(SCHEMA.validate(text, InputFormat.JSON)).isEmpty();
        String written = PlanFile.write(PlanFile.read(text).decisions());
        assertThat(SCHEMA.validate(written, InputFormat.JSON)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"autumn-2026.json", "year-2026-27.json"})
    void theDemoFits(String name) throws IOException {
        assertThat(SCHEMA.validate(java.nio.file.Files.readString(Files.demo(name)), InputFormat.JSON))
                .isEmpty();
    }

    @Test
    void whatTheReaderRefusesDoesNotFit() {
        String term = "\"term\": { \"first\": \"2026-08-31\", \"last\": \"2026-12-18\" }";
        assertThat(fits("{ \"matsuri\": 1, " + term + " }")).isTrue();
        for (String wrong : new String[] {
            "{ " + term + " }",
            "{ \"matsuri\": 1 }",
            "{ \"matsuri\": 1, \"term\": { \"first\": \"31 Aug\", \"last\": \"2026-12-18\" } }",
            "{ \"matsuri\": 1, " + term + ", \"courses\": [ { \"title\": \"T\" } ] }",
            "{ \"matsuri\": 1, " + term
                    + ", \"courses\": [ { \"code\": \"C\", \"title\": \"T\", \"units\": [ { \"id\": \"U\","
                    + " \"code\": \"U\", \"title\": \"U\", \"lessons\": [ { \"id\": \"L\", \"title\": \"L\", \"length\": 0 } ] } ] } ] }"
        }) {
            assertThat(fits(wrong)).as(wrong).isFalse();
            assertThat(PlanFile.read(wrong).decisions()).as(wrong).isNull();
        }
    }

    @Test
    void itsBoundsAreTheReadersOwn() throws IOException {
        JsonNode schema = Json.read(new String(
                SchemaTest.class.getResourceAsStream("/plan-file.schema.json").readAllBytes(), StandardCharsets.UTF_8));
        List<String> seen = new ArrayList<>();
        bounds("", schema, false, seen);
        assertThat(seen).hasSizeGreaterThan(150);
    }

    private static void bounds(String field, JsonNode at, boolean element, List<String> seen) {
        if (at.isArray()) {
            at.forEach(each -> bounds(field, each, element, seen));
        }
        if (!at.isObject()) {
            return;
        }
        String type = at.path("type").isString() ? at.path("type").stringValue() : "";
        boolean free = !at.has("pattern") && !at.has("enum") && !at.has("format");
        if (type.equals("string") && free) {
            int most =
                    field.equals("id") || field.equals("code") ? Bounds.ID : element ? Bounds.LINE : Bounds.text(field);
            assertThat(at.path("maxLength").asInt(-1)).as(field).isEqualTo(most);
            seen.add(field);
        }
        if (type.equals("array")) {
            assertThat(at.path("maxItems").asInt(-1)).as(field).isEqualTo(Bounds.list(field));
            seen.add(field);
        }
        if (type.equals("integer") || type.equals("number")) {
            assertThat(at.path("maximum").asInt(-1)).as(field).isBetween(1, Bounds.number(field));
            assertThat(at.path("minimum").asInt(-Integer.MAX_VALUE))
                    .as(field)
                    .isGreaterThanOrEqualTo(-Bounds.number(field));
            seen.add(field);
        }
        at.properties().forEach(e -> {
            if (e.getKey().equals("properties") || e.getKey().equals("$defs")) {
                e.getValue().properties().forEach(named -> bounds(named.getKey(), named.getValue(), false, seen));
            } else {
                bounds(field, e.getValue(), element || e.getKey().equals("items"), seen);
            }
        });
    }
}
