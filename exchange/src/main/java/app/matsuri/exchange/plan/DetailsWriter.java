package app.matsuri.exchange.plan;

import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.FileUse;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Step;
import app.matsuri.core.plan.Which;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Writes what {@link DetailsReader} reads. */
public final class DetailsWriter {

    private DetailsWriter() {}

    static Out item(Out out, ItemDetails details) {
        return out.some("within", details.within())
                .unless("", "instructions", details.instructions())
                .unless("", "handIn", details.handIn())
                .unless("", "handInPlace", details.handInPlace())
                .some("links", links(details.links()))
                .some("files", files(details.files()))
                .some("only", details.only())
                .unless(ItemDetails.ALL, "audience", details.audience())
                .some("shared", details.shared())
                .unless(false, "hidden", details.hidden())
                .unless(false, "draft", details.draft());
    }

    static Out lesson(Out out, LessonDetails details) {
        return out.unless("", "objectives", details.objectives())
                .some("steps", steps(details.steps()))
                .some("links", links(details.links()))
                .some("files", files(details.files()));
    }

    public static List<Map<String, Object>> steps(List<Step> steps) {
        return steps.stream()
                .map(s -> new Out()
                        .put("minutes", s.minutes())
                        .unless("", "text", s.text())
                        .map())
                .toList();
    }

    public static List<Map<String, Object>> links(List<Link> links) {
        return links.stream().map(DetailsWriter::link).toList();
    }

    /** One link. */
    public static Map<String, Object> link(Link link) {
        return new Out()
                .unless("", "title", link.title())
                .put("url", link.url())
                .map();
    }

    public static List<Map<String, Object>> files(List<FileUse> files) {
        return files.stream()
                .map(f -> new Out()
                        .put("file", f.file())
                        .put("name", f.name())
                        .unless(true, "publish", f.publish())
                        .some("from", f.from() == null ? null : Words.moment(f.from()))
                        .some("with", f.with())
                        .map())
                .toList();
    }

    public static Map<String, Object> adjustment(Adjustment adjustment) {
        Map<String, Object> out = new LinkedHashMap<>();
        out.put("item", adjustment.item());
        if (adjustment.student() != null) {
            out.put("student", adjustment.student());
        }
        out.putAll(dates(adjustment.dates()));
        if (!adjustment.why().isEmpty()) {
            out.put("why", adjustment.why());
        }
        return out;
    }

    /** The dates, a rule each, or null for one that is taken away. */
    public static Map<String, Object> dates(Map<Which, Own<DateRule>> dates) {
        Map<String, Object> out = new LinkedHashMap<>();
        dates.forEach((which, rule) -> out.put(Words.word(which), PlanWriter.rule(rule.over(null))));
        return out;
    }
}
