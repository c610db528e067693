package app.matsuri.server.lookback;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How long the units of a course took, this term beside earlier ones.
 *
 * @param sections codes of the course's sections
 * @param terms every earlier term of the course that is known, newest first
 * @param remember a change that keeps with the course what those took that it does not know yet; null where it knows all
 */
public record LookBackView(
        long termId,
        String name,
        long version,
        String course,
        String section,
        List<String> sections,
        List<String> courses,
        List<LookTerm> terms,
        List<LookUnit> units,

        @Nullable @Schema(type = "object", description = "See docs/plan-file.md")
        Map<String, Object> remember,

        int findings,
        @Nullable String undo,
        @Nullable String redo) {

    /** An earlier term; shown where its rows stand among the units. */
    public record LookTerm(long id, String name, LocalDate first, boolean shown) {}

    /**
     * A unit over the terms.
     *
     * @param range what it took in earlier terms, in sessions of the usual length; null for nothing known
     * @param tight whether this term gives it less than it ever took
     */
    public record LookUnit(
            String id,
            String code,
            String title,
            int number,
            @Nullable String colour,
            @Nullable String range,
            boolean tight,
            List<LookRow> rows) {}

    /**
     * A unit in one term.
     *
     * @param state "to-come", "under-way" or "taught"
     * @param sentence its weeks and sessions in words
     * @param beside how that stands to the plan, in words
     * @param pace the change that gives its lessons the lengths they had then; null for this term, or where they are the same
     */
    public record LookRow(
            long termId,
            String term,
            boolean here,
            String state,
            int planned,
            int taught,
            int sessions,
            List<LookCell> cells,
            @Nullable LocalDate first,
            @Nullable LocalDate last,
            int weeks,
            int teachingWeeks,
            String sentence,
            String beside,
            List<String> lost,
            List<String> tests,
            List<String> notes,

            @Nullable @Schema(type = "object", description = "See docs/plan-file.md")
            Map<String, Object> pace) {}

    /**
     * A class, or one that was lost.
     *
     * @param kind "taught", "to-come" or "lost"
     */
    public record LookCell(LocalDate date, String kind, String what, boolean test) {}

    /** An earlier term's weeks. */
    public record PastWeeks(String name, List<PastWeek> weeks) {}

    /**
     * A week of an earlier term beside the same week of this one.
     *
     * @param number of the week in both terms
     */
    public record PastWeek(int number, LocalDate first, List<PastDay> days) {}

    /** A day of it: what was taught, by the code of the lesson, or why there was no class. */
    public record PastDay(
            LocalDate date,
            List<String> lessons,
            List<String> titles,
            @Nullable String off) {}
}
