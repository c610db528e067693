package app.matsuri.server.telling;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.gradebook.HandIn;
import app.matsuri.core.gradebook.Lateness;
import app.matsuri.core.plan.Telling;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.ToldSession;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Untold;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.gradebook.GradeBook;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.telling.TellingView.SectionTold;
import app.matsuri.server.telling.TellingView.UntoldDate;
import app.matsuri.server.telling.TellingView.UntoldSession;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What students were told, beside what is planned. */
@RestController
class TellingController {

    private final Access access;
    private final GradeBook book;
    private final Today today;

    TellingController(Access access, GradeBook book, Today today) {
        this.access = access;
        this.book = book;
        this.today = today;
    }

    @GetMapping(path = "/api/terms/{termId}/telling", produces = "application/json")
    TellingView telling(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Stored stored = access.look(by, termId);
        List<HandIn> handIns = book.of(termId);
        LocalDateTime now = today.now(stored.decisions().term().zone());
        List<SectionTold> sections = Schedule.of(stored.decisions()).sections().stream()
                .map(s -> section(s, handIns, now))
                .toList();
        int differ = sections.stream().mapToInt(SectionTold::differing).sum();
        return new TellingView(differ, sections);
    }

    private static SectionTold section(SectionSchedule in, List<HandIn> handIns, LocalDateTime now) {
        Told told = in.section().told();
        List<Untold> differing = told.begun() ? Untold.differing(in) : Untold.differing(in, null);
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
                differing.stream().map(d -> date(in, d, handIns, now)).toList(),
                Untold.sessions(in).stream().map(TellingController::session).toList());
    }

    private static UntoldSession session(Untold.OfSession of) {
        return new UntoldSession(of.name(), said(of.told(), "nothing yet"), said(of.now(), "no class"));
    }

    private static String said(@Nullable ToldSession session, String none) {
        if (session == null) {
            return none;
        }
        String when =
                Say.moment(session.start()) + " to " + Say.time(session.end().toLocalTime());
        return session.place().isEmpty() ? when : when + ", " + session.place();
    }

    private static UntoldDate date(SectionSchedule in, Untold date, List<HandIn> handIns, LocalDateTime now) {
        boolean deadline = date.what().equals("due") || date.what().equals("closes");
        Integer days = deadline && date.told() != null && date.now() != null
                ? (int) ChronoUnit.DAYS.between(
                        date.told().toLocalDate(), date.now().toLocalDate())
                : null;
        ItemDates work = in.byItem().get(date.id());
        Lateness late = date.what().equals("due") && date.told() != null && work != null
                ? Lateness.told(in, work, date.told(), handIns, now)
                : null;
        return new UntoldDate(
                date.what(),
                date.id(),
                date.title(),
                date.told(),
                date.now(),
                days,
                late == null ? 0 : late.becomes(),
                late == null ? 0 : late.noLonger(),
                late == null ? 0 : late.handedIn());
    }
}
