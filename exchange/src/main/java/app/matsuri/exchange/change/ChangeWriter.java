package app.matsuri.exchange.change;

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
import app.matsuri.core.change.PutDates;
import app.matsuri.core.change.PutItem;
import app.matsuri.core.change.PutLesson;
import app.matsuri.core.change.PutRoster;
import app.matsuri.core.change.PutSection;
import app.matsuri.core.change.PutUnit;
import app.matsuri.core.change.RecordHeld;
import app.matsuri.core.change.RecordTaught;
import app.matsuri.core.change.Redate;
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
import app.matsuri.exchange.plan.DetailsWriter;
import app.matsuri.exchange.plan.Out;
import app.matsuri.exchange.plan.PlanWriter;
import app.matsuri.exchange.plan.Words;
import java.util.Map;

/** Writes changes, kind for kind what {@link ChangeJson} reads. */
final class ChangeWriter {

    private ChangeWriter() {}

    /** Writes a change so that it reads back as the same change. */
    static Map<String, Object> write(Change change) {
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
        } else if (change instanceof PutDates put) {
            RedateJson.write(out, put);
        } else if (change instanceof PutAdjustment put) {
            out.put("kind", "put-adjustment")
                    .put("course", put.course())
                    .put("section", put.section())
                    .put("adjustment", DetailsWriter.adjustment(put.adjustment()));
        } else if (change instanceof Redate redate) {
            RedateJson.write(out, redate);
        } else if (change instanceof DateUnit date) {
            out.put("kind", "date-unit")
                    .put("course", date.course())
                    .some("section", date.section())
                    .put("unit", date.unit())
                    .put("to", date.to().toString());
        } else if (change instanceof ArrangeLessons arrange) {
            out.put("kind", "arrange-lessons")
                    .put("course", arrange.course())
                    .put("lessons", arrange.lessons())
                    .put("unit", arrange.unit())
                    .some("before", arrange.before());
        } else if (change instanceof ArrangeUnit arrange) {
            out.put("kind", "arrange-unit")
                    .put("course", arrange.course())
                    .put("unit", arrange.unit())
                    .some("before", arrange.before());
        } else if (change instanceof OrderDay order) {
            out.put("kind", "order-day").put("course", order.course()).put("items", order.items());
        } else if (change instanceof ArrangeItems arrange) {
            out.put("kind", "arrange-items")
                    .put("course", arrange.course())
                    .put("items", arrange.items())
                    .put("unit", arrange.unit())
                    .some("lesson", arrange.lesson())
                    .some("within", arrange.within())
                    .some("before", arrange.before());
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
                    .unless(false, "onlyThese", shift.onlyThese())
                    .unless(false, "keepUnit", shift.keepUnit());
        } else if (change instanceof Move move) {
            out.put("kind", "move")
                    .put("course", move.course())
                    .some("section", move.section())
                    .some("seenIn", move.seenIn())
                    .some("lessons", move.lessons())
                    .some("items", move.items())
                    .put("to", move.to().toString())
                    .put("place", move.place())
                    .unless(false, "fixed", move.fixed())
                    .put("keepSpacing", move.keepSpacing())
                    .unless(false, "keepUnit", move.keepUnit());
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
                    .unless(false, "finished", record.finished())
                    .unless("", "note", record.note());
        } else if (change instanceof RecordHeld held) {
            out.put("kind", "record-held")
                    .put("course", held.course())
                    .some("section", held.section())
                    .some("from", held.from() == null ? null : held.from().toString())
                    .put("until", held.until().toString())
                    .some("over", held.over() == null ? null : Words.moment(held.over()));
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
        } else if (change instanceof SetLength set) {
            out.put("kind", "set-length")
                    .put("course", set.course())
                    .put("section", set.section())
                    .put("lesson", set.lesson())
                    .some("length", set.length());
        } else if (change instanceof Join join) {
            out.put("kind", "join")
                    .put("course", join.course())
                    .put("section", join.section())
                    .put("lesson", join.lesson())
                    .put("join", join.join());
        } else if (change instanceof SetGap gap) {
            out.put("kind", "set-gap")
                    .put("course", gap.course())
                    .put("section", gap.section())
                    .put("lesson", gap.lesson())
                    .put("empty", gap.empty());
        } else if (change instanceof BeginMidWeek mid) {
            out.put("kind", "begin-mid-week")
                    .put("course", mid.course())
                    .put("section", mid.section())
                    .put("lesson", mid.lesson())
                    .put("anyDay", mid.anyDay());
        } else if (change instanceof ChangeSession session) {
            out.put("kind", "change-session")
                    .put("course", session.course())
                    .put("section", session.section())
                    .put("change", PlanWriter.change(session.change()));
        } else {
            setting(out, change);
        }
    }

    private static void setting(Out out, Change change) {
        if (change instanceof RestoreSession restore) {
            out.put("kind", "restore-session")
                    .put("course", restore.course())
                    .put("section", restore.section())
                    .put("session", Words.moment(restore.session()));
        } else if (change instanceof ChangeSeries series) {
            out.put("kind", "change-series")
                    .put("course", series.course())
                    .put("section", series.section())
                    .put("pattern", series.pattern())
                    .some("from", series.from() == null ? null : series.from().toString())
                    .put("meets", PlanWriter.pattern(series.meets()));
        } else if (change instanceof PutClosure put) {
            out.put("kind", "put-closure")
                    .put("first", put.first().toString())
                    .put("last", put.last().toString())
                    .put("reason", put.reason())
                    .put("closure", PlanWriter.closure(put.closure()));
        } else if (change instanceof MarkDays mark) {
            out.put("kind", "mark-days")
                    .put("first", mark.first().toString())
                    .put("last", mark.last().toString())
                    .put("as", Words.word(mark.as()))
                    .some("weekday", mark.weekday() == null ? null : Words.weekday(mark.weekday()));
        } else if (change instanceof SetFirstPlanDay set) {
            out.put("kind", "first-plan-day")
                    .some("day", set.day() == null ? null : set.day().toString());
        } else if (change instanceof SetRotation set) {
            out.put("kind", "set-rotation").some("rotation", PlanWriter.rotation(set.rotation()));
        } else if (change instanceof PutRoster roster) {
            out.put("kind", "put-roster")
                    .put("course", roster.course())
                    .put("section", roster.section())
                    .put(
                            "students",
                            roster.students().stream().map(PlanWriter::student).toList());
        } else if (BesidesJson.write(out, change)) {
            return;
        } else if (change instanceof Together together) {
            out.put("kind", "together")
                    .unless("", "does", together.does())
                    .put(
                            "changes",
                            together.changes().stream().map(ChangeWriter::write).toList());
        }
    }
}
