package app.matsuri.server.lookback;

import app.matsuri.core.change.Find;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.table.LookBackTable;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Moment;
import app.matsuri.server.history.History;
import app.matsuri.server.http.Problem;
import app.matsuri.server.lookback.LookBackView.PastDay;
import app.matsuri.server.lookback.LookBackView.PastWeek;
import app.matsuri.server.lookback.LookBackView.PastWeeks;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import java.io.StringWriter;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Looking back: how long units took, this term beside earlier ones of the same course. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class LookBackController {

    private final Access access;
    private final TermStore store;
    private final History history;
    private final Moment moment;

    LookBackController(Access access, TermStore store, History history, Moment moment) {
        this.access = access;
        this.store = store;
        this.history = history;
        this.moment = moment;
    }

    @GetMapping("/look-back")
    LookBackView lookBack(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam(required = false) String course,
            @RequestParam(required = false) String section,
            @RequestParam(required = false) List<Long> terms) {
        Stored stored = access.look(by, termId);
        SectionSchedule schedule = section(stored, course, section);
        return new LookBackBuilder(stored, schedule, earlier(by, stored, schedule), terms, history.ends(stored))
                .view(moment.day(stored.decisions()));
    }

    @GetMapping(path = "/look-back.csv", produces = "text/csv")
    ResponseEntity<String> table(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String course,
            @RequestParam String section) {
        Stored stored = access.look(by, termId);
        SectionSchedule schedule = section(stored, course, section);
        Map<String, SectionSchedule> all = new LinkedHashMap<>();
        all.put(stored.decisions().term().name(), schedule);
        earlier(by, stored, schedule)
                .forEach(e -> all.put(e.stored().decisions().term().name(), e.section()));
        StringWriter out = new StringWriter();
        LookBackTable.write(all, out);
        return ResponseEntity.ok()
                .header("Content-Disposition", "attachment; filename=\"look-back.csv\"")
                .body(out.toString());
    }

    /** An earlier term's weeks, to lie beside those of this one. */
    @GetMapping("/past-weeks")
    PastWeeks pastWeeks(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam long past,
            @RequestParam String course,
            @RequestParam String section) {
        SectionSchedule here = section(access.look(by, termId), course, section);
        Stored earlier = access.stands(by, past);
        SectionSchedule schedule = likewise(earlier, here);
        TreeMap<Integer, List<PastDay>> weeks = new TreeMap<>();
        Map<Integer, List<Placement>> lessons = new LinkedHashMap<>();
        schedule.placements()
                .forEach(p -> p.slots()
                        .forEach(s -> lessons.computeIfAbsent(s.session(), x -> new ArrayList<>())
                                .add(p)));
        for (int i = 0; i < schedule.sessions().size(); i++) {
            Session session = schedule.sessions().get(i);
            List<Placement> in = lessons.getOrDefault(i, List.of());
            add(
                    weeks,
                    schedule,
                    new PastDay(
                            session.date(),
                            in.stream().map(p -> p.lesson().id()).toList(),
                            in.stream().map(p -> p.lesson().title()).toList(),
                            null));
        }
        schedule.sessions()
                .lost()
                .forEach(l ->
                        add(weeks, schedule, new PastDay(l.name().toLocalDate(), List.of(), List.of(), l.reason())));
        List<PastWeek> all = new ArrayList<>();
        weeks.forEach((number, days) -> {
            LocalDate first = schedule.calendar().week(number).orElseThrow();
            all.add(new PastWeek(
                    number,
                    first,
                    days.stream().sorted(Comparator.comparing(PastDay::date)).toList()));
        });
        return new PastWeeks(earlier.decisions().term().name(), all);
    }

    private static void add(TreeMap<Integer, List<PastDay>> weeks, SectionSchedule in, PastDay day) {
        in.calendar()
                .weekNumber(day.date())
                .ifPresent(n -> weeks.computeIfAbsent(n, w -> new ArrayList<>()).add(day));
    }

    private List<LookBackBuilder.Earlier> earlier(SignedIn by, Stored stored, SectionSchedule schedule) {
        LocalDate first = stored.decisions().term().first();
        return store.all(by.workspaceId()).stream()
                .filter(t -> t.termId() != stored.termId()
                        && t.decisions().term().first().isBefore(first)
                        && t.decisions().course(schedule.course().code()).stream()
                                .anyMatch(c -> !c.sections().isEmpty()))
                .sorted(Comparator.comparing((Stored t) -> t.decisions().term().first())
                        .reversed())
                .map(t -> new LookBackBuilder.Earlier(t, likewise(t, schedule)))
                .toList();
    }

    /** The section that is asked for; the first one of the course, or of the first course, where none is. */
    private static SectionSchedule section(Stored stored, @Nullable String course, @Nullable String section) {
        List<Course> courses = stored.decisions().courses();
        if (courses.isEmpty()) {
            throw new Problem(
                    HttpStatus.NOT_FOUND,
                    "no-section",
                    "Nothing to look back at",
                    "There is no course in this term yet. Roll one over from an earlier term, or add one on the Term view.");
        }
        return Find.follows(stored.decisions(), course == null ? courses.get(0).code() : course, section);
    }

    /** The section of the same code in another term, else the first one. */
    private static SectionSchedule likewise(Stored other, SectionSchedule schedule) {
        String course = schedule.course().code();
        String same = Find.course(other.decisions(), course)
                .section(schedule.section().code())
                .map(Section::code)
                .orElse(null);
        return Find.follows(other.decisions(), course, same);
    }
}
