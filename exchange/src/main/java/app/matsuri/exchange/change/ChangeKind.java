package app.matsuri.exchange.change;

import app.matsuri.core.change.Change;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.Out;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;

/**
 * A kind of change as JSON: its name and, by the components of its record, its fields. From this it is read, written and
 * described, so that none of these can be forgotten. A field is named as its component and needed unless that may be null, or it is
 * said otherwise here.
 */
final class ChangeKind {

    /** One field. */
    private static final class Field {
        private final RecordComponent component;
        private Value<Object> value;
        private boolean needed;
        private @Nullable Object otherwise;
        /** The field whose value it has where it is not given; null for none. */
        private @Nullable String as;
        /** What is said where it is empty; null where it may be. */
        private @Nullable String whyFilled;
        /** Its own fields stand among those of the change. */
        private boolean spread;

        Field(RecordComponent component) {
            this.component = component;
            value = Value.of(component);
            needed = component.getType() != boolean.class
                    && component.getType() != List.class
                    && !component.getAnnotatedType().isAnnotationPresent(Nullable.class);
            otherwise = component.getType() == boolean.class ? Boolean.FALSE : null;
        }

        String name() {
            return component.getName();
        }

        Object of(Change change) {
            try {
                component.getAccessor().setAccessible(true);
                return component.getAccessor().invoke(change);
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException(component.toString(), e);
            }
        }
    }

    private final String name;
    private final Class<? extends Change> type;
    private final Map<String, Field> fields = new LinkedHashMap<>();
    private final List<BiConsumer<In, Map<String, Object>>> checks = new ArrayList<>();

    private ChangeKind(String name, Class<? extends Change> type) {
        this.name = name;
        this.type = type;
        for (RecordComponent component : type.getRecordComponents()) {
            fields.put(component.getName(), new Field(component));
        }
    }

    static ChangeKind of(String name, Class<? extends Change> type) {
        return new ChangeKind(name, type);
    }

    private Field field(String field) {
        return Objects.requireNonNull(fields.get(field), () -> name + " has no field " + field);
    }

    /** This may be left out, and has that value then. */
    ChangeKind otherwise(String field, Object value) {
        field(field).needed = false;
        field(field).otherwise = value;
        return this;
    }

    /** This may be left out, and is as that other field then. */
    ChangeKind as(String field, String other) {
        field(field).needed = false;
        field(field).as = other;
        return this;
    }

    /** A whole number of at least so much. */
    @SuppressWarnings("unchecked")
    ChangeKind least(String field, int least) {
        field(field).value = (Value<Object>) (Value<?>) Value.number(least);
        return this;
    }

    /** One of these words. */
    @SuppressWarnings("unchecked")
    ChangeKind word(String field, String... words) {
        field(field).value = (Value<Object>) (Value<?>) Value.word(List.of(words));
        return this;
    }

    /** A list that must hold something. */
    ChangeKind filled(String field, String why) {
        field(field).whyFilled = why;
        return this;
    }

    /** Its own fields stand among those of the change. */
    ChangeKind spread(String field) {
        field(field).spread = true;
        return this;
    }

    /** Notes what is wrong with fields that are right by themselves. */
    ChangeKind check(BiConsumer<In, Map<String, Object>> check) {
        checks.add(check);
        return this;
    }

    String name() {
        return name;
    }

    Class<? extends Change> type() {
        return type;
    }

    /** The change; null where something is wrong, which is noted. */
    @Nullable
    Change read(In in) {
        Map<String, Object> values = new LinkedHashMap<>();
        for (Field field : fields.values()) {
            values.put(field.name(), read(in, field, values));
        }
        checks.forEach(check -> check.accept(in, values));
        return in.faults().fatal() ? null : make(values.values().toArray());
    }

    private static @Nullable Object read(In in, Field field, Map<String, Object> before) {
        Object value = field.value.read().apply(in, field.name());
        if (field.whyFilled != null && Value.empty(value)) {
            in.faults().fatal(in.pointer(), field.whyFilled);
        } else if (value instanceof String text && field.needed && text.isBlank()) {
            in.faults().fatal(in.at(field.name()), "“" + field.name() + "” is empty: give a text.");
        } else if (value == null && field.needed && !field.spread && !in.has(field.name())) {
            in.faults().fatal(in.pointer(), "“" + field.name() + "” is missing.");
        }
        return value != null ? value : field.as != null ? before.get(field.as) : field.otherwise;
    }

    private Change make(Object[] values) {
        try {
            Class<?>[] types =
                    fields.values().stream().map(f -> f.component.getType()).toArray(Class<?>[]::new);
            Constructor<? extends Change> constructor = type.getDeclaredConstructor(types);
            constructor.setAccessible(true);
            return constructor.newInstance(values);
        } catch (InvocationTargetException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : new IllegalStateException(name, e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(name, e);
        }
    }

    /** Writes a change of this kind so that it reads back as the same. */
    Map<String, Object> write(Change change) {
        Out out = new Out().put("kind", name);
        for (Field field : fields.values()) {
            Object value = field.of(change);
            boolean usual = !field.needed && Objects.equals(value, field.otherwise) && field.as == null;
            if (field.spread) {
                @SuppressWarnings("unchecked")
                Map<String, Object> own =
                        (Map<String, Object>) field.value.write().apply(value);
                out.all(own);
            } else if (value != null && !usual) {
                out.some(field.name(), field.value.write().apply(value));
            }
        }
        return out.map();
    }

    /** What JSON Schema says of it. */
    Map<String, Object> schema() {
        Map<String, Object> properties = new LinkedHashMap<>();
        List<String> required = new ArrayList<>(List.of("kind"));
        properties.put("kind", Map.of("const", name));
        Map<String, Object> more = new LinkedHashMap<>();
        for (Field field : fields.values()) {
            if (field.spread) {
                @SuppressWarnings("unchecked")
                Map<String, Object> own =
                        (Map<String, Object>) field.value.schema().get("properties");
                properties.putAll(own);
                more.put("oneOf", field.value.schema().get("oneOf"));
                continue;
            }
            Map<String, Object> schema = new LinkedHashMap<>(field.value.schema());
            if (field.whyFilled != null) {
                schema.put("minItems", 1);
            }
            properties.put(
                    field.name(),
                    field.needed
                                    || field.whyFilled != null
                                    || field.component.getType().isPrimitive()
                            ? schema
                            : orNull(schema));
            if (field.needed || field.whyFilled != null) {
                required.add(field.name());
            }
        }
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("type", "object");
        all.put("required", required);
        all.put("properties", properties);
        all.putAll(more);
        return all;
    }

    private static Map<String, Object> orNull(Map<String, Object> schema) {
        return Map.of("anyOf", Arrays.asList(schema, Map.of("type", "null")));
    }
}
