package app.matsuri.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.Files;
import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

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
}
