package app.matsuri.server.section;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.section.PutRoster;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Student;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.Sessions;
import app.matsuri.core.session.Timetable;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.plan.PlanWriter;
import app.matsuri.exchange.roster.RosterAgainst;
import app.matsuri.exchange.roster.RosterReader;
import app.matsuri.exchange.words.MeetsSaid;
import app.matsuri.exchange.words.MeetsWords;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.http.Problem;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Sections: their classes and their rosters. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class SectionController {

    private final Access access;
    private final Today today;

    SectionController(Access access, Today today) {
        this.today = today;
        this.access = access;
    }

    /**
     * One class of a section, also one that does not take place.
     *
     * @param name the start it first had
     * @param number from 1; null where it does not take place
     * @param state "stands", "moved", "added", "cancelled" or "off"
     * @param reason why it is off; empty otherwise
     * @param series index of the pattern that it comes from; null for an added one
     */
    record ClassLine(
            LocalDateTime name,
            LocalDateTime start,
            int minutes,
            String place,
            @Nullable Integer number,
            String state,
            String reason,
            @Nullable Integer series,
            boolean taught) {}

    @GetMapping("/classes")
    List<ClassLine> classes(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String course,
            @RequestParam(defaultValue = "") String section) {
        Decisions decisions = access.look(by, termId).decisions();
        Section in = find(decisions, course, section);
        TeachingCalendar calendar = TeachingCalendar.of(decisions.term());
        Sessions sessions = in.timetable(course).sessions(calendar);
        Map<LocalDateTime, Integer> series = series(in, course, calendar);
        List<ClassLine> lines = new ArrayList<>();
        for (int i = 0; i < sessions.size(); i++) {
            Session s = sessions.get(i);
            lines.add(new ClassLine(
                    s.name(),
                    s.start(),
                    s.minutes(),
                    s.place(),
                    i + 1,
                    switch (s.origin()) {
                        case MOVED -> "moved";
                        case ADDED -> "added";
                        default -> "stands";
                    },
                    "",
                    series.get(s.name()),
                    s.record()));
        }
        for (Sessions.Lost lost : sessions.lost()) {
            lines.add(gone(lost.name(), "off", lost.reason(), series, in));
        }
        for (LocalDateTime name : sessions.cancelled()) {
            lines.add(gone(name, "cancelled", "", series, in));
        }
        lines.sort(Comparator.comparing(ClassLine::start));
        return lines;
    }

    private static ClassLine gone(
            LocalDateTime name, String state, String reason, Map<LocalDateTime, Integer> series, Section in) {
        Integer from = series.get(name);
        MeetingPattern pattern = from == null ? null : in.meets().get(from);
        return new ClassLine(
                name,
                name,
                pattern == null ? 0 : pattern.minutes(),
                pattern == null ? "" : pattern.place(),
                null,
                state,
                reason,
                from,
                false);
    }

    /** Which pattern each class comes from: asked of each alone, with nothing off. */
    private static Map<LocalDateTime, Integer> series(Section in, String course, TeachingCalendar calendar) {
        Map<LocalDateTime, Integer> series = new HashMap<>();
        for (int i = 0; i < in.meets().size(); i++) {
            Timetable alone =
                    new Timetable(course, in.code(), List.of(in.meets().get(i)), null, List.of(), Set.of(), Set.of());
            Sessions sessions = alone.sessions(calendar);
            for (Session s : sessions.all()) {
                series.putIfAbsent(s.name(), i);
            }
            for (Sessions.Lost lost : sessions.lost()) {
                series.putIfAbsent(lost.name(), i);
            }
        }
        return series;
    }

    private static Section find(Decisions decisions, String course, String section) {
        return Find.section(decisions, course, section);
    }

    /** Meeting patterns that were understood, and the same in words. */
    record MeetingsRead(List<Map<String, Object>> patterns, String said) {}

    @GetMapping("/meetings")
    MeetingsRead meetings(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, Locale locale, @RequestParam String text) {
        Term term = access.look(by, termId).decisions().term();
        List<MeetingPattern> patterns = MeetsWords.readAll(text, today.words(term, locale));
        if (patterns.isEmpty()) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "meeting-not-understood",
                    "Not understood",
                    "Days or times were not understood. Write it as MWF 10-10:50 Weir House 2; several parted by “;”.");
        }
        return new MeetingsRead(
                patterns.stream().map(PlanWriter::pattern).toList(),
                patterns.stream().map(MeetsSaid::say).collect(Collectors.joining("; ")));
    }

    /** A student on a roster. */
    record StudentLine(String id, String name, String mail) {

        static StudentLine of(Student s) {
            return new StudentLine(s.id(), s.name(), s.mail());
        }
    }

    @GetMapping("/roster")
    List<StudentLine> roster(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String course,
            @RequestParam(defaultValue = "") String section) {
        Decisions decisions = access.look(by, termId).decisions();
        return find(decisions, course, section).students().stream()
                .map(StudentLine::of)
                .toList();
    }

    /**
     * A roster as pasted, or a file.
     *
     * @param content of the file, in base 64; null for pasted text
     */
    record RosterGiven(
            String course,
            String section,
            @Nullable String name,
            @Nullable String text,
            byte @Nullable [] content) {}

    /**
     * One line and what was understood.
     *
     * @param state "student", "here" (on the roster already), "double", "passed", "heading" or "not-understood"
     */
    record RosterLine(
            int number,
            String text,
            String state,
            String said,
            @Nullable StudentLine student) {

        static RosterLine of(RosterReader.Line line) {
            StudentLine student = line.student() == null ? null : StudentLine.of(line.student());
            return new RosterLine(line.number(), line.text(), line.state(), line.said(), student);
        }
    }

    /**
     * What reading came to.
     *
     * @param missing who is on the roster and not on the list
     * @param change the roster with those of the list added, as a change; null where nobody is new
     */
    record RosterRead(
            List<RosterLine> lines,
            List<StudentLine> missing,
            @Nullable Map<String, Object> change) {}

    @PostMapping(path = "/roster/read", consumes = "application/json")
    RosterRead read(@AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody RosterGiven given) {
        Decisions decisions = access.look(by, termId).decisions();
        List<Student> now = find(decisions, given.course(), given.section()).students();
        String text = given.text() == null ? "" : given.text();
        List<RosterReader.Line> read = given.content() == null && text.isBlank()
                ? List.of()
                : given.content() != null
                        ? RosterReader.read(
                                new Given(given.name() == null ? "the file" : given.name(), given.content()))
                        : RosterReader.read(text);
        RosterAgainst against = RosterAgainst.of(now, read);
        return new RosterRead(
                against.lines().stream().map(RosterLine::of).toList(),
                against.missing().stream().map(StudentLine::of).toList(),
                against.all().equals(now)
                        ? null
                        : ChangeJson.write(new PutRoster(given.course(), given.section(), against.all())));
    }
}
