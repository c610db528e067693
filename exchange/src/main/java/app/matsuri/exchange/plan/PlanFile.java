package app.matsuri.exchange.plan;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.JsonNode;

/** The plan file: everything decided about a term as one JSON document, documented in docs/plan-file.md. */
public final class PlanFile {

    /** The largest file that is read, in bytes. */
    public static final int MOST_BYTES = 8 * 1024 * 1024;

    private PlanFile() {}

    /**
     * What reading came to.
     *
     * @param decisions null when a fault leaves the file without meaning
     * @param faults all of them, in the order of reading
     */
    public record Reading(@Nullable Decisions decisions, List<Fault> faults) {

        /** Whether something is wrong that is more than a remark. */
        public boolean faulty() {
            return faults.stream().anyMatch(f -> f.severity() != Fault.Severity.REMARK);
        }
    }

    /** The definitions of its JSON Schema, by name; the whole as "plan". */
    public static Map<String, Object> definitions() {
        try (InputStream in = PlanFile.class.getResourceAsStream("/plan-file.schema.json")) {
            JsonNode schema = Json.MAPPER.readTree(in);
            Map<String, Object> definitions = new LinkedHashMap<>();
            schema.path("$defs").properties().forEach(e -> definitions.put(e.getKey(), e.getValue()));
            definitions.put(
                    "plan",
                    Map.of(
                            "type", schema.path("type"),
                            "required", schema.path("required"),
                            "properties", schema.path("properties")));
            return definitions;
        } catch (IOException e) {
            throw new UncheckedIOException("the plan file's schema cannot be read", e);
        }
    }

    /** Reads a file's bytes, which must be UTF-8. */
    public static Reading read(byte[] bytes) {
        if (bytes.length > MOST_BYTES) {
            return hopeless(
                    "The file has " + bytes.length / 1024 / 1024 + " MB; a plan file has at most "
                            + MOST_BYTES / 1024 / 1024 + " MB. Check that it is the right file.",
                    0);
        }
        try {
            return read(StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString());
        } catch (CharacterCodingException e) {
            return hopeless("This is no text in UTF-8. Check that it is a plan file, and save it as UTF-8.", 0);
        }
    }

    /** Reads a file's text; a byte order mark is passed over. */
    public static Reading read(String given) {
        String text = given.startsWith("\uFEFF") ? given.substring(1) : given;
        JsonNode root;
        try {
            root = Json.read(text);
        } catch (JacksonException e) {
            TokenStreamLocation where = e.getLocation();
            return hopeless(
                    "This is no JSON: " + e.getOriginalMessage() + ". A plan file is one object { … }.",
                    where == null ? 0 : Math.max(0, where.getLineNr()));
        }
        Faults faults = new Faults();
        Decisions decisions = read(root, faults);
        boolean any = !faults.all().isEmpty();
        return new Reading(decisions, any ? faults.withLines(Json.lines(text)) : List.of());
    }

    private static Reading hopeless(String message, int line) {
        return new Reading(null, List.of(new Fault(Fault.Severity.FATAL, "", line, message)));
    }

    /** Reads a document; null when a fault leaves it without meaning. */
    public static @Nullable Decisions read(JsonNode root, Faults faults) {
        In in = In.of(root, "", faults);
        if (in == null) {
            return null;
        }
        Integer version = in.number("matsuri", null, 1);
        if (!in.has("matsuri")) {
            faults.fatal("", "“matsuri” is missing: a plan file begins with \"matsuri\": 1.");
        } else if (version != null && version > 1) {
            faults.fatal("/matsuri", "The file is of version " + version + "; this program reads version 1.");
        }
        if (!in.has("term")) {
            faults.fatal("", "“term” is missing: give its first and last day.");
        }
        Term term = in.object("term", TermReader::term);
        List<Course> courses = in.objects("courses", CourseReader::course);
        List<OfficeHours> hours = in.objects("officeHours", HoursReader::hours);
        Extra extra = in.extra();
        if (term == null || faults.fatal()) {
            return null;
        }
        Decisions decisions = new Decisions(term, courses, hours, extra);
        References.check(decisions, faults);
        return faults.fatal() ? null : decisions;
    }

    /** The decisions as a document that reads back as the same decisions. */
    public static String write(Decisions decisions) {
        return Json.pretty(document(decisions));
    }

    /** The decisions as maps and lists in the order of the file. */
    public static Map<String, Object> document(Decisions decisions) {
        return PlanWriter.decisions(decisions);
    }
}
