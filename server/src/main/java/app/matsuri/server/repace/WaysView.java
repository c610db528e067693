package app.matsuri.server.repace;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The ways out of what a change does to a section.
 *
 * @param version on which they were worked out
 * @param sections how many the course has
 * @param said what the change is, without a full stop; empty where none was given
 * @param notes what did not go quite as asked
 * @param held what counts as held as planned and is recorded with a way, in words; empty for nothing
 * @param change what comes before the steps of every way: those records, and what was asked about; null for neither
 * @param chosen the way to choose beforehand: the cheapest that leaves out nothing but what may be
 * @param spare what each unit could lose; null where something was asked about
 * @param weekdays the columns of the small walls, 1 for Monday
 */
public record WaysView(
        long version,
        String course,
        String section,
        int sections,
        String said,
        List<String> notes,
        String held,

        @Nullable @Schema(type = "object", description = "See docs/plan-file.md")
        Map<String, Object> change,

        String chosen,
        List<Integer> weekdays,
        List<WayUnit> units,
        List<WayWeight> weights,
        @Nullable List<WaySpare> spare,
        List<WayView> ways) {

    /** How a unit's thread is drawn. */
    public record WayUnit(
            String id,
            String code,
            String title,
            int number,
            @Nullable String colour) {}

    /**
     * What if a unit loses classes: how many of those to come it can lose before something required finds no room.
     *
     * @param costs what the cheapest repair costs when one is lost
     */
    public record WaySpare(String unit, int classes, int bears, long costs) {}

    /**
     * What a kind of giving way costs in the course.
     *
     * @param usual what it costs to begin with
     */
    public record WayWeight(String kind, String words, int cost, int usual) {}

    /**
     * One way out.
     *
     * @param name of its kind, as in core
     * @param sentence what it is
     * @param words what it moves, in one sentence
     * @param backOn the first day from which on everything is as planned; null where nothing is, or nothing differs
     * @param steps null where no changes lead there
     * @param problems what is amiss in it and was not before
     * @param elsewhere how much is amiss in other sections and was not before
     * @param told lessons that would not be on the day that students were told, and are now
     * @param spare spare days that are left
     * @param change the whole of it as one change, what was asked about and its steps; null where nothing is to be done
     */
    public record WayView(
            String name,
            String sentence,
            String words,
            @Nullable LocalDate backOn,
            List<WayCost> costs,
            long total,
            @Nullable List<WayStep> steps,
            List<String> problems,
            int elsewhere,
            int told,
            int spare,
            List<WayWeek> weeks,

            @Nullable @Schema(type = "object", description = "See docs/plan-file.md")
            Map<String, Object> change) {}

    /**
     * What it costs by kind.
     *
     * @param times how often
     * @param each what one costs
     */
    public record WayCost(String kind, String words, int times, int each, int cost) {}

    /** One step, which may be left out. */
    public record WayStep(
            String sentence,

            @Schema(type = "object", description = "See docs/plan-file.md")
            Map<String, Object> change) {}

    /** A week of the small wall. */
    public record WayWeek(int number, LocalDate first, List<WayDay> days) {}

    /**
     * A day of the small wall.
     *
     * @param off why it has no class; null where it is not off
     * @param lessons in it
     * @param was ids of lessons that were in it before and are not now
     * @param classes how many classes it has
     */
    public record WayDay(
            LocalDate date, @Nullable String off, List<WayLesson> lessons, List<String> was, int classes) {}

    /**
     * A lesson on a day.
     *
     * @param moved it was not there before
     * @param goesOn it began in an earlier class
     */
    public record WayLesson(
            String id,
            String title,
            String unit,
            boolean moved,
            boolean test,
            boolean taught,
            boolean pinned,
            boolean goesOn) {}
}
