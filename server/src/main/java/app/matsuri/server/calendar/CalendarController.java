package app.matsuri.server.calendar;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.calendar.SetTerm;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.proposal.ClassesTaken;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.calendar.CalendarWriter;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.holiday.PublicHolidays;
import app.matsuri.exchange.plan.PlanWriter;
import app.matsuri.exchange.school.DaysOffFile;
import app.matsuri.exchange.school.DaysOffReader;
import app.matsuri.exchange.school.DaysOffReader.Line;
import app.matsuri.exchange.table.TermTables;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A term as it is set up: its calendar, days off read from lists and files, public holidays, and files out. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class CalendarController {

    private final Access access;
    private final Calendars calendars;
    private final Sources sources;
    private final Today today;
    private final Clock clock;

    CalendarController(Access access, Calendars calendars, Sources sources, Today today, Clock clock) {
        this.access = access;
        this.calendars = calendars;
        this.sources = sources;
        this.today = today;
        this.clock = clock;
    }

    @GetMapping("/calendar")
    CalendarView calendar(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        return calendars.stands(access.look(by, termId));
    }

    /**
     * A list of days off as pasted, or a file.
     *
     * @param name of the file; null for pasted text
     * @param text as pasted; null for a file
     * @param content of the file, in base 64; null for pasted text
     * @param dayFirst whether 10/11 is the tenth of November
     */
    record ListGiven(
            @Nullable String name,
            @Nullable String text,
            byte @Nullable [] content,
            @Nullable Boolean dayFirst) {

        Given given() {
            return content != null
                    ? new Given(name == null ? "the file" : name, content)
                    : new Given("the pasted list", (text == null ? "" : text).getBytes(StandardCharsets.UTF_8));
        }
    }

    /**
     * One line and what was understood.
     *
     * @param state "off", "doubtful", "marked", "meets", "passed", "heading", "not-understood", "double", "overlap", "known" or
     *     "outside"
     * @param takes what the day off would take, in words; null where it is none
     * @param closure the day off as a plan file writes it; null where it is none
     * @param change of a day that runs as another weekday or teaches though it would not; null for none
     */
    record OffLine(
            int number,
            String text,
            String state,
            String said,
            @Nullable String takes,
            @Nullable Map<String, Object> closure,
            @Nullable Map<String, Object> change) {}

    /**
     * What reading came to.
     *
     * @param differences what a file that was read before changes now, as one change; null where it was not read before
     * @param differencesSaid the same in sentences
     */
    record DaysOffRead(List<OffLine> lines, @Nullable Map<String, Object> differences, List<String> differencesSaid) {}

    @PostMapping(path = "/days-off/read", consumes = "application/json")
    DaysOffRead read(@AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody ListGiven list) {
        Stored stored = access.look(by, termId);
        Decisions decisions = stored.decisions();
        Term term = decisions.term();
        if (list.content() == null && (list.text() == null || list.text().isBlank())) {
            return new DaysOffRead(List.of(), null, List.of());
        }
        List<Line> lines = DaysOffFile.check(lines(list, term), term);
        Map<String, Object> differences = null;
        List<String> said = new ArrayList<>();
        if (list.content() != null && list.name() != null) {
            byte[] old = sources.content(termId, list.name());
            if (old != null) {
                ListGiven before = new ListGiven(list.name(), null, old, list.dayFirst());
                List<Change> changes =
                        DaysOffFile.differences(taken(lines(before, term)), taken(lines(list, term)), term);
                changes.forEach(c -> said.add(Change.said(c, decisions)));
                differences = changes.isEmpty()
                        ? Map.of()
                        : ChangeJson.write(new Together("Read “" + list.name() + "” again", changes));
            }
        }
        return new DaysOffRead(views(lines, decisions), differences, said);
    }

    private List<Line> lines(ListGiven list, Term term) {
        boolean dayFirst = Boolean.TRUE.equals(list.dayFirst());
        LocalDate now = today.in(term.zone());
        return DaysOffFile.read(list.given(), term, new DayWords(now, term.first(), term.last(), dayFirst));
    }

    private static List<Closure> taken(List<Line> lines) {
        return off(lines.stream().filter(Line::taken).toList());
    }

    private static List<Closure> off(List<Line> lines) {
        return lines.stream().map(Line::closure).filter(c -> c != null).toList();
    }

    private static List<OffLine> views(List<Line> lines, Decisions decisions) {
        List<List<ClassesTaken>> taken = ClassesTaken.of(decisions, off(lines));
        boolean one = decisions.courses().size() == 1;
        List<OffLine> views = new ArrayList<>();
        int at = 0;
        for (Line line : lines) {
            SetTerm edge = edge(line, decisions.term());
            if (edge != null) {
                views.add(new OffLine(
                        line.number(),
                        line.text(),
                        "doubtful",
                        line.said() + ", and the term "
                                + (edge.term().last().equals(decisions.term().last()) ? "begins " : "ends ")
                                + Say.day(
                                        edge.term()
                                                        .last()
                                                        .equals(decisions.term().last())
                                                ? decisions.term().first()
                                                : decisions.term().last())
                                + ". Set it so?",
                        null,
                        null,
                        ChangeJson.write(edge)));
                continue;
            }
            Closure closure = line.closure();
            boolean off = closure != null;
            views.add(new OffLine(
                    line.number(),
                    line.text(),
                    line.state(),
                    line.said(),
                    off ? ClassesTaken.say(taken.get(at), one) : null,
                    closure == null ? null : PlanWriter.closure(closure),
                    line.mark() == null ? null : ChangeJson.write(line.mark())));
            at += off ? 1 : 0;
        }
        return views;
    }

    /** The term with the first or last day that a list gives it; null where it gives none, or the one that it has. */
    private static @Nullable SetTerm edge(Line line, Term term) {
        DaysOffReader.Edge edge = line.edge();
        if (edge == null || edge.day().equals(edge.last() ? term.last() : term.first())) {
            return null;
        }
        LocalDate first = edge.last() ? term.first() : edge.day();
        LocalDate last = edge.last() ? edge.day() : term.last();
        return last.isBefore(first)
                ? null
                : new SetTerm(new Term(
                        term.name(),
                        first,
                        last,
                        term.zone(),
                        term.weekdays(),
                        term.weekStart(),
                        term.firstPlanDay(),
                        term.closures(),
                        term.extraDays(),
                        term.runsAs(),
                        term.rotation(),
                        term.extra()));
    }

    /** Keeps a file as it was given, so that reading it again tells what differs. */
    @PostMapping(path = "/days-off/files", consumes = "application/json")
    List<Sources.SourceLine> keep(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody ListGiven list) {
        Stored stored = access.change(by, termId);
        if (list.content() == null || list.name() == null || list.name().isBlank()) {
            throw new Problem(HttpStatus.BAD_REQUEST, "no-file", "No file", "Choose a file to keep.");
        }
        list.given().kind();
        sources.keep(stored.termId(), list.name(), list.content(), Instant.now(clock));
        return sources.of(termId);
    }

    @GetMapping("/days-off/files")
    List<Sources.SourceLine> files(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        access.look(by, termId);
        return sources.of(termId);
    }

    /**
     * A public holiday within the term.
     *
     * @param state "off" where it is off already, "weekend" where the day would not teach, else "teaches"
     * @param takes what it would take as a day off, in words
     */
    record HolidayLine(
            LocalDate day, String name, boolean everyone, String state, String takes, Map<String, Object> closure) {}

    /** Public holidays of a place within the term; whether its list was checked. */
    record HolidaysRead(boolean checked, List<HolidayLine> holidays) {}

    @GetMapping("/holidays")
    HolidaysRead holidays(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam(defaultValue = "us") String country,
            @RequestParam(defaultValue = "") String region,
            @RequestParam(defaultValue = "en") String language) {
        Stored stored = access.look(by, termId);
        Decisions decisions = stored.decisions();
        Term term = decisions.term();
        List<PublicHolidays.PublicHoliday> found = HolidayController.known(
                () -> PublicHolidays.of(country, region, term.first(), term.last(), Locale.forLanguageTag(language)));
        List<Closure> closures = found.stream()
                .map(h -> Closure.of(h.day(), h.day(), h.name(), "public-holiday"))
                .toList();
        List<List<ClassesTaken>> taken = ClassesTaken.of(decisions, closures);
        boolean one = decisions.courses().size() == 1;
        Set<LocalDate> off = new HashSet<>();
        for (Closure c : term.closures()) {
            if (c.noClass() && c.wholeDay() && c.everyone()) {
                found.stream()
                        .map(PublicHolidays.PublicHoliday::day)
                        .filter(c::covers)
                        .forEach(off::add);
            }
        }
        List<HolidayLine> lines = new ArrayList<>();
        for (int i = 0; i < found.size(); i++) {
            LocalDate day = found.get(i).day();
            String state =
                    off.contains(day) ? "off" : term.weekdays().contains(day.getDayOfWeek()) ? "teaches" : "weekend";
            lines.add(new HolidayLine(
                    day,
                    found.get(i).name(),
                    found.get(i).everyone(),
                    state,
                    ClassesTaken.say(taken.get(i), one),
                    PlanWriter.closure(closures.get(i))));
        }
        return new HolidaysRead(PublicHolidays.checked(country), lines);
    }

    @GetMapping("/days-off.ics")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "text/calendar", schema = @Schema(type = "string")))
    ResponseEntity<byte[]> daysOffCalendar(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Stored stored = access.look(by, termId);
        return file(
                "days-off.ics",
                "text/calendar",
                CalendarWriter.daysOff(stored.decisions().term(), Instant.now(clock)));
    }

    @GetMapping("/days-off.csv")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = "text/csv", schema = @Schema(type = "string")))
    ResponseEntity<byte[]> daysOffTable(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Stored stored = access.look(by, termId);
        return file(
                "days-off.csv",
                "text/csv",
                TermTables.daysOff(stored.decisions().term()));
    }

    @GetMapping("/classes.ics")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "text/calendar", schema = @Schema(type = "string")))
    ResponseEntity<byte[]> classesCalendar(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Stored stored = access.look(by, termId);
        return file(
                "classes.ics",
                "text/calendar",
                CalendarWriter.sessions(Schedule.of(stored.decisions()), Instant.now(clock)));
    }

    private static ResponseEntity<byte[]> file(String name, String type, String text) {
        return ResponseEntity.ok()
                .header("Content-Type", type + ";charset=UTF-8")
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(text.getBytes(StandardCharsets.UTF_8));
    }
}
