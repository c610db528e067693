package app.matsuri.exchange.hostile;

import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.Files;
import app.matsuri.exchange.calendar.CalendarReader;
import app.matsuri.exchange.calendar.TimetableReader;
import app.matsuri.exchange.file.FileKind;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Plain;
import app.matsuri.exchange.file.TableFile;
import app.matsuri.exchange.gradebook.HandInReader;
import app.matsuri.exchange.outline.Into;
import app.matsuri.exchange.outline.OutlineFile;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.exchange.rollover.DatesOfAnother;
import app.matsuri.exchange.roster.RosterReader;
import app.matsuri.exchange.school.DaysOffFile;
import app.matsuri.exchange.table.TableReader;
import app.matsuri.exchange.words.DayWords;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;

/** Everything that reads a file as a person gives it, for the demo's term. */
final class EveryReader {

    static final Decisions DEMO = demo();

    private static final DayWords DAYS = new DayWords(
            LocalDate.parse("2026-10-07"), DEMO.term().first(), DEMO.term().last());
    private static final ZoneId ZONE = DEMO.term().zone();

    /** By what a person would call them. */
    static final Map<String, Consumer<Given>> ALL = all();

    private EveryReader() {}

    private static Decisions demo() {
        try {
            return PlanFile.read(java.nio.file.Files.readString(Files.demo("autumn-2026.json")))
                    .decisions();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Map<String, Consumer<Given>> all() {
        Map<String, Consumer<Given>> all = new LinkedHashMap<>();
        all.put("kind", FileKind::of);
        all.put("days off", f -> DaysOffFile.check(DaysOffFile.read(f, DEMO.term(), DAYS), DEMO.term()));
        all.put(
                "timetable",
                f -> TimetableReader.read(CalendarReader.read(f, ZONE).events(), DEMO.term()));
        all.put(
                "outline",
                f -> OutlineFile.read(f, Into.plan(DAYS, DEMO, DEMO.courses().get(0), null)));
        all.put(
                "table",
                f -> TableReader.read(TableFile.rows(Plain.of(f)), DEMO, null, LocalDate.parse("2026-10-07"), false));
        all.put("roster", RosterReader::read);
        all.put("hand-ins", f -> HandInReader.read(f, DEMO));
        all.put("dates of another term", f -> DatesOfAnother.read(f, "HYD 210", DEMO, ZONE, false));
        all.put("plan", f -> PlanFile.read(new String(f.content(), StandardCharsets.UTF_8)));
        return all;
    }
}
