package app.matsuri.exchange.change;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.PutDates;
import app.matsuri.core.change.Redate;
import app.matsuri.core.change.Redate.How;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Which;
import app.matsuri.exchange.plan.DetailsReader;
import app.matsuri.exchange.plan.DetailsWriter;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.Out;
import app.matsuri.exchange.plan.Words;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Reads and writes the changes of many dates: {@link Redate} and {@link PutDates}. */
final class RedateJson {

    private static final List<String> HOWS = List.of("clear", "by", "time", "snapTo", "toClass", "fix", "follow");

    private RedateJson() {}

    static Change redate(In in) {
        String course = in.required("course");
        List<String> items = in.texts("items", "an item's id", x -> x);
        List<String> sections = in.texts("sections", "a section's code", x -> x);
        Set<Which> dates = EnumSet.noneOf(Which.class);
        in.texts("dates", "opens, due or closes", x -> Words.constant(Which.class, x))
                .forEach(dates::add);
        How how = how(in);
        if (items.isEmpty()) {
            in.faults().fatal(in.pointer(), "Say which items change: “items” is empty.");
        }
        if (dates.isEmpty()) {
            in.faults().fatal(in.pointer(), "Say which dates change: opens, due or closes.");
        }
        return in.faults().fatal() || how == null ? null : new Redate(course, items, sections, dates, how);
    }

    private static How how(In in) {
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

    static Change putDates(In in) {
        List<PutDates.Entry> entries = in.objects("entries", RedateJson::entry);
        if (entries.isEmpty()) {
            in.faults().fatal(in.pointer(), "There are no dates to change: “entries” is empty.");
            return null;
        }
        return new PutDates(entries);
    }

    private static PutDates.Entry entry(In in) {
        String course = in.required("course");
        String item = in.required("item");
        List<String> sections = in.texts("sections", "a section's code", x -> x);
        var dates = DetailsReader.dates(in);
        in.extra();
        return course == null || item == null ? null : new PutDates.Entry(course, item, sections, dates);
    }

    static void write(Out out, PutDates put) {
        List<Map<String, Object>> entries = new ArrayList<>();
        for (PutDates.Entry entry : put.entries()) {
            Map<String, Object> each = new Out()
                    .put("course", entry.course())
                    .put("item", entry.item())
                    .some("sections", entry.sections())
                    .map();
            each.putAll(DetailsWriter.dates(entry.dates()));
            entries.add(each);
        }
        out.put("kind", "put-dates").put("entries", entries);
    }

    static void write(Out out, Redate redate) {
        out.put("kind", "redate")
                .put("course", redate.course())
                .put("items", redate.items())
                .some("sections", redate.sections())
                .put("dates", redate.dates().stream().sorted().map(Words::word).toList());
        How how = redate.how();
        if (how instanceof How.By by) {
            out.put("by", by.n()).put("in", Words.word(by.unit()));
        } else if (how instanceof How.At at) {
            out.put("time", at.time().toString());
        } else if (how instanceof How.SnapTo snap) {
            out.put("snapTo", Words.weekday(snap.weekday()))
                    .put("snap", snap.before() ? "on-or-before" : "on-or-after");
        } else if (how instanceof How.ToClass to) {
            out.put("toClass", to.before() ? "previous" : "next");
        } else {
            out.put(how instanceof How.Clear ? "clear" : how instanceof How.Fix ? "fix" : "follow", true);
        }
    }
}
