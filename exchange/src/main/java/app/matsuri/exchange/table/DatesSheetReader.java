package app.matsuri.exchange.table;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.dates.PutDates;
import app.matsuri.core.change.plan.PutReminders;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.ThingDates;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.Words;
import app.matsuri.exchange.table.TableReading.Line;
import app.matsuri.exchange.words.CellWords;
import app.matsuri.exchange.words.ReminderWords;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Reads a table of dates that was edited elsewhere, and says what differs: things are told by course and id, where that
 * is not known by their title, with the doubt said.
 */
public final class DatesSheetReader {

    private final Decisions decisions;
    private final Schedule schedule;
    private final CellWords words;
    private final List<Line> lines = new ArrayList<>();
    private final Map<Place, Map<String, Own<DateRule>>> changed = new LinkedHashMap<>();

    /** What work reminds of otherwise than here, by course and then by its id. */
    private final Map<String, Map<String, List<Reminder>>> reminders = new LinkedHashMap<>();

    private record Place(String course, String item, Which which) {}

    private int same;

    private DatesSheetReader(Decisions decisions, Schedule schedule, CellWords words) {
        this.decisions = decisions;
        this.schedule = schedule;
        this.words = words;
    }

    /**
     * Reads the rows of a table.
     *
     * @throws Unreadable when it has no heading to go by
     */
    public static TableReading read(List<List<String>> rows, Decisions decisions, CellWords words) {
        DatesSheetReader reader = new DatesSheetReader(decisions, Schedule.of(decisions), words);
        reader.all(rows);
        return new TableReading(reader.lines, reader.changes(), reader.same);
    }

    private void all(List<List<String>> rows) {
        Map<String, Integer> columns = new HashMap<>();
        if (!rows.isEmpty()) {
            for (int c = 0; c < rows.get(0).size(); c++) {
                columns.putIfAbsent(rows.get(0).get(c).strip().toLowerCase(Locale.ROOT), c);
            }
        }
        if (!recognises(columns.keySet()) || !columns.containsKey("id") && !columns.containsKey("title")) {
            throw new Unreadable("The first row must name the columns: at least id or title, and opens, due or closes."
                    + " Download the table or the template and keep its first row.");
        }
        for (int r = 1; r < rows.size(); r++) {
            row(r + 1, rows.get(r), columns);
        }
    }

    /** Whether a first row names dates of work, in lower case. */
    static boolean recognises(Collection<String> heads) {
        return heads.contains("opens") || heads.contains("due") || heads.contains("closes");
    }

    private static String cell(List<String> row, Map<String, Integer> columns, String name) {
        Integer c = columns.get(name);
        return c == null || c >= row.size() ? "" : row.get(c).strip();
    }

    private void row(int number, List<String> row, Map<String, Integer> columns) {
        String title = cell(row, columns, "title");
        String id = cell(row, columns, "id");
        String code = cell(row, columns, "course");
        List<Course> courses = decisions.courses().stream()
                .filter(c -> code.isEmpty() || c.code().equalsIgnoreCase(code))
                .toList();
        Course course = null;
        Dated thing = null;
        boolean doubt = false;
        for (Course each : courses) {
            if (thing == null) {
                course = each;
                thing = Dated.find(each, id).orElse(null);
            }
        }
        if (course == null || thing == null) {
            List<Map.Entry<Course, Dated>> called = new ArrayList<>();
            for (Course each : courses) {
                Stream.<Dated>concat(each.items().stream(), each.besides().notices().stream())
                        .filter(t -> t.title().equalsIgnoreCase(title))
                        .forEach(t -> called.add(Map.entry(each, t)));
            }
            if (called.size() != 1) {
                String said = called.isEmpty()
                        ? "There is no such thing here; add it in the outline first."
                        : called.size() + " things are called so; give the id.";
                lines.add(new Line(number, title.isEmpty() ? id : title, "", "", "unknown", said));
                return;
            }
            course = called.get(0).getKey();
            thing = called.get(0).getValue();
            doubt = true;
        }
        dates(number, row, columns, course, thing, doubt);
        if (columns.containsKey(DatesSheet.REMINDERS)) {
            reminders(number, course, thing, cell(row, columns, DatesSheet.REMINDERS));
        }
    }

    private void reminders(int number, Course course, Dated thing, String given) {
        if (course.item(thing.key()).isEmpty()) {
            if (!given.isEmpty()) {
                lines.add(reminderLine(
                        number, thing, "unknown", "A notice has no reminders of its own: leave the cell empty."));
            }
            return;
        }
        List<Reminder> had = course.besides().reminders().stream()
                .filter(r -> thing.key().equals(r.item()))
                .toList();
        Optional<List<Reminder>> read = ReminderWords.read(given, thing.key());
        if (read.isEmpty()) {
            String said = "“" + given + "” is no reminder yet. Write the day before at 09:00, 30 min before, or none.";
            lines.add(reminderLine(number, thing, "not-understood", said));
            return;
        }
        String now = ReminderWords.say(read.get());
        Map<String, List<Reminder>> known = reminders.computeIfAbsent(course.code(), c -> new LinkedHashMap<>());
        List<Reminder> before = known.get(thing.key());
        if (now.equals(ReminderWords.say(had)) || before != null && now.equals(ReminderWords.say(before))) {
            return; // every section of it has a row
        }
        String from = had.isEmpty() ? "as the course does" : ReminderWords.say(had);
        String to = now.isEmpty() ? "as the course does" : now;
        String twice = before == null ? "" : "; another row says otherwise, the last one counts";
        known.put(thing.key(), read.get());
        lines.add(reminderLine(number, thing, before == null ? "changed" : "doubt", from + " to " + to + twice));
    }

    private static Line reminderLine(int number, Dated thing, String state, String said) {
        return new Line(number, thing.title(), "", DatesSheet.REMINDERS, state, said);
    }

    private void dates(
            int number, List<String> row, Map<String, Integer> columns, Course course, Dated thing, boolean doubt) {
        String section = cell(row, columns, "section");
        Optional<Section> found = course.section(section);
        if (!section.isEmpty() && found.isEmpty()) {
            lines.add(new Line(
                    number,
                    thing.title(),
                    section,
                    "",
                    "unknown",
                    course.code() + " has no section “" + section + "”."));
            return;
        }
        Map<Which, Own<DateRule>> beside = new EnumMap<>(Which.class);
        for (Which which : Which.values()) {
            String name = Words.word(which);
            if (columns.containsKey(name)) {
                String given = cell(row, columns, name);
                date(number, course, thing, section.isEmpty() ? null : section, which, given, beside, doubt);
            }
        }
    }

    private void date(
            int number,
            Course course,
            Dated thing,
            @Nullable String section,
            Which which,
            String given,
            Map<Which, Own<DateRule>> beside,
            boolean doubt) {
        ThingDates dates = course.sections().stream()
                .filter(s -> section == null || s.code().equals(section))
                .flatMap(s -> schedule.section(course.code(), s.code()).orElseThrow().dated(thing).stream())
                .findFirst()
                .orElse(null);
        if (dates == null) {
            return;
        }
        LocalDateTime from = dates.at(which);
        try {
            CellWords.Cell cell = words.read(course.code(), thing.key(), section, which, given, beside);
            LocalDateTime to = cell.date() == null ? null : cell.date().at();
            if (Objects.equals(from, to) || sameDay(thing, section, from, to)) {
                same++;
                return;
            }
            beside.put(which, cell.own());
            changed.computeIfAbsent(new Place(course.code(), thing.key(), which), p -> new LinkedHashMap<>())
                    .put(section == null ? "" : section, cell.own());
            lines.add(new Line(
                    number,
                    thing.title(),
                    section == null ? "" : section,
                    Words.word(which),
                    doubt ? "doubt" : "changed",
                    said(from) + " to " + said(to) + (doubt ? ", told by its title alone" : "")));
        } catch (CellWords.NotUnderstood e) {
            lines.add(new Line(
                    number,
                    thing.title(),
                    section == null ? "" : section,
                    Words.word(which),
                    "not-understood",
                    Known.message(e)));
        }
    }

    /** Whether both are the same day of a notice of whole days, whose dates have no time. */
    private static boolean sameDay(
            Dated thing, @Nullable String section, @Nullable LocalDateTime a, @Nullable LocalDateTime b) {
        return a != null && b != null && a.toLocalDate().equals(b.toLocalDate()) && thing.wholeDays(section);
    }

    private static String said(@Nullable LocalDateTime date) {
        return date == null ? "no date" : Say.moment(date);
    }

    /** What differs: the dates, and of what each course reminds. */
    private List<Change> changes() {
        List<Change> changes = new ArrayList<>();
        List<PutDates.Entry> entries = entries();
        if (!entries.isEmpty()) {
            changes.add(new PutDates(entries));
        }
        reminders.forEach((code, byItem) -> {
            List<Reminder> all =
                    new ArrayList<>(Known.there(decisions.course(code).orElse(null), code)
                            .besides()
                            .reminders());
            all.removeIf(r -> byItem.containsKey(r.item()));
            byItem.values().forEach(all::addAll);
            if (!byItem.isEmpty()) {
                changes.add(new PutReminders(code, all));
            }
        });
        return changes;
    }

    /** One entry for the sections of a thing that get the same; all of them are the plan. */
    private List<PutDates.Entry> entries() {
        List<PutDates.Entry> entries = new ArrayList<>();
        changed.forEach((place, bySection) -> {
            Map<Own<DateRule>, List<String>> alike = new LinkedHashMap<>();
            bySection.forEach((section, rule) ->
                    alike.computeIfAbsent(rule, r -> new ArrayList<>()).add(section));
            alike.forEach((rule, sections) -> {
                Map<Which, Own<DateRule>> dates = new EnumMap<>(Which.class);
                dates.put(place.which(), rule);
                entries.add(new PutDates.Entry(
                        place.course(), place.item(), sections.contains("") ? List.of() : sections, dates));
            });
        });
        return entries;
    }
}
