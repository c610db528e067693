package app.matsuri.server.dates;

import app.matsuri.server.findings.FindingView;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Every dated thing of a term in rows.
 *
 * @param undo what an undo would take back; null for nothing
 * @param redo what a redo would make again; null for nothing
 */
public record DatesView(
        long termId,
        String termName,
        long version,
        LocalDateTime now,
        List<DatesWeek> weeks,
        List<DatesCourse> courses,
        List<DatesRow> rows,
        List<FindingView> findings,
        @Nullable String undo,
        @Nullable String redo) {

    /** A week of the term with its first and last day. */
    public record DatesWeek(int number, LocalDate first, LocalDate last) {}

    /** A course with its sections, in the order in which cells hold them, and its units and lessons. */
    public record DatesCourse(
            String code, String title, List<String> sections, List<DatesUnit> units, List<DatesLesson> lessons) {}

    /** A unit by its short code. */
    public record DatesUnit(
            String id,
            String code,
            String title,
            int number,
            @Nullable String colour) {}

    /** A lesson that dates can hang on. */
    public record DatesLesson(String id, String title, String unit) {}

    /**
     * One item.
     *
     * @param unit id of its unit
     * @param lesson id of its lesson; null for none
     * @param only codes of the sections it is for; null for all
     * @param wrong what is wrong with its dates
     */
    public record DatesRow(
            String course,
            String id,
            String title,
            String kind,
            String unit,
            @Nullable String lesson,
            String marking,
            @Nullable Integer minutes,
            boolean locked,
            @Nullable Boolean draft,
            @Nullable List<String> only,
            DatesCell opens,
            DatesCell due,
            DatesCell closes,
            List<FindingView> wrong) {}

    /**
     * One of its dates.
     *
     * @param rule how the plan comes to it, in short; null for no date
     * @param typed the same as it can be typed; null for no date
     * @param at a date per section of the course, null for none
     * @param state per section: "ok", "fixed", "rolled", "unresolved", "none" or "not-for"
     * @param own per section: how it comes to a date of its own, in short, "" where it takes one away, null where it
     *     keeps the plan's; the list is null where all do
     * @param told per section: what its students were told, in words, null where it is the date; the list is null where
     *     all were told the date
     */
    public record DatesCell(
            @Nullable String rule,
            @Nullable String typed,
            List<LocalDateTime> at,
            List<String> state,
            @Nullable List<String> own,
            @Nullable List<String> told) {}
}
