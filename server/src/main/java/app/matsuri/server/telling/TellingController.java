package app.matsuri.server.telling;

import app.matsuri.core.plan.Telling;
import app.matsuri.core.plan.Told;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.ToTell;
import app.matsuri.core.schedule.Untold;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.colleague.Access;
import app.matsuri.server.telling.TellingView.SectionTold;
import app.matsuri.server.telling.TellingView.UntoldDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What students were told, beside what is planned. */
@RestController
class TellingController {

    private final Access access;

    TellingController(Access access) {
        this.access = access;
    }

    @GetMapping(path = "/api/terms/{termId}/telling", produces = "application/json")
    TellingView telling(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        List<SectionTold> sections = Schedule.of(access.look(by, termId).decisions()).sections().stream()
                .map(TellingController::section)
                .toList();
        int differ = sections.stream()
                .filter(SectionTold::begun)
                .mapToInt(s -> s.dates().size())
                .sum();
        return new TellingView(differ, sections);
    }

    private static SectionTold section(SectionSchedule in) {
        Told told = in.section().told();
        List<Untold> differing = told.begun() ? ToTell.differing(in) : ToTell.differing(in, null);
        Telling last = told.tellings().isEmpty()
                ? null
                : told.tellings().get(told.tellings().size() - 1);
        return new SectionTold(
                in.course().code(),
                in.section().code(),
                in.section().students().size(),
                told.begun(),
                told.upTo(),
                last == null ? null : last.at(),
                last == null ? "" : last.why(),
                differing.stream().map(TellingController::date).toList());
    }

    private static UntoldDate date(Untold date) {
        boolean deadline = date.what().equals("due") || date.what().equals("closes");
        Integer days = deadline && date.told() != null && date.now() != null
                ? (int) ChronoUnit.DAYS.between(
                        date.told().toLocalDate(), date.now().toLocalDate())
                : null;
        return new UntoldDate(date.what(), date.id(), date.title(), date.told(), date.now(), days);
    }
}
