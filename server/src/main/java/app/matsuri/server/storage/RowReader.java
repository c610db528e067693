package app.matsuri.server.storage;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Student;
import app.matsuri.core.session.Beat;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.SessionChange;
import app.matsuri.exchange.plan.CourseReader;
import app.matsuri.exchange.plan.DetailsReader;
import app.matsuri.exchange.plan.Faults;
import app.matsuri.exchange.plan.HoursReader;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.TermReader;
import app.matsuri.exchange.plan.Words;
import app.matsuri.server.storage.row.AdjustmentRow;
import app.matsuri.server.storage.row.CalendarRow;
import app.matsuri.server.storage.row.ClosureRow;
import app.matsuri.server.storage.row.CourseRow;
import app.matsuri.server.storage.row.PatternRow;
import app.matsuri.server.storage.row.Row;
import app.matsuri.server.storage.row.SectionLessonRow;
import app.matsuri.server.storage.row.SectionRow;
import app.matsuri.server.storage.row.SectionSessionRow;
import app.matsuri.server.storage.row.SessionChangeRow;
import app.matsuri.server.storage.row.StudentRow;
import app.matsuri.server.storage.row.TaughtRow;
import app.matsuri.server.storage.row.UnitRow;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.threeten.extra.LocalDateRange;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;

/** Puts rows together to decisions. */
final class RowReader {

    private static final TypeReference<TreeMap<String, String>> TEXTS = new TypeReference<>() {};

    private final Rows rows;

    private RowReader(Rows rows) {
        this.rows = rows;
    }

    static Decisions decisions(Rows rows) {
        return new RowReader(rows).read();
    }

    private Decisions read() {
        CalendarRow row = rows.of(CalendarRow.class).findFirst().orElseThrow();
        Map<String, List<SectionRow>> sections = grouped(SectionRow.class, s -> s.course, s -> s.position);
        Map<String, List<UnitRow>> units = grouped(UnitRow.class, u -> u.course, u -> u.position);
        Sections sectionReader = new Sections();
        UnitRows unitReader = new UnitRows(rows);
        BesidesRows besides = new BesidesRows(rows);
        List<Course> courses = rows.of(CourseRow.class)
                .sorted(Comparator.comparingInt(c -> c.position))
                .map(c -> new Course(
                        c.code,
                        c.title,
                        c.requiredMinutes,
                        read(c.asks, CourseReader::asks),
                        c.usualMinutes,
                        c.weekLimit,
                        c.dayLimit,
                        sections.getOrDefault(c.code, List.of()).stream()
                                .map(sectionReader::section)
                                .toList(),
                        units.getOrDefault(c.code, List.of()).stream()
                                .map(unitReader::unit)
                                .toList(),
                        besides.of(c),
                        extra(c.extra)))
                .toList();
        return new Decisions(term(row), courses, list(row.officeHours, HoursReader::hours), extra(row.fileExtra));
    }

    private <K, R extends Row> Map<K, List<R>> grouped(Class<R> table, Function<R, K> by, ToIntFunction<R> position) {
        return grouped(rows, table, by, position);
    }

    /** The rows of a table in groups, each in the order of its positions. */
    static <K, R extends Row> Map<K, List<R>> grouped(
            Rows rows, Class<R> table, Function<R, K> by, ToIntFunction<R> position) {
        return rows.of(table).sorted(Comparator.comparingInt(position)).collect(Collectors.groupingBy(by));
    }

    private Term term(CalendarRow row) {
        Set<DayOfWeek> weekdays = EnumSet.noneOf(DayOfWeek.class);
        words(row.weekdays).forEach(w -> weekdays.add(Words.weekday(w)));
        TreeSet<LocalDate> extraDays = new TreeSet<>();
        words(row.extraDays).forEach(d -> extraDays.add(LocalDate.parse(d)));
        TreeMap<LocalDate, DayOfWeek> runsAs = new TreeMap<>();
        Json.MAPPER.readValue(row.runsAs, TEXTS).forEach((d, w) -> runsAs.put(LocalDate.parse(d), Words.weekday(w)));
        return new Term(
                row.name,
                row.firstDay,
                row.lastDay,
                ZoneId.of(row.zone),
                weekdays,
                Words.weekday(row.weekStart),
                row.firstPlanDay,
                rows.of(ClosureRow.class)
                        .sorted(Comparator.comparingInt(c -> c.position))
                        .map(RowReader::closure)
                        .toList(),
                extraDays,
                runsAs,
                read(row.rotation, TermReader::rotation),
                extra(row.extra));
    }

    private static Closure closure(ClosureRow row) {
        return new Closure(
                LocalDateRange.ofClosed(row.firstDay, row.lastDay),
                row.fromTime,
                row.toTime,
                row.reason,
                row.kind,
                row.noClass,
                row.planPauses,
                row.nothingDue,
                row.onlyCodes == null ? null : List.of(Json.MAPPER.readValue(row.onlyCodes, String[].class)),
                row.justInCase,
                extra(row.extra));
    }

    /** What a JSON column holds; null for none. */
    static <T> @Nullable T read(@Nullable String json, Function<In, T> reader) {
        if (json == null) {
            return null;
        }
        T value = reader.apply(In.of(Json.read(json), "", new Faults()));
        if (value == null) {
            throw new IllegalStateException("a stored value cannot be read: " + json);
        }
        return value;
    }

    /** The value of a column that must hold one. */
    static <T> T needed(@Nullable String json, Function<In, T> reader) {
        return Known.there(read(json, reader), "a column that must hold something");
    }

    static <T> List<T> list(@Nullable String json, Function<In, T> reader) {
        if (json == null) {
            return List.of();
        }
        List<T> values = new ArrayList<>();
        for (JsonNode node : Json.read(json)) {
            values.add(reader.apply(In.of(node, "", new Faults())));
        }
        return values;
    }

    /** The texts that a JSON column holds; none for none. */
    static List<String> texts(@Nullable String json) {
        return json == null ? List.of() : List.of(Json.MAPPER.readValue(json, String[].class));
    }

    static String text(@Nullable String column) {
        return column == null ? "" : column;
    }

    static List<String> words(String list) {
        return list.isEmpty() ? List.of() : Arrays.asList(list.split(","));
    }

    static Extra extra(String json) {
        return json.equals("{}") ? Extra.NONE : Extra.of(Json.MAPPER.readValue(json, TEXTS));
    }

    /** Reads sections with what hangs on them. */
    private final class Sections {

        /** A class that was held. */
        private record Held(SectionRef section, LocalDateTime session) {}

        private final Map<SectionRef, List<StudentRow>> students =
                grouped(StudentRow.class, s -> new SectionRef(s.course, s.section), s -> s.position);
        private final Map<SectionRef, List<AdjustmentRow>> adjustments =
                grouped(AdjustmentRow.class, a -> new SectionRef(a.course, a.section), a -> a.position);
        private final Map<SectionRef, List<PatternRow>> patterns =
                grouped(PatternRow.class, p -> new SectionRef(p.course, p.section), p -> p.position);
        private final Map<SectionRef, List<SessionChangeRow>> changes =
                grouped(SessionChangeRow.class, c -> new SectionRef(c.course, c.section), c -> c.position);
        private final Map<SectionRef, List<SectionLessonRow>> lessons =
                grouped(SectionLessonRow.class, l -> new SectionRef(l.course, l.section), l -> 0);
        private final Map<SectionRef, List<SectionSessionRow>> sessions =
                grouped(SectionSessionRow.class, s -> new SectionRef(s.course, s.section), s -> s.position);
        private final Map<Held, List<TaughtRow>> taught = grouped(
                TaughtRow.class, t -> new Held(new SectionRef(t.course, t.section), t.session), t -> t.position);

        private final ToldRows tellings = new ToldRows(rows);

        Section section(SectionRow row) {
            SectionRef key = new SectionRef(row.course, row.code);
            Map<String, OwnLesson> own = new LinkedHashMap<>();
            Map<String, LocalDate> told = new LinkedHashMap<>();
            for (SectionLessonRow lesson : lessons.getOrDefault(key, List.of())) {
                own.put(lesson.lesson, own(lesson));
                if (lesson.told != null) {
                    told.put(lesson.lesson, lesson.told);
                }
            }
            Set<LocalDateTime> held = new LinkedHashSet<>();
            Map<LocalDateTime, List<String>> records = new LinkedHashMap<>();
            Map<LocalDateTime, List<Link>> added = new LinkedHashMap<>();
            for (SectionSessionRow session : sessions.getOrDefault(key, List.of())) {
                if (session.heldEmpty) {
                    held.add(session.session);
                }
                added.put(session.session, list(session.links, DetailsReader::link));
                if (session.recorded) {
                    records.put(
                            session.session,
                            taught.getOrDefault(new Held(key, session.session), List.of()).stream()
                                    .map(t -> t.lesson)
                                    .toList());
                }
            }
            Beat beat = row.beat == null ? null : new Beat(row.beat.equals("daily") ? null : Words.weekday(row.beat));
            return new Section(
                    row.code,
                    text(row.instructor),
                    text(row.partOf),
                    students.getOrDefault(key, List.of()).stream()
                            .map(s -> new Student(s.id, s.name, s.mail))
                            .toList(),
                    Words.constant(Section.Pace.class, row.pace),
                    patterns.getOrDefault(key, List.of()).stream()
                            .map(p -> new MeetingPattern(
                                    p.rule,
                                    texts(p.letters),
                                    p.startTime,
                                    p.minutes,
                                    p.place,
                                    p.link,
                                    p.validFrom,
                                    p.validUntil,
                                    extra(p.extra)))
                            .toList(),
                    beat,
                    changes.getOrDefault(key, List.of()).stream()
                            .map(this::change)
                            .toList(),
                    own,
                    held,
                    records,
                    added,
                    tellings.told(row, told),
                    adjustments.getOrDefault(key, List.of()).stream()
                            .map(a -> new Adjustment(
                                    a.item,
                                    a.student.isEmpty() ? null : a.student,
                                    needed(a.dates, DetailsReader::dates),
                                    a.why))
                            .toList(),
                    extra(row.extra));
        }

        private static OwnLesson own(SectionLessonRow row) {
            return new OwnLesson(
                    row.leftOut,
                    row.gap,
                    row.length,
                    row.joined,
                    row.midWeek,
                    row.pinTakenAway ? Own.none() : row.pin == null ? Own.asPlanned() : Own.other(row.pin),
                    row.partly,
                    row.minutesHad,
                    row.note);
        }

        private SessionChange change(SessionChangeRow row) {
            Extra extra = extra(row.extra);
            return switch (row.kind) {
                case "cancel" -> new SessionChange.Cancel(row.session, extra);
                case "move" -> new SessionChange.Move(row.session, row.movedTo, row.minutes, extra);
                default -> new SessionChange.Add(row.session, Known.there(row.minutes, "minutes"), row.place, extra);
            };
        }
    }
}
