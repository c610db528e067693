package app.matsuri.server.outline;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Find;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.plan.CourseReader;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.exchange.plan.Faults;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.Words;
import app.matsuri.exchange.words.ForCourse;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.storage.Stored;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
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
    private final TypedLines lines = new TypedLines();

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
     * @param section with whose classes work repeats; null for the first
     */
    record LineTyped(
            String course,
            String level,
            String text,
            @Nullable String unit,
            @Nullable String lesson,
            @Nullable String within,
            @Nullable String before,
            @Nullable String section) {}

    /** Reads a line word by word; nothing is changed. */
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
        SectionSchedule in = Schedule.of(stored.decisions()).sections(course.code()).stream()
                .filter(s -> typed.section() == null || s.section().code().equals(typed.section()))
                .findFirst()
                .orElse(null);
        return lines.inOutline(stored.decisions(), course, in, words.days(stored, locale), text, typed);
    }

    /** An item as the plan file writes it, wherever it is or will be. */
    record ItemTyped(
            String course,
            @Nullable String unit,

            @Schema(type = "object", description = "See docs/plan-file.md")
            JsonNode item) {}

    /**
     * One date of an item in one section.
     *
     * @param at null for no date
     * @param said how it comes about, or why there is none
     * @param wrong what is wrong with it beside the others, such as that it is due before it opens; null for nothing
     */
    record DateGiven(
            String section,
            String date,
            @Nullable LocalDateTime at,
            String said,
            @Nullable String wrong) {}

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
        for (SectionSchedule schedule : Schedule.of(stored.decisions()).sections(course.code())) {
            if (!item.details().concerns(schedule.section().code())) {
                continue;
            }
            ItemDates given = schedule.would(unit, item);
            for (Which which : Which.values()) {
                Resolved date = given.get(which);
                DateRule rule = given.rule(which);
                if (date != null && rule != null) {
                    dates.add(new DateGiven(
                            schedule.section().code(),
                            Words.word(which),
                            date.at(),
                            date.resolved() ? RuleSaid.brief(rule) : date.reason(),
                            wrong(given, which)));
                }
            }
        }
        return dates;
    }

    /** A date that lies before one which has to come first. */
    private static @Nullable String wrong(ItemDates given, Which which) {
        return given.cameBefore(which)
                .map(first -> "before it " + (first == Which.DUE ? "is due" : "opens") + ", "
                        + Say.moment(Known.there(given.at(first), first)))
                .orElse(null);
    }

    /** Something typed into a day of the Wall. */
    record DayTyped(String course, String section, LocalDate date, String text) {}

    /** Reads a line word by word; nothing is changed. */
    @PostMapping(path = "/outline/day", consumes = "application/json")
    LineRead day(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            Locale locale,
            @RequestBody DayTyped typed) {
        Stored stored = access.look(by, termId);
        Optional<ForCourse> other = ForCourse.of(typed.text().strip(), stored.decisions());
        Course course = OutlineWords.course(stored, other.map(ForCourse::course).orElse(typed.course()));
        Schedule schedule = Schedule.of(stored.decisions());
        SectionSchedule in = other.isEmpty()
                ? Find.section(schedule, course.code(), typed.section())
                : section(schedule, course, other.get().section());
        LineRead read = lines.inDay(
                stored.decisions(),
                in,
                words.days(stored, locale),
                other.map(ForCourse::rest).orElse(typed.text().strip()),
                typed.date());
        return read.in(course.code(), other.map(ForCourse::words).orElse(null));
    }

    /** The section of that code; the course's first where none is named. */
    private static SectionSchedule section(Schedule schedule, Course course, @Nullable String code) {
        return Optional.ofNullable(code)
                .flatMap(named -> schedule.section(course.code(), named))
                .or(() -> schedule.sections(course.code()).stream().findFirst())
                .orElseThrow(() ->
                        OutlineWords.misread(course.code() + " has no section yet: add one in the Term view first."));
    }
}
