package app.matsuri.server.outline;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.notice.PutNotice;
import app.matsuri.core.change.plan.PutUnit;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.UnitCopy;
import app.matsuri.core.plan.With;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.outline.Into;
import app.matsuri.exchange.outline.OutlineFile;
import app.matsuri.exchange.outline.OutlineReader;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.sheet.Meaning;
import app.matsuri.exchange.sheet.Sheet;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.files.FileCopies;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Reads whole outlines: pasted, from files, and units of earlier terms. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class OutlineFileController {

    private static final List<String> MEANINGS =
            Arrays.stream(Meaning.values()).map(Meaning::said).toList();

    private final Access access;
    private final OutlineWords words;
    private final TermStore store;
    private final FileCopies files;

    OutlineFileController(Access access, OutlineWords words, TermStore store, FileCopies files) {
        this.access = access;
        this.words = words;
        this.store = store;
        this.files = files;
    }

    /** A unit that can be dropped into a course whole. */
    record UnitOffered(
            long termId, String term, String course, String unit, String code, String title, int lessons, int items) {}

    /** The units of the person's own terms, the newest term first; those of the course itself left out. */
    @GetMapping("/outline/units")
    List<UnitOffered> units(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestParam String course) {
        access.look(by, termId);
        List<UnitOffered> offered = new ArrayList<>();
        List<Stored> terms = new ArrayList<>(store.all(by.workspaceId()));
        terms.sort(
                Comparator.comparing((Stored t) -> t.decisions().term().first()).reversed());
        for (Stored term : terms) {
            for (Course other : term.decisions().courses()) {
                if (term.termId() == termId && other.code().equals(course)) {
                    continue;
                }
                other.units()
                        .forEach(u -> offered.add(new UnitOffered(
                                term.termId(),
                                term.decisions().term().name(),
                                other.code(),
                                u.id(),
                                u.code(),
                                u.title(),
                                u.lessons().size(),
                                u.items().size())));
            }
        }
        return offered;
    }

    /** A unit that is to be dropped into a course. */
    record UnitAsked(String course, long fromTerm, String fromCourse, String unit) {}

    /**
     * The copy.
     *
     * @param undated titles of work whose dates stay behind
     * @param change that adds it
     */
    record UnitTaken(int lessons, int items, int notices, List<String> undated, Map<String, Object> change) {}

    @PostMapping(path = "/outline/unit", consumes = "application/json")
    UnitTaken unit(@AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody UnitAsked asked) {
        Stored stored = access.change(by, termId);
        Course course = OutlineWords.course(stored, asked.course());
        Stored other = store.load(by.workspaceId(), asked.fromTerm());
        Course from = OutlineWords.course(other, asked.fromCourse());
        Unit unit = from.unit(asked.unit())
                .orElseThrow(
                        () -> OutlineWords.misread("“" + from.code() + "” has no such unit any more. Look again."));
        UnitCopy copy = UnitCopy.of(from, unit, course);
        List<String> used = new ArrayList<>();
        copy.unit().lessons().forEach(l -> l.details().files().forEach(f -> used.add(f.file())));
        copy.unit().items().forEach(i -> i.details().files().forEach(f -> used.add(f.file())));
        files.copy(asked.fromTerm(), termId, used);
        return new UnitTaken(
                copy.unit().lessons().size(),
                copy.unit().items().size(),
                copy.notices().size(),
                copy.undated(),
                ChangeJson.write(together(course, List.of(copy))));
    }

    /** All of the copies as one change. */
    private static Change together(Course course, List<UnitCopy> copies) {
        List<Change> changes = new ArrayList<>();
        for (UnitCopy copy : copies) {
            changes.add(new PutUnit(course.code(), copy.unit(), null));
            copy.notices().forEach(n -> changes.add(new PutNotice(course.code(), n)));
        }
        String what = copies.size() == 1 ? "unit “" + copies.get(0).unit().title() + "”" : copies.size() + " units";
        return new Together("Add " + what + " to " + course.code(), changes);
    }

    /** The units of a plan file, line for line. */
    private static OutlineRead planFile(byte[] content, Course course) {
        PlanFile.Reading reading = PlanFile.read(content);
        if (reading.decisions() == null) {
            throw OutlineWords.misread(reading.faults().get(0).message());
        }
        List<UnitCopy> copies = new ArrayList<>();
        List<OutlineLine> lines = new ArrayList<>();
        Course into = course;
        for (Course from : reading.decisions().courses()) {
            for (Unit unit : from.units()) {
                UnitCopy copy = UnitCopy.of(from, unit, into);
                into = into.withUnits(With.put(into.units(), u -> false, copy.unit()));
                copies.add(copy);
                lines.add(new OutlineLine(
                        lines.size() + 1,
                        unit.title(),
                        "unit",
                        "unit " + copy.unit().code(),
                        "",
                        false));
                copy.unit()
                        .lessons()
                        .forEach(l -> lines.add(new OutlineLine(
                                lines.size() + 1, "  " + l.title(), "lesson", l.id() + ", " + l.length(), "", false)));
                copy.unit()
                        .items()
                        .forEach(i -> lines.add(new OutlineLine(
                                lines.size() + 1,
                                "    " + i.title(),
                                "work",
                                copy.undated().contains(i.title()) ? "its date of that time stays behind" : i.kind(),
                                "",
                                false)));
            }
        }
        return new OutlineRead(
                lines,
                List.of(),
                MEANINGS,
                copies.size(),
                copies.stream().mapToInt(c -> c.unit().lessons().size()).sum(),
                copies.stream().mapToInt(c -> c.unit().items().size()).sum(),
                0,
                copies.isEmpty() ? null : ChangeJson.write(together(course, copies)));
    }

    /**
     * An outline as pasted, or as a file: a table, text, or a Common Cartridge.
     *
     * @param text as pasted; null for a file
     * @param name of the file; null for pasted text
     * @param content of the file; null for pasted text
     * @param section code of the section by whose classes its dates are checked; null for the first
     * @param columns what the person says of columns; null for nothing
     * @param rows what the person says of rows; null for nothing
     */
    record OutlineGiven(
            String course,
            @Nullable String text,
            @Nullable String name,
            byte @Nullable [] content,
            @Nullable String section,
            @Nullable List<@Valid ColumnSaid> columns,
            @Nullable List<@Valid RowSaid> rows) {}

    /**
     * What a person says of a column.
     *
     * @param number from 1
     * @param meaning one of those that {@link OutlineRead} offers
     */
    record ColumnSaid(@Min(1) @Max(200) int number, @NotNull String meaning) {}

    /**
     * What a person says of a row.
     *
     * @param number from 1
     */
    record RowSaid(
            @Min(1) int number,

            @NotNull
            @Pattern(
                    regexp = "unit|lesson|work|nothing|" + Into.ON_SHEETS_DATE,
                    message = "A row is a unit, lesson, work or nothing, or on the sheet's date (sheet).")
            String as) {}

    /**
     * One row and what was understood of it.
     *
     * @param doubt what is to be asked about it, empty for nothing
     * @param differs whether its lesson may be on the sheet's date instead of the plan's
     */
    record OutlineLine(int number, String text, String state, String said, String doubt, boolean differs) {}

    /** A column as it was taken, with what stands in its first cells. */
    record OutlineColumn(int number, String head, String meaning, List<String> samples) {}

    /**
     * What reading came to.
     *
     * @param columns how they were taken; none where it has none
     * @param meanings what a column may have
     * @param redated things that are there and get another date
     * @param change that adds all units that were read; null where none was
     */
    record OutlineRead(
            List<OutlineLine> lines,
            List<OutlineColumn> columns,
            List<String> meanings,
            int units,
            int lessons,
            int items,
            int redated,
            @Nullable Map<String, Object> change) {}

    @PostMapping(path = "/outline/reading", consumes = "application/json")
    OutlineRead reading(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            Locale locale,
            @Valid @RequestBody OutlineGiven given) {
        Stored stored = access.look(by, termId);
        Course course = OutlineWords.course(stored, given.course());
        if (given.content() != null
                && given.name() != null
                && given.name().toLowerCase(Locale.ROOT).endsWith(".json")) {
            return planFile(given.content(), course);
        }
        OutlineReader.Reading reading = read(
                given,
                Into.plan(words.days(stored, locale), stored.decisions(), course, section(stored.decisions(), given)));
        List<Change> changes = new ArrayList<>();
        reading.units().forEach(u -> changes.add(new PutUnit(course.code(), u, null)));
        OutlineReader.OfHalfGroups labs = reading.labs();
        if (labs != null) {
            labs.units().forEach(u -> changes.add(new PutUnit(labs.course(), u, null)));
        }
        return new OutlineRead(
                reading.lines().stream()
                        .map(l -> new OutlineLine(l.number(), l.text(), l.state(), l.said(), l.doubt(), l.differs()))
                        .toList(),
                reading.columns().stream()
                        .map(c -> new OutlineColumn(c.number(), c.head(), c.meaning(), c.samples()))
                        .toList(),
                MEANINGS,
                reading.newUnits(),
                reading.newLessons() + (labs == null ? 0 : labs.newLessons()),
                reading.newItems(),
                reading.redated(),
                changes.isEmpty() ? null : ChangeJson.write(new Together(adds(reading) + course.code(), changes)));
    }

    /** "Add 2 units to ", or where they are there already "Add 30 things to ". */
    private static String adds(OutlineReader.Reading reading) {
        if (reading.newUnits() + reading.newLessons() + reading.newItems() == 0) {
            return "Take over " + (reading.redated() == 1 ? "1 date" : reading.redated() + " dates") + " in ";
        }
        int n = reading.newUnits() > 0
                ? reading.newUnits()
                : reading.newLessons() > 0 ? reading.newLessons() : reading.newItems();
        String what = reading.newUnits() > 0 ? "unit" : reading.newLessons() > 0 ? "lesson" : "thing";
        return "Add " + n + " " + what + (n == 1 ? "" : "s") + " to ";
    }

    /** The section that is asked for; null for the first. */
    private static @Nullable String section(Decisions in, OutlineGiven given) {
        String section = given.section();
        return section == null
                ? null
                : Find.section(in, given.course(), section).code();
    }

    private static OutlineReader.Reading read(OutlineGiven given, Into into) {
        Map<Integer, Meaning> columns = new HashMap<>();
        Map<Integer, String> rows = new HashMap<>();
        if (given.columns() != null) {
            for (ColumnSaid said : given.columns()) {
                if (!MEANINGS.contains(said.meaning())) {
                    throw OutlineWords.misread("“" + said.meaning() + "” is no meaning of a column. Take one of "
                            + String.join(", ", MEANINGS) + ".");
                }
                columns.put(said.number() - 1, Meaning.of(said.meaning()));
            }
        }
        if (given.rows() != null) {
            given.rows().forEach(said -> rows.put(said.number(), said.as()));
        }
        Into all = into.said(columns, rows);
        return given.content() == null
                ? OutlineReader.read(Sheet.of(given.text() == null ? "" : given.text()), all)
                : OutlineFile.read(new Given(given.name() == null ? "the file" : given.name(), given.content()), all);
    }
}
