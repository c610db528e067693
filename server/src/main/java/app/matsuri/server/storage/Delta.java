package app.matsuri.server.storage;

import app.matsuri.core.calendar.Known;
import app.matsuri.exchange.plan.Json;
import app.matsuri.server.storage.row.Row;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The difference of two sets of rows, which can be applied forwards and backwards. Its JSON carries a version number.
 *
 * @param steps one for each row that differs
 */
public record Delta(List<Step> steps) {

    private static final int VERSION = 1;

    private static final Map<String, Class<? extends Row>> BY_NAME =
            Rows.TABLES.stream().collect(Collectors.toMap(Delta::name, Function.identity()));

    public Delta {
        steps = List.copyOf(steps);
    }

    /**
     * One row that differs.
     *
     * @param before null where it is new
     * @param after null where it goes
     */
    public record Step(@Nullable Row before, @Nullable Row after) {

        Object key() {
            return row().key();
        }

        Class<? extends Row> table() {
            return row().getClass();
        }

        private Row row() {
            return before == null ? Known.there(after, "a row that is neither new nor gone") : before;
        }
    }

    /** What leads from the one to the other; empty for equal ones. */
    public static Delta between(Rows before, Rows after) {
        List<Step> steps = new ArrayList<>();
        for (Row old : before.all()) {
            Row now = after.get(old.key());
            if (now == null || !same(old, now)) {
                steps.add(new Step(old, now));
            }
        }
        for (Row now : after.all()) {
            if (before.get(now.key()) == null) {
                steps.add(new Step(null, now));
            }
        }
        return new Delta(steps);
    }

    private static boolean same(Row a, Row b) {
        return a == b || Columns.same(a, b);
    }

    public boolean isEmpty() {
        return steps.isEmpty();
    }

    /** The same difference the other way. */
    public Delta inverse() {
        return new Delta(
                steps.stream().map(s -> new Step(s.after(), s.before())).toList());
    }

    /** Whether the rows hold what it leads to. */
    public boolean leadsTo(Rows rows) {
        for (Step step : steps) {
            Row now = rows.get(step.key());
            if (now == null || step.after() == null ? now != step.after() : !same(now, step.after())) {
                return false;
            }
        }
        return true;
    }

    /** The rows after it. */
    public Rows applyTo(Rows rows) {
        Rows changed = rows.copy();
        for (Step step : steps) {
            if (step.after() == null) {
                changed.remove(step.key());
            } else {
                changed.put(step.after());
            }
        }
        return changed;
    }

    /** Without the rows that are of some kind, as if they had never been. */
    public Delta without(Predicate<Row> rows) {
        return new Delta(steps.stream().filter(step -> !rows.test(step.row())).toList());
    }

    /** Whether anything of it is for oneself, or of a single student. */
    public boolean ofOneself() {
        return steps.stream()
                .anyMatch(step -> (step.before() != null && step.before().ofOneself())
                        || (step.after() != null && step.after().ofOneself()));
    }

    /** As it is stored. */
    public String json() {
        ObjectNode root = Json.MAPPER.createObjectNode().put("delta", VERSION);
        ArrayNode list = root.putArray("steps");
        for (Step step : steps) {
            ObjectNode node = list.addObject().put("table", name(step.table()));
            node.set("before", Json.MAPPER.valueToTree(step.before()));
            node.set("after", Json.MAPPER.valueToTree(step.after()));
        }
        return Json.write(root);
    }

    /** As it was stored. */
    public static Delta of(String json) {
        JsonNode root = Json.read(json);
        if (root.path("delta").asInt() != VERSION) {
            throw new IllegalStateException("a stored delta of version " + root.path("delta") + " cannot be read");
        }
        List<Step> steps = new ArrayList<>();
        for (JsonNode node : root.path("steps")) {
            Class<? extends Row> table = BY_NAME.get(node.path("table").stringValue());
            steps.add(new Step(row(node.get("before"), table), row(node.get("after"), table)));
        }
        return new Delta(steps);
    }

    private static @Nullable Row row(JsonNode node, @Nullable Class<? extends Row> table) {
        return node == null || node.isNull() ? null : Json.MAPPER.treeToValue(node, table);
    }

    private static String name(Class<? extends Row> table) {
        return table.getAnnotation(jakarta.persistence.Table.class).name();
    }
}
