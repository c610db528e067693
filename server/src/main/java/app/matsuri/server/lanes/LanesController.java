package app.matsuri.server.lanes;

import app.matsuri.core.change.Find;
import app.matsuri.core.repace.InStep;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Standing;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.storage.Stored;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The sections of a term beside each other, and how one is brought back into step. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class LanesController {

    private final Access access;
    private final Lanes lanes;

    LanesController(Access access, Lanes lanes) {
        this.access = access;
        this.lanes = lanes;
    }

    @GetMapping("/lanes")
    LanesView lanes(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        return lanes.stands(access.look(by, termId));
    }

    /**
     * One way to bring a section into step.
     *
     * @param gives code of the section that gives way
     * @param week at whose end the two are level first; 0 for none
     * @param left how many lessons it is behind in the end
     */
    record InStepView(
            String gives,
            String sentence,
            int week,
            int left,

            @Schema(type = "object", description = "See docs/plan-file.md")
            Map<String, Object> change) {}

    @GetMapping("/lanes/in-step")
    List<InStepView> inStep(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String course,
            @RequestParam String section) {
        Stored stored = access.look(by, termId);
        LocalDate today = lanes.today(stored);
        Schedule schedule = Schedule.of(stored.decisions());
        SectionSchedule behind = Find.section(schedule, course, section);
        List<SectionSchedule> beside = schedule.sections().stream()
                .filter(s -> s.course() == behind.course())
                .toList();
        return InStep.of(
                        stored.decisions(),
                        behind,
                        Standing.furthest(beside, Standing.weekEnd(behind.calendar(), today)),
                        today)
                .stream()
                .map(s -> new InStepView(s.gives(), s.sentence(), s.week(), s.left(), ChangeJson.write(s.change())))
                .toList();
    }
}
