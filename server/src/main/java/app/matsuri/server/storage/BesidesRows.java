package app.matsuri.server.storage;

import app.matsuri.core.plan.Besides;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Publishing;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.WeekNote;
import app.matsuri.core.plan.Weights;
import app.matsuri.exchange.plan.BesidesReader;
import app.matsuri.exchange.plan.BesidesWriter;
import app.matsuri.exchange.plan.DetailsReader;
import app.matsuri.exchange.plan.DetailsWriter;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.Out;
import app.matsuri.exchange.plan.PlanWriter;
import app.matsuri.exchange.plan.RuleReader;
import app.matsuri.exchange.plan.Words;
import app.matsuri.server.storage.row.CourseRow;
import app.matsuri.server.storage.row.DayNoteRow;
import app.matsuri.server.storage.row.NoticeRow;
import app.matsuri.server.storage.row.RhythmRow;
import app.matsuri.server.storage.row.Row;
import app.matsuri.server.storage.row.WeekNoteRow;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Notices, rhythms and notes as rows, both ways. */
final class BesidesRows {

    private final Rows rows;

    BesidesRows(Rows rows) {
        this.rows = rows;
    }

    /** What a course has besides its plan. */
    Besides of(CourseRow row) {
        String course = row.code;
        return new Besides(
                list(NoticeRow.class, n -> n.course.equals(course), n -> n.position, BesidesRows::notice),
                list(RhythmRow.class, r -> r.course.equals(course), r -> r.position, BesidesRows::rhythm),
                list(
                        DayNoteRow.class,
                        n -> n.course.equals(course),
                        n -> n.position,
                        n -> new DayNote(n.onDate, none(n.section), n.text, n.own)),
                list(
                        WeekNoteRow.class,
                        n -> n.course.equals(course),
                        n -> n.position,
                        n -> new WeekNote(n.firstDay, none(n.section), n.headline, RowReader.texts(n.targets))),
                Objects.requireNonNullElse(RowReader.read(row.weights, BesidesReader::costs), Weights.USUAL),
                Objects.requireNonNullElse(RowReader.read(row.publishing, BesidesReader::shown), Publishing.USUAL),
                RowReader.list(row.reminders, BesidesReader::reminder),
                RowReader.list(row.took, BesidesReader::took),
                RowReader.list(row.waits, BesidesReader::waiting));
    }

    private <R extends Row, T> List<T> list(
            Class<R> table, Predicate<R> here, ToIntFunction<R> position, Function<R, T> reader) {
        return rows.of(table)
                .filter(here)
                .sorted(Comparator.comparingInt(position))
                .map(reader)
                .toList();
    }

    private static Notice notice(NoticeRow row) {
        Map<String, NoticeTime> sections =
                RowReader.list(row.otherTimes, in -> Map.entry(in.required("section"), BesidesReader.time(in))).stream()
                        .collect(Collectors.toMap(
                                Map.Entry::getKey, Map.Entry::getValue, (a, b) -> b, LinkedHashMap::new));
        return new Notice(
                row.id,
                row.unit,
                row.title,
                row.text,
                row.place,
                RowReader.list(row.links, DetailsReader::link),
                RowReader.list(row.files, DetailsReader::file),
                RowReader.needed(row.occurs, BesidesReader::time),
                sections,
                Words.constant(Notice.Reach.class, row.reach),
                RowReader.texts(row.onlySections),
                RowReader.texts(row.shared),
                RowReader.read(row.hiddenUntil, RuleReader::rule),
                RowReader.extra(row.extra));
    }

    private static Rhythm rhythm(RhythmRow row) {
        return new Rhythm(
                row.id,
                row.title,
                row.unit,
                RowReader.words(row.weekdays).stream().map(Words::weekday).collect(Collectors.toSet()),
                row.words,
                row.everyNth,
                row.beginNth,
                row.times,
                counts(row.yielded),
                RowReader.list(row.parts, BesidesReader::part),
                RowReader.extra(row.extra));
    }

    private static Map<String, Integer> counts(String json) {
        Map<String, Integer> counts = new TreeMap<>();
        Json.read(json)
                .properties()
                .forEach(e -> counts.put(e.getKey(), e.getValue().intValue()));
        return counts;
    }

    /** Lays out what a course has besides its plan. */
    static void write(long termId, Course course, Rows rows) {
        Besides besides = course.besides();
        for (int i = 0; i < besides.notices().size(); i++) {
            notice(termId, course.code(), besides.notices().get(i), i, rows);
        }
        for (int i = 0; i < besides.rhythms().size(); i++) {
            rhythm(termId, course.code(), besides.rhythms().get(i), i, rows);
        }
        for (int i = 0; i < besides.dayNotes().size(); i++) {
            DayNote note = besides.dayNotes().get(i);
            DayNoteRow row = new DayNoteRow();
            row.termId = termId;
            row.course = course.code();
            row.section = some(note.section());
            row.onDate = note.date();
            row.position = i;
            row.text = note.text();
            row.own = note.own();
            rows.put(row);
        }
        for (int i = 0; i < besides.weekNotes().size(); i++) {
            WeekNote note = besides.weekNotes().get(i);
            WeekNoteRow row = new WeekNoteRow();
            row.termId = termId;
            row.course = course.code();
            row.section = some(note.section());
            row.firstDay = note.first();
            row.position = i;
            row.headline = note.headline();
            row.targets = RowWriter.list(note.targets());
            rows.put(row);
        }
    }

    private static void notice(long termId, String course, Notice notice, int position, Rows rows) {
        NoticeRow row = new NoticeRow();
        row.termId = termId;
        row.course = course;
        row.id = notice.id();
        row.unit = notice.unit();
        row.position = position;
        row.title = notice.title();
        row.text = notice.text();
        row.place = notice.place();
        row.links = RowWriter.list(DetailsWriter.links(notice.links()));
        row.files = RowWriter.list(DetailsWriter.files(notice.files()));
        row.occurs = json(BesidesWriter.time(new Out(), notice.when()).map());
        row.otherTimes = RowWriter.list(BesidesWriter.sections(notice.sections()));
        row.reach = Words.word(notice.reach());
        row.onlySections = RowWriter.list(notice.only());
        row.shared = RowWriter.list(notice.shared());
        row.hiddenUntil = notice.hiddenUntil() == null ? null : json(PlanWriter.rule(notice.hiddenUntil()));
        row.extra = json(notice.extra().json());
        rows.put(row);
    }

    private static void rhythm(long termId, String course, Rhythm rhythm, int position, Rows rows) {
        RhythmRow row = new RhythmRow();
        row.termId = termId;
        row.course = course;
        row.id = rhythm.id();
        row.unit = rhythm.unit();
        row.position = position;
        row.title = rhythm.title();
        row.weekdays = rhythm.weekdays().stream().sorted().map(Words::weekday).collect(Collectors.joining(","));
        row.words = rhythm.words();
        row.everyNth = rhythm.every();
        row.beginNth = rhythm.begin();
        row.times = rhythm.times();
        row.yielded = json(new TreeMap<>(rhythm.yielded()));
        row.parts = json(rhythm.parts().stream().map(BesidesWriter::part).toList());
        row.extra = json(rhythm.extra().json());
        rows.put(row);
    }

    private static String json(@Nullable Object value) {
        return Json.MAPPER.writeValueAsString(value);
    }

    private static @Nullable String none(String column) {
        return column.isEmpty() ? null : column;
    }

    private static String some(@Nullable String value) {
        return value == null ? "" : value;
    }
}
