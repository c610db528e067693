package app.matsuri.core.repace;

import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Weights;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A complete way out: the cheapest under its limit.
 *
 * @param name of the limit: "let-it-slide", "catch-up-in-unit", "catch-up-by-break", "catch-up-by-pin", "catch-up-by-date",
 *     "leave-it-out" or "tidy-the-weeks"
 * @param sentence what it is, in plain words
 * @param costs by kind; kinds that cost nothing are left out
 * @param edits what it does, in order of the plan
 * @param steps the changes that lead there, in order; null where no changes do
 * @param dates the sessions of each lesson under it, by lesson, in order of the plan
 * @param drops titles of lessons that it leaves out though nobody said that they may be, or that hold a test or are fixed on a date
 */
public record Way(
        String name,
        String sentence,
        Map<Weights.Cost, Integer> costs,
        List<Edit> edits,
        @Nullable List<Step> steps,
        Map<String, List<LocalDateTime>> dates,
        List<String> drops) {

    /**
     * One thing that it does.
     *
     * @param kind "give-up-reserve", "leave-out", "shorten", "join", "leave-empty", "begin-mid-week" or "no-room"
     * @param lesson the lesson that it concerns; null for an empty session
     * @param session the session that is left empty, or in which a lesson is joined; null for none
     * @param to the length that a lesson is shortened to; 0 for none
     * @param sentence it in plain words
     */
    public record Edit(
            String kind, @Nullable String lesson, @Nullable LocalDateTime session, int to, String sentence) {}

    /** One change of the section that it takes. */
    public record Step(String sentence, Change change) {}

    /** All that it costs. */
    public long total() {
        return Scorer.total(costs);
    }
}
