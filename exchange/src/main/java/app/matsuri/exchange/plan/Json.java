package app.matsuri.exchange.plan;

import java.util.HashMap;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The one JSON reader and writer. */
public final class Json {

    /** Bounded in depth and strict about keys that stand twice and text behind the end. */
    public static final JsonMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(60)
                            .maxTokenCount(1_000_000)
                            .maxNumberLength(100)
                            .maxNameLength(1_000)
                            .maxStringLength(1_000_000)
                            .build())
                    .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .build();

    private static final JsonMapper PRETTY =
            MAPPER.rebuild().enable(SerializationFeature.INDENT_OUTPUT).build();

    private Json() {}

    /**
     * Reads a document.
     *
     * @throws JacksonException when it is no JSON
     */
    public static JsonNode read(String text) {
        return MAPPER.readTree(text);
    }

    public static String write(JsonNode node) {
        return MAPPER.writeValueAsString(node);
    }

    /** For people: indented. */
    public static String pretty(Object value) {
        return PRETTY.writeValueAsString(value) + "\n";
    }

    /** The line of every place in a document, by its JSON pointer. */
    public static Map<String, Integer> lines(String text) {
        Map<String, Integer> lines = new HashMap<>();
        try (JsonParser parser = MAPPER.createParser(text)) {
            while (parser.nextToken() != null) {
                lines.putIfAbsent(
                        parser.streamReadContext().pathAsPointer().toString(),
                        parser.currentTokenLocation().getLineNr());
            }
        }
        return lines;
    }
}
