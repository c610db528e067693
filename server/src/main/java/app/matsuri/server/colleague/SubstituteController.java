package app.matsuri.server.colleague;

import app.matsuri.core.plan.Item;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
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

    /** One class that a substitute takes. */
    record SheetClass(LocalDateTime start, LocalDateTime end, String place, List<String> lessons, List<String> due) {}

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
        List<SheetClass> classes = new ArrayList<>();
        for (Session session : in.sessions().all()) {
            LocalDate day = session.date();
            if (day.isBefore(part.first()) || day.isAfter(part.last())) {
                continue;
            }
            classes.add(new SheetClass(
                    session.start(),
                    session.end(),
                    session.place(),
                    in.lessonsOn(day).stream()
                            .map(p -> p.lesson().id() + " " + p.lesson().title())
                            .toList(),
                    in.dates().stream()
                            .filter(d ->
                                    d.main() != null && d.main().toLocalDate().equals(day))
                            .map(ItemDates::item)
                            .map(Item::title)
                            .toList()));
        }
        return new Sheet(
                part.stored().decisions().term().name(),
                part.course(),
                part.section(),
                part.first(),
                part.last(),
                classes);
    }
}
