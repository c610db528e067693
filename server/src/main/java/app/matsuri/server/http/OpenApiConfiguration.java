package app.matsuri.server.http;

import app.matsuri.core.calendar.Known;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.plan.Json;
import com.fasterxml.jackson.core.JsonProcessingException;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.util.Json31;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;

/** The OpenAPI document: every field is required but those marked nullable, which are left out when they are null. */
@Configuration
class OpenApiConfiguration {

    private static void takes(Operation operation, String schema) {
        Known.in(operation.getRequestBody().getContent(), "application/json").setSchema(ref(schema));
    }

    private static final String OPTIONAL = "x-optional";

    /** Marks the fields of records that may be null: of what is generated from them only the type says so. */
    @Bean
    ModelConverter markOptional() {
        return (type, context, chain) -> {
            Schema<?> schema = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
            Class<?> of = Json31.mapper().constructType(type.getType()).getRawClass();
            if (schema != null && of.isRecord()) {
                Schema<?> model = schema.get$ref() == null
                        ? schema
                        : context.getDefinedModels().get(name(of));
                markOptional(of, model);
            }
            return schema;
        };
    }

    private static String name(Class<?> record) {
        io.swagger.v3.oas.annotations.media.Schema said =
                record.getAnnotation(io.swagger.v3.oas.annotations.media.Schema.class);
        return said == null || said.name().isEmpty() ? record.getSimpleName() : said.name();
    }

    private static void markOptional(Class<?> record, @Nullable Schema<?> model) {
        if (model == null || model.getProperties() == null) {
            return;
        }
        for (RecordComponent component : record.getRecordComponents()) {
            Schema<?> field = model.getProperties().get(component.getName());
            if (field != null && component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                field.addExtension(OPTIONAL, true);
                if (field.getTypes() != null) {
                    field.addType("null");
                }
            }
        }
    }

    /** Changes by their kinds and what they share with the plan file, and the problem that any operation may answer. */
    @Bean
    @Order(1)
    @SuppressWarnings("rawtypes")
    OpenApiCustomizer changesAndProblems() {
        return api -> {
            Map<String, Schema> schemas = api.getComponents().getSchemas();
            Map<String, Object> definitions = ChangeJson.definitions();
            for (Schema schema : List.copyOf(schemas.values())) {
                if (schema.getProperties() != null) {
                    @SuppressWarnings("unchecked")
                    Map<String, Schema> properties = schema.getProperties();
                    properties.replaceAll((name, property) -> changes(name, property));
                }
            }
            definitions.forEach((name, definition) -> schemas.put(named(name), schema(definition)));
            schemas.put("Problem", schema(PROBLEM));
            ApiResponse problem = new ApiResponse()
                    .description("What went wrong, as RFC 9457 has it")
                    .content(new Content()
                            .addMediaType("application/problem+json", new MediaType().schema(ref("Problem"))));
            api.getPaths()
                    .forEach((path, item) -> item.readOperations().forEach(operation -> {
                        operation.getResponses().setDefault(problem);
                        if (path.endsWith("/proposals")) {
                            takes(operation, "Change");
                        }
                        if (path.endsWith("/rules/said")) {
                            takes(operation, "PlanRule");
                        }
                    }));
        };
    }

    private static final Map<String, Object> PROBLEM = Map.of(
            "type",
            "object",
            "required",
            List.of("type", "title", "status", "detail"),
            "properties",
            Map.of(
                    "type", Map.of("type", "string"),
                    "title", Map.of("type", "string"),
                    "status", Map.of("type", "integer"),
                    "detail", Map.of("type", "string"),
                    "version", Map.of("type", "integer"),
                    "faults",
                            Map.of(
                                    "type",
                                    "array",
                                    "items",
                                    Map.of(
                                            "type",
                                            "object",
                                            "required",
                                            List.of("pointer", "line", "severity", "message"),
                                            "properties",
                                            Map.of(
                                                    "pointer", Map.of("type", "string"),
                                                    "line", Map.of("type", "integer"),
                                                    "severity", Map.of("enum", List.of("fatal", "kept", "remark")),
                                                    "message", Map.of("type", "string"))))));

    /** A free object that is a change, by its name, is described as one; likewise those of a list. */
    @SuppressWarnings("rawtypes")
    private static Schema changes(String name, Schema property) {
        if (property.getItems() != null) {
            property.setItems(changes(name, property.getItems()));
            return property;
        }
        boolean free = property.get$ref() == null && property.getProperties() == null && property.getItems() == null;
        if (!free || !FREE.containsKey(name) || isText(property) && property.getDescription() == null) {
            return property;
        }
        Schema change = ref(FREE.get(name));
        change.setExtensions(property.getExtensions());
        return change;
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static boolean isText(Schema property) {
        return "string".equals(property.getType())
                || property.getTypes() != null && property.getTypes().contains("string");
    }

    @SuppressWarnings("rawtypes")
    private static Schema ref(String name) {
        return new JsonSchema().$ref("#/components/schemas/" + name);
    }

    /** "PutLessonChange" for a kind of change, "PlanLesson" for a part of the plan file, "Plan" for the whole, "Change" for any change. */
    private static String named(String definition) {
        if (WHOLES.containsKey(definition)) {
            return Known.in(WHOLES, definition);
        }
        String camel = Arrays.stream(definition.split("-"))
                .map(word -> Character.toUpperCase(word.charAt(0)) + word.substring(1))
                .collect(Collectors.joining());
        return ChangeJson.kinds().contains(definition) ? camel + "Change" : "Plan" + camel;
    }

    /** A definition with its references turned into those of the document. */
    @SuppressWarnings("rawtypes")
    private static Schema schema(Object definition) {
        String json = Json.MAPPER.writeValueAsString(definition);
        String turned = REFERENCE.matcher(json).replaceAll(m -> "\"#/components/schemas/" + named(m.group(1)) + "\"");
        try {
            return Json31.mapper().readValue(turned, JsonSchema.class);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(turned, e);
        }
    }

    /** What free objects are, by the name of the field that holds them. */
    private static final Map<String, String> FREE = Map.of(
            "change", "Change",
            "differences", "Change",
            "mend", "Change",
            "pace", "Change",
            "remember", "Change",
            "item", "PlanItem",
            "patterns", "PlanPattern",
            "rule", "PlanRule",
            "closure", "PlanClosure",
            "officeHours", "PlanOfficeHours");

    private static final Map<String, String> WHOLES = Map.of("change", "Change", "plan", "Plan");

    private static final Pattern REFERENCE = Pattern.compile("\"#/\\$defs/([^\"]+)\"");

    @Bean
    @SuppressWarnings({"rawtypes", "unchecked"})
    OpenApiCustomizer document() {
        return api -> {
            api.setInfo(new Info().title("Matsuri").version("1"));
            api.setServers(null);
            // what comes from the plan file's schema says itself what is required
            Set<String> defined = ChangeJson.definitions().keySet().stream()
                    .map(OpenApiConfiguration::named)
                    .collect(Collectors.toSet());
            defined.add("Problem");
            for (Map.Entry<String, Schema> each :
                    api.getComponents().getSchemas().entrySet()) {
                Schema schema = each.getValue();
                Map<String, Schema> properties = schema.getProperties();
                if (properties == null || defined.contains(each.getKey())) {
                    continue;
                }
                List<String> required = new ArrayList<>();
                properties.forEach((name, property) -> {
                    boolean optional = property.getExtensions() != null
                            && property.getExtensions().remove(OPTIONAL) != null;
                    if (!optional) {
                        required.add(name);
                    }
                });
                schema.setRequired(required.isEmpty() ? null : required);
            }
        };
    }
}
