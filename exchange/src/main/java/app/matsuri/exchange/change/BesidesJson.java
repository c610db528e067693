package app.matsuri.exchange.change;

import app.matsuri.core.change.ArrangeNotice;
import app.matsuri.core.change.BringCourses;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.ChangeNoticeSeries;
import app.matsuri.core.change.MoveNotice;
import app.matsuri.core.change.PutDayNote;
import app.matsuri.core.change.PutNotice;
import app.matsuri.core.change.PutRhythm;
import app.matsuri.core.change.PutWeekNote;
import app.matsuri.core.change.RememberPace;
import app.matsuri.core.change.RemoveNotice;
import app.matsuri.core.change.RemoveRhythm;
import app.matsuri.core.change.SetWeights;
import app.matsuri.core.change.Tell;
import app.matsuri.core.plan.Course;
import app.matsuri.exchange.plan.BesidesReader;
import app.matsuri.exchange.plan.BesidesWriter;
import app.matsuri.exchange.plan.CourseReader;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.Out;
import app.matsuri.exchange.plan.PlanWriter;
import app.matsuri.exchange.plan.Words;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Changes of notices, rhythms, and words on days and weeks, read and written. */
final class BesidesJson {

    static final Map<String, Function<In, Change>> KINDS = new LinkedHashMap<>();

    static {
        KINDS.put("put-notice", in -> {
            var notice = ChangeJson.needed(in, "notice", in.object("notice", BesidesReader::notice));
            return notice == null ? null : new PutNotice(in.required("course"), notice);
        });
        KINDS.put("remove-notice", in -> new RemoveNotice(in.required("course"), in.required("notice")));
        KINDS.put(
                "move-notice",
                in -> new MoveNotice(
                        in.required("course"),
                        in.text("section", null),
                        in.required("notice"),
                        in.date("entry"),
                        in.date("to"),
                        in.time("time")));
        KINDS.put(
                "arrange-notice",
                in -> new ArrangeNotice(
                        in.required("course"), in.required("notice"), in.text("unit", null), in.text("before", null)));
        KINDS.put("change-notice-series", in -> {
            LocalDate from = ChangeJson.day(in, "from");
            var repeat = in.object("repeat", BesidesReader::repeat);
            return from == null
                    ? null
                    : new ChangeNoticeSeries(in.required("course"), in.required("notice"), from, repeat);
        });
        KINDS.put("put-rhythm", in -> {
            var rhythm = ChangeJson.needed(in, "rhythm", in.object("rhythm", BesidesReader::rhythm));
            return rhythm == null ? null : new PutRhythm(in.required("course"), rhythm);
        });
        KINDS.put("remove-rhythm", in -> new RemoveRhythm(in.required("course"), in.required("rhythm")));
        KINDS.put("put-day-note", in -> {
            var note = ChangeJson.needed(in, "note", in.object("note", BesidesReader::dayNote));
            return note == null ? null : new PutDayNote(in.required("course"), note);
        });
        KINDS.put("put-week-note", in -> {
            var note = ChangeJson.needed(in, "note", in.object("note", BesidesReader::weekNote));
            return note == null ? null : new PutWeekNote(in.required("course"), note);
        });
        KINDS.put(
                "remember-pace",
                in -> new RememberPace(in.required("course"), in.objects("took", BesidesReader::took)));
        KINDS.put("bring-courses", in -> {
            List<Course> courses = in.objects("courses", CourseReader::course);
            return courses.isEmpty() ? null : new BringCourses(in.text("does", "Bring courses"), courses);
        });
        KINDS.put(
                "tell",
                in -> new Tell(
                        in.required("course"),
                        in.text("section", null),
                        in.date("upTo"),
                        in.text("why", ""),
                        in.moment("at")));
        KINDS.put("set-weights", in -> {
            var weights = ChangeJson.needed(in, "weights", in.object("weights", BesidesReader::costs));
            return weights == null ? null : new SetWeights(in.required("course"), weights);
        });
    }

    private BesidesJson() {}

    /** Writes the change where it is one of these; else says that it is none. */
    static boolean write(Out out, Change change) {
        if (change instanceof PutNotice put) {
            out.put("kind", "put-notice").put("course", put.course()).put("notice", BesidesWriter.notice(put.notice()));
        } else if (change instanceof RemoveNotice remove) {
            out.put("kind", "remove-notice").put("course", remove.course()).put("notice", remove.notice());
        } else if (change instanceof MoveNotice move) {
            out.put("kind", "move-notice")
                    .put("course", move.course())
                    .some("section", move.section())
                    .put("notice", move.notice())
                    .some("entry", move.entry() == null ? null : move.entry().toString())
                    .some("to", move.to() == null ? null : move.to().toString())
                    .some("time", move.time() == null ? null : move.time().toString());
        } else if (change instanceof ArrangeNotice arrange) {
            out.put("kind", "arrange-notice")
                    .put("course", arrange.course())
                    .put("notice", arrange.notice())
                    .some("unit", arrange.unit())
                    .some("before", arrange.before());
        } else if (change instanceof ChangeNoticeSeries series) {
            out.put("kind", "change-notice-series")
                    .put("course", series.course())
                    .put("notice", series.notice())
                    .put("from", series.from().toString())
                    .some("repeat", series.repeat() == null ? null : BesidesWriter.repeat(series.repeat()));
        } else if (change instanceof PutRhythm put) {
            out.put("kind", "put-rhythm").put("course", put.course()).put("rhythm", BesidesWriter.rhythm(put.rhythm()));
        } else if (change instanceof RemoveRhythm remove) {
            out.put("kind", "remove-rhythm").put("course", remove.course()).put("rhythm", remove.rhythm());
        } else if (change instanceof PutDayNote put) {
            out.put("kind", "put-day-note").put("course", put.course()).put("note", BesidesWriter.dayNote(put.note()));
        } else if (change instanceof RememberPace keep) {
            out.put("kind", "remember-pace").put("course", keep.course()).put("took", BesidesWriter.took(keep.took()));
        } else if (change instanceof BringCourses bring) {
            out.put("kind", "bring-courses")
                    .put("does", bring.does())
                    .put(
                            "courses",
                            bring.courses().stream().map(PlanWriter::course).toList());
        } else if (change instanceof Tell tell) {
            out.put("kind", "tell")
                    .put("course", tell.course())
                    .some("section", tell.section())
                    .some("upTo", tell.upTo() == null ? null : tell.upTo().toString())
                    .unless("", "why", tell.why())
                    .unless("", "at", Words.moment(tell.at()));
        } else if (change instanceof SetWeights set) {
            out.put("kind", "set-weights")
                    .put("course", set.course())
                    .put("weights", BesidesWriter.weights(set.weights()));
        } else if (change instanceof PutWeekNote put) {
            out.put("kind", "put-week-note")
                    .put("course", put.course())
                    .put("note", BesidesWriter.weekNote(put.note()));
        } else {
            return false;
        }
        return true;
    }
}
