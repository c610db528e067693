package app.matsuri.server.outline;

import app.matsuri.core.change.ArrangeItems;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.PutDayNote;
import app.matsuri.core.change.PutItem;
import app.matsuri.core.change.PutLesson;
import app.matsuri.core.change.PutNotice;
import app.matsuri.core.change.PutUnit;
import app.matsuri.core.change.Together;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.outline.DayWords;
import app.matsuri.exchange.outline.NoticeWords;
import app.matsuri.exchange.outline.OutlineReader;
import app.matsuri.exchange.outline.RuleWords;
import app.matsuri.exchange.outline.TimeWords;
import app.matsuri.exchange.plan.CourseReader;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.exchange.plan.Faults;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.Words;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.colleague.Access;
import app.matsuri.server.storage.Stored;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Reads what is typed into the outline or into a day. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class OutlineController {

    private final Access access;
    private final OutlineWords words;

    OutlineController(Access access, OutlineWords words) {
        this.access = access;
        this.words = words;
    }

    /**
     * A line typed into the outline.
     *
     * @param level "unit", "lesson" or "work"
     * @param unit id of the unit it goes to; null for a unit
     * @param lesson id of the lesson that work belongs to; null for none
     * @param within id of the item that work lies in; null for none
     * @param before id of what it stands before, of its own level; null for the end
     */
    record LineTyped(
            String course,
            String level,
            String text,
            @Nullable String unit,
            @Nullable String lesson,
            @Nullable String within,
            @Nullable String before) {}

    /**
     * What was understood.
     *
     * @param key of the new thing, such as "lesson:CH6"
     * @param change that adds it
     */
    record LineRead(String said, String key, Map<String, Object> change) {}

    @PostMapping(path = "/outline/line", consumes = "application/json")
    LineRead line(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            Locale locale,
            @RequestBody LineTyped typed) {
        Stored stored = access.look(by, termId);
        Course course = OutlineWords.course(stored, typed.course());
        String text = typed.text().strip();
        if (text.isEmpty()) {
            throw OutlineWords.misread("Write what it is called.");
        }
        DayWords days = words.days(stored, locale);
        if (NoticeWords.is(text)) {
            return notice(text, days, null, course, typed.unit());
        }
        if (typed.level().equals("unit")) {
            Unit unit = OutlineReader.unitLine(text, days, course);
            return read("unit " + unit.code(), "unit:" + unit.id(), new PutUnit(course.code(), unit, typed.before()));
        }
        Unit unit = course.unit(typed.unit() == null ? "" : typed.unit())
                .orElseThrow(() -> OutlineWords.misread("Say to which unit it belongs."));
        if (typed.level().equals("lesson")) {
            Lesson lesson = OutlineReader.lessonLine(text, days, course, unit);
            return read(
                    lesson.id() + ", " + lesson.length() + (lesson.length() == 1 ? " class" : " classes"),
                    "lesson:" + lesson.id(),
                    new PutLesson(course.code(), unit.id(), lesson, typed.before()));
        }
        List<String> said = new ArrayList<>();
        Item item = OutlineReader.workLine(text, days, course, unit, typed.lesson(), said);
        if (item == null) {
            throw OutlineWords.misread(String.join(" ", said));
        }
        item = item.withDetails(item.details().within(typed.within()));
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
        return read(String.join(", ", said), "item:" + item.id(), put);
    }

    /** An item as the plan file writes it, wherever it is or will be. */
    record ItemTyped(
            String course,
            @Nullable String unit,
            @Schema(type = "object") JsonNode item) {}

    /**
     * One date of an item in one section.
     *
     * @param at null for no date
     * @param said how it comes about, or why there is none
     */
    record DateGiven(String section, String date, @Nullable LocalDateTime at, String said) {}

    /** The dates that an item would have in each section, before it is saved. */
    @PostMapping(path = "/outline/item-dates", consumes = "application/json")
    List<DateGiven> itemDates(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestBody ItemTyped typed) {
        Stored stored = access.look(by, termId);
        Course course = OutlineWords.course(stored, typed.course());
        Faults faults = new Faults();
        In in = In.of(typed.item(), "", faults);
        Item item = in == null ? null : CourseReader.item(in);
        if (item == null) {
            throw OutlineWords.misread(
                    String.join(" ", faults.all().stream().map(Fault::message).toList()));
        }
        Unit unit = course.unitOfItem(item.id())
                .or(() -> course.unit(typed.unit() == null ? "" : typed.unit()))
                .orElseThrow(() -> OutlineWords.misread("Say to which unit it belongs."));
        List<DateGiven> dates = new ArrayList<>();
        for (SectionSchedule section : Schedule.of(stored.decisions()).sections()) {
            if (!section.course().code().equals(course.code())
                    || !item.details().concerns(section.section().code())) {
                continue;
            }
            ItemDates given = section.would(unit, item);
            for (Which which : Which.values()) {
                Resolved date = given.get(which);
                if (date != null) {
                    dates.add(new DateGiven(
                            section.section().code(),
                            Words.word(which),
                            date.at(),
                            date.resolved() ? RuleWords.brief(given.rule(which)) : date.why()));
                }
            }
        }
        return dates;
    }

    /** Something typed into a day of the Wall. */
    record DayTyped(String course, String section, LocalDate date, String text) {}

    @PostMapping(path = "/outline/day", consumes = "application/json")
    LineRead day(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            Locale locale,
            @RequestBody DayTyped typed) {
        Stored stored = access.look(by, termId);
        Course course = OutlineWords.course(stored, typed.course());
        SectionSchedule follows = Schedule.of(stored.decisions())
                .section(course.code(), typed.section())
                .orElseThrow(() -> OutlineWords.misread("There is no section “" + typed.section() + "”."));
        String text = typed.text().strip();
        if (NoticeWords.is(text)) {
            return notice(text, words.days(stored, locale), typed.date(), course, null);
        }
        if (text.toLowerCase(Locale.ROOT).startsWith("note:")) {
            DayNote note = new DayNote(typed.date(), null, text.substring(5).strip(), false);
            return read("a note on the day", "", new PutDayNote(course.code(), note));
        }
        Unit unit = unitOf(follows, typed.date());
        LocalTime time = null;
        int comma = text.lastIndexOf(',');
        if (comma > 0) {
            time = TimeWords.read(text.substring(comma + 1)).orElse(null);
            text = time == null ? text : text.substring(0, comma).strip();
        }
        String lesson = follows.lessonsOn(typed.date()).stream()
                .map(p -> p.lesson().id())
                .findFirst()
                .orElse(null);
        List<String> said = new ArrayList<>();
        Item item = OutlineReader.workLine(text, words.days(stored, locale), course, unit, lesson, said);
        if (item == null) {
            throw OutlineWords.misread(String.join(" ", said));
        }
        DateRule due = rule(follows, typed.date(), lesson, time);
        if (item.due() == null) {
            item = item.withRule(Which.DUE, due);
        }
        return read(
                item.kind() + (lesson == null ? "" : ", with " + lesson),
                "item:" + item.id(),
                new PutItem(course.code(), unit.id(), item));
    }

    private static LineRead notice(String text, DayWords days, LocalDate day, Course course, String unit) {
        try {
            NoticeWords.Read read = NoticeWords.read(text, days, day, course, unit);
            return read(read.said(), "notice:" + read.notice().id(), new PutNotice(course.code(), read.notice()));
        } catch (IllegalArgumentException e) {
            throw OutlineWords.misread(e.getMessage());
        }
    }

    /** Due at the start of that day's lesson, or at the time said; on a day without one at its end. */
    private static DateRule rule(SectionSchedule follows, LocalDate day, String lesson, LocalTime time) {
        if (lesson == null) {
            return DateRule.at(day.atTime(time == null ? LocalTime.of(23, 59) : time));
        }
        boolean first = follows.start(lesson).orElseThrow().toLocalDate().equals(day);
        if (!first) {
            return DateRule.at(day.atTime(time == null ? LocalTime.of(23, 59) : time));
        }
        DateRule with = DateRule.of(new Anchor.WithLesson(lesson, Edge.START));
        return time == null ? with : with.at(time);
    }

    /** The unit that runs through the day, else the last that began before it, else the first. */
    private static Unit unitOf(SectionSchedule follows, LocalDate day) {
        Unit found = null;
        for (var placement : follows.placements()) {
            if (placement.placed()
                    && !follows.sessions().get(placement.first()).date().isAfter(day)) {
                found = placement.unit();
            }
        }
        if (found == null) {
            found = follows.course().units().stream()
                    .findFirst()
                    .orElseThrow(
                            () -> OutlineWords.misread("The course has no unit yet: add one in the outline first."));
        }
        return follows.course().unit(found.id()).orElseThrow();
    }

    private static LineRead read(String said, String key, Change change) {
        return new LineRead(said, key, ChangeJson.write(change));
    }
}
