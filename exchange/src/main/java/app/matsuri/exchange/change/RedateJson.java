package app.matsuri.exchange.change;

import app.matsuri.core.change.dates.PutDates;
import app.matsuri.core.change.dates.Redate.How;
import app.matsuri.core.plan.Offset;
import app.matsuri.exchange.plan.DetailsReader;
import app.matsuri.exchange.plan.DetailsWriter;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.Out;
import app.matsuri.exchange.plan.Words;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What is done to many dates, and the dates of one thing, as parts of changes. */
final class RedateJson {

    private static final List<String> HOWS = List.of("clear", "by", "time", "snapTo", "toClass", "fix", "follow");

    /** What is done, in fields of the change itself. */
    static final Map<String, Object> SCHEMA = Map.of(
            "properties",
            Map.of(
                    "clear", Map.of("const", true),
                    "by", Map.of("type", "integer", "minimum", -1000, "maximum", 1000),
                    "in", Map.of("enum", Words.all(Offset.Unit.class)),
                    "time", Map.of("type", "string", "pattern", "^\\d{2}:\\d{2}(:\\d{2})?$"),
                    "snapTo", Map.of("enum", List.of("MO", "TU", "WE", "TH", "FR", "SA", "SU")),
                    "snap", Map.of("enum", List.of("on-or-after", "on-or-before")),
                    "toClass", Map.of("enum", List.of("next", "previous")),
                    "fix", Map.of("const", true),
                    "follow", Map.of("const", true)),
            "oneOf",
            HOWS.stream().map(how -> Map.of("required", List.of(how))).toList());

    /** The dates of one thing. */
    static final Map<String, Object> ENTRY = Map.of(
            "type",
            "object",
            "required",
            List.of("course", "item"),
            "properties",
            Map.of(
                    "course", Map.of("type", "string"),
                    "item", Map.of("type", "string"),
                    "sections", Map.of("type", "array", "items", Map.of("type", "string")),
                    "opens", ruleOrNull(),
                    "due", ruleOrNull(),
                    "closes", ruleOrNull()));

    private static Map<String, Object> ruleOrNull() {
        return Map.of("anyOf", List.of(Map.of("$ref", "#/$defs/rule"), Map.of("type", "null")));
    }

    private RedateJson() {}

    /** What is done to the dates; null, noted, where none or several are said. */
    static @Nullable How how(In in) {
        List<String> given = HOWS.stream().filter(in::has).toList();
        if (given.size() != 1) {
            in.faults()
                    .fatal(
                            in.pointer(),
                            "Say one thing to do to the dates: " + String.join(", ", HOWS)
                                    + (given.isEmpty() ? "." : "; here are " + String.join(" and ", given) + "."));
            return null;
        }
        switch (given.get(0)) {
            case "clear":
                in.flag("clear", true);
                return new How.Clear();
            case "by":
                Integer n = in.number("by", null, -1000);
                String unit = in.word("in", "days", Words.all(Offset.Unit.class));
                if (n == null || unit == null) {
                    return null;
                }
                if (n == 0 || n > 1000) {
                    in.faults().fatal(in.at("by"), "Move by 1 to 1000, or by -1 to -1000 for earlier.");
                    return null;
                }
                return new How.By(n, Words.constant(Offset.Unit.class, unit));
            case "time":
                LocalTime time = in.time("time");
                return time == null ? null : new How.At(time);
            case "snapTo":
                var weekday = in.weekday("snapTo", null);
                String snap = in.word("snap", "on-or-after", List.of("on-or-after", "on-or-before"));
                return weekday == null ? null : new How.SnapTo(weekday, "on-or-before".equals(snap));
            case "toClass":
                String to = in.word("toClass", null, List.of("next", "previous"));
                return to == null ? null : new How.ToClass(to.equals("previous"));
            case "fix":
                in.flag("fix", true);
                return new How.Fix();
            default:
                in.flag("follow", true);
                return new How.Follow();
        }
    }

    /** The dates of one item. */
    static PutDates.@Nullable Entry entry(In in) {
        String course = in.required("course");
        String item = in.required("item");
        List<String> sections = in.texts("sections", "a section's code", x -> x);
        var dates = DetailsReader.dates(in);
        in.extra();
        return course == null || item == null ? null : new PutDates.Entry(course, item, sections, dates);
    }

    static Map<String, Object> entry(PutDates.Entry entry) {
        return new Out()
                .put("course", entry.course())
                .put("item", entry.item())
                .some("sections", entry.sections())
                .all(DetailsWriter.dates(entry.dates()))
                .map();
    }

    static Map<String, Object> how(How how) {
        return how.on(new How.Cases<Out>() {
                    @Override
                    public Out clear(How.Clear clear) {
                        return new Out().put("clear", true);
                    }

                    @Override
                    public Out by(How.By by) {
                        return new Out().put("by", by.n()).put("in", Words.word(by.unit()));
                    }

                    @Override
                    public Out at(How.At at) {
                        return new Out().put("time", at.time().toString());
                    }

                    @Override
                    public Out snap(How.SnapTo snap) {
                        return new Out()
                                .put("snapTo", Words.weekday(snap.weekday()))
                                .put("snap", snap.before() ? "on-or-before" : "on-or-after");
                    }

                    @Override
                    public Out toClass(How.ToClass to) {
                        return new Out().put("toClass", to.before() ? "previous" : "next");
                    }

                    @Override
                    public Out fix(How.Fix fix) {
                        return new Out().put("fix", true);
                    }

                    @Override
                    public Out follow(How.Follow follow) {
                        return new Out().put("follow", true);
                    }
                })
                .map();
    }
}
