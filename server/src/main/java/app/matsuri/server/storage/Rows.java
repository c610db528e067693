package app.matsuri.server.storage;

import app.matsuri.server.storage.row.AdjustmentRow;
import app.matsuri.server.storage.row.CalendarRow;
import app.matsuri.server.storage.row.ClosureRow;
import app.matsuri.server.storage.row.CourseRow;
import app.matsuri.server.storage.row.DayNoteRow;
import app.matsuri.server.storage.row.ItemRow;
import app.matsuri.server.storage.row.LessonRow;
import app.matsuri.server.storage.row.NoticeRow;
import app.matsuri.server.storage.row.PatternRow;
import app.matsuri.server.storage.row.RhythmRow;
import app.matsuri.server.storage.row.Row;
import app.matsuri.server.storage.row.SectionLessonRow;
import app.matsuri.server.storage.row.SectionRow;
import app.matsuri.server.storage.row.SectionSessionRow;
import app.matsuri.server.storage.row.SessionChangeRow;
import app.matsuri.server.storage.row.StudentRow;
import app.matsuri.server.storage.row.TaughtRow;
import app.matsuri.server.storage.row.TellingRow;
import app.matsuri.server.storage.row.ToldSessionRow;
import app.matsuri.server.storage.row.ToldWorkRow;
import app.matsuri.server.storage.row.UnitRow;
import app.matsuri.server.storage.row.WeekNoteRow;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The rows of one term's decisions, by key. */
public final class Rows {

    /** The tables, each behind those that its rows refer to. */
    static final List<Class<? extends Row>> TABLES = List.of(
            CalendarRow.class,
            ClosureRow.class,
            CourseRow.class,
            SectionRow.class,
            StudentRow.class,
            PatternRow.class,
            SessionChangeRow.class,
            SectionLessonRow.class,
            SectionSessionRow.class,
            TaughtRow.class,
            AdjustmentRow.class,
            UnitRow.class,
            LessonRow.class,
            ItemRow.class,
            NoticeRow.class,
            RhythmRow.class,
            DayNoteRow.class,
            WeekNoteRow.class,
            ToldSessionRow.class,
            ToldWorkRow.class,
            TellingRow.class);

    private final Map<Object, Row> rows = new LinkedHashMap<>();

    /** The given rows. */
    public static Rows of(Collection<? extends Row> given) {
        Rows rows = new Rows();
        given.forEach(rows::put);
        return rows;
    }

    void put(Row row) {
        rows.put(row.key(), row);
    }

    void remove(Object key) {
        rows.remove(key);
    }

    public @Nullable Row get(Object key) {
        return rows.get(key);
    }

    public Collection<Row> all() {
        return rows.values();
    }

    Rows copy() {
        return of(rows.values());
    }

    <R extends Row> Stream<R> of(Class<R> table) {
        return rows.values().stream().filter(table::isInstance).map(table::cast);
    }
}
