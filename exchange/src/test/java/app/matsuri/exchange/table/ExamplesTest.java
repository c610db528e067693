package app.matsuri.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.Files;
import app.matsuri.exchange.plan.PlanFile;
import java.io.StringWriter;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Twenty random plans with every date worked out by an independent reading of the rules (the files beside this test's
 * resources); the table must be the same to the byte.
 */
class ExamplesTest {

    @ParameterizedTest
    @MethodSource("app.matsuri.exchange.Files#examples")
    void agreesRowForRow(String name) {
        PlanFile.Reading reading = PlanFile.read(Files.example(name + ".json"));
        assertThat(reading.decisions()).isNotNull();
        StringWriter out = new StringWriter();
        DatesTable.write(reading.decisions(), Schedule.of(reading.decisions()), out);
        assertThat(out.toString()).isEqualTo(Files.example(name + ".csv"));
    }
}
