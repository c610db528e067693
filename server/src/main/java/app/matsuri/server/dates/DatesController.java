package app.matsuri.server.dates;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.dates.PutDates;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.TableFile;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.outline.FillDown;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.Words;
import app.matsuri.exchange.table.ClassesSheet;
import app.matsuri.exchange.table.DatesSheet;
import app.matsuri.exchange.table.HoursSheet;
import app.matsuri.exchange.table.TableReader;
import app.matsuri.exchange.table.TableReading;
import app.matsuri.exchange.words.CellWords;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
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
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Every dated thing of a term as a table: shown, typed into, taken away as a file and read again. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class DatesController {

    /** The most cells that are read at once. */
    private static final int MOST_CELLS = 6_000;

    private static final String WORKBOOK = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    private final Access access;
    private final DatesTables tables;
    private final Today today;

    DatesController(Access access, DatesTables tables, Today today) {
        this.access = access;
        this.tables = tables;
        this.today = today;
    }

    @GetMapping("/dates")
    DatesView dates(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        return tables.stands(access.look(by, termId));
    }

    /**
     * What was typed into a cell.
     *
     * @param sections codes of the sections that are meant; none for the plan
     */
    record CellTyped(String course, String item, List<String> sections, String date, String text) {}

    /** Cells as typed or pasted. */
    record CellsTyped(List<CellTyped> cells) {}

    /**
     * What was understood of a cell.
     *
     * @param at what it comes to in the first section that is meant; null for no date
     */
    record CellUnderstood(
            boolean understood, String said, @Nullable LocalDateTime at) {}

    /**
     * What was understood, cell for cell, and all that was as one change.
     *
     * @param change null where nothing was understood
     */
    record CellsRead(List<CellUnderstood> cells, @Nullable Map<String, Object> change) {}

    @PostMapping(path = "/dates/reading", consumes = "application/json")
    CellsRead read(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            Locale locale,
            @RequestBody CellsTyped typed) {
        Stored stored = access.look(by, termId);
        if (typed.cells().size() > MOST_CELLS) {
            throw new Problem(
                    HttpStatus.CONTENT_TOO_LARGE,
                    "too-many-cells",
                    "Too many cells",
                    "These are " + typed.cells().size() + " cells; at most " + MOST_CELLS + " are read at once.");
        }
        CellWords words = words(stored, locale);
        List<CellUnderstood> cells = new ArrayList<>();
        Map<List<Object>, Map<Which, Own<DateRule>>> dates = new LinkedHashMap<>();
        for (CellTyped cell : typed.cells()) {
            try {
                Which which = Words.constant(Which.class, cell.date());
                // each section that is meant is tried, so that words which none of them understands are said
                String first =
                        cell.sections().isEmpty() ? null : cell.sections().get(0);
                Map<Which, Own<DateRule>> beside = dates.computeIfAbsent(
                        List.of(cell.course(), cell.item(), cell.sections()), k -> new LinkedHashMap<>());
                CellWords.Cell read = words.read(cell.course(), cell.item(), first, which, cell.text(), beside);
                Resolved date = read.date();
                LocalDateTime at = date == null ? null : date.at();
                String said = at == null ? read.said() : Say.moment(at) + ", " + read.said();
                boolean lost = date != null && !date.resolved();
                cells.add(new CellUnderstood(true, date != null && lost ? read.said() + ": " + date.why() : said, at));
                beside.put(which, read.own());
            } catch (CellWords.NotUnderstood | IllegalArgumentException e) {
                cells.add(new CellUnderstood(false, Known.message(e), null));
            }
        }
        List<PutDates.Entry> entries = new ArrayList<>();
        dates.values().removeIf(Map::isEmpty);
        dates.forEach((place, rules) -> entries.add(entry(place, rules)));
        return new CellsRead(cells, change(dates(entries)));
    }

    private static List<Change> dates(List<PutDates.Entry> entries) {
        return entries.isEmpty() ? List.of() : List.of(new PutDates(entries));
    }

    /** The changes as one, as a tree, in which a date that is taken away stands as null; null for none. */
    private static @Nullable Map<String, Object> change(List<Change> changes) {
        if (changes.isEmpty()) {
            return null;
        }
        Map<String, Object> change = ChangeJson.write(Together.of(changes));
        change.replaceAll((field, value) -> Json.MAPPER.<JsonNode>valueToTree(value));
        return change;
    }

    @SuppressWarnings("unchecked")
    private static PutDates.Entry entry(List<Object> place, Map<Which, Own<DateRule>> rules) {
        return new PutDates.Entry((String) place.get(0), (String) place.get(1), (List<String>) place.get(2), rules);
    }

    /** A cell: one of an item's dates in the plan, or in the sections named. */
    record CellPlace(String course, String item, List<String> sections, String date) {}

    /**
     * What is filled down from a cell.
     *
     * @param step "same" (the same rule, each beside its own lesson), "week" (a week later each) or "class" (the next
     *     class each)
     */
    record FillAsked(CellPlace from, String step, List<CellPlace> to) {}

    @PostMapping(path = "/dates/fill", consumes = "application/json")
    CellsRead fill(@AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody FillAsked fill) {
        Stored stored = access.look(by, termId);
        FillDown down = new FillDown(stored.decisions(), Schedule.of(stored.decisions()));
        List<CellUnderstood> cells = new ArrayList<>();
        List<PutDates.Entry> entries = new ArrayList<>();
        FillDown.Step step = Words.constant(FillDown.Step.class, fill.step());
        FillDown.From from = down.from(
                fill.from().course(), fill.from().item(), first(fill.from().sections()), which(fill.from()));
        for (int i = 0; i < fill.to().size(); i++) {
            CellPlace to = fill.to().get(i);
            Optional<Own<DateRule>> own = down.step(from, step, i + 1, to.course(), to.item());
            if (own.isEmpty()) {
                cells.add(new CellUnderstood(false, "There is no class so far on.", null));
                continue;
            }
            cells.add(new CellUnderstood(
                    true, own.get().said().map(RuleSaid::brief).orElse("no date"), null));
            entries.add(new PutDates.Entry(to.course(), to.item(), to.sections(), Map.of(which(to), own.get())));
        }
        return new CellsRead(cells, change(dates(entries)));
    }

    private static @Nullable String first(List<String> sections) {
        return sections.isEmpty() ? null : sections.get(0);
    }

    private static Which which(CellPlace place) {
        return Words.constant(Which.class, place.date());
    }

    private CellWords words(Stored stored, Locale locale) {
        return new CellWords(
                stored.decisions(),
                Schedule.of(stored.decisions()),
                today.in(stored.decisions().term().zone()),
                CellWords.dayFirst(locale));
    }

    /**
     * A table that was edited elsewhere.
     *
     * @param course code of the course that entries are for where the table does not say; null for the only one
     */
    record TableGiven(String name, byte[] content, @Nullable String course) {}

    /** One cell or row of it that is worth saying. */
    record TableLine(int row, String title, String section, String date, String state, String said) {}

    /**
     * What differs from the dates here.
     *
     * @param same how many dates are as they are here
     * @param change all that differs as one change; null where nothing does
     */
    record TableRead(
            List<TableLine> lines, int same, @Nullable Map<String, Object> change) {}

    @PostMapping(path = "/dates/file", consumes = "application/json")
    TableRead file(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            Locale locale,
            @RequestBody TableGiven given) {
        Stored stored = access.look(by, termId);
        Given file = new Given(given.name(), given.content());
        if (file.kind() == Given.Kind.CALENDAR) {
            throw new Unreadable("“" + given.name() + "” is a calendar. Give a table as .csv or .xlsx.");
        }
        Decisions decisions = stored.decisions();
        TableReading reading = TableReader.read(
                TableFile.rows(file),
                decisions,
                given.course(),
                today.in(decisions.term().zone()),
                CellWords.dayFirst(locale));
        return new TableRead(
                reading.lines().stream()
                        .map(l -> new TableLine(l.row(), l.title(), l.section(), l.date(), l.state(), l.said()))
                        .toList(),
                reading.same(),
                change(reading.changes()));
    }

    @GetMapping("/dates.csv")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = "text/csv", schema = @Schema(type = "string")))
    ResponseEntity<byte[]> csv(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Stored stored = access.look(by, termId);
        String text = DatesSheet.csv(stored.decisions(), Schedule.of(stored.decisions()));
        return away("dates.csv", "text/csv;charset=UTF-8", text.getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/dates.xlsx")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = WORKBOOK, schema = @Schema(type = "string")))
    ResponseEntity<byte[]> workbook(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Stored stored = access.look(by, termId);
        return away("dates.xlsx", WORKBOOK, DatesSheet.workbook(stored.decisions(), Schedule.of(stored.decisions())));
    }

    @GetMapping("/dates-template.xlsx")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = WORKBOOK, schema = @Schema(type = "string")))
    ResponseEntity<byte[]> template(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        access.look(by, termId);
        return away("dates-template.xlsx", WORKBOOK, DatesSheet.template());
    }

    @GetMapping("/classes.csv")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = "text/csv", schema = @Schema(type = "string")))
    ResponseEntity<byte[]> classes(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        String text = ClassesSheet.csv(Schedule.of(access.look(by, termId).decisions()));
        return away("classes.csv", "text/csv;charset=UTF-8", text.getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/classes.xlsx")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = WORKBOOK, schema = @Schema(type = "string")))
    ResponseEntity<byte[]> classesWorkbook(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Schedule schedule = Schedule.of(access.look(by, termId).decisions());
        return away("classes.xlsx", WORKBOOK, ClassesSheet.workbook(schedule));
    }

    @GetMapping("/office-hours.csv")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = "text/csv", schema = @Schema(type = "string")))
    ResponseEntity<byte[]> hours(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        String text = HoursSheet.csv(access.look(by, termId).decisions());
        return away("office-hours.csv", "text/csv;charset=UTF-8", text.getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/office-hours.xlsx")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = WORKBOOK, schema = @Schema(type = "string")))
    ResponseEntity<byte[]> hoursWorkbook(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        return away(
                "office-hours.xlsx",
                WORKBOOK,
                HoursSheet.workbook(access.look(by, termId).decisions()));
    }

    private static ResponseEntity<byte[]> away(String name, String type, byte[] content) {
        return ResponseEntity.ok()
                .header("Content-Type", type)
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(content);
    }
}
