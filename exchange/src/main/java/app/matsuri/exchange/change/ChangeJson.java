package app.matsuri.exchange.change;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.change.AddClosure;
import app.matsuri.core.change.ArrangeItems;
import app.matsuri.core.change.ArrangeLessons;
import app.matsuri.core.change.ArrangeUnit;
import app.matsuri.core.change.BeginMidWeek;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.ChangeSeries;
import app.matsuri.core.change.ChangeSession;
import app.matsuri.core.change.DateUnit;
import app.matsuri.core.change.HoldEmpty;
import app.matsuri.core.change.Join;
import app.matsuri.core.change.LeaveOut;
import app.matsuri.core.change.MarkDays;
import app.matsuri.core.change.Move;
import app.matsuri.core.change.OrderDay;
import app.matsuri.core.change.Pin;
import app.matsuri.core.change.PutAdjustment;
import app.matsuri.core.change.PutClosure;
import app.matsuri.core.change.PutCourse;
import app.matsuri.core.change.PutItem;
import app.matsuri.core.change.PutLesson;
import app.matsuri.core.change.PutRoster;
import app.matsuri.core.change.PutSection;
import app.matsuri.core.change.PutUnit;
import app.matsuri.core.change.RecordHeld;
import app.matsuri.core.change.RecordTaught;
import app.matsuri.core.change.RemoveClosure;
import app.matsuri.core.change.RemoveCourse;
import app.matsuri.core.change.RemoveItem;
import app.matsuri.core.change.RemoveLesson;
import app.matsuri.core.change.RemoveRecord;
import app.matsuri.core.change.RemoveSection;
import app.matsuri.core.change.RemoveUnit;
import app.matsuri.core.change.RestoreSession;
import app.matsuri.core.change.SetFirstPlanDay;
import app.matsuri.core.change.SetGap;
import app.matsuri.core.change.SetLength;
import app.matsuri.core.change.SetRotation;
import app.matsuri.core.change.SetTerm;
import app.matsuri.core.change.Shift;
import app.matsuri.core.change.Together;
import app.matsuri.core.session.SessionChange;
import app.matsuri.exchange.plan.CourseReader;
import app.matsuri.exchange.plan.DetailsReader;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.exchange.plan.Faults;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.SectionReader;
import app.matsuri.exchange.plan.TermReader;
import app.matsuri.exchange.plan.Words;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;

/** A change as JSON, the same over HTTP, in the history and on the command line. */
public final class ChangeJson {

    /** What reads each kind; a field that is missing or wrong is noted, and the kind's reader answers all the same. */
    private static final Map<String, Function<In, Change>> KINDS = new LinkedHashMap<>();

    static {
        KINDS.put("add-closure", in -> {
            Closure closure = needed(in, "closure", in.object("closure", TermReader::closure));
            return closure == null ? null : new AddClosure(closure);
        });
        KINDS.put("remove-closure", in -> {
            LocalDate first = day(in, "first");
            LocalDate last = in.has("last") ? in.date("last") : first;
            String reason = in.text("reason", null);
            return first == null || last == null ? null : new RemoveClosure(first, last, reason);
        });
        KINDS.put("set-term", in -> {
            var term = needed(in, "term", in.object("term", TermReader::term));
            return term == null ? null : new SetTerm(term);
        });
        KINDS.put("put-course", in -> {
            String was = in.text("was", null);
            var course = needed(in, "course", in.object("course", CourseReader::course));
            return course == null ? null : new PutCourse(was, course);
        });
        KINDS.put("remove-course", in -> new RemoveCourse(in.required("course")));
        KINDS.put("put-section", in -> {
            String was = in.text("was", null);
            var section = needed(in, "section", in.object("section", SectionReader::section));
            return section == null ? null : new PutSection(in.required("course"), was, section);
        });
        KINDS.put("remove-section", in -> new RemoveSection(in.required("course"), in.required("section")));
        KINDS.put("put-unit", in -> {
            var unit = needed(in, "unit", in.object("unit", CourseReader::unit));
            return unit == null ? null : new PutUnit(in.required("course"), unit, in.text("before", null));
        });
        KINDS.put("remove-unit", in -> new RemoveUnit(in.required("course"), in.required("unit")));
        KINDS.put("put-lesson", in -> {
            var lesson = needed(in, "lesson", in.object("lesson", CourseReader::lesson));
            String unit = in.text("unit", null);
            String before = in.text("before", null);
            return lesson == null ? null : new PutLesson(in.required("course"), unit, lesson, before);
        });
        KINDS.put("remove-lesson", in -> new RemoveLesson(in.required("course"), in.required("lesson")));
        KINDS.put("put-item", in -> {
            var item = needed(in, "item", in.object("item", CourseReader::item));
            String unit = in.text("unit", null);
            return item == null ? null : new PutItem(in.required("course"), unit, item);
        });
        KINDS.put("remove-item", in -> new RemoveItem(in.required("course"), in.required("item")));
        KINDS.put("arrange-items", in -> {
            List<String> items = in.texts("items", "an item's id", x -> x);
            String unit = in.required("unit");
            if (items.isEmpty()) {
                in.faults().fatal(in.pointer(), "Say which items to put elsewhere: “items” is empty.");
                return null;
            }
            return new ArrangeItems(
                    in.required("course"),
                    items,
                    unit,
                    in.text("lesson", null),
                    in.text("within", null),
                    in.text("before", null));
        });
        KINDS.put("date-unit", in -> {
            LocalDate to = day(in, "to");
            return to == null
                    ? null
                    : new DateUnit(in.required("course"), in.text("section", null), in.required("unit"), to);
        });
        KINDS.put("arrange-lessons", in -> {
            List<String> lessons = in.texts("lessons", "a lesson's id", x -> x);
            if (lessons.isEmpty()) {
                in.faults().fatal(in.pointer(), "Say which lessons to put elsewhere: “lessons” is empty.");
                return null;
            }
            return new ArrangeLessons(in.required("course"), lessons, in.required("unit"), in.text("before", null));
        });
        KINDS.put(
                "arrange-unit",
                in -> new ArrangeUnit(in.required("course"), in.required("unit"), in.text("before", null)));
        KINDS.put("order-day", in -> {
            List<String> items = in.texts("items", "an item's id", x -> x);
            if (items.isEmpty()) {
                in.faults().fatal(in.pointer(), "Say which items, in order: “items” is empty.");
                return null;
            }
            return new OrderDay(in.required("course"), items);
        });
        KINDS.put("put-dates", RedateJson::putDates);
        KINDS.put("put-adjustment", in -> {
            var adjustment = needed(in, "adjustment", in.object("adjustment", DetailsReader::adjustment));
            return adjustment == null
                    ? null
                    : new PutAdjustment(in.required("course"), in.required("section"), adjustment);
        });
        KINDS.put("redate", RedateJson::redate);
        BesidesJson.KINDS.forEach(KINDS::put);
        KINDS.put("shift", ChangeJson::shift);
        KINDS.put("move", in -> {
            LocalDate to = day(in, "to");
            String course = in.required("course");
            String section = in.text("section", null);
            List<String> lessons = in.texts("lessons", "a lesson's id", x -> x);
            List<String> items = in.texts("items", "an item's id", x -> x);
            String place = in.word("place", "last", List.of("first", "last"));
            boolean fixed = in.flag("fixed", false);
            boolean spacing = in.flag("keepSpacing", false);
            boolean unit = in.flag("keepUnit", false);
            String seenIn = in.text("seenIn", null);
            return to == null
                    ? null
                    : new Move(course, section, seenIn, lessons, items, to, place, fixed, spacing, unit);
        });
        KINDS.put(
                "pin",
                in -> new Pin(in.required("course"), in.text("section", null), in.required("lesson"), in.date("date")));
        KINDS.put("record-taught", in -> {
            var session = in.moment("session");
            needed(in, "session", session);
            List<String> lessons = in.texts("lessons", "a lesson's id", x -> x);
            boolean partly = in.flag("partly", false);
            boolean finished = in.flag("finished", false);
            String note = in.text("note", "");
            return new RecordTaught(
                    in.required("course"), in.required("section"), session, lessons, partly, finished, note);
        });
        KINDS.put("record-held", in -> {
            LocalDate until = day(in, "until");
            String course = in.required("course");
            String section = in.text("section", null);
            LocalDate from = in.date("from");
            var over = in.moment("over");
            return until == null ? null : new RecordHeld(course, section, from, until, over);
        });
        KINDS.put("remove-record", in -> {
            var session = needed(in, "session", in.moment("session"));
            return new RemoveRecord(in.required("course"), in.required("section"), session);
        });
        KINDS.put("hold-empty", in -> {
            var session = needed(in, "session", in.moment("session"));
            boolean hold = in.flag("hold", true);
            return new HoldEmpty(in.required("course"), in.required("section"), session, hold);
        });
        KINDS.put("leave-out", in -> {
            boolean leave = in.flag("leave", true);
            return new LeaveOut(in.required("course"), in.required("section"), in.required("lesson"), leave);
        });
        KINDS.put(
                "set-length",
                in -> new SetLength(
                        in.required("course"),
                        in.required("section"),
                        in.required("lesson"),
                        in.number("length", null, 1)));
        KINDS.put("join", in -> {
            boolean join = in.flag("join", true);
            return new Join(in.required("course"), in.required("section"), in.required("lesson"), join);
        });
        KINDS.put("set-gap", in -> {
            Integer empty = needed(in, "empty", in.number("empty", null, 0));
            return empty == null
                    ? null
                    : new SetGap(in.required("course"), in.required("section"), in.required("lesson"), empty);
        });
        KINDS.put("begin-mid-week", in -> {
            boolean anyDay = in.flag("anyDay", true);
            return new BeginMidWeek(in.required("course"), in.required("section"), in.required("lesson"), anyDay);
        });
        KINDS.put("change-session", in -> {
            SessionChange change = needed(in, "change", in.object("change", SectionReader::change));
            return new ChangeSession(in.required("course"), in.required("section"), change);
        });
        KINDS.put("restore-session", in -> {
            var session = needed(in, "session", in.moment("session"));
            return new RestoreSession(in.required("course"), in.required("section"), session);
        });
        KINDS.put("change-series", in -> {
            Integer pattern = needed(in, "pattern", in.number("pattern", null, 0));
            LocalDate from = in.date("from");
            var meets = needed(in, "meets", in.object("meets", SectionReader::pattern));
            String course = in.required("course");
            String section = in.required("section");
            return pattern == null || meets == null ? null : new ChangeSeries(course, section, pattern, from, meets);
        });
        KINDS.put("put-closure", in -> {
            LocalDate first = day(in, "first");
            LocalDate last = in.has("last") ? in.date("last") : first;
            String reason = in.text("reason", "");
            Closure closure = needed(in, "closure", in.object("closure", TermReader::closure));
            return closure == null ? null : new PutClosure(first, last, reason, closure);
        });
        KINDS.put("mark-days", ChangeJson::mark);
        KINDS.put("first-plan-day", in -> new SetFirstPlanDay(in.date("day")));
        KINDS.put("set-rotation", in -> new SetRotation(in.object("rotation", TermReader::rotation)));
        KINDS.put(
                "put-roster",
                in -> new PutRoster(
                        in.required("course"), in.required("section"), in.objects("students", SectionReader::student)));
        KINDS.put("together", ChangeJson::together);
    }

    /** The most changes in one step. */
    private static final int MOST_TOGETHER = 5_000;

    private ChangeJson() {}

    /**
     * What reading came to.
     *
     * @param change null when a fault leaves it without meaning
     * @param held whether earlier classes without a record count as held as planned; yes where not said
     */
    public record Reading(Change change, boolean held, List<Fault> faults) {}

    /** Reads a change. */
    public static Reading read(JsonNode node) {
        Faults faults = new Faults();
        In in = In.of(node, "", faults);
        if (in == null) {
            return new Reading(null, true, faults.all());
        }
        boolean held = in.flag("held", true);
        Change change = change(in);
        return new Reading(faults.fatal() ? null : change, held, faults.all());
    }

    private static Change change(In in) {
        Faults faults = in.faults();
        String kind = in.required("kind");
        Function<In, Change> reader = kind == null ? null : KINDS.get(kind);
        if (kind != null && reader == null) {
            faults.fatal(
                    in.at("kind"),
                    "“" + kind + "” is no kind of change. There are " + String.join(", ", KINDS.keySet()) + ".");
        }
        Change change = reader == null ? null : reader.apply(in);
        in.extra();
        return change;
    }

    static <T> T needed(In in, String field, T value) {
        if (value == null && !in.has(field)) {
            in.faults().fatal(in.pointer(), "“" + field + "” is missing.");
        }
        return value;
    }

    static LocalDate day(In in, String field) {
        return needed(in, field, in.date(field));
    }

    private static Change mark(In in) {
        LocalDate first = day(in, "first");
        LocalDate last = in.has("last") ? in.date("last") : first;
        String as = needed(in, "as", in.word("as", null, Words.all(MarkDays.Mark.class)));
        var weekday = in.weekday("weekday", null);
        if (as == null || first == null || last == null) {
            return null;
        }
        MarkDays.Mark mark = Words.constant(MarkDays.Mark.class, as);
        if (mark == MarkDays.Mark.RUNS_AS && weekday == null) {
            in.faults().fatal(in.pointer(), "“weekday” is missing: say as which weekday the day runs.");
            return null;
        }
        return new MarkDays(first, last, mark, weekday);
    }

    private static Change together(In in) {
        String does = in.text("does", "");
        List<Change> changes = in.objects("changes", ChangeJson::change);
        if (changes.isEmpty() || changes.size() > MOST_TOGETHER) {
            in.faults().fatal(in.pointer(), "Give 1 to " + MOST_TOGETHER + " changes.");
            return null;
        }
        return new Together(does == null ? "" : does, changes);
    }

    private static Change shift(In in) {
        String course = in.required("course");
        String section = in.text("section", null);
        List<String> lessons = in.texts("lessons", "a lesson's id", x -> x);
        String unit = in.text("unit", null);
        List<String> items = in.texts("items", "an item's id", x -> x);
        Integer week = in.number("week", null, 1);
        LocalDate from = in.date("from");
        Integer by = needed(in, "by", in.number("by", null, -1000));
        String what = in.word("in", "sessions", Words.all(Shift.In.class));
        boolean only = in.flag("onlyThese", false);
        boolean keepUnit = in.flag("keepUnit", false);
        if (lessons.isEmpty() && items.isEmpty() && unit == null && week == null && from == null) {
            in.faults().fatal(in.pointer(), "Say what to move: lessons, items, unit, week or from.");
        }
        return by == null || what == null
                ? null
                : new Shift(
                        course,
                        section,
                        lessons,
                        unit,
                        items,
                        week,
                        from,
                        by,
                        Words.constant(Shift.In.class, what),
                        only,
                        keepUnit);
    }

    /** Writes a change so that it reads back as the same change. */
    public static Map<String, Object> write(Change change) {
        return ChangeWriter.write(change);
    }
}
