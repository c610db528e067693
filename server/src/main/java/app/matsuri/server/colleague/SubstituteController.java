package app.matsuri.server.colleague;

import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Which;
import app.matsuri.core.runlist.RunClass;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a substitute sees of a term. */
@RestController
@RequestMapping(path = "/api", produces = "application/json")
class SubstituteController {

    private final Access access;

    SubstituteController(Access access) {
        this.access = access;
    }

    /**
     * One class that a substitute takes.
     *
     * @param students how many stand on the roster
     * @param steps what happens, on the clock
     * @param notes private ones of its lessons, and words on its day
     * @param links of its lessons
     */
    record SheetClass(
            LocalDateTime start,
            LocalDateTime end,
            String place,
            int students,
            List<String> lessons,
            List<SheetStep> steps,
            List<String> notes,
            List<Link> links,
            List<String> due) {

        static SheetClass of(RunClass of) {
            return new SheetClass(
                    of.start(),
                    of.end(),
                    of.place(),
                    of.students(),
                    of.parts().stream().map(p -> p.id() + " " + p.lesson()).toList(),
                    of.parts().stream()
                            .flatMap(p -> p.steps().stream())
                            .map(step -> new SheetStep(step.start(), step.minutes(), step.text()))
                            .toList(),
                    Stream.concat(of.words().stream(), of.parts().stream().map(RunClass.Part::notes))
                            .filter(text -> !text.isBlank())
                            .toList(),
                    of.parts().stream().flatMap(p -> p.links().stream()).toList(),
                    of.work().stream()
                            .filter(work -> work.which() == Which.DUE)
                            .map(RunClass.Work::title)
                            .toList());
        }
    }

    /** What happens in a class. */
    record SheetStep(LocalDateTime at, int minutes, String text) {}

    /** What a substitute needs: the classes of some days with their lessons and what is due. */
    record Sheet(
            String term, String course, String section, LocalDate first, LocalDate last, List<SheetClass> classes) {}

    @GetMapping("/terms/{termId}/sheet")
    Sheet sheet(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Access.Substitution part = access.substitute(by, termId);
        SectionSchedule in = Schedule.of(part.stored().decisions())
                .section(part.course(), part.section())
                .orElseThrow(() -> new Problem(
                        HttpStatus.NOT_FOUND,
                        "no-such-section",
                        "No such section",
                        "That section is no longer there."));
        List<SheetClass> classes = part.first()
                .datesUntil(part.last().plusDays(1))
                .flatMap(day -> RunClass.of(in, day).stream())
                .map(SheetClass::of)
                .toList();
        return new Sheet(
                part.stored().decisions().term().name(),
                part.course(),
                part.section(),
                part.first(),
                part.last(),
                classes);
    }
}
