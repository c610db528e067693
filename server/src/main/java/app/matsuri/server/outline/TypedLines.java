package app.matsuri.server.outline;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.notice.PutDayNote;
import app.matsuri.core.change.notice.PutNotice;
import app.matsuri.core.change.notice.PutRhythm;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.plan.ArrangeItems;
import app.matsuri.core.change.plan.PutItem;
import app.matsuri.core.change.plan.PutLesson;
import app.matsuri.core.change.plan.PutUnit;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.outline.NoticeLine;
import app.matsuri.exchange.outline.OutlineReader;
import app.matsuri.exchange.outline.TypedLine;
import app.matsuri.exchange.outline.WorkRepeats;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.PlanNames;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Makes changes of lines that were typed into the outline or into a day. */
class TypedLines {

    /**
     * A line of the outline.
     *
     * @param in the section that is looked at; null where the course has none
     */
    LineRead inOutline(
            Decisions decisions,
            Course course,
            @Nullable SectionSchedule in,
            DayWords days,
            String text,
            OutlineController.LineTyped typed) {
        TypedLine line =
                TypedLine.read(text, new TypedLine.Place(days, null, typed.lesson(), true, PlanNames.of(course)));
        if (line.sort() == TypedLine.Sort.NOTICE) {
            return notice(line, course, typed.unit());
        }
        if (typed.level().equals("unit")) {
            Unit unit = OutlineReader.unitLine(text, course);
            return read(
                    "a unit, " + unit.code(), "unit:" + unit.id(), new PutUnit(course.code(), unit, typed.before()));
        }
        Unit unit = course.unit(typed.unit() == null ? "" : typed.unit())
                .orElseThrow(() -> OutlineWords.misread("Say to which unit it belongs."));
        if (typed.level().equals("lesson") || line.sort() == TypedLine.Sort.LESSON) {
            String title = line.sort() == TypedLine.Sort.LESSON ? line.title() : text;
            Lesson lesson = OutlineReader.lessonLine(title, course, unit);
            String sessions = lesson.length() + (lesson.length() == 1 ? " class" : " classes");
            return read(
                    lesson.id() + " “" + lesson.title() + "”, a lesson of " + sessions,
                    "lesson:" + lesson.id(),
                    new PutLesson(course.code(), unit.id(), lesson, typed.before()));
        }
        if (line.sort() == TypedLine.Sort.NOTE) {
            return refused(line, "A note belongs to a day: open the day and type it there.");
        }
        Item item = OutlineReader.workLine(line, course, unit, typed.lesson());
        item = item.withDetails(item.details().within(typed.within()));
        if (line.repeats()) {
            return repeats(decisions, in, line, item, unit, days.base());
        }
        Change put = new PutItem(course.code(), unit.id(), item);
        if (typed.before() != null) {
            put = new Together(
                    "Add “" + item.title() + "”",
                    List.of(
                            put,
                            new ArrangeItems(
                                    course.code(),
                                    List.of(item.id()),
                                    unit.id(),
                                    typed.lesson(),
                                    typed.within(),
                                    typed.before())));
        }
        return work(line, item, Optional.empty(), unit, put);
    }

    /** A line typed into a day of the Wall. */
    LineRead inDay(Decisions decisions, SectionSchedule schedule, DayWords days, String text, LocalDate day) {
        if (text.isEmpty()) {
            throw OutlineWords.misread("Write what it is called.");
        }
        Course course = schedule.course();
        String lesson = schedule.lessonsOn(day).stream()
                .map(p -> p.lesson().id())
                .findFirst()
                .orElse(null);
        boolean begins = lesson != null
                && schedule.start(lesson)
                        .filter(s -> s.toLocalDate().equals(day))
                        .isPresent();
        TypedLine line = TypedLine.read(text, new TypedLine.Place(days, day, lesson, begins, PlanNames.of(course)));
        return switch (line.sort()) {
            case NOTICE -> notice(line, course, null);
            case NOTE ->
                read(
                        "a note on " + Say.day(day),
                        "",
                        new PutDayNote(course.code(), new DayNote(day, null, line.title(), false)));
            case LESSON -> lesson(decisions, schedule, days, line, day);
            case WORK -> {
                Unit unit = unitOf(schedule, day);
                Item item = OutlineReader.workLine(line, course, unit, lesson);
                yield line.repeats()
                        ? repeats(decisions, schedule, line, item, unit, day)
                        : work(line, item, Optional.of(schedule), unit, new PutItem(course.code(), unit.id(), item));
            }
        };
    }

    /** A lesson in the class of the day: before the one that is there, or where the class has none. */
    private static LineRead lesson(
            Decisions decisions, SectionSchedule schedule, DayWords days, TypedLine line, LocalDate day) {
        Course course = schedule.course();
        String section = schedule.section().code();
        if (schedule.sessions().all().stream().noneMatch(s -> s.date().equals(day))) {
            return refused(line, "There is no class on " + Say.day(day) + ". Type the lesson into a day with one.");
        }
        Unit unit = unitOf(schedule, day);
        Lesson lesson = OutlineReader.lessonLine(line.title(), course, unit);
        List<Placement> later = schedule.placements().stream()
                .filter(p -> p.placed()
                        && p.unit().id().equals(unit.id())
                        && !schedule.sessions().get(p.last()).date().isBefore(day))
                .toList();
        String before = later.isEmpty() ? null : later.get(0).lesson().id();
        Change put = new PutLesson(course.code(), unit.id(), lesson, before);
        boolean lands;
        try {
            lands = Schedule.of(put.apply(decisions).decisions())
                    .section(course.code(), section)
                    .flatMap(s -> s.start(lesson.id()))
                    .filter(s -> s.toLocalDate().equals(day))
                    .isPresent();
        } catch (Refused e) {
            return refused(line, Known.message(e));
        }
        Change change = lands
                ? put
                : new Together(
                        "Add lesson “" + lesson.title() + "” on " + Say.day(day),
                        List.of(put, new Pin(course.code(), section, lesson.id(), day)));
        return read(
                lesson.id() + " “" + lesson.title() + "”, a lesson on " + Say.day(day) + (lands ? "" : ", fixed there"),
                "lesson:" + lesson.id(),
                change);
    }

    private static LineRead notice(TypedLine line, Course course, @Nullable String unit) {
        if (line.wrong().isPresent()) {
            return refused(line, wrong(line));
        }
        try {
            NoticeTime when = line.when();
            Notice notice = NoticeLine.notice(line, when, course, unit);
            return new LineRead(
                    NoticeLine.say(notice),
                    "notice:" + notice.id(),
                    parts(line),
                    null,
                    ChangeJson.write(new PutNotice(course.code(), notice)));
        } catch (IllegalArgumentException e) {
            return refused(line, Known.message(e));
        }
    }

    private static LineRead work(
            TypedLine line, Item item, Optional<SectionSchedule> in, Unit unit, @Nullable Change put) {
        if (line.wrong().isPresent()) {
            return refused(line, wrong(line));
        }
        if (item.title().isEmpty()) {
            return refused(line, "Write what it is called, too.");
        }
        List<String> said = new ArrayList<>();
        for (Which which : Which.values()) {
            DateRule rule = item.rule(which);
            if (rule != null) {
                Optional<String> at = in.map(s -> s.would(unit, item).get(which))
                        .filter(Resolved::resolved)
                        .map(r -> Say.moment(r.moment()));
                said.add(which.name().toLowerCase(Locale.ROOT) + " "
                        + at.orElseGet(() -> RuleSaid.beside(rule, item.lesson())));
            }
        }
        if (item.points() != null) {
            said.add(item.points().toPlainString() + " points");
        }
        if (item.minutes() != null) {
            said.add(item.minutes() + " minutes");
        }
        if (!item.details().handInPlace().isEmpty()) {
            said.add(item.details().handInPlace());
        }
        String what = "“" + item.title() + "”, " + item.kind() + ": "
                + (said.isEmpty() ? "no date yet" : String.join(", ", said));
        return new LineRead(what, "item:" + item.id(), parts(line), null, put == null ? null : ChangeJson.write(put));
    }

    /** Work that comes again with classes: every one of its dates is said before it is added. */
    private static LineRead repeats(
            Decisions decisions, @Nullable SectionSchedule in, TypedLine line, Item item, Unit unit, LocalDate from) {
        if (line.wrong().isPresent() || item.title().isEmpty()) {
            return work(line, item, Optional.empty(), unit, null);
        }
        if (in == null) {
            return refused(line, "Work repeats with classes, and the course has no section yet.");
        }
        try {
            Rhythm rhythm = WorkRepeats.of(line, item.withLesson(null), unit, in, from);
            Change put = new PutRhythm(in.course().code(), rhythm);
            SectionSchedule after = Schedule.of(put.apply(decisions).decisions())
                    .section(in.course().code(), in.section().code())
                    .orElseThrow();
            List<LocalDateTime> due = RepeatsController.rhythm(after, rhythm.id(), from).dates().stream()
                    .map(date -> date.dates().get("due"))
                    .toList();
            String said = "“" + item.title() + "”, " + item.kind() + ", with "
                    + Say.classes(due.size()) + ": due "
                    + String.join("; ", due.stream().map(Say::moment).toList());
            return new LineRead(
                    said, "item:" + rhythm.itemId(rhythm.parts().get(0), 1), parts(line), null, ChangeJson.write(put));
        } catch (IllegalArgumentException | Refused e) {
            return refused(line, Known.message(e));
        }
    }

    private static String wrong(TypedLine line) {
        return line.wrong()
                .map(p -> p.text().isEmpty() ? sentence(p.as()) : "“" + p.text() + "”: " + sentence(p.as()))
                .orElse("");
    }

    private static String sentence(String words) {
        return words.endsWith(".") ? words : words + ".";
    }

    private static LineRead refused(TypedLine line, String why) {
        return new LineRead("", "", parts(line), why, null);
    }

    private static List<LineRead.Words> parts(TypedLine line) {
        return line.parts().stream()
                .map(p -> new LineRead.Words(p.text(), p.as(), p.understood()))
                .toList();
    }

    private static LineRead read(String said, String key, Change change) {
        return new LineRead(said, key, List.of(), null, ChangeJson.write(change));
    }

    /** The unit that runs through the day, else the last that began before it, else the first. */
    private static Unit unitOf(SectionSchedule schedule, LocalDate day) {
        Unit found = null;
        for (Placement placement : schedule.placements()) {
            if (placement.placed()
                    && !schedule.sessions().get(placement.first()).date().isAfter(day)) {
                found = placement.unit();
            }
        }
        if (found == null) {
            found = schedule.course().units().stream()
                    .findFirst()
                    .orElseThrow(
                            () -> OutlineWords.misread("The course has no unit yet: add one in the outline first."));
        }
        return schedule.course().unit(found.id()).orElseThrow();
    }
}
