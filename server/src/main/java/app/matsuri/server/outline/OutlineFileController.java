package app.matsuri.server.outline;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.PutUnit;
import app.matsuri.core.change.Together;
import app.matsuri.core.plan.Course;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.TableFile;
import app.matsuri.exchange.outline.CartridgeReader;
import app.matsuri.exchange.outline.DayWords;
import app.matsuri.exchange.outline.OutlineReader;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.colleague.Access;
import app.matsuri.server.storage.Stored;
import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Reads whole outlines: pasted, from files, and units of earlier terms. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class OutlineFileController {

    private final Access access;
    private final OutlineWords words;

    OutlineFileController(Access access, OutlineWords words) {
        this.access = access;
        this.words = words;
    }

    /**
     * An outline as pasted, or as a file: a table, text, or a Common Cartridge.
     *
     * @param text as pasted; null for a file
     * @param name of the file; null for pasted text
     * @param content of the file; null for pasted text
     */
    record OutlineGiven(
            String course,
            @Nullable String text,
            @Nullable String name,
            @Nullable byte[] content) {}

    /** One line and what was understood of it. */
    record OutlineLine(int number, String text, String state, String said) {}

    /**
     * What reading came to.
     *
     * @param change that adds all units that were read; null where none was
     */
    record OutlineRead(
            List<OutlineLine> lines,
            int units,
            int lessons,
            int items,
            @Nullable Map<String, Object> change) {}

    @PostMapping(path = "/outline/reading", consumes = "application/json")
    OutlineRead reading(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            Locale locale,
            @RequestBody OutlineGiven given) {
        Stored stored = access.look(by, termId);
        Course course = OutlineWords.course(stored, given.course());
        OutlineReader.Reading reading = read(given, words.days(stored, locale), course);
        List<Change> changes = new ArrayList<>();
        reading.units().forEach(u -> changes.add(new PutUnit(course.code(), u, null)));
        int units = reading.units().size();
        return new OutlineRead(
                reading.lines().stream()
                        .map(l -> new OutlineLine(l.number(), l.text(), l.state(), l.said()))
                        .toList(),
                units,
                reading.units().stream().mapToInt(u -> u.lessons().size()).sum(),
                reading.units().stream().mapToInt(u -> u.items().size()).sum(),
                changes.isEmpty()
                        ? null
                        : ChangeJson.write(new Together(
                                "Add " + units + (units == 1 ? " unit" : " units") + " to " + course.code(), changes)));
    }

    private static OutlineReader.Reading read(OutlineGiven given, DayWords days, Course course) {
        if (given.content() == null) {
            return OutlineReader.read(given.text() == null ? "" : given.text(), days, course);
        }
        String name = given.name() == null ? "the file" : given.name();
        Given file = new Given(name, given.content());
        if (name.toLowerCase(Locale.ROOT).matches(".*\\.(imscc|zip)")) {
            file.kind();
            return CartridgeReader.read(file, days, course);
        }
        return switch (file.kind()) {
            case WORKBOOK, TABLE ->
                OutlineReader.read(
                        TableFile.rows(file).stream()
                                .map(row -> row.stream()
                                        .map(cell -> cell.replaceAll("[\\t\\r\\n]+", " "))
                                        .collect(Collectors.joining("\t")))
                                .collect(Collectors.joining("\n")),
                        days,
                        course);
            case CALENDAR ->
                throw OutlineWords.misread(
                        "“" + name + "” is a calendar. Give an outline as .csv, .xlsx, .txt or .imscc.");
            case TEXT -> OutlineReader.read(file.text(), days, course);
        };
    }
}
