package app.matsuri.server.storage;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Student;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.SessionChange;
import app.matsuri.exchange.plan.BesidesWriter;
import app.matsuri.exchange.plan.DetailsWriter;
import app.matsuri.exchange.plan.HoursWriter;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanWriter;
import app.matsuri.exchange.plan.Words;
import app.matsuri.server.storage.row.AdjustmentRow;
import app.matsuri.server.storage.row.CalendarRow;
import app.matsuri.server.storage.row.ClosureRow;
import app.matsuri.server.storage.row.CourseRow;
import app.matsuri.server.storage.row.PatternRow;
import app.matsuri.server.storage.row.SectionLessonRow;
import app.matsuri.server.storage.row.SectionRow;
import app.matsuri.server.storage.row.SectionSessionRow;
import app.matsuri.server.storage.row.SessionChangeRow;
import app.matsuri.server.storage.row.StudentRow;
import app.matsuri.server.storage.row.TaughtRow;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Lays decisions out as rows. */
final class RowWriter {

    private final long termId;
    private final Rows rows = new Rows();

    private RowWriter(long termId) {
        this.termId = termId;
    }

    static Rows rows(long termId, Decisions decisions) {
        RowWriter writer = new RowWriter(termId);
        writer.calendar(decisions);
        writer.closures(decisions.term().closures());
        for (int i = 0; i < decisions.courses().size(); i++) {
            writer.course(decisions.courses().get(i), i);
        }
        return writer.rows;
    }

    private void calendar(Decisions decisions) {
        Term term = decisions.term();
        CalendarRow row = new CalendarRow();
        row.termId = termId;
        row.name = term.name();
        row.firstDay = term.first();
        row.lastDay = term.last();
        row.zone = term.zone().getId();
        row.weekdays =
                String.join(",", term.weekdays().stream().map(Words::weekday).toList());
        row.weekStart = Words.weekday(term.weekStart());
        row.firstPlanDay = term.firstPlanDay();
        row.extraDays = String.join(
                ",", term.extraDays().stream().map(LocalDate::toString).toList());
        Map<String, String> runsAs = new LinkedHashMap<>();
        term.runsAs().forEach((day, weekday) -> runsAs.put(day.toString(), Words.weekday(weekday)));
        row.runsAs = json(runsAs);
        row.rotation = term.rotation() == null ? null : json(PlanWriter.rotation(term.rotation()));
        row.officeHours =
                list(decisions.officeHours().stream().map(HoursWriter::hours).toList());
        row.extra = extra(term.extra());
        row.fileExtra = extra(decisions.extra());
        rows.put(row);
    }

    private void closures(List<Closure> closures) {
        Map<String, Integer> seen = new LinkedHashMap<>();
        for (int i = 0; i < closures.size(); i++) {
            Closure closure = closures.get(i);
            String days = closure.first() + "/" + closure.last();
            ClosureRow row = new ClosureRow();
            row.termId = termId;
            row.id = days + "/" + seen.merge(days, 1, Integer::sum);
            row.position = i;
            row.firstDay = closure.first();
            row.lastDay = closure.last();
            row.fromTime = closure.from();
            row.toTime = closure.to();
            row.reason = closure.reason();
            row.kind = closure.kind();
            row.noClass = closure.noClass();
            row.planPauses = closure.planPauses();
            row.nothingDue = closure.nothingDue();
            row.onlyCodes = closure.only() == null ? null : json(closure.only());
            row.justInCase = closure.justInCase();
            row.extra = extra(closure.extra());
            rows.put(row);
        }
    }

    private void course(Course course, int position) {
        CourseRow row = new CourseRow();
        row.termId = termId;
        row.code = course.code();
        row.position = position;
        row.title = course.title();
        row.requiredMinutes = course.requiredMinutes();
        row.asks = course.asks() == null ? null : json(PlanWriter.asks(course.asks()));
        row.usualMinutes = course.usualMinutes();
        Map<String, Integer> weights = BesidesWriter.weights(course.besides().weights());
        row.weights = weights.isEmpty() ? null : json(weights);
        Map<String, Object> publishing =
                BesidesWriter.publishing(course.besides().publishing());
        row.publishing = publishing.isEmpty() ? null : json(publishing);
        row.reminders = list(course.besides().reminders().stream()
                .map(BesidesWriter::reminder)
                .toList());
        row.took =
                list(course.besides().took().stream().map(BesidesWriter::took).toList());
        row.waits = list(BesidesWriter.waits(course.besides().waits()));
        row.weekLimit = course.weekLimit();
        row.dayLimit = course.dayLimit();
        row.extra = extra(course.extra());
        rows.put(row);
        for (int i = 0; i < course.sections().size(); i++) {
            section(course.code(), course.sections().get(i), i);
        }
        for (int i = 0; i < course.units().size(); i++) {
            UnitRows.write(termId, course.code(), course.units().get(i), i, rows);
        }
        BesidesRows.write(termId, course, rows);
    }

    private void section(String course, Section section, int position) {
        SectionRow row = new SectionRow();
        row.termId = termId;
        row.course = course;
        row.code = section.code();
        row.position = position;
        row.instructor = none(section.instructor());
        row.partOf = none(section.partOf());
        row.pace = Words.word(section.pace());
        row.beat = section.beat() == null
                ? null
                : section.beat().weekday() == null
                        ? "daily"
                        : Words.weekday(section.beat().weekday());
        row.toldUpTo = section.told().upTo();
        row.extra = extra(section.extra());
        rows.put(row);
        for (int i = 0; i < section.students().size(); i++) {
            student(course, section.code(), section.students().get(i), i);
        }
        for (int i = 0; i < section.meets().size(); i++) {
            pattern(course, section.code(), section.meets().get(i), i);
        }
        for (int i = 0; i < section.sessionChanges().size(); i++) {
            change(course, section.code(), section.sessionChanges().get(i), i);
        }
        for (int i = 0; i < section.adjustments().size(); i++) {
            adjustment(course, section.code(), section.adjustments().get(i), i);
        }
        lessonsOf(course, section);
        ToldRows.write(termId, course, section, rows);
        sessionsOf(course, section);
    }

    /** Columns that came later hold null for nothing, as the deltas from before them do. */
    static @Nullable String none(String text) {
        return text.isEmpty() ? null : text;
    }

    private void student(String course, String section, Student student, int position) {
        StudentRow row = new StudentRow();
        row.termId = termId;
        row.course = course;
        row.section = section;
        row.id = student.id();
        row.position = position;
        row.name = student.name();
        row.mail = student.mail();
        rows.put(row);
    }

    private void adjustment(String course, String section, Adjustment adjustment, int position) {
        AdjustmentRow row = new AdjustmentRow();
        row.termId = termId;
        row.course = course;
        row.section = section;
        row.item = adjustment.item();
        row.student = adjustment.student() == null ? "" : adjustment.student();
        row.position = position;
        row.dates = json(DetailsWriter.dates(adjustment.dates()));
        row.why = adjustment.why();
        rows.put(row);
    }

    private void pattern(String course, String section, MeetingPattern pattern, int position) {
        PatternRow row = new PatternRow();
        row.termId = termId;
        row.course = course;
        row.section = section;
        row.position = position;
        row.rule = pattern.rule();
        row.letters = pattern.letters().isEmpty() ? null : json(pattern.letters());
        row.startTime = pattern.start();
        row.minutes = pattern.minutes();
        row.place = pattern.place();
        row.link = pattern.link();
        row.validFrom = pattern.from();
        row.validUntil = pattern.until();
        row.extra = extra(pattern.extra());
        rows.put(row);
    }

    private void change(String course, String section, SessionChange change, int position) {
        SessionChangeRow row = new SessionChangeRow();
        row.termId = termId;
        row.course = course;
        row.section = section;
        row.position = position;
        row.place = "";
        row.session = change.name();
        row.kind = change.on(new SessionChange.Cases<>() {
            @Override
            public String cancel(SessionChange.Cancel cancel) {
                return "cancel";
            }

            @Override
            public String move(SessionChange.Move move) {
                row.movedTo = move.to();
                row.minutes = move.minutes();
                return "move";
            }

            @Override
            public String add(SessionChange.Add add) {
                row.minutes = add.minutes();
                row.place = add.place();
                return "add";
            }
        });
        row.extra = extra(change.extra());
        rows.put(row);
    }

    private void lessonsOf(String course, Section section) {
        Set<String> ids = new LinkedHashSet<>(section.lessons().keySet());
        ids.addAll(section.told().lessons().keySet());
        for (String id : ids) {
            SectionLessonRow row = new SectionLessonRow();
            row.termId = termId;
            row.course = course;
            row.section = section.code();
            row.lesson = id;
            OwnLesson own = section.own(id);
            row.leftOut = own.leftOut();
            row.gap = own.gap();
            row.length = own.length();
            row.pin = own.pin().over(null);
            row.pinTakenAway = own.pin().equals(Own.none());
            row.joined = own.joined();
            row.midWeek = own.midWeek();
            row.partly = own.partly();
            row.minutesHad = own.minutesHad();
            row.note = own.note();
            row.told = section.told().lessons().get(id);
            rows.put(row);
        }
    }

    private void sessionsOf(String course, Section section) {
        Set<LocalDateTime> names = new LinkedHashSet<>(section.taught().keySet());
        names.addAll(section.holdsEmpty());
        names.addAll(section.sessionLinks().keySet());
        List<LocalDateTime> order = new ArrayList<>(section.taught().keySet());
        for (LocalDateTime name : names) {
            SectionSessionRow row = new SectionSessionRow();
            row.termId = termId;
            row.course = course;
            row.section = section.code();
            row.session = name;
            row.heldEmpty = section.holdsEmpty().contains(name);
            row.recorded = section.taught().containsKey(name);
            row.links = list(DetailsWriter.links(section.sessionLinks().getOrDefault(name, List.of())));
            row.position = order.indexOf(name);
            rows.put(row);
            List<String> lessons = section.taught().getOrDefault(name, List.of());
            for (int i = 0; i < lessons.size(); i++) {
                TaughtRow taught = new TaughtRow();
                taught.termId = termId;
                taught.course = course;
                taught.section = section.code();
                taught.session = name;
                taught.position = i;
                taught.lesson = lessons.get(i);
                rows.put(taught);
            }
        }
    }

    static @Nullable String list(List<?> values) {
        return values.isEmpty() ? null : json(values);
    }

    static @Nullable String rule(@Nullable DateRule rule) {
        return rule == null ? null : json(PlanWriter.rule(rule));
    }

    static String extra(Extra extra) {
        return json(extra.json());
    }

    static String json(@Nullable Object value) {
        return Json.MAPPER.writeValueAsString(value);
    }
}
