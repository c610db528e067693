package app.matsuri.exchange.repace;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Weights;
import app.matsuri.core.repace.Optimum;
import app.matsuri.core.repace.Pacing;
import app.matsuri.core.repace.Scorer;
import app.matsuri.core.repace.Stretch;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.repace.Stretch.Slot;
import app.matsuri.exchange.plan.Json;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** The optimum on generated instances whose optima were proved outside this project (instances/README.md says how). */
class InstancesTest {

    private static final Map<String, Weights.Cost> NAMES =
            Map.of("straddle", Weights.Cost.ACROSS, "drop", Weights.Cost.LEAVE_OUT, "late", Weights.Cost.NO_ROOM);

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

    private static JsonNode read(String name) throws IOException {
        try (InputStream in = InstancesTest.class.getResourceAsStream("/instances/" + name + ".json")) {
            return Json.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        }
    }

    private static Stretch stretch(JsonNode json) {
        List<LocalDate> dates = new ArrayList<>();
        List<Slot> slots = new ArrayList<>();
        for (int i = 0; i < json.path("sessions").size(); i++) {
            LocalDate date = LocalDate.parse(json.path("sessions").get(i).stringValue());
            int breaks = 0;
            for (JsonNode off : json.path("breaks")) {
                breaks += LocalDate.parse(off.get(1).stringValue()).isBefore(date) ? 1 : 0;
            }
            dates.add(date);
            slots.add(new Slot(date, json.path("firstOfWeek").get(i).intValue() == 1, breaks));
        }
        Map<String, Integer> units = new HashMap<>();
        Map<String, Boolean> keeps = new HashMap<>();
        json.path("lessons").forEach(l -> {
            units.putIfAbsent(l.path("unit").asString(), units.size());
            keeps.merge(l.path("unit").asString(), l.path("weekStart").asBoolean(), Boolean::logicalOr);
        });
        List<Asked> lessons = new ArrayList<>();
        for (JsonNode l : json.path("lessons")) {
            String pin = l.path("pin").stringValue(null);
            int at = pin == null ? -1 : dates.indexOf(LocalDate.parse(pin));
            lessons.add(new Asked(
                    l.path("name").stringValue(),
                    units.get(l.path("unit").asString()),
                    l.path("length").intValue(),
                    l.path("minLength").intValue(),
                    pin != null && at < 0 ? -2 : at,
                    l.path("reserve").asBoolean(),
                    l.path("optional").asBoolean(),
                    false,
                    l.path("weekStart").asBoolean(),
                    keeps.get(l.path("unit").asString()),
                    null,
                    false,
                    -1));
        }
        Map<Weights.Cost, Integer> costs = new HashMap<>();
        json.path("weights").properties().forEach(e -> {
            Weights.Cost cost = NAMES.get(e.getKey());
            for (Weights.Cost one : Weights.Cost.values()) {
                cost = one.word().equals(e.getKey()) ? one : cost;
            }
            if (cost != null) {
                costs.put(cost, e.getValue().intValue());
            }
        });
        return new Stretch(slots, lessons, null, new Weights(costs));
    }

    @ParameterizedTest
    @MethodSource("names")
    void costsWhatWasProved(String name) throws IOException {
        JsonNode json = read(name);
        Stretch stretch = stretch(json);
        Pacing best = Optimum.of(stretch);
        assertThat(Scorer.total(Scorer.costs(stretch, best)))
                .isEqualTo(json.path("optimum").longValue());
    }
}
