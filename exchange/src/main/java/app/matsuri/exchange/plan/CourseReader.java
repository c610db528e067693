package app.matsuri.exchange.plan;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Besides;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.FileUse;
import app.matsuri.core.plan.HoursAsked;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Reads a course, its units, lessons and items. */
public final class CourseReader {

    private CourseReader() {}

    /** The course; null when a fault leaves it without meaning. */
    public static @Nullable Course course(In in) {
        String code = in.id("code");
        String title = in.required("title");
        Integer required = in.number("requiredMinutes", null, 0);
        HoursAsked asks = in.object("asks", CourseReader::asks);
        if (required == null && asks != null && !in.has("requiredMinutes")) {
            required = asks.classMinutes();
        }
        Integer usual = in.number("usualMinutes", 50, 1);
        Integer week = in.number("weekLimit", Course.WEEK_LIMIT, 1);
        Integer day = in.number("dayLimit", Course.DAY_LIMIT, 1);
        List<Section> sections = in.objects("sections", SectionReader::section);
        List<Unit> units = in.objects("units", CourseReader::unit);
        Besides besides = BesidesReader.besides(in);
        Extra extra = in.extra();
        return code == null || title == null || usual == null || week == null || day == null
                ? null
                : new Course(code, title, required, asks, usual, week, day, sections, units, besides, extra);
    }

    /** How hours are asked for: credits or ects. */
    public static @Nullable HoursAsked asks(In in) {
        Integer credits = in.number("credits", null, 1);
        Integer ects = in.number("ects", null, 1);
        in.extra();
        if (in.faults().fatal()) {
            return null;
        }
        if ((credits == null) == (ects == null)) {
            in.faults().fatal(in.pointer(), "Say how many credits, or how many ects, not both.");
            return null;
        }
        int amount = credits == null ? ects : credits;
        if (amount > 100) {
            in.faults().fatal(in.pointer(), amount + " is too many for one course: give 100 or fewer.");
            return null;
        }
        return new HoursAsked(credits == null ? HoursAsked.In.ECTS : HoursAsked.In.CREDITS, amount);
    }

    /** The unit with its lessons and items; null when a fault leaves it without meaning. */
    public static @Nullable Unit unit(In in) {
        String id = in.id("id");
        String code = in.id("code");
        String title = in.required("title");
        boolean startsWeek = in.flag("startsWeek", false);
        boolean draft = in.flag("draft", false);
        String yields = in.text("yields", null);
        String colour = in.text("colour", "");
        Map<Which, DateRule> dates = new EnumMap<>(Which.class);
        DetailsReader.dates(in).forEach((which, own) -> own.said().ifPresent(r -> dates.put(which, r)));
        List<Link> links = in.objects("links", DetailsReader::link);
        List<FileUse> files = in.objects("files", DetailsReader::file);
        List<Lesson> lessons = in.objects("lessons", CourseReader::lesson);
        List<Item> items = in.objects("items", CourseReader::item);
        Extra extra = in.extra();
        return id == null || code == null || title == null || colour == null
                ? null
                : new Unit(
                        id, code, title, startsWeek, draft, yields, colour, dates, links, files, lessons, items, extra);
    }

    /** The lesson; null when a fault leaves it without meaning. */
    public static @Nullable Lesson lesson(In in) {
        String id = in.id("id");
        String title = in.required("title");
        Integer length = in.number("length", 1, 1);
        Integer minLength = in.number("minLength", 1, 1);
        boolean optional = in.flag("optional", false);
        boolean joinable = in.flag("joinable", false);
        boolean reserve = in.flag("reserve", false);
        LocalDate pin = in.date("pin");
        Integer gapBefore = in.number("gapBefore", 0, 0);
        String notes = in.text("notes", "");
        LessonDetails details = DetailsReader.lesson(in);
        Extra extra = in.extra();
        return id == null || title == null || length == null || minLength == null || gapBefore == null || notes == null
                ? null
                : new Lesson(
                        id, title, length, minLength, optional, joinable, reserve, pin, gapBefore, notes, details,
                        extra);
    }

    /** The item; null when a fault leaves it without meaning. */
    public static @Nullable Item item(In in) {
        String id = in.id("id");
        String lesson = in.text("lesson", null);
        String kind = in.text("kind", "other");
        String title = in.required("title");
        String shortName = in.text("short", "");
        BigDecimal points = in.decimal("points");
        Integer minutes = in.number("minutes", null, 0);
        String marking = in.text("marking", "");
        boolean locked = in.flag("locked", false);
        Integer place = in.number("place", 0, Integer.MIN_VALUE);
        DateRule opens = in.object("opens", RuleReader::rule);
        DateRule due = in.object("due", RuleReader::rule);
        DateRule closes = in.object("closes", RuleReader::rule);
        ItemDetails details = DetailsReader.item(in);
        Extra extra = in.extra();
        return id == null || title == null || kind == null || marking == null || place == null || shortName == null
                ? null
                : new Item(
                        id, lesson, kind, title, shortName, points, minutes, marking, locked, place, opens, due, closes,
                        details, extra);
    }
}
