package app.matsuri.exchange.rollover;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.calendar.TimeLimit;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.NamedColumns;
import app.matsuri.exchange.file.TableFile;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.TimeWords;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import org.jspecify.annotations.Nullable;

/**
 * Reads a table of dated work that another system wrote, as .csv or .xlsx: a row a thing, its title and its dates in columns that
 * the first row names. It becomes a course with fixed dates, which can be rolled over.
 */
public final class DatesOfAnother {

    private static final LocalTime END_OF_DAY = LocalTime.of(23, 59);
    private static final Map<String, Set<String>> COLUMNS = Map.of(
            "title", Set.of("title", "name", "work", "task", "what", "item", "assignment", "activity"),
            "opens",
                    Set.of("opens", "opens at", "open", "opening date", "available", "available from", "from", "start"),
            "due", Set.of("due", "due at", "due date", "date due", "deadline", "hand in", "hand in by", "date", "end"),
            "closes", Set.of("closes", "closes at", "closing date", "until", "available until", "last day", "shut"),
            "unit", Set.of("unit", "part", "chapter", "topic", "section title", "block"),
            "kind", Set.of("kind", "type", "sort"),
            "points", Set.of("points", "marks", "worth"));

    private DatesOfAnother() {}

    /** A cell that was not understood, and what to do. */
    public record Wrong(int row, String text, String said) {}

    /**
     * What was read.
     *
     * @param decisions one course without sections; its term runs from the Monday of the first date to the Sunday of the last,
     *     where no other was given
     * @param wrong cells that were passed over
     */
    public record Read(Decisions decisions, List<Wrong> wrong) {}

    /**
     * Reads a table.
     *
     * @param code of the course that it becomes
     * @param then the term that its dates are of, with the sections of the course where it has them; null where that is not known.
     *     Where no date lies in it, they are of another
     * @param dayFirst whether 10/11 is the tenth of November
     * @throws Unreadable when it is no such table; the message says what lacks
     */
    public static Read read(Given file, String code, @Nullable Decisions then, ZoneId zone, boolean dayFirst) {
        Term term = then == null ? null : then.term();
        List<List<String>> rows = TableFile.rows(file);
        NamedColumns columns = new NamedColumns(rows.isEmpty() ? List.of() : rows.get(0), COLUMNS);
        boolean dated = List.of("opens", "due", "closes").stream().anyMatch(columns::has);
        if (!columns.has("title") || !dated) {
            throw new Unreadable("The first row of “" + file.name()
                    + "” must name a column with titles and one with dates:" + " title, and due, opens or closes.");
        }
        List<Wrong> wrong = new ArrayList<>();
        Map<String, List<Item>> units = new LinkedHashMap<>();
        FreeIds ids = new FreeIds();
        List<LocalDate> all = new ArrayList<>();
        LocalDate base = term == null ? LocalDate.of(1900, 1, 1) : term.first();
        DayWords words = new DayWords(base, base, term == null ? LocalDate.of(2200, 1, 1) : term.last(), dayFirst);
        for (int i = 1; i < rows.size(); i++) {
            TimeLimit.look();
            String title = columns.cell(rows.get(i), "title");
            if (title.isEmpty()) {
                continue;
            }
            Map<Which, DateRule> dates = new EnumMap<>(Which.class);
            for (Which which : Which.values()) {
                String text = columns.cell(rows.get(i), which.name().toLowerCase(Locale.ROOT));
                if (!text.isEmpty()) {
                    Optional<LocalDateTime> at = moment(text, words, which);
                    at.ifPresent(moment -> {
                        dates.put(which, DateRule.at(moment));
                        all.add(moment.toLocalDate());
                    });
                    if (at.isEmpty()) {
                        wrong.add(new Wrong(i + 1, text, "This is no date. Write it as 2026-10-05 17:00."));
                    }
                }
            }
            String unit = columns.cell(rows.get(i), "unit");
            units.computeIfAbsent(unit.isEmpty() ? "Work" : unit, u -> new ArrayList<>())
                    .add(Item.of(id(title, ids), null, kind(columns.cell(rows.get(i), "kind")), title, null)
                            .withRules(dates));
        }
        if (all.isEmpty()) {
            throw new Unreadable(
                    "No row of “" + file.name() + "” has a date that can be read, such as 2026-10-05 17:00.");
        }
        boolean within = term != null && all.stream().anyMatch(term::contains);
        Term of = term != null && within ? term : around(all, zone);
        Course known = then == null || !within ? null : then.course(code).orElse(null);
        String title = known == null ? code : known.title();
        Course course =
                Course.of(code, title, known == null ? 50 : known.usualMinutes(), sections(known), units(units));
        return new Read(Decisions.of(of, List.of(course)), wrong);
    }

    /** When the course's sections met; where that is not known one without meetings, so that dates have a section to be of. */
    private static List<Section> sections(@Nullable Course known) {
        return known == null || known.sections().isEmpty()
                ? List.of(Section.of("A", Section.Pace.SESSIONS, List.of()))
                : known.sections().stream()
                        .map(s -> s.withStudents(List.of()).withAdjustments(List.of()))
                        .toList();
    }

    private static List<Unit> units(Map<String, List<Item>> byTitle) {
        List<Unit> units = new ArrayList<>();
        FreeIds ids = new FreeIds();
        byTitle.forEach((title, items) -> {
            String id = id(title, ids);
            units.add(new Unit(id, id, title, false, false, null, "", Map.of(), List.of(), items, Extra.NONE));
        });
        return units;
    }

    private static Term around(List<LocalDate> dates, ZoneId zone) {
        LocalDate first = dates.stream().min(LocalDate::compareTo).orElseThrow();
        LocalDate last = dates.stream().max(LocalDate::compareTo).orElseThrow();
        return Term.of(
                "",
                first.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)),
                last.with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY)),
                zone);
    }

    private static Optional<LocalDateTime> moment(String given, DayWords words, Which which) {
        String text = given.replaceAll("(\\d)T(\\d)", "$1 $2")
                .replaceAll("(\\d:\\d{2}):\\d{2}(\\.\\d+)?\\s*(Z|[+-]\\d{2}:?\\d{2})?$", "$1")
                .strip();
        LocalTime time = which == Which.OPENS ? LocalTime.MIDNIGHT : END_OF_DAY;
        Matcher m = TimeWords.TIME.matcher(text);
        String day = text;
        if (m.find() && m.end() == text.length() && m.start() > 0) {
            time = TimeWords.of(m).orElse(time);
            day = text.substring(0, m.start());
        }
        LocalTime at = time;
        return words.read(day.replaceAll("(?i)[,\\s]+(at|by)?\\s*$", "").strip())
                .map(d -> d.atTime(at));
    }

    private static String kind(String given) {
        String word = given.toLowerCase(Locale.ROOT);
        return given.isEmpty() ? "homework" : Item.KINDS.contains(word) ? word : given;
    }

    /** A short id from a title, free among the others. */
    private static String id(String title, FreeIds ids) {
        String plain = title.toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .replaceAll("^-|-$", "");
        String base = plain.isEmpty() ? "work" : plain.substring(0, Math.min(40, plain.length()));
        return ids.of(base);
    }
}
