package app.matsuri.server.term;

import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.exchange.outline.OutlineReader;
import app.matsuri.exchange.outline.Start;
import app.matsuri.exchange.school.DaysOffReader;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.change.ChangeService;
import app.matsuri.server.clock.Today;
import app.matsuri.server.http.Problem;
import app.matsuri.server.wall.WallView;
import app.matsuri.server.wall.Walls;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.DayOfWeek;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Starting a term from what a person types: shown as it is understood, made when they say so. */
@RestController
@RequestMapping(path = "/api/starts", produces = "application/json")
class StartController {

    private final Today today;
    private final Walls walls;
    private final ChangeService changes;

    StartController(Today today, Walls walls, ChangeService changes) {
        this.today = today;
        this.walls = walls;
        this.changes = changes;
    }

    /**
     * What was typed.
     *
     * @param daysOffTaken lines of the list of days off that are taken though they were in doubt; null for none
     * @param outlineSettled what the person says of rows of the outline; null for nothing
     */
    record StartForm(
            @NotNull @Size(max = 200, message = "A name has at most 200 characters.")
            String name,

            @NotNull @Size(max = 100) String first,
            @NotNull @Size(max = 100) String last,
            @NotNull @Size(max = 7) List<String> weekdays,
            @NotNull @Size(max = 100) String zone,

            @NotNull @Size(max = 100_000, message = "The list of days off is too long: at most 100,000 characters.")
            String daysOff,

            @NotNull @Size(max = 300) String course,
            @NotNull @Size(max = 100) String section,
            @NotNull @Size(max = 300) String meets,
            @NotNull @Size(max = 10) String credits,

            @NotNull @Size(max = 2_000_000, message = "The outline is too long: at most 2,000,000 characters.")
            String outline,

            @Nullable @Pattern(regexp = "MO|SU", message = "A week begins on MO or SU.")
            String weekStart,

            @Nullable @Size(max = 2_000) List<@Min(1) Integer> daysOffTaken,
            @Nullable @Size(max = 5_000) List<@Valid OutlineSettled> outlineSettled) {

        /** What was settled of what was in doubt. */
        Start.Settled settled() {
            Map<Integer, String> rows = new HashMap<>();
            if (outlineSettled != null) {
                outlineSettled.forEach(one -> rows.put(one.number(), one.as()));
            }
            return new Start.Settled(daysOffTaken == null ? Set.of() : Set.copyOf(daysOffTaken), rows);
        }

        Start start() {
            return new Start(
                    name,
                    first,
                    last,
                    weekdays,
                    zone,
                    daysOff,
                    course,
                    section,
                    meets,
                    credits,
                    outline,
                    "SU".equals(weekStart) ? DayOfWeek.SUNDAY : DayOfWeek.MONDAY);
        }
    }

    /**
     * A row of the outline that a person settles.
     *
     * @param number from 1
     */
    record OutlineSettled(
            @Min(1) int number,

            @NotNull
            @Pattern(regexp = "unit|lesson|work|nothing", message = "A row is a unit, lesson, work or nothing.")
            String as) {}

    /**
     * One line of the list of days off.
     *
     * @param open whether it is a day off, or another timetable, once somebody says so
     */
    record DayOffLine(int number, String text, String state, String said, boolean open) {}

    /** What was understood, and the wall so far where there is enough for one. */
    record Understood(
            boolean ready,
            List<Start.Said> said,
            List<DayOffLine> daysOff,
            List<OutlineReader.Line> outline,
            int units,
            int lessons,
            int sessionsAsked,
            int items,
            @Nullable WallView wall) {}

    /** A term that was made. */
    record StartedTerm(long id) {}

    @PostMapping(path = "/understood", consumes = "application/json")
    Understood understand(@AuthenticationPrincipal SignedIn by, @Valid @RequestBody StartForm form) {
        Start.Reading reading = form.start().read(today.in(ZoneOffset.UTC), form.settled());
        Decisions decisions = reading.decisions();
        var lessons = decisions == null
                ? List.<Lesson>of()
                : decisions.courses().get(0).lessons();
        return new Understood(
                decisions != null,
                reading.said(),
                reading.daysOff().stream().map(StartController::line).toList(),
                reading.outline(),
                decisions == null ? 0 : decisions.courses().get(0).units().size(),
                lessons.size(),
                lessons.stream().mapToInt(l -> l.length()).sum(),
                decisions == null ? 0 : decisions.courses().get(0).items().size(),
                decisions == null ? null : walls.preview(decisions));
    }

    private static DayOffLine line(DaysOffReader.Line line) {
        return new DayOffLine(
                line.number(),
                line.text(),
                line.state(),
                line.said(),
                line.state().equals("doubtful") && (line.closure() != null || line.mark() != null));
    }

    @PostMapping(consumes = "application/json")
    @ResponseStatus(HttpStatus.CREATED)
    StartedTerm start(@AuthenticationPrincipal SignedIn by, @Valid @RequestBody StartForm form) {
        Start.Reading reading = form.start().read(today.in(ZoneOffset.UTC), form.settled());
        if (reading.decisions() == null) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "start-not-ready",
                    "Not ready yet",
                    "A term needs its first and last day, a course, and when the section meets. What you typed is kept.");
        }
        return new StartedTerm(changes.begin(by, reading.decisions()).termId());
    }
}
