package app.matsuri.exchange.repace;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.repace.Optimum;
import app.matsuri.core.repace.Pacing;
import app.matsuri.core.repace.Scorer;
import app.matsuri.core.repace.Stretch;
import java.io.IOException;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** The optimum on generated instances whose optima were proved outside this project (instances/README.md says how). */
class InstancesTest {

    static Stream<String> names() {
        return Stream.of(
                "00-demo",
                "01-s20",
                "02-s20-long",
                "03-s24-long",
                "04-s30",
                "05-s30-tight",
                "06-s40",
                "07-s44-mwf",
                "08-s50-long",
                "09-s60",
                "10-s60-long",
                "11-s74",
                "12-s74-reserve",
                "13-s90",
                "14-s90-long",
                "15-s120",
                "16-s120-long",
                "17-s150",
                "18-s180-b",
                "19-s180-long");
    }

    @ParameterizedTest
    @MethodSource("names")
    void costsWhatWasProved(String name) throws IOException {
        JsonNode json = Instances.read(name);
        Stretch stretch = Instances.stretch(json);
        Pacing best = Optimum.of(stretch);
        assertThat(Scorer.total(Scorer.costs(stretch, best)))
                .isEqualTo(json.path("optimum").longValue());
    }
}
