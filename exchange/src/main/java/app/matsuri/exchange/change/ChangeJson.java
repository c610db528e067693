package app.matsuri.exchange.change;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.change.AddClosure;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.ChangeSession;
import app.matsuri.core.change.HoldEmpty;
import app.matsuri.core.change.LeaveOut;
import app.matsuri.core.change.Move;
import app.matsuri.core.change.Pin;
import app.matsuri.core.change.PutCourse;
import app.matsuri.core.change.PutItem;
import app.matsuri.core.change.PutLesson;
import app.matsuri.core.change.PutSection;
import app.matsuri.core.change.PutUnit;
import app.matsuri.core.change.RecordTaught;
import app.matsuri.core.change.RemoveClosure;
import app.matsuri.core.change.RemoveCourse;
import app.matsuri.core.change.RemoveItem;
import app.matsuri.core.change.RemoveLesson;
import app.matsuri.core.change.RemoveRecord;
import app.matsuri.core.change.RemoveSection;
import app.matsuri.core.change.RemoveUnit;
import app.matsuri.core.change.SetTerm;
import app.matsuri.core.change.Shift;
import app.matsuri.core.session.SessionChange;
import app.matsuri.exchange.plan.CourseReader;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.exchange.plan.Faults;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.Out;
import app.matsuri.exchange.plan.PlanWriter;
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
            return to == null ? null : new Move(course, section, lessons, items, to, place, fixed, spacing);
        });
        KINDS.put(
                "pin",
                in -> new Pin(in.required("course"), in.text("section", null), in.required("lesson"), in.date("date")));
        KINDS.put("record-taught", in -> {
            var session = in.moment("session");
            needed(in, "session", session);
            List<String> lessons = in.texts("lessons", "a lesson's id", x -> x);
            boolean partly = in.flag("partly", false);
            String note = in.text("note", "");
            return new RecordTaught(in.required("course"), in.required("section"), session, lessons, partly, note);
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
        KINDS.put("change-session", in -> {
            SessionChange change = needed(in, "change", in.object("change", SectionReader::change));
            return new ChangeSession(in.required("course"), in.required("section"), change);
        });
    }

    private ChangeJson() {}

    /**
     * What reading came to.
     *
     * @param change null when a fault leaves it without meaning
     */
    public record Reading(Change change, List<Fault> faults) {}

    /** Reads a change. */
    public static Reading read(JsonNode node) {
        Faults faults = new Faults();
        In in = In.of(node, "", faults);
        if (in == null) {
            return new Reading(null, faults.all());
        }
        String kind = in.required("kind");
        Function<In, Change> reader = kind == null ? null : KINDS.get(kind);
        if (kind != null && reader == null) {
            faults.fatal(
                    "/kind",
                    "“" + kind + "” is no kind of change. There are " + String.join(", ", KINDS.keySet()) + ".");
        }
        Change change = reader == null ? null : reader.apply(in);
        in.extra();
        return new Reading(faults.fatal() ? null : change, faults.all());
    }

    private static <T> T needed(In in, String field, T value) {
        if (value == null && !in.has(field)) {
            in.faults().fatal(in.pointer(), "“" + field + "” is missing.");
        }
        return value;
    }

    private static LocalDate day(In in, String field) {
        return needed(in, field, in.date(field));
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
                        only);
    }

    /** Writes a change so that it reads back as the same change. */
    public static Map<String, Object> write(Change change) {
        Out out = new Out();
        if (change instanceof AddClosure add) {
            out.put("kind", "add-closure").put("closure", PlanWriter.closure(add.closure()));
        } else if (change instanceof RemoveClosure remove) {
            out.put("kind", "remove-closure")
                    .put("first", remove.first().toString())
                    .put("last", remove.last().toString())
                    .some("reason", remove.reason());
        } else if (change instanceof SetTerm set) {
            out.put("kind", "set-term").put("term", PlanWriter.term(set.term()));
        } else if (change instanceof PutCourse put) {
            out.put("kind", "put-course").some("was", put.was()).put("course", PlanWriter.course(put.course()));
        } else if (change instanceof RemoveCourse remove) {
            out.put("kind", "remove-course").put("course", remove.course());
        } else if (change instanceof PutSection put) {
            out.put("kind", "put-section")
                    .put("course", put.course())
                    .some("was", put.was())
                    .put("section", PlanWriter.section(put.section()));
        } else if (change instanceof RemoveSection remove) {
            out.put("kind", "remove-section").put("course", remove.course()).put("section", remove.section());
        } else if (change instanceof PutUnit put) {
            out.put("kind", "put-unit")
                    .put("course", put.course())
                    .put("unit", PlanWriter.unit(put.unit()))
                    .some("before", put.before());
        } else if (change instanceof RemoveUnit remove) {
            out.put("kind", "remove-unit").put("course", remove.course()).put("unit", remove.unit());
        } else if (change instanceof PutLesson put) {
            out.put("kind", "put-lesson")
                    .put("course", put.course())
                    .some("unit", put.unit())
                    .put("lesson", PlanWriter.lesson(put.lesson()))
                    .some("before", put.before());
        } else if (change instanceof RemoveLesson remove) {
            out.put("kind", "remove-lesson").put("course", remove.course()).put("lesson", remove.lesson());
        } else if (change instanceof PutItem put) {
            out.put("kind", "put-item")
                    .put("course", put.course())
                    .some("unit", put.unit())
                    .put("item", PlanWriter.item(put.item()));
        } else if (change instanceof RemoveItem remove) {
            out.put("kind", "remove-item").put("course", remove.course()).put("item", remove.item());
        } else {
            moving(out, change);
        }
        return out.map();
    }

    private static void moving(Out out, Change change) {
        if (change instanceof Shift shift) {
            out.put("kind", "shift")
                    .put("course", shift.course())
                    .some("section", shift.section())
                    .some("lessons", shift.lessons())
                    .some("unit", shift.unit())
                    .some("items", shift.items())
                    .some("week", shift.week())
                    .some("from", shift.from() == null ? null : shift.from().toString())
                    .put("by", shift.by())
                    .put("in", Words.word(shift.in()))
                    .unless(false, "onlyThese", shift.onlyThese());
        } else if (change instanceof Move move) {
            out.put("kind", "move")
                    .put("course", move.course())
                    .some("section", move.section())
                    .some("lessons", move.lessons())
                    .some("items", move.items())
                    .put("to", move.to().toString())
                    .put("place", move.place())
                    .unless(false, "fixed", move.fixed())
                    .put("keepSpacing", move.keepSpacing());
        } else if (change instanceof Pin pin) {
            out.put("kind", "pin")
                    .put("course", pin.course())
                    .some("section", pin.section())
                    .put("lesson", pin.lesson())
                    .put("date", pin.date() == null ? null : pin.date().toString());
        } else if (change instanceof RecordTaught record) {
            out.put("kind", "record-taught")
                    .put("course", record.course())
                    .put("section", record.section())
                    .put("session", Words.moment(record.session()))
                    .put("lessons", record.lessons())
                    .put("partly", record.partly())
                    .unless("", "note", record.note());
        } else if (change instanceof RemoveRecord remove) {
            out.put("kind", "remove-record")
                    .put("course", remove.course())
                    .put("section", remove.section())
                    .put("session", Words.moment(remove.session()));
        } else if (change instanceof HoldEmpty hold) {
            out.put("kind", "hold-empty")
                    .put("course", hold.course())
                    .put("section", hold.section())
                    .put("session", Words.moment(hold.session()))
                    .put("hold", hold.hold());
        } else if (change instanceof LeaveOut leave) {
            out.put("kind", "leave-out")
                    .put("course", leave.course())
                    .put("section", leave.section())
                    .put("lesson", leave.lesson())
                    .put("leave", leave.leave());
        } else if (change instanceof ChangeSession session) {
            out.put("kind", "change-session")
                    .put("course", session.course())
                    .put("section", session.section())
                    .put("change", PlanWriter.change(session.change()));
        }
    }
}
