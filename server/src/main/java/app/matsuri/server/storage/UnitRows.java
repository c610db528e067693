package app.matsuri.server.storage;

import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.exchange.plan.DetailsReader;
import app.matsuri.exchange.plan.DetailsWriter;
import app.matsuri.exchange.plan.RuleReader;
import app.matsuri.server.storage.row.ItemRow;
import app.matsuri.server.storage.row.LessonRow;
import app.matsuri.server.storage.row.UnitRow;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Units with their lessons and items as rows, both ways. */
final class UnitRows {

    private final Map<ThingRef, List<LessonRow>> lessons;
    private final Map<ThingRef, List<ItemRow>> items;

    UnitRows(Rows rows) {
        lessons = RowReader.grouped(rows, LessonRow.class, l -> new ThingRef(l.course, l.unit), l -> l.position);
        items = RowReader.grouped(rows, ItemRow.class, i -> new ThingRef(i.course, i.unit), i -> i.position);
    }

    Unit unit(UnitRow row) {
        ThingRef key = new ThingRef(row.course, row.id);
        return new Unit(
                row.id,
                row.code,
                row.title,
                row.startsWeek,
                row.draft != null && row.draft,
                row.yields,
                RowReader.text(row.colour),
                dates(row),
                RowReader.list(row.links, DetailsReader::link),
                RowReader.list(row.files, DetailsReader::file),
                lessons.getOrDefault(key, List.of()).stream().map(this::lesson).toList(),
                items.getOrDefault(key, List.of()).stream().map(this::item).toList(),
                RowReader.extra(row.extra));
    }

    private Lesson lesson(LessonRow row) {
        return new Lesson(
                row.id,
                row.title,
                row.length,
                row.minLength,
                row.optional,
                row.joinable,
                row.reserve,
                row.pin,
                row.gapBefore,
                row.notes,
                new LessonDetails(
                        RowReader.text(row.objectives),
                        RowReader.list(row.steps, DetailsReader::step),
                        RowReader.list(row.links, DetailsReader::link),
                        RowReader.list(row.files, DetailsReader::file)),
                RowReader.extra(row.extra));
    }

    private static Map<Which, DateRule> dates(UnitRow row) {
        Map<Which, DateRule> dates = new EnumMap<>(Which.class);
        dates.put(Which.OPENS, rule(row.opens));
        dates.put(Which.DUE, rule(row.due));
        dates.put(Which.CLOSES, rule(row.closes));
        dates.values().removeIf(Objects::isNull);
        return dates;
    }

    private static ItemDetails details(ItemRow row) {
        return new ItemDetails(
                row.withinItem,
                RowReader.text(row.instructions),
                RowReader.text(row.handIn),
                RowReader.text(row.handInPlace),
                RowReader.list(row.links, DetailsReader::link),
                RowReader.list(row.files, DetailsReader::file),
                RowReader.texts(row.onlySections),
                row.audience == null ? ItemDetails.ALL : row.audience,
                RowReader.texts(row.shared),
                row.hidden != null && row.hidden,
                row.draft != null && row.draft);
    }

    private Item item(ItemRow row) {
        return new Item(
                row.id,
                row.lesson,
                row.kind,
                row.title,
                row.shortName,
                row.points,
                row.minutes,
                row.marking,
                row.locked,
                row.place,
                rule(row.opens),
                rule(row.due),
                rule(row.closes),
                details(row),
                RowReader.extra(row.extra));
    }

    private static @Nullable DateRule rule(@Nullable String json) {
        return RowReader.read(json, RuleReader::rule);
    }

    /** Lays a unit out with its lessons and items. */
    static void write(long termId, String course, Unit unit, int position, Rows rows) {
        UnitRow row = new UnitRow();
        row.termId = termId;
        row.course = course;
        row.id = unit.id();
        row.position = position;
        row.code = unit.code();
        row.title = unit.title();
        row.startsWeek = unit.startsWeek();
        row.draft = unit.draft() ? true : null;
        row.yields = unit.yields();
        row.colour = RowWriter.none(unit.colour());
        row.opens = RowWriter.rule(unit.dates().get(Which.OPENS));
        row.due = RowWriter.rule(unit.dates().get(Which.DUE));
        row.closes = RowWriter.rule(unit.dates().get(Which.CLOSES));
        row.links = RowWriter.list(DetailsWriter.links(unit.links()));
        row.files = RowWriter.list(DetailsWriter.files(unit.files()));
        row.extra = RowWriter.extra(unit.extra());
        rows.put(row);
        for (int i = 0; i < unit.lessons().size(); i++) {
            lesson(termId, course, unit.id(), unit.lessons().get(i), i, rows);
        }
        for (int i = 0; i < unit.items().size(); i++) {
            item(termId, course, unit.id(), unit.items().get(i), i, rows);
        }
    }

    private static void lesson(long termId, String course, String unit, Lesson lesson, int position, Rows rows) {
        LessonRow row = new LessonRow();
        row.termId = termId;
        row.course = course;
        row.id = lesson.id();
        row.unit = unit;
        row.position = position;
        row.title = lesson.title();
        row.length = lesson.length();
        row.minLength = lesson.minLength();
        row.optional = lesson.optional();
        row.joinable = lesson.joinable();
        row.reserve = lesson.reserve();
        row.pin = lesson.pin();
        row.gapBefore = lesson.gapBefore();
        row.notes = lesson.notes();
        row.objectives = RowWriter.none(lesson.details().objectives());
        row.steps = RowWriter.list(DetailsWriter.steps(lesson.details().steps()));
        row.links = RowWriter.list(DetailsWriter.links(lesson.details().links()));
        row.files = RowWriter.list(DetailsWriter.files(lesson.details().files()));
        row.extra = RowWriter.extra(lesson.extra());
        rows.put(row);
    }

    private static void item(long termId, String course, String unit, Item item, int position, Rows rows) {
        ItemRow row = new ItemRow();
        row.termId = termId;
        row.course = course;
        row.id = item.id();
        row.unit = unit;
        row.position = position;
        row.lesson = item.lesson();
        row.kind = item.kind();
        row.title = item.title();
        row.shortName = item.shortName();
        row.points = item.points();
        row.minutes = item.minutes();
        row.marking = item.marking();
        row.locked = item.locked();
        row.place = item.place();
        row.opens = RowWriter.rule(item.opens());
        row.due = RowWriter.rule(item.due());
        row.closes = RowWriter.rule(item.closes());
        details(row, item.details());
        row.extra = RowWriter.extra(item.extra());
        rows.put(row);
    }

    private static void details(ItemRow row, ItemDetails details) {
        row.withinItem = details.within();
        row.instructions = RowWriter.none(details.instructions());
        row.handIn = RowWriter.none(details.handIn());
        row.handInPlace = RowWriter.none(details.handInPlace());
        row.links = RowWriter.list(DetailsWriter.links(details.links()));
        row.files = RowWriter.list(DetailsWriter.files(details.files()));
        row.onlySections = RowWriter.list(details.only());
        row.audience = details.audience().equals(ItemDetails.ALL) ? null : details.audience();
        row.shared = RowWriter.list(details.shared());
        row.hidden = details.hidden() ? true : null;
        row.draft = details.draft() ? true : null;
    }
}
