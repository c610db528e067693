package app.matsuri.exchange.change;

import app.matsuri.core.change.Change;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.exchange.plan.Faults;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.PlanFile;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** A change as JSON, the same over HTTP, in the history and on the command line. */
public final class ChangeJson {

    private ChangeJson() {}

    /**
     * What reading came to.
     *
     * @param change null when a fault leaves it without meaning
     * @param held whether earlier classes without a record count as held as planned; yes where not said
     */
    public record Reading(@Nullable Change change, boolean held, List<Fault> faults) {}

    /** Reads a change. */
    public static Reading read(JsonNode node) {
        Faults faults = new Faults();
        In in = In.of(node, "", faults);
        if (in == null) {
            return new Reading(null, true, faults.all());
        }
        boolean held = in.flag("held", true);
        Change change = change(in);
        return new Reading(faults.fatal() ? null : change, held, faults.all());
    }

    /** A change among others, or by itself; null where something is wrong, which is noted. */
    static @Nullable Change change(In in) {
        String name = in.required("kind");
        ChangeKind kind = name == null ? null : ChangeKinds.named(name);
        if (name != null && kind == null) {
            in.faults()
                    .fatal(
                            in.at("kind"),
                            "“" + name + "” is no kind of change. There are " + String.join(", ", ChangeKinds.names())
                                    + ".");
        }
        Change change = kind == null ? null : kind.read(in);
        in.extra();
        return change;
    }

    /** Writes a change so that it reads back as the same change. */
    public static Map<String, Object> write(Change change) {
        return ChangeKinds.of(change.getClass()).write(change);
    }

    /** The names of all kinds. */
    public static List<String> kinds() {
        return ChangeKinds.names();
    }

    /**
     * What JSON Schema says of changes, by name: a definition of each kind, {@code change} for one of them, and what they share
     * with the plan file.
     */
    public static Map<String, Object> definitions() {
        Map<String, Object> definitions = new LinkedHashMap<>(PlanFile.definitions());
        List<Map<String, Object>> one = new ArrayList<>();
        for (ChangeKind kind : ChangeKinds.all()) {
            definitions.put(kind.name(), kind.schema());
            one.add(Map.of("$ref", "#/$defs/" + kind.name()));
        }
        definitions.put("dates", RedateJson.ENTRY);
        definitions.put("change", Map.of("oneOf", one, "properties", Map.of("held", Map.of("type", "boolean"))));
        return definitions;
    }
}
