package app.matsuri.exchange.plan;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.TimeLimit;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.NumericNode;

/**
 * One JSON object while it is read: typed fields by name, each fault noted with its place, and what nobody asked for
 * kept as {@link Extra}. A getter that notes a fault answers null or its default, so that reading goes on.
 */
public final class In {

    /** What is said of a text that no database keeps whole. */
    public static final String NUL = "In this text stands a character that is none (NUL). Take it out.";

    /** The years in which dates are taken. */
    private static final int FIRST_YEAR = 1900;

    private static final int LAST_YEAR = 2199;

    /** How many letters the name of a field has that is kept though it is not known. */
    private static final int MOST_NAME = 500;

    private final JsonNode node;
    private final String pointer;
    private final Faults faults;
    private final Set<String> asked = new HashSet<>();

    private In(JsonNode node, String pointer, Faults faults) {
        this.node = node;
        this.pointer = pointer;
        this.faults = faults;
    }

    /** The object at the pointer, or null (noted) where something else stands. */
    public static @Nullable In of(JsonNode node, String pointer, Faults faults) {
        if (node == null || !node.isObject()) {
            faults.fatal(pointer, "An object { … } is expected here.");
            return null;
        }
        return new In(node, pointer, faults);
    }

    public String pointer() {
        return pointer;
    }

    /** The pointer of a field. */
    public String at(String field) {
        return pointer + "/" + field.replace("~", "~0").replace("/", "~1");
    }

    public Faults faults() {
        return faults;
    }

    public boolean has(String field) {
        return present(field) != null;
    }

    /** Whether the field stands there, be it null. */
    public boolean stands(String field) {
        asked.add(field);
        return node.has(field);
    }

    private @Nullable JsonNode present(String field) {
        asked.add(field);
        JsonNode value = node.get(field);
        return value == null || value.isNull() ? null : value;
    }

    private <T> @Nullable T missing(String field, String what) {
        faults.fatal(pointer, "“" + field + "” is missing: give " + what + ".");
        return null;
    }

    private <T> @Nullable T wrong(String field, JsonNode value, String what) {
        faults.fatal(at(field), "“" + shown(value) + "” is not " + what + ".");
        return null;
    }

    private static String shown(JsonNode value) {
        String text = value.isString() ? value.stringValue() : value.toString();
        return text.length() > 60 ? text.substring(0, 60) + "…" : text;
    }

    /** A text that must be there and not be blank. */
    public @Nullable String required(String field) {
        if (!has(field)) {
            return missing(field, "a text");
        }
        String text = text(field, null);
        if (text != null && text.isBlank()) {
            faults.fatal(at(field), "“" + field + "” is empty: give a text.");
            return null;
        }
        return text;
    }

    public @Nullable String text(String field, @Nullable String otherwise) {
        JsonNode value = present(field);
        if (value == null) {
            return otherwise;
        }
        if (value.isString() && value.stringValue().length() > Bounds.text(field)) {
            faults.fatal(at(field), tooLong(value.stringValue(), Bounds.text(field)));
            return null;
        }
        if (value.isString() && value.stringValue().indexOf(0) >= 0) {
            faults.fatal(at(field), NUL);
            return null;
        }
        return value.isString() ? value.stringValue() : wrong(field, value, "a text in quotes");
    }

    private static String tooLong(String text, int most) {
        return String.format(
                Locale.ENGLISH,
                "This text has %,d characters; at most %,d are taken: shorten it.",
                text.length(),
                most);
    }

    /** A code or an id: a text that must be there, on one line and not too long to be shown. */
    public @Nullable String id(String field) {
        String text = required(field);
        if (text != null && (text.length() > Bounds.ID || text.chars().anyMatch(Character::isISOControl))) {
            faults.fatal(at(field), "A code or an id has at most " + Bounds.ID + " characters on one line.");
            return null;
        }
        return text;
    }

    public boolean flag(String field, boolean otherwise) {
        JsonNode value = present(field);
        if (value == null) {
            return otherwise;
        }
        if (!value.isBoolean()) {
            wrong(field, value, "true or false");
            return otherwise;
        }
        return value.booleanValue();
    }

    /** A whole number of at least {@code least}. */
    public @Nullable Integer number(String field, @Nullable Integer otherwise, int least) {
        JsonNode value = present(field);
        return value == null ? otherwise : whole(at(field), value, least, Bounds.number(field));
    }

    private @Nullable Integer whole(String place, JsonNode value, int least, int most) {
        if (!value.isIntegralNumber() || !value.canConvertToInt()) {
            faults.fatal(place, "“" + shown(value) + "” is not a whole number.");
            return null;
        }
        if (value.intValue() < least) {
            faults.fatal(place, value.intValue() + " is too small: give " + least + " or more.");
            return null;
        }
        if (value.intValue() > most || value.intValue() < -most) {
            int bound = value.intValue() > most ? most : -most;
            faults.fatal(
                    place,
                    String.format(
                            Locale.ENGLISH,
                            "%d is too %s: give %,d or %s.",
                            value.intValue(),
                            bound > 0 ? "large" : "small",
                            bound,
                            bound > 0 ? "less" : "more"));
            return null;
        }
        return value.intValue();
    }

    public @Nullable BigDecimal decimal(String field) {
        JsonNode value = present(field);
        if (value == null) {
            return null;
        }
        if (!(value instanceof NumericNode numeric) || numeric.isNaN()) {
            return wrong(field, value, "a number");
        }
        BigDecimal number = value.decimalValue();
        int most = Bounds.number(field);
        // its digits first: one such as 1e999999999 would be written out to be compared
        if (number.precision() - number.scale() > 12
                || number.scale() > 6
                || number.signum() < 0
                || number.compareTo(BigDecimal.valueOf(most)) > 0) {
            return wrong(
                    field,
                    value,
                    String.format(Locale.ENGLISH, "a number from 0 to %,d, with at most 6 decimals", most));
        }
        return number;
    }

    /** One of the words; null (noted) when it is another. */
    public @Nullable String word(String field, @Nullable String otherwise, List<String> words) {
        String text = text(field, otherwise);
        if (text != null && !words.contains(text)) {
            faults.fatal(at(field), "“" + text + "” is not one of " + String.join(", ", words) + ".");
            return null;
        }
        return text;
    }

    public @Nullable LocalDate date(String field) {
        return parsed(field, "a date such as 2026-10-05", LocalDate::parse);
    }

    public @Nullable LocalTime time(String field) {
        return parsed(field, "a time of day such as 17:00", LocalTime::parse);
    }

    /** A time of day at which something ends; midnight for the end of the day, which is written 24:00. */
    public @Nullable LocalTime endTime(String field) {
        return parsed(
                field,
                "a time of day such as 17:00, or 24:00",
                text -> text.equals("24:00") ? LocalTime.MIDNIGHT : LocalTime.parse(text));
    }

    public @Nullable LocalDateTime moment(String field) {
        return parsed(field, "a local date and time such as 2026-10-05T17:00", LocalDateTime::parse);
    }

    /** A moment that must be there. */
    public @Nullable LocalDateTime requiredMoment(String field) {
        return has(field) ? moment(field) : missing(field, "a local date and time such as 2026-10-05T17:00");
    }

    public @Nullable DayOfWeek weekday(String field, @Nullable DayOfWeek otherwise) {
        return has(field) ? parsed(field, "a weekday: MO, TU, WE, TH, FR, SA or SU", Words::weekday) : otherwise;
    }

    private <T> @Nullable T parsed(String field, String what, Function<String, T> parser) {
        JsonNode value = present(field);
        if (value == null) {
            return null;
        }
        return value.isString() ? parse(at(field), value.stringValue(), what, parser) : wrong(field, value, what);
    }

    /** The text read by the parser; null (noted) when it cannot be or its year is out of bounds. */
    public <T> @Nullable T parse(String place, @Nullable String text, String what, Function<String, T> parser) {
        if (text == null) {
            return null; // which was noted where it was read
        }
        try {
            T value = parser.apply(text);
            int year = value instanceof LocalDate date
                    ? date.getYear()
                    : value instanceof LocalDateTime moment ? moment.getYear() : FIRST_YEAR;
            if (year < FIRST_YEAR || year > LAST_YEAR) {
                faults.fatal(place, "The year " + year + " lies outside " + FIRST_YEAR + " to " + LAST_YEAR + ".");
                return null;
            }
            return value;
        } catch (DateTimeException | IllegalArgumentException e) {
            faults.fatal(place, "“" + text + "” is not " + what + ".");
            return null;
        }
    }

    /** Each element of a list of objects; elements that are none are noted and passed over. */
    public <T> List<T> objects(String field, Function<In, T> reader) {
        List<T> values = new ArrayList<>();
        each(field, (value, place) -> {
            In in = of(value, place, faults);
            T read = in == null ? null : reader.apply(in);
            if (read != null) {
                values.add(read);
            }
        });
        return values;
    }

    /** Each element of a list of texts. */
    public <T> List<T> texts(String field, String what, Function<String, T> parser) {
        List<T> values = new ArrayList<>();
        each(field, (value, place) -> {
            if (value.isString() && value.stringValue().length() > Bounds.LINE) {
                faults.fatal(place, tooLong(value.stringValue(), Bounds.LINE));
                return;
            }
            T read = value.isString() ? parse(place, value.stringValue(), what, parser) : null;
            if (read != null) {
                values.add(read);
            } else if (!value.isString()) {
                faults.fatal(place, "“" + shown(value) + "” is not " + what + ".");
            }
        });
        return values;
    }

    private void each(String field, BiConsumer<JsonNode, String> reader) {
        JsonNode value = present(field);
        if (value == null) {
            return;
        }
        if (!value.isArray()) {
            wrong(field, value, "a list [ … ]");
            return;
        }
        if (tooMany(field, value)) {
            return;
        }
        for (int i = 0; i < value.size(); i++) {
            reader.accept(value.get(i), at(field) + "/" + i);
        }
    }

    private boolean shortKey(String key, String field) {
        boolean ok = key.length() <= Bounds.ID;
        if (!ok) {
            faults.fatal(at(field), tooLong(key, Bounds.ID));
        }
        return ok;
    }

    private boolean tooMany(String field, JsonNode value) {
        TimeLimit.look();
        int most = Bounds.list(field);
        if (value.size() <= most) {
            return false;
        }
        faults.fatal(
                at(field),
                String.format(
                        Locale.ENGLISH,
                        "“%s” has %,d entries; at most %,d are taken. Check that it is meant so.",
                        field,
                        value.size(),
                        most));
        return true;
    }

    /** Each entry of an object as key, value and place, in order. */
    public void entries(String field, Consumer<Entry> reader) {
        JsonNode value = present(field);
        if (value == null) {
            return;
        }
        if (!value.isObject()) {
            wrong(field, value, "an object { … }");
            return;
        }
        if (tooMany(field, value)) {
            return;
        }
        value.properties().stream()
                .filter(e -> shortKey(e.getKey(), field))
                .forEach(e -> reader.accept(new Entry(
                        field,
                        e.getKey(),
                        e.getValue(),
                        at(field) + "/" + e.getKey().replace("~", "~0").replace("/", "~1"))));
    }

    /** One entry of an object. */
    public final class Entry {
        private final String field;
        private final String key;
        private final JsonNode value;
        private final String place;

        private Entry(String field, String key, JsonNode value, String place) {
            this.field = field;
            this.key = key;
            this.value = value;
            this.place = place;
        }

        public String key() {
            return key;
        }

        public boolean none() {
            return value.isNull();
        }

        public String place() {
            return place;
        }

        public <T> @Nullable T keyAs(String what, Function<String, T> parser) {
            return parse(place, key, what, parser);
        }

        public <T> @Nullable T text(String what, Function<String, T> parser) {
            if (!value.isString()) {
                faults.fatal(place, "“" + shown(value) + "” is not " + what + ".");
                return null;
            }
            if (value.stringValue().length() > Bounds.text(field)) {
                faults.fatal(place, tooLong(value.stringValue(), Bounds.text(field)));
                return null;
            }
            return parse(place, value.stringValue(), what, parser);
        }

        /** An object read by the reader; null where it is none. */
        public <T> @Nullable T object(Function<In, T> reader) {
            In in = of(value, place, faults);
            return in == null ? null : reader.apply(in);
        }

        public @Nullable Integer number(int least) {
            return whole(place, value, least, Bounds.number(field));
        }

        public List<String> texts() {
            List<String> values = new ArrayList<>();
            if (!value.isArray()) {
                faults.fatal(place, "“" + shown(value) + "” is not a list [ … ].");
                return values;
            }
            if (tooMany(field, value)) {
                return values;
            }
            for (int i = 0; i < value.size(); i++) {
                if (value.get(i).isString() && value.get(i).stringValue().length() <= Bounds.LINE) {
                    values.add(value.get(i).stringValue());
                } else {
                    faults.fatal(place + "/" + i, "“" + shown(value.get(i)) + "” is not a text in quotes.");
                }
            }
            return values;
        }
    }

    /** A nested object read by the reader; null where there is none. */
    public <T> @Nullable T object(String field, Function<In, T> reader) {
        JsonNode value = present(field);
        if (value == null) {
            return null;
        }
        In in = of(value, at(field), faults);
        return in == null ? null : reader.apply(in);
    }

    /** What stands there and nobody asked for: kept, and reported. */
    public Extra extra() {
        return extraWith();
    }

    /** Likewise, with the named fields among what is kept although they were asked for. */
    public Extra extraWith(String... kept) {
        Map<String, String> unknown = new LinkedHashMap<>();
        asked.removeAll(List.of(kept));
        node.properties().forEach(e -> {
            if (longNamed(e.getKey(), e.getValue())) {
                faults.fatal(
                        pointer,
                        "A field in here has a name of more than " + MOST_NAME
                                + " letters. Give it a shorter one, or leave it out.");
            } else if (!asked.contains(e.getKey())) {
                unknown.put(e.getKey(), e.getValue().toString());
                faults.remark(at(e.getKey()), "“" + e.getKey() + "” is not known here; it is kept as it is.");
            }
        });
        return Extra.of(unknown);
    }

    /** Whether a field, or one within it, has a name that would not be read back. */
    private static boolean longNamed(String name, JsonNode value) {
        if (name.length() > MOST_NAME) {
            return true;
        }
        if (value.isArray()) {
            for (JsonNode one : value) {
                if (longNamed("", one)) {
                    return true;
                }
            }
        }
        return value.properties().stream().anyMatch(e -> longNamed(e.getKey(), e.getValue()));
    }
}
