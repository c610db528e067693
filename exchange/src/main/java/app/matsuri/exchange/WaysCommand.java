package app.matsuri.exchange;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.change.AddClosure;
import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Weights;
import app.matsuri.core.repace.Way;
import app.matsuri.core.repace.Ways;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.Out;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.plan.Words;
import java.io.IOException;
import java.io.PrintStream;
import java.io.Writer;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The command <code>./matsuri ways FILE --section 'HYD 210/A' [--close DATE] [--tidy] [--by DATE]</code>: the ways out of a
 * lost day, and tidying the weeks, of a plan without a server.
 */
public final class WaysCommand {

    private static final String USAGE =
            "Usage: ./matsuri ways FILE --section 'HYD 210/A' [--close 2026-10-09] [--tidy] [--by 2026-10-19]";

    private WaysCommand() {}

    public static void main(String[] arguments) throws IOException {
        CommandLine.run(arguments, WaysCommand::run);
    }

    /** What was asked for. */
    private record Asked(String file, String section, LocalDate close, boolean tidy, LocalDate by) {}

    /** Runs the command; the exit status. */
    static int run(String[] arguments, Writer out, PrintStream err) throws IOException {
        Asked asked;
        try {
            asked = asked(arguments);
        } catch (IllegalArgumentException e) {
            err.println(e.getMessage());
            err.println(USAGE);
            return 2;
        }
        byte[] file = DatesCommand.bytes(asked.file(), err);
        if (file == null) {
            return 2;
        }
        PlanFile.Reading reading = PlanFile.read(file);
        reading.faults().forEach(fault -> err.println(fault.line(asked.file())));
        if (reading.decisions() == null) {
            return 2;
        }
        SectionSchedule before = section(reading.decisions(), asked.section());
        if (before == null) {
            err.println(asked.file() + ": there is no section “" + asked.section() + "”. Give it as 'COURSE/SECTION'.");
            return 2;
        }
        try {
            out.write(Json.pretty(new Out()
                    .put("section", before.key())
                    .put("ways", ways(reading.decisions(), before, asked))
                    .map()));
        } catch (IllegalArgumentException e) {
            err.println(asked.file() + ": " + e.getMessage());
            return 2;
        }
        return reading.faulty() ? 2 : 0;
    }

    private static Asked asked(String[] arguments) {
        Map<String, String> given = new LinkedHashMap<>();
        for (int i = 1; i < arguments.length; i++) {
            String name = arguments[i];
            boolean known = List.of("--section", "--close", "--by", "--tidy").contains(name);
            boolean value = known && !name.equals("--tidy");
            if (!known || given.containsKey(name) || value && i + 1 >= arguments.length) {
                throw new IllegalArgumentException("“" + name + "” is not understood.");
            }
            given.put(name, value ? arguments[++i] : "");
        }
        if (arguments.length == 0 || !given.containsKey("--section")) {
            throw new IllegalArgumentException("Give a plan file and a section.");
        }
        return new Asked(
                arguments[0],
                given.get("--section"),
                date(given.get("--close")),
                given.containsKey("--tidy"),
                date(given.get("--by")));
    }

    private static LocalDate date(String text) {
        try {
            return text == null ? null : LocalDate.parse(text);
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException("“" + text + "” is no date such as 2026-10-09.", e);
        }
    }

    private static SectionSchedule section(Decisions decisions, String key) {
        return Schedule.of(decisions).sections().stream()
                .filter(s -> s.key().equals(key))
                .findFirst()
                .orElse(null);
    }

    private static List<Map<String, Object>> ways(Decisions decisions, SectionSchedule before, Asked asked) {
        List<Way> ways = new ArrayList<>();
        SectionSchedule after = before;
        if (asked.close() == null) {
            ways.add(Ways.slide(before));
        } else {
            Closure closure = Closure.of(asked.close(), asked.close(), "Lost", "other");
            after = section(Change.make(new AddClosure(closure), decisions).decisions(), before.key());
            ways.addAll(Ways.out(before, after, asked.by()));
        }
        if (asked.tidy()) {
            ways.add(Ways.tidy(after));
        }
        return ways.stream().map(WaysCommand::write).toList();
    }

    private static Map<String, Object> write(Way way) {
        Map<String, Integer> cost = new LinkedHashMap<>();
        for (Weights.Cost kind : Weights.Cost.values()) {
            cost.put(kind.word(), way.costs().getOrDefault(kind, 0));
        }
        Map<String, List<String>> sessions = new LinkedHashMap<>();
        way.dates()
                .forEach((lesson, starts) ->
                        sessions.put(lesson, starts.stream().map(Words::moment).toList()));
        return new Out()
                .put("name", way.name())
                .put("sentence", way.sentence())
                .put("total", way.total())
                .put("cost", cost)
                .put("steps", way.edits().stream().map(WaysCommand::write).toList())
                .put("sessions", sessions)
                .some(
                        "changes",
                        way.steps() == null
                                ? null
                                : way.steps().stream()
                                        .map(s -> ChangeJson.write(s.change()))
                                        .toList())
                .map();
    }

    private static Map<String, Object> write(Way.Edit edit) {
        return new Out()
                .put("kind", edit.kind())
                .some("lesson", edit.lesson())
                .some("session", edit.session() == null ? null : Words.moment(edit.session()))
                .unless(0, "to", edit.to())
                .put("sentence", edit.sentence())
                .map();
    }
}
