package app.matsuri.server.rollover;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.rollover.DatesOfAnother;
import app.matsuri.exchange.table.RolloverTable;
import app.matsuri.exchange.words.CellWords;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.StringWriter;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Rolling courses over: what there is to choose, what it would come to, and the step itself. */
@RestController
@RequestMapping(path = "/api", produces = "application/json")
class RolloverController {

    /** A year, or the two digits behind the stroke of one: "2026/27". */
    private static final Pattern YEAR = Pattern.compile("\\b(?:19|20|21)\\d{2}\\b|(?<=\\b20\\d{2}[/–-])\\d{2}\\b");

    private final Rollovers rollovers;
    private final RolloverSources sources;
    private final Access access;
    private final TermStore store;

    RolloverController(Rollovers rollovers, RolloverSources sources, Access access, TermStore store) {
        this.rollovers = rollovers;
        this.sources = sources;
        this.access = access;
        this.store = store;
    }

    /** A unit that can come. */
    record RollUnit(String id, String code, String title) {}

    /** A course that can come. */
    record RollCourse(String code, String title, List<RollUnit> units) {}

    /** A term to which it can go. */
    record RollTerm(long id, String name, LocalDate first, LocalDate last, List<String> courses) {}

    /**
     * What can be rolled over, and to where.
     *
     * @param next id of the term that comes next; null for none
     * @param yearOn first and last day a year on, on the same weekdays
     * @param nameThen what it may be called then
     */
    record RolloverChoices(
            String name,
            LocalDate first,
            LocalDate last,
            List<RollCourse> courses,
            List<RollTerm> terms,
            @Nullable Long next,
            List<LocalDate> yearOn,
            String nameThen) {}

    @GetMapping("/terms/{termId}/rollover")
    RolloverChoices choices(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Decisions from = access.stands(by, termId).decisions();
        List<RollTerm> terms = store.all(by.workspaceId()).stream()
                .filter(t -> t.termId() != termId)
                .map(RolloverController::term)
                .toList();
        Long next = terms.stream()
                .filter(t -> t.first().isAfter(from.term().first()))
                .min((a, b) -> a.first().compareTo(b.first()))
                .map(RollTerm::id)
                .orElse(null);
        return new RolloverChoices(
                from.term().name(),
                from.term().first(),
                from.term().last(),
                courses(from),
                terms,
                next,
                List.of(from.term().first().plusWeeks(52), from.term().last().plusWeeks(52)),
                aYearOn(from.term().name()));
    }

    /** "Autumn 2027" of "Autumn 2026", "2027/28" of "2026/27". */
    static String aYearOn(String name) {
        return YEAR.matcher(name)
                .replaceAll(year -> year.group().length() == 2
                        ? String.format(Locale.ROOT, "%02d", (Integer.parseInt(year.group()) + 1) % 100)
                        : String.valueOf(Integer.parseInt(year.group()) + 1));
    }

    private static RollTerm term(Stored stored) {
        var term = stored.decisions().term();
        return new RollTerm(
                stored.termId(),
                term.name(),
                term.first(),
                term.last(),
                stored.decisions().courses().stream().map(Course::code).toList());
    }

    private static List<RollCourse> courses(Decisions from) {
        return from.courses().stream()
                .map(c -> new RollCourse(
                        c.code(),
                        c.title(),
                        c.units().stream()
                                .map(u -> new RollUnit(u.id(), u.code(), u.title()))
                                .toList()))
                .toList();
    }

    @PostMapping(path = "/rollover-previews", consumes = "application/json")
    RolloverView preview(@AuthenticationPrincipal SignedIn by, @Valid @RequestBody RolloverForm form) {
        Rollovers.Ends ends = rollovers.ends(by, form, false);
        return new RolloverBuilder(ends, Rollovers.rollover(form, ends), form.by()).view();
    }

    /** The table of a rollover as a file. */
    record RolloverCsv(String name, String content) {}

    @PostMapping(path = "/rollover-tables", consumes = "application/json")
    RolloverCsv table(@AuthenticationPrincipal SignedIn by, @Valid @RequestBody RolloverForm form) {
        Rollovers.Ends ends = rollovers.ends(by, form, false);
        StringWriter out = new StringWriter();
        RolloverTable.write(
                Rollovers.rollover(form, ends).into(ends.to()).rows(),
                form.courses().size() > 1,
                Say::inTable,
                out);
        return new RolloverCsv("rollover.csv", out.toString());
    }

    /**
     * A rollover to be made.
     *
     * @param version of the new term on which it was looked at; 0 for one that is made with it
     */
    record RolloverAsked(long version, @NotNull @Valid RolloverForm form) {}

    /** A rollover that was made. */
    record RolloverMade(long termId, String sentence) {}

    @PostMapping(path = "/rollovers", consumes = "application/json")
    @ResponseStatus(HttpStatus.CREATED)
    RolloverMade roll(@AuthenticationPrincipal SignedIn by, @Valid @RequestBody RolloverAsked asked) {
        Rollovers.Done done = rollovers.roll(by, asked.form(), asked.version());
        return new RolloverMade(done.termId(), done.sentence());
    }

    /**
     * A file to roll over from.
     *
     * @param term id of the term that a table's dates are of; null where that is not known
     * @param course code of the course that a table becomes
     */
    record RolloverSourceGiven(
            @NotNull @Size(max = 300) String name,
            @NotNull @Size(max = 8_388_608) byte[] content,
            @Nullable Long term,
            @NotNull @Size(max = 300) String course) {}

    /** A cell that was passed over. */
    record WrongCell(int row, String text, String said) {}

    /** What was read from a file. */
    record RolloverSource(
            String id,
            String name,
            LocalDate first,
            LocalDate last,
            List<RollCourse> courses,
            int items,
            List<WrongCell> wrong) {}

    @PostMapping(path = "/rollover-sources", consumes = "application/json")
    @ResponseStatus(HttpStatus.CREATED)
    RolloverSource read(
            @AuthenticationPrincipal SignedIn by,
            @Valid @RequestBody RolloverSourceGiven given,
            @RequestParam(defaultValue = "en-US") String language) {
        Given file = new Given(given.name(), given.content());
        Decisions then =
                given.term() == null ? null : access.stands(by, given.term()).decisions();
        Decisions decisions;
        List<WrongCell> wrong = List.of();
        if (given.name().toLowerCase(Locale.ROOT).endsWith(".json")) {
            PlanFile.Reading reading = PlanFile.read(given.content());
            if (reading.decisions() == null) {
                throw new Problem(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "plan-file-at-fault",
                        "The plan file cannot be read",
                        reading.faults().get(0).message(),
                        reading.faults());
            }
            decisions = reading.decisions();
        } else {
            try {
                DatesOfAnother.Read read = DatesOfAnother.read(
                        file,
                        given.course(),
                        then,
                        then == null ? ZoneOffset.UTC : then.term().zone(),
                        CellWords.dayFirst(Locale.forLanguageTag(language)));
                decisions = read.decisions();
                wrong = read.wrong().stream()
                        .map(w -> new WrongCell(w.row(), w.text(), w.said()))
                        .toList();
            } catch (Unreadable e) {
                throw new Problem(
                        HttpStatus.UNPROCESSABLE_CONTENT, "table-at-fault", "The table cannot be read", e.getMessage());
            }
        }
        String id = sources.keep(by, given.name(), decisions);
        return new RolloverSource(
                id,
                given.name(),
                decisions.term().first(),
                decisions.term().last(),
                courses(decisions),
                decisions.courses().stream().mapToInt(c -> c.items().size()).sum(),
                wrong);
    }
}
