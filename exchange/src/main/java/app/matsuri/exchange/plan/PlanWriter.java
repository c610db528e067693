package app.matsuri.exchange.plan;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.DayRotation;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Besides;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.HoursAsked;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.SessionChange;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Writes decisions as JSON objects, field for field what the readers read. */
public final class PlanWriter {

    private PlanWriter() {}

    static Map<String, Object> decisions(Decisions decisions) {
        return new Out()
                .put("matsuri", 1)
                .put("term", term(decisions.term()))
                .put(
                        "courses",
                        decisions.courses().stream().map(PlanWriter::course).toList())
                .some(
                        "officeHours",
                        decisions.officeHours().stream().map(HoursWriter::hours).toList())
                .with(decisions.extra());
    }

    public static Map<String, Object> term(Term term) {
        Map<String, String> runsAs = new LinkedHashMap<>();
        term.runsAs().forEach((day, weekday) -> runsAs.put(day.toString(), Words.weekday(weekday)));
        return new Out()
                .unless("", "name", term.name())
                .put("first", term.first().toString())
                .put("last", term.last().toString())
                .unless("Z", "zone", term.zone().getId())
                .put("weekdays", term.weekdays().stream().map(Words::weekday).toList())
                .put("weekStart", Words.weekday(term.weekStart()))
                .some("firstPlanDay", text(term.firstPlanDay()))
                .put(
                        "closures",
                        term.closures().stream().map(PlanWriter::closure).toList())
                .some(
                        "extraDays",
                        term.extraDays().stream().map(LocalDate::toString).toList())
                .some("runsAs", runsAs)
                .some("rotation", rotation(term.rotation()))
                .with(term.extra());
    }

    /** The day letters; null for none. */
    public static @Nullable Map<String, Object> rotation(@Nullable DayRotation rotation) {
        if (rotation == null) {
            return null;
        }
        Map<String, String> restarts = new LinkedHashMap<>();
        rotation.restarts().forEach((day, letter) -> restarts.put(day.toString(), letter));
        return new Out()
                .put("letters", rotation.letters())
                .put("advances", Words.word(rotation.advances()))
                .some("restarts", restarts)
                .with(rotation.extra());
    }

    public static Map<String, Object> closure(Closure closure) {
        return new Out()
                .put("first", closure.first().toString())
                .put("last", closure.last().toString())
                .some("from", text(closure.from()))
                .some("to", closure.to() == null ? null : Closure.said(closure.to()))
                .put("reason", closure.reason())
                .put("kind", closure.kind())
                .put("noClass", closure.noClass())
                .put("planPauses", closure.planPauses())
                .put("nothingDue", closure.nothingDue())
                .unless(null, "only", closure.only())
                .unless(false, "justInCase", closure.justInCase())
                .with(closure.extra());
    }

    public static Map<String, Object> course(Course course) {
        Besides besides = course.besides();
        return new Out()
                .put("code", course.code())
                .put("title", course.title())
                .some("requiredMinutes", course.requiredMinutes())
                .some("asks", asks(course.asks()))
                .put("usualMinutes", course.usualMinutes())
                .unless(Course.WEEK_LIMIT, "weekLimit", course.weekLimit())
                .unless(Course.DAY_LIMIT, "dayLimit", course.dayLimit())
                .put(
                        "sections",
                        course.sections().stream().map(PlanWriter::section).toList())
                .put("units", course.units().stream().map(PlanWriter::unit).toList())
                .some("weights", BesidesWriter.weights(besides.weights()))
                .some("publishing", BesidesWriter.publishing(besides.publishing()))
                .some(
                        "reminders",
                        besides.reminders().stream()
                                .map(BesidesWriter::reminder)
                                .toList())
                .some("took", besides.took().stream().map(BesidesWriter::took).toList())
                .some("waits", BesidesWriter.waits(besides.waits()))
                .some(
                        "notices",
                        besides.notices().stream().map(BesidesWriter::notice).toList())
                .some(
                        "rhythms",
                        besides.rhythms().stream().map(BesidesWriter::rhythm).toList())
                .some(
                        "dayNotes",
                        besides.dayNotes().stream().map(BesidesWriter::dayNote).toList())
                .some(
                        "weekNotes",
                        besides.weekNotes().stream()
                                .map(BesidesWriter::weekNote)
                                .toList())
                .with(course.extra());
    }

    /** How hours are asked for; null for not. */
    public static @Nullable Map<String, Object> asks(@Nullable HoursAsked asks) {
        return asks == null
                ? null
                : new Out().put(Words.word(asks.in()), asks.amount()).map();
    }

    public static Map<String, Object> section(Section section) {
        Map<String, String> pins = new LinkedHashMap<>();
        section.lessons().forEach((id, own) -> {
            if (!own.pin().planned()) {
                pins.put(id, text(own.pin().over(null)));
            }
        });
        Map<String, List<String>> taught = new LinkedHashMap<>();
        section.taught().forEach((name, lessons) -> taught.put(Words.moment(name), lessons));
        return new Out()
                .put("code", section.code())
                .unless("", "instructor", section.instructor())
                .unless("", "partOf", section.partOf())
                .some(
                        "students",
                        section.students().stream().map(PlanWriter::student).toList())
                .put("pace", Words.word(section.pace()))
                .some("meets", section.meets().stream().map(PlanWriter::pattern).toList())
                .some(
                        "beat",
                        section.beat() == null
                                ? null
                                : new Out()
                                        .some("weekday", text(section.beat().weekday()))
                                        .map())
                .some(
                        "sessionChanges",
                        section.sessionChanges().stream()
                                .map(PlanWriter::change)
                                .toList())
                .some("leavesOut", section.lessonsWhere(OwnLesson::leftOut))
                .some("gaps", section.ofLessons(OwnLesson::gap))
                .some("lengths", section.ofLessons(OwnLesson::length))
                .some("joined", section.lessonsWhere(OwnLesson::joined))
                .some("midWeek", section.lessonsWhere(OwnLesson::midWeek))
                .some("pins", pins)
                .some(
                        "holdsEmpty",
                        section.holdsEmpty().stream().map(Words::moment).toList())
                .some("taught", taught)
                .some("partly", section.lessonsWhere(OwnLesson::partly))
                .some("minutesHad", section.ofLessons(OwnLesson::minutesHad))
                .some("notes", section.ofLessons(OwnLesson::note))
                .some(
                        "sessionLinks",
                        section.sessionLinks().entrySet().stream()
                                .map(e -> new Out()
                                        .put("session", Words.moment(e.getKey()))
                                        .put("links", DetailsWriter.links(e.getValue()))
                                        .map())
                                .toList())
                .all(ToldJson.write(section.told()))
                .some(
                        "adjustments",
                        section.adjustments().stream()
                                .map(DetailsWriter::adjustment)
                                .toList())
                .with(section.extra());
    }

    public static Map<String, Object> student(Student student) {
        return new Out()
                .put("id", student.id())
                .put("name", student.name())
                .unless("", "mail", student.mail())
                .map();
    }

    public static Map<String, Object> pattern(MeetingPattern pattern) {
        return new Out()
                .some("rule", pattern.rule())
                .some("letters", pattern.letters())
                .put("start", pattern.start().toString())
                .put("minutes", pattern.minutes())
                .unless("", "place", pattern.place())
                .unless("", "link", pattern.link())
                .some("from", text(pattern.from()))
                .some("until", text(pattern.until()))
                .with(pattern.extra());
    }

    public static Map<String, Object> change(SessionChange change) {
        Out out = change.on(new SessionChange.Cases<>() {
            @Override
            public Out cancel(SessionChange.Cancel cancel) {
                return new Out().put("cancel", Words.moment(cancel.session()));
            }

            @Override
            public Out move(SessionChange.Move move) {
                return new Out()
                        .put("move", Words.moment(move.session()))
                        .put("to", Words.moment(move.to()))
                        .some("minutes", move.minutes());
            }

            @Override
            public Out add(SessionChange.Add add) {
                return new Out()
                        .put("add", Words.moment(add.at()))
                        .put("minutes", add.minutes())
                        .unless("", "place", add.place());
            }
        });
        return out.with(change.extra());
    }

    public static Map<String, Object> unit(Unit unit) {
        return new Out()
                .put("id", unit.id())
                .put("code", unit.code())
                .put("title", unit.title())
                .unless(false, "startsWeek", unit.startsWeek())
                .unless(false, "draft", unit.draft())
                .some("yields", unit.yields())
                .unless("", "colour", unit.colour())
                .some("opens", rule(unit.dates().get(Which.OPENS)))
                .some("due", rule(unit.dates().get(Which.DUE)))
                .some("closes", rule(unit.dates().get(Which.CLOSES)))
                .some("links", DetailsWriter.links(unit.links()))
                .some("files", DetailsWriter.files(unit.files()))
                .put("lessons", unit.lessons().stream().map(PlanWriter::lesson).toList())
                .put("items", unit.items().stream().map(PlanWriter::item).toList())
                .with(unit.extra());
    }

    public static Map<String, Object> lesson(Lesson lesson) {
        Out out = new Out()
                .put("id", lesson.id())
                .put("title", lesson.title())
                .unless(1, "length", lesson.length())
                .unless(1, "minLength", lesson.minLength())
                .unless(false, "optional", lesson.optional())
                .unless(false, "joinable", lesson.joinable())
                .unless(false, "reserve", lesson.reserve())
                .some("pin", text(lesson.pin()))
                .unless(0, "gapBefore", lesson.gapBefore())
                .unless("", "notes", lesson.notes());
        return DetailsWriter.lesson(out, lesson.details()).with(lesson.extra());
    }

    public static Map<String, Object> item(Item item) {
        Out out = new Out()
                .put("id", item.id())
                .some("lesson", item.lesson())
                .put("kind", item.kind())
                .put("title", item.title())
                .unless("", "short", item.shortName())
                .some("points", item.points())
                .some("minutes", item.minutes())
                .unless("", "marking", item.marking())
                .unless(false, "locked", item.locked())
                .unless(0, "place", item.place())
                .some("opens", rule(item.opens()))
                .some("due", rule(item.due()))
                .some("closes", rule(item.closes()));
        return DetailsWriter.item(out, item.details()).with(item.extra());
    }

    /** How each kind of anchor is written. */
    private static final Anchor.Cases<Out> AS_WRITTEN = new Anchor.Cases<>() {
        @Override
        public Out fixed(Anchor.Fixed at) {
            return new Out().put("at", Words.moment(at.at()));
        }

        @Override
        public Out lesson(Anchor.WithLesson with) {
            return new Out().put("lesson", with.lesson()).put("edge", Words.word(with.edge()));
        }

        @Override
        public Out unit(Anchor.WithUnit with) {
            return new Out().put("unit", with.unit()).put("edge", Words.word(with.edge()));
        }

        @Override
        public Out week(Anchor.InWeek in) {
            return new Out()
                    .put("week", in.week())
                    .put("counts", in.teaching() ? "teaching" : "term")
                    .put("weekday", Words.weekday(in.weekday()));
        }

        @Override
        public Out ownDate(Anchor.OwnDate own) {
            return new Out().put("own", Words.word(own.which()));
        }

        @Override
        public Out item(Anchor.OfItem of) {
            return new Out().put("item", of.item()).put("date", Words.word(of.which()));
        }

        @Override
        public Out beginning(Anchor.OwnBeginning own) {
            return new Out().put("own", "begins");
        }

        @Override
        public Out rhythm(Anchor.InRhythm in) {
            return new Out()
                    .put("rhythm", in.rhythm())
                    .unless(0, "number", in.number())
                    .put("edge", Words.word(in.edge()));
        }
    };

    /** The rule; null for none. */
    public static @Nullable Map<String, Object> rule(@Nullable DateRule rule) {
        if (rule == null) {
            return null;
        }
        Out out = rule.anchor().on(AS_WRITTEN);
        if (rule.plus().n() != 0) {
            out.put("plus", rule.plus().n()).put("in", Words.word(rule.plus().unit()));
        }
        if (rule.snapTo() != null) {
            out.put("snapTo", Words.weekday(rule.snapTo()))
                    .put("snap", rule.snapBefore() ? "on-or-before" : "on-or-after");
        }
        return out.some("time", text(rule.time()))
                .some("onDayOff", rule.onDayOff() == null ? null : Words.word(rule.onDayOff()))
                .with(rule.extra());
    }

    private static @Nullable String text(@Nullable Object value) {
        return value == null
                ? null
                : value instanceof DayOfWeek weekday
                        ? Words.weekday(weekday)
                        : value instanceof LocalDateTime moment ? Words.moment(moment) : value.toString();
    }
}
