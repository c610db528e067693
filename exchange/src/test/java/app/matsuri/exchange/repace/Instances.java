package app.matsuri.exchange.repace;

import app.matsuri.core.plan.Weights;
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
import tools.jackson.databind.JsonNode;

/** Generated instances of re-pacing with optima that were proved outside this project (instances/README.md says how). */
public final class Instances {

    private static final Map<String, Weights.Cost> NAMES =
            Map.of("straddle", Weights.Cost.ACROSS, "drop", Weights.Cost.LEAVE_OUT, "late", Weights.Cost.NO_ROOM);

    private Instances() {}

    /** An instance by its name. */
    public static JsonNode read(String name) throws IOException {
        try (InputStream in = Instances.class.getResourceAsStream("/instances/" + name + ".json")) {
            return Json.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        }
    }

    /** What is to be paced in an instance. */
    public static Stretch stretch(JsonNode json) {
        List<LocalDate> dates = new ArrayList<>();
        List<Slot> slots = new ArrayList<>();
        for (int i = 0; i < json.path("sessions").size(); i++) {
            LocalDate date = LocalDate.parse(json.path("sessions").get(i).stringValue());
            int breaks = 0;
            for (JsonNode off : json.path("breaks")) {
                breaks += LocalDate.parse(off.get(1).stringValue()).isBefore(date) ? 1 : 0;
            }
            dates.add(date);
            slots.add(new Slot(date, json.path("firstOfWeek").get(i).intValue() == 1, breaks, 50, false));
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
                    0,
                    l.path("reserve").asBoolean(),
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
}
