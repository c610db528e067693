package app.matsuri.exchange.plan;

import app.matsuri.core.calendar.Extra;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** One JSON object while it is written: fields in order, defaults left out. */
public final class Out {

    private final Map<String, Object> fields = new LinkedHashMap<>();

    public Out put(String field, @Nullable Object value) {
        fields.put(field, value);
        return this;
    }

    /** Writes the field unless it has its default, is null or an empty collection. */
    public Out unless(@Nullable Object otherwise, String field, @Nullable Object value) {
        boolean empty = value instanceof Collection<?> c && c.isEmpty() || value instanceof Map<?, ?> m && m.isEmpty();
        if (value != null && !empty && !Objects.equals(otherwise, value)) {
            fields.put(field, value);
        }
        return this;
    }

    /** Writes the field where there is something. */
    public Out some(String field, @Nullable Object value) {
        return unless(null, field, value);
    }

    /** Writes all the fields. */
    public Out all(Map<String, Object> others) {
        fields.putAll(others);
        return this;
    }

    /** Writes what was kept without being known. */
    public Map<String, Object> with(Extra extra) {
        extra.json().forEach((field, json) -> fields.put(field, Json.read(json)));
        return fields;
    }

    public Map<String, Object> map() {
        return fields;
    }
}
