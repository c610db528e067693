package app.matsuri.server;

import app.matsuri.exchange.plan.Json;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;

/** Bodies of requests as the OpenAPI document describes them. */
public final class Bodies {

    private static final JsonNode DOCUMENT = document();

    /** What a usual body says, by the name of the field. */
    private static final Map<String, Object> USUAL = Map.ofEntries(
            Map.entry("section", "A"),
            Map.entry("item", "log-6"),
            Map.entry("date", "due"),
            Map.entry("lesson", "CH2"),
            Map.entry("unit", "CH"),
            Map.entry("level", "work"),
            Map.entry("step", "same"),
            Map.entry("zone", "America/Chicago"),
            Map.entry("by", "class"),
            Map.entry("text", "Quiz 3, 5pm"),
            Map.entry("role", "reader"),
            Map.entry("as", "lesson"),
            Map.entry("mail", "b@quillmarsh.example"),
            Map.entry("name", "x.csv"),
            Map.entry("change", Json.read(ServerTest.FLOOD)));

    /** Bodies whose fields must agree, by the last word of the path. */
    private static final Map<String, String> WHOLE = Map.of(
            "proposals", ServerTest.FLOOD,
            "said", "{\"at\":\"2026-10-05T17:00\"}",
            "grade-book", "{\"name\":\"x.csv\",\"content\":\"\"}",
            "colleagues", "{\"role\":\"reader\",\"name\":\"B. Sayer\",\"mail\":\"b@quillmarsh.example\"}");

    private Bodies() {}

    private static JsonNode document() {
        try {
            return Json.read(Files.readString(Path.of("openapi.json")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Operations by path, then by method. */
    public static JsonNode operations() {
        return DOCUMENT.path("paths");
    }

    /** A whole body for an operation, as JSON; an empty object where it takes none. */
    public static String of(HttpMethod method, String path) {
        JsonNode schema = operations()
                .path(path)
                .path(method.name().toLowerCase())
                .path("requestBody")
                .path("content")
                .path("application/json")
                .path("schema");
        String last = path.substring(path.lastIndexOf('/') + 1);
        if (WHOLE.containsKey(last)) {
            return WHOLE.get(last);
        }
        return Json.MAPPER.writeValueAsString(schema.isMissingNode() ? Map.of() : usual(schema));
    }

    /** Something that the schema describes. */
    static Object usual(JsonNode schema) {
        return usual(schema, 0);
    }

    private static Object usual(JsonNode given, int deep) {
        JsonNode schema = given;
        if (schema.has("$ref")) {
            String name = schema.path("$ref").stringValue().replaceAll(".*/", "");
            schema = DOCUMENT.path("components").path("schemas").path(name);
        }
        if (schema.has("enum")) {
            return schema.path("enum").get(0).stringValue();
        }
        JsonNode type = schema.path("type");
        String kind = type.isArray() ? type.get(0).stringValue() : type.stringValue("string");
        return switch (kind) {
            case "integer", "number" -> 1;
            case "boolean" -> true;
            case "array" -> deep > 3 ? List.of() : List.of(usual(schema.path("items"), deep + 1));
            case "object" -> {
                Map<String, Object> fields = new LinkedHashMap<>();
                JsonNode in = schema;
                in.path("properties").properties().forEach(e -> {
                    if (deep < 4) {
                        Object known = USUAL.get(e.getKey());
                        boolean text = e.getValue().path("type").stringValue("").equals("string")
                                && !e.getValue().has("format");
                        fields.put(
                                e.getKey(),
                                known != null && (text || known instanceof JsonNode)
                                        ? known
                                        : usual(e.getValue(), deep + 1));
                    }
                });
                yield fields;
            }
            default ->
                switch (schema.path("format").stringValue("")) {
                    case "date" -> "2026-10-09";
                    case "date-time" -> "2026-10-09T10:00:00";
                    case "byte" -> "AAAA";
                    default -> "HYD 210";
                };
        };
    }
}
