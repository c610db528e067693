package app.matsuri.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What may be null in an answer's record is what the contract does not ask for, and nothing else. */
class MayBeNullTest {

    private static final List<String> ANSWERS = List.of(
            "app.matsuri.server.wall.WallView$ItemView",
            "app.matsuri.server.wall.WallView$NoticeView",
            "app.matsuri.server.wall.WallView$Week",
            "app.matsuri.server.findings.FindingView",
            "app.matsuri.server.outline.OutlineController$LineTyped",
            "app.matsuri.server.calendar.CalendarController$ListGiven",
            "app.matsuri.server.section.SectionController$RosterGiven");

    @Test
    void isWhatTheContractDoesNotAskFor() throws Exception {
        JsonNode schemas = Json.read(Files.readString(Path.of("openapi.json"))).at("/components/schemas");
        for (String answer : ANSWERS) {
            Class<?> record = Class.forName(answer);
            List<String> asked = new ArrayList<>();
            for (RecordComponent component : record.getRecordComponents()) {
                if (!component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                    asked.add(component.getName());
                }
            }
            List<String> required = new ArrayList<>();
            schemas.at("/" + record.getSimpleName() + "/required").forEach(name -> required.add(name.stringValue()));
            assertThat(required).as(answer).containsExactlyInAnyOrderElementsOf(asked);
        }
    }
}
