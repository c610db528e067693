package app.matsuri.server.comparison;

import app.matsuri.server.repace.WaysView.WayCost;
import app.matsuri.server.repace.WaysView.WayUnit;
import app.matsuri.server.repace.WaysView.WayWeek;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A named what-if.
 *
 * @param steps its changes, a sentence each
 * @param broken which of them can no longer be made, and why; null where all can
 * @param change all of it as one change; null where there is none yet
 */
public record WhatIfView(
        long id,
        String name,
        List<String> steps,
        @Nullable String broken,

        @Nullable @Schema(type = "object", description = "See docs/plan-file.md")
        Map<String, Object> change) {

    /**
     * The plan of a section with what-ifs beside it.
     *
     * @param weekdays the columns of the small walls, 1 for Monday
     * @param columns the plan as it stands first
     * @param rows lessons and due dates that are not everywhere the same
     */
    record ComparisonView(
            String course,
            String section,
            List<Integer> weekdays,
            List<WayUnit> units,
            List<ComparisonColumn> columns,
            List<ComparisonRow> rows) {}

    /**
     * The plan, or a what-if.
     *
     * @param id null for the plan as it stands
     * @param broken which of its changes can no longer be made, and why; what is shown are those before it
     * @param problems how many findings are problems, in the whole term
     * @param warnings how many are warnings
     * @param appear problems that the plan has not
     * @param goAway problems of the plan that it has not
     * @param beside what taking it over would do beside the plan, as to bookings; a sentence each
     * @param costs what it costs by the course's weights, by kind
     */
    record ComparisonColumn(
            @Nullable Long id,
            String name,
            @Nullable String broken,
            int problems,
            int warnings,
            List<String> appear,
            List<String> goAway,
            List<String> beside,
            List<WayCost> costs,
            long total,
            List<WayWeek> weeks) {}

    /**
     * A lesson's first class, or a due date.
     *
     * @param what "lesson" or "due"
     * @param at for each column; null for none
     */
    record ComparisonRow(String what, String id, String title, List<LocalDateTime> at) {}
}
