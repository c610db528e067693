package app.matsuri.exchange.command;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Weights;
import app.matsuri.core.repace.Repair;
import app.matsuri.core.repace.Way;
import app.matsuri.core.repace.Ways;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.change.ProposalJson;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.Out;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.plan.Words;
import java.io.IOException;
import java.io.PrintStream;
import java.io.Writer;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The command <code>./matsuri ways FILE --section 'HYD 210/A' [--close DATE | --change CHANGE.json] [--tidy] [--by DATE]
 * [--today DATE]</code>: the ways out of a lost day or of any change, and tidying the weeks, of a plan without a server.
 */
public final class WaysCommand {

    private static final String USAGE =
            "Usage: ./matsuri ways FILE --section 'HYD 210/A' [--close 2026-10-09 | --change CHANGE.json] [--tidy]"
                    + " [--by 2026-10-19] [--today 2026-10-07]";

    private static final List<String> VALUES = List.of("--section", "--close", "--change", "--by", "--today");

    private WaysCommand() {}

    public static void main(String[] arguments) throws IOException {
        CommandLine.run(arguments, WaysCommand::run);
    }

    /** Runs the command; the exit status. */
    static int run(String[] arguments, Writer out, PrintStream err) throws IOException {
        Options asked;
        LocalDate close;
        LocalDate by;
        LocalDate today;
        try {
            asked = Options.of(arguments, VALUES, List.of("--tidy")).needing("--section");
            close = asked.date("--close");
            by = asked.date("--by");
            today = asked.date("--today");
            if (close != null && asked.has("--change")) {
                throw new IllegalArgumentException("Give --close or --change, not both.");
            }
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
        ChangeJson.Reading change = asked.has("--change")
                ? DatesCommand.change(asked.needed("--change"), err)
                : new ChangeJson.Reading(close == null ? null : lost(close), true, List.of());
        if (reading.decisions() == null || change == null) {
            return 2;
        }
        String key = asked.needed("--section");
        if (section(reading.decisions(), key) == null) {
            err.println(asked.file() + ": there is no section “" + key + "”. Give it as 'COURSE/SECTION'.");
            return 2;
        }
        try {
            Repair repair = Repair.of(reading.decisions(), key, change.change(), change.held() ? today : null);
            List<Way> ways = new ArrayList<>(repair.ways(by));
            if (asked.has("--tidy")) {
                ways.add(repair.tidy());
            }
            out.write(Json.pretty(new Out()
                    .put("section", key)
                    .put("held", ProposalJson.classes(repair.classes()))
                    .put("chosen", Ways.beforehand(ways).name())
                    .put("ways", ways.stream().map(WaysCommand::write).toList())
                    .map()));
        } catch (Refused | IllegalArgumentException e) {
            err.println(asked.file() + ": " + e.getMessage());
            return 2;
        }
        return reading.faulty() ? 2 : 0;
    }

    private static Change lost(LocalDate day) {
        return new AddClosure(Closure.of(day, day, "Lost", "other"));
    }

    private static @Nullable SectionSchedule section(Decisions decisions, String key) {
        return Schedule.of(decisions).sections().stream()
                .filter(s -> s.key().equals(key))
                .findFirst()
                .orElse(null);
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
