package app.matsuri.exchange.plan;

import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Publishing;
import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Took;
import app.matsuri.core.plan.Waiting;
import app.matsuri.core.plan.WeekNote;
import app.matsuri.core.plan.Weights;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Writes what {@link BesidesReader} reads. */
public final class BesidesWriter {

    private BesidesWriter() {}

    public static Map<String, Object> notice(Notice notice) {
        Out out = new Out()
                .put("id", notice.id())
                .some("unit", notice.unit())
                .put("title", notice.title())
                .unless("", "text", notice.text())
                .unless("", "place", notice.place())
                .some("links", DetailsWriter.links(notice.links()))
                .some("files", DetailsWriter.files(notice.files()));
        time(out, notice.when());
        return out.some("sections", sections(notice.sections()))
                .unless("course", "reach", Words.word(notice.reach()))
                .some("only", notice.only())
                .some("shared", notice.shared())
                .some("hiddenUntil", PlanWriter.rule(notice.hiddenUntil()))
                .with(notice.extra());
    }

    /** Other times by section, as a list. */
    public static List<Map<String, Object>> sections(Map<String, NoticeTime> sections) {
        return sections.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(e ->
                        time(new Out().put("section", e.getKey()), e.getValue()).map())
                .toList();
    }

    /** Adds when a notice is. */
    public static Out time(Out out, NoticeTime time) {
        Map<String, Object> instead = new LinkedHashMap<>();
        time.instead()
                .forEach((day, to) ->
                        instead.put(day.toString(), to.map(Words::moment).orElse(null)));
        boolean usual = time.series() && time.repeats().stream().allMatch(r -> r.time() == null);
        return out.unless(usual, "allDay", time.allDay())
                .some("begins", PlanWriter.rule(time.begins()))
                .some("ends", PlanWriter.rule(time.ends()))
                .some(
                        "repeats",
                        time.repeats().stream().map(BesidesWriter::repeat).toList())
                .some("instead", instead);
    }

    public static Map<String, Object> repeat(NoticeTime.Repeat repeat) {
        return new Out()
                .put("rule", repeat.rule())
                .some("from", repeat.from() == null ? null : repeat.from().toString())
                .some("until", repeat.until() == null ? null : repeat.until().toString())
                .some("time", repeat.time() == null ? null : repeat.time().toString())
                .unless(0, "minutes", repeat.minutes())
                .map();
    }

    public static Map<String, Object> rhythm(Rhythm rhythm) {
        return new Out()
                .put("id", rhythm.id())
                .put("title", rhythm.title())
                .put("unit", rhythm.unit())
                .some(
                        "weekdays",
                        rhythm.weekdays().stream().sorted().map(Words::weekday).toList())
                .unless("", "words", rhythm.words())
                .unless(1, "every", rhythm.every())
                .unless(1, "begin", rhythm.begin())
                .unless(0, "times", rhythm.times())
                .some("yielded", new TreeMap<>(rhythm.yielded()))
                .put("parts", rhythm.parts().stream().map(BesidesWriter::part).toList())
                .with(rhythm.extra());
    }

    public static Map<String, Object> part(Rhythm.Part part) {
        Map<String, Object> out = PlanWriter.item(part.item());
        if (part.remind() != null) {
            out.put(
                    "remind",
                    new Out()
                            .put("plus", part.remind().n())
                            .put("in", Words.word(part.remind().unit()))
                            .map());
        }
        return out;
    }

    /** How a course is shown to its students, as far as it is not as usual. */
    public static Map<String, Object> publishing(Publishing publishing) {
        return new Out()
                .unless(Publishing.USUAL.language(), "language", publishing.language())
                .unless(false, "twelveHours", publishing.twelveHours())
                .unless(false, "linkAroundClass", publishing.linkAroundClass())
                .map();
    }

    /** Of what a course reminds. */
    public static Map<String, Object> reminder(Reminder reminder) {
        Reminder.Lead lead = reminder.lead();
        return new Out()
                .put("id", reminder.id())
                .some("kinds", reminder.kinds())
                .some("item", reminder.item())
                .unless(false, "marked", reminder.marked())
                .put("before", Words.word(reminder.before()))
                .put(
                        "lead",
                        lead.at() == null
                                ? Map.of("minutes", lead.minutes())
                                : new Out()
                                        .put("days", lead.days())
                                        .put("at", lead.at().toString())
                                        .map())
                .unless("students", "to", Words.word(reminder.to()))
                .unless(true, "mail", reminder.mail())
                .unless(true, "feed", reminder.feed())
                .map();
    }

    /** Costs that differ from the usual ones, by their names. */
    public static Map<String, Integer> weights(Weights weights) {
        Map<String, Integer> differ = new LinkedHashMap<>();
        weights.costs().forEach((cost, n) -> {
            if (n != cost.usual()) {
                differ.put(cost.word(), n);
            }
        });
        return differ;
    }

    /** Dates that found no place when the course was rolled over. */
    public static List<Map<String, Object>> waits(List<Waiting> waits) {
        return waits.stream()
                .map(w -> new Out()
                        .put("what", w.what())
                        .put("id", w.id())
                        .some("section", w.section())
                        .some("old", w.old() == null ? null : Words.moment(w.old()))
                        .some("suggested", w.suggested() == null ? null : Words.moment(w.suggested()))
                        .unless("", "why", w.why())
                        .map())
                .toList();
    }

    /** How long a unit took in an earlier term. */
    public static Map<String, Object> took(Took took) {
        return new Out()
                .put("unit", took.unit())
                .put("term", took.term())
                .put("section", took.section())
                .put("sessions", took.sessions())
                .map();
    }

    public static Map<String, Object> dayNote(DayNote note) {
        return new Out()
                .put("date", note.date().toString())
                .some("section", note.section())
                .put("text", note.text())
                .unless(false, "own", note.own())
                .map();
    }

    public static Map<String, Object> weekNote(WeekNote note) {
        return new Out()
                .put("first", note.first().toString())
                .some("section", note.section())
                .unless("", "headline", note.headline())
                .some("targets", note.targets())
                .map();
    }
}
