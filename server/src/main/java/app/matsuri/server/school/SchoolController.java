package app.matsuri.server.school;

import app.matsuri.core.calendar.Term;
import app.matsuri.core.school.SchoolDay;
import app.matsuri.core.school.SchoolLine;
import app.matsuri.exchange.calendar.CalendarWriter;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.mail.Letters;
import app.matsuri.server.storage.Stored;
import io.swagger.v3.oas.annotations.Hidden;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The school's calendar, kept once: published, begun from, followed. */
@RestController
class SchoolController {

    private final Access access;
    private final Schools schools;
    private final Letters letters;
    private final Clock clock;

    SchoolController(Access access, Schools schools, Letters letters, Clock clock) {
        this.access = access;
        this.schools = schools;
        this.letters = letters;
        this.clock = clock;
    }

    /**
     * A calendar that is published.
     *
     * @param link to give to who follows it; with .ics at its end for other calendars
     * @param terms whose days it has
     */
    record PublishedCalendar(long id, String name, String link, List<Long> terms, boolean withdrawn) {}

    /** What is to be published. */
    record CalendarGiven(
            @NotBlank(message = "Give the calendar a name.") @Size(max = 200, message = "At most 200 characters.")
            String name,

            @NotEmpty(message = "Say of which terms.") @Size(max = 20, message = "At most 20 terms.")
            List<@NotNull Long> terms) {}

    @GetMapping(path = "/api/school-calendars", produces = "application/json")
    List<PublishedCalendar> all(@AuthenticationPrincipal SignedIn by) {
        return schools.of(by.workspaceId()).stream().map(this::published).toList();
    }

    @PostMapping(path = "/api/school-calendars", consumes = "application/json", produces = "application/json")
    @ResponseStatus(HttpStatus.CREATED)
    PublishedCalendar publish(@AuthenticationPrincipal SignedIn by, @Valid @RequestBody CalendarGiven given) {
        return published(schools.publish(by.workspaceId(), given.name().strip(), new TreeSet<>(given.terms())));
    }

    @DeleteMapping("/api/school-calendars/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@AuthenticationPrincipal SignedIn by, @PathVariable long id) {
        schools.withdraw(by.workspaceId(), id);
    }

    private PublishedCalendar published(SchoolCalendar calendar) {
        return new PublishedCalendar(
                calendar.id,
                calendar.name,
                letters.address() + "/school/" + calendar.token,
                List.copyOf(calendar.terms),
                calendar.withdrawn);
    }

    /** A link as it was given. */
    record LinkGiven(
            @NotBlank(message = "Paste the calendar's link.") @Size(max = 2000, message = "At most 2000 characters.")
            String link) {}

    /** A term of a calendar, to begin one from: its days off, a line each, as they are typed. */
    record CalendarTerm(String name, LocalDate first, LocalDate last, String days) {}

    /** A calendar that a link leads to. */
    record CalendarRead(String name, List<CalendarTerm> terms) {}

    /** What a link leads to, so that a term can begin from it. */
    @PostMapping(path = "/api/school-calendars/reading", consumes = "application/json", produces = "application/json")
    CalendarRead reading(@AuthenticationPrincipal SignedIn by, @Valid @RequestBody LinkGiven given) {
        SchoolCalendar calendar = schools.linked(given.link());
        return new CalendarRead(
                calendar.name,
                schools.terms(calendar).stream()
                        .map(t -> new CalendarTerm(t.name(), t.first(), t.last(), days(t)))
                        .toList());
    }

    private static String days(Term term) {
        return String.join(
                "\n",
                SchoolDay.of(term).stream()
                        .filter(d -> d instanceof SchoolDay.Off)
                        .map(SchoolDay::said)
                        .toList());
    }

    /**
     * How a term stands to the school's calendar.
     *
     * @param name of the calendar that it follows; null where it follows none
     * @param withdrawn it is published no more; the days that were taken stay
     * @param lines in which they differ
     * @param left how many further ones were left as they are
     */
    record SchoolView(@Nullable String name, boolean withdrawn, List<DiffersLine> lines, int left) {}

    /**
     * One thing in which they differ.
     *
     * @param state "new", "changed", "gone" or "by-hand"
     * @param change that brings the term into step
     */
    record DiffersLine(
            String key,
            String state,
            String said,

            @Schema(type = "object", description = "See docs/plan-file.md")
            Map<String, Object> change) {}

    @GetMapping(path = "/api/terms/{termId}/school", produces = "application/json")
    SchoolView school(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        return view(access.stands(by, termId));
    }

    @PutMapping(path = "/api/terms/{termId}/school", consumes = "application/json", produces = "application/json")
    SchoolView follow(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @Valid @RequestBody LinkGiven given) {
        access.change(by, termId);
        Stored stored = access.stands(by, termId);
        schools.follow(stored, given.link());
        return view(stored);
    }

    @DeleteMapping(path = "/api/terms/{termId}/school")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void stop(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        access.change(by, termId);
        schools.stop(termId);
    }

    /** Lines that are to stay as they are. */
    record LeftGiven(@NotNull @Size(max = 500) List<@NotNull @Size(max = 3000) String> keys) {}

    @PostMapping(path = "/api/terms/{termId}/school/left", consumes = "application/json", produces = "application/json")
    SchoolView leave(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @Valid @RequestBody LeftGiven given) {
        access.change(by, termId);
        schools.leave(termId, given.keys());
        return view(access.stands(by, termId));
    }

    private SchoolView view(Stored stored) {
        return schools.standing(stored)
                .map(s -> new SchoolView(
                        s.calendar().name,
                        s.withdrawn(),
                        s.lines().stream().map(SchoolController::line).toList(),
                        s.left().size()))
                .orElse(new SchoolView(null, false, List.of(), 0));
    }

    private static DiffersLine line(SchoolLine line) {
        return new DiffersLine(
                line.key(),
                line.state().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                line.said(),
                ChangeJson.write(line.change()));
    }

    /** The calendar for others: its days off as a calendar file, of all of its terms. */
    @Hidden
    @GetMapping(path = {"/school/{token}.ics", "/school/{token}"})
    ResponseEntity<byte[]> file(@PathVariable String token) {
        SchoolCalendar calendar = schools.linked(token);
        List<Term> terms = schools.terms(calendar);
        if (terms.isEmpty()) {
            throw Schools.none();
        }
        Term all = terms.get(0)
                .withClosures(terms.stream()
                        .flatMap(t -> t.closures().stream())
                        .distinct()
                        .toList());
        return ResponseEntity.ok()
                .header("Content-Type", "text/calendar; charset=utf-8")
                .body(CalendarWriter.daysOff(all, Instant.now(clock)).getBytes(StandardCharsets.UTF_8));
    }
}
