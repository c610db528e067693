package app.matsuri.server.students;

import app.matsuri.core.change.NoSuch;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.WeekNote;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.Session;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Moment;
import app.matsuri.server.clock.Today;
import app.matsuri.server.findings.AllFindings;
import app.matsuri.server.findings.FindingView;
import app.matsuri.server.history.History;
import app.matsuri.server.page.Previews;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.students.StudentsView.PastClass;
import app.matsuri.server.students.StudentsView.Person;
import app.matsuri.server.students.StudentsView.WeekWords;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What students of a section see. */
@RestController
class StudentsController {

    private static final Set<String> CLOSED = Set.of("link-students-cannot-open", "file-missing");
    private static final int CLASSES = 12;

    private final Access access;
    private final Today today;
    private final Moment moment;
    private final AllFindings all;
    private final History history;

    StudentsController(Access access, Today today, Moment moment, AllFindings all, History history) {
        this.access = access;
        this.today = today;
        this.moment = moment;
        this.all = all;
        this.history = history;
    }

    @GetMapping(path = "/api/terms/{termId}/students", produces = "application/json")
    StudentsView students(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam(defaultValue = "") String section) {
        Stored stored = access.stands(by, termId);
        Schedule schedule = Schedule.of(stored.decisions());
        List<String> sections =
                schedule.sections().stream().map(SectionSchedule::key).toList();
        SectionSchedule in = schedule.sections().stream()
                .filter(s -> section.isEmpty() || s.key().equals(section))
                .findFirst()
                .orElseThrow(() -> NoSuch.in("this term", "section", section));
        List<Finding> findings = all.of(stored, schedule);
        SectionRef ref = in.ref();
        History.Ends ends = history.ends(stored);
        return new StudentsView(
                stored.version(),
                findings.size(),
                ends.undo().map(History.Line::sentence).orElse(null),
                ends.redo().map(History.Line::sentence).orElse(null),
                ref.course(),
                ref.section(),
                sections,
                Previews.address(termId, ref, null, false),
                Previews.address(termId, ref, null, true),
                in.section().students().stream()
                        .map(s -> new Person(
                                s.id(),
                                s.name(),
                                Previews.address(termId, ref, s.id(), false),
                                Previews.address(termId, ref, s.id(), true)))
                        .toList(),
                in.course().besides().publishing(),
                moment.day(stored.decisions()),
                week(in, today.in(stored.decisions().term().zone())),
                weeks(in),
                in.section().meets().stream()
                        .map(MeetingPattern::place)
                        .filter(place -> !place.isEmpty())
                        .distinct()
                        .toList(),
                classes(in, today.now(stored.decisions().term().zone())),
                findings.stream()
                        .filter(f ->
                                CLOSED.contains(f.code()) && f.about().course().equals(ref.course()))
                        .map(FindingView::of)
                        .toList());
    }

    private static int week(SectionSchedule in, LocalDate today) {
        return in.calendar()
                .weekNumber(today)
                .orElse(
                        today.isBefore(in.calendar().term().first())
                                ? 1
                                : in.calendar().weeks());
    }

    private static List<WeekWords> weeks(SectionSchedule in) {
        List<WeekWords> weeks = new ArrayList<>();
        for (int k = 1; k <= in.calendar().weeks(); k++) {
            LocalDate first = in.calendar().week(k).orElseThrow();
            WeekNote note = WeekNote.of(
                    in.course().besides().weekNotes(), first, in.section().code());
            weeks.add(new WeekWords(
                    k,
                    first,
                    first.datesUntil(first.plusDays(7)).toList(),
                    note == null ? null : note.section(),
                    note == null ? "" : note.headline(),
                    note == null ? List.of() : note.targets()));
        }
        return weeks;
    }

    private static List<PastClass> classes(SectionSchedule in, LocalDateTime now) {
        Map<LocalDateTime, List<String>> lessons = in.lessonsBySession();
        List<PastClass> classes = new ArrayList<>(in.sessions().all().stream()
                .filter(session -> !session.start().isAfter(now) && session.origin() != Session.Origin.BEAT)
                .map(session -> new PastClass(
                        session.name(),
                        session.start(),
                        lessons.getOrDefault(session.name(), List.of()).stream()
                                .map(id -> in.placement(id).lesson().title())
                                .collect(Collectors.joining("; ")),
                        in.section().sessionLinks().getOrDefault(session.name(), List.of())))
                .toList());
        Collections.reverse(classes);
        return classes.stream().limit(CLASSES).toList();
    }
}
