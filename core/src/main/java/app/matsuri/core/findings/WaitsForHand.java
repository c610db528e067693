package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.dates.PutDates;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Waiting;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/** Dates that found no place when the course was rolled over, as long as nobody gave them one. */
final class WaitsForHand implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        boolean first = in.course().sections().get(0).code().equals(in.section().code());
        for (Waiting waiting : in.course().besides().waits()) {
            boolean here = waiting.section() == null
                    ? first
                    : waiting.section().equals(in.section().code());
            if (here) {
                title(in, waiting)
                        .ifPresent(title -> found.accept(new Finding(
                                "waits-for-hand",
                                Severity.WARNING,
                                Check.about(in, waiting.what().equals("pin") ? "lesson" : "item", waiting.id()),
                                "“" + title + "” has no " + word(waiting) + " since it was rolled over"
                                        + (waiting.old() == null ? "" : "; it was " + Say.moment(waiting.old())) + ": "
                                        + waiting.why() + ".",
                                mend(in, waiting))));
            }
        }
    }

    private static String word(Waiting waiting) {
        return switch (waiting.what()) {
            case "pin" -> "fixed date";
            case "due" -> "due date";
            case "begins", "ends" -> "day of its own";
            default -> waiting.what().equals("opens") ? "opening date" : "closing date";
        };
    }

    /** The title of what still waits; empty where it has its date, or is gone. */
    private static Optional<String> title(SectionSchedule in, Waiting waiting) {
        switch (waiting.what()) {
            case "pin":
                return in.course()
                        .lesson(waiting.id())
                        .filter(l -> in.section().pin(l) == null
                                && in.section().taught().values().stream().noneMatch(ids -> ids.contains(l.id())))
                        .map(Lesson::title);
            case "begins", "ends":
                return in.course()
                        .notice(waiting.id())
                        .filter(n -> waiting.suggested() != null
                                && !n.when().series()
                                && DateRule.at(waiting.suggested()).anchor().equals(rule(n, waiting)))
                        .map(Notice::title);
            default:
                Which which = Which.valueOf(waiting.what().toUpperCase(Locale.ROOT));
                if (waiting.id().startsWith("unit:")) {
                    return in.course()
                            .unit(waiting.id().substring("unit:".length()))
                            .filter(u -> !u.dates().containsKey(which))
                            .map(u -> "Everything in " + u.title());
                }
                ItemDates dates = in.byItem().get(waiting.id());
                return Optional.ofNullable(dates)
                        .filter(d -> d.rule(which) == null)
                        .map(ItemDates::item)
                        .map(Item::title);
        }
    }

    private static @Nullable Object rule(Notice notice, Waiting waiting) {
        DateRule rule = waiting.what().equals("begins")
                ? notice.when().begins()
                : notice.when().ends();
        return rule == null ? null : rule.anchor();
    }

    private static @Nullable Change mend(SectionSchedule in, Waiting waiting) {
        String course = in.course().code();
        boolean dated = List.of("opens", "due", "closes").contains(waiting.what());
        if (waiting.suggested() == null || waiting.id().startsWith("unit:")) {
            return null;
        }
        if (waiting.what().equals("pin")) {
            return new Pin(
                    course, waiting.section(), waiting.id(), waiting.suggested().toLocalDate());
        }
        return !dated
                ? null
                : new PutDates(List.of(new PutDates.Entry(
                        course,
                        waiting.id(),
                        waiting.section() == null ? List.of() : List.of(waiting.section()),
                        Map.of(
                                Which.valueOf(waiting.what().toUpperCase(Locale.ROOT)),
                                Own.other(DateRule.at(waiting.suggested()))))));
    }
}
