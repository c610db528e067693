package app.matsuri.exchange.change;

import app.matsuri.core.change.pace.HeldAsPlanned;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.proposal.Moved;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.exchange.plan.Out;
import app.matsuri.exchange.plan.Words;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A proposal as JSON, as the plan file's documentation says. */
public final class ProposalJson {

    private ProposalJson() {}

    public static Map<String, Object> write(Proposal proposal) {
        return new Out()
                .put("sentence", proposal.sentence())
                .put("moves", proposal.moves().stream().map(ProposalJson::moved).toList())
                .put(
                        "findings",
                        new Out()
                                .put("appear", findings(proposal.appear()))
                                .put("goAway", findings(proposal.goAway()))
                                .map())
                .put("notes", proposal.notes())
                .put(
                        "held",
                        proposal.held().sections().stream()
                                .map(ProposalJson::held)
                                .toList())
                .map();
    }

    private static Map<String, Object> held(HeldAsPlanned.Of held) {
        return new Out()
                .put("course", held.course())
                .put("section", held.section())
                .put("classes", classes(held.classes()))
                .map();
    }

    /** By name, classes and the ids of the lessons in them. */
    public static Map<String, List<String>> classes(Map<LocalDateTime, List<String>> classes) {
        Map<String, List<String>> named = new LinkedHashMap<>();
        classes.forEach((name, lessons) -> named.put(Words.moment(name), lessons));
        return named;
    }

    private static Map<String, Object> moved(Moved moved) {
        return new Out()
                .put("course", moved.course())
                .put("section", moved.section())
                .put("what", moved.what())
                .put("id", moved.id())
                .put("title", moved.title())
                .put("from", text(moved.from()))
                .put("to", text(moved.to()))
                .put("why", moved.why())
                .map();
    }

    private static @Nullable String text(@Nullable LocalDateTime moment) {
        return moment == null ? null : Words.moment(moment);
    }

    private static List<Map<String, Object>> findings(List<Finding> findings) {
        return findings.stream()
                .map(f -> new Out()
                        .put("code", f.code())
                        .put("severity", Words.word(f.severity()))
                        .put("about", about(f.about()))
                        .put("sentence", f.sentence())
                        .map())
                .toList();
    }

    private static String about(Finding.About about) {
        return about.course() + "/" + about.section() + " " + about.what() + " " + about.id();
    }
}
