package app.matsuri.core;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.rollover.RollBy;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.MeetingPattern;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;

/** Small plans in the demo's term, for tests. */
public final class Plans {

    public static final ZoneId CHICAGO = ZoneId.of("America/Chicago");

    /** Every way to roll over: by class, week, teaching week, a number of days, and rule. */
    public static final List<RollBy> WAYS = List.of(
            new RollBy.ByClass(),
            new RollBy.ByWeek(false),
            new RollBy.ByWeek(true),
            new RollBy.ByDays(141),
            new RollBy.ByRule());

    private Plans() {}

    public static LocalDate day(String iso) {
        return LocalDate.parse(iso);
    }

    public static LocalDateTime at(String iso) {
        return LocalDateTime.parse(iso);
    }

    /** The demo's term: 31 August to 18 December 2026, closed 7 September, 12 and 13 October, 25 to 27 November. */
    public static Term demoTerm() {
        return Term.of("Autumn 2026", day("2026-08-31"), day("2026-12-18"), CHICAGO)
                .withClosures(List.of(
                        Closure.of(day("2026-09-07"), day("2026-09-07"), "Public holiday", "public-holiday"),
                        Closure.of(day("2026-10-12"), day("2026-10-13"), "Autumn break", "break"),
                        Closure.of(day("2026-11-25"), day("2026-11-27"), "Holiday break", "break")));
    }

    /** Mon Wed Fri 10:00, 50 minutes. */
    public static Section sectionA() {
        return Section.of("A", Section.Pace.SESSIONS, List.of(meets("MO,WE,FR", "10:00", 50)));
    }

    /** Tue Thu 13:00, 75 minutes, paced by minutes. */
    public static Section sectionB() {
        return Section.of("B", Section.Pace.MINUTES, List.of(meets("TU,TH", "13:00", 75)));
    }

    public static MeetingPattern meets(String days, String start, int minutes) {
        return MeetingPattern.of("FREQ=WEEKLY;BYDAY=" + days, LocalTime.parse(start), minutes);
    }

    /** A unit U of n one-session lessons L1 to Ln. */
    public static Unit unit(int n, Item... items) {
        List<Lesson> lessons = new ArrayList<>();
        for (int i = 1; i <= n; i++) {
            lessons.add(Lesson.of("L" + i, "Lesson " + i, 1));
        }
        return Unit.of("U", "Unit", lessons, List.of(items));
    }

    public static Course course(Section section, Unit... units) {
        return Course.of("HYD 210", "Reading Rivers", 50, List.of(section), List.of(units));
    }

    public static Decisions plan(Section section, Unit... units) {
        return Decisions.of(demoTerm(), List.of(course(section, units)));
    }

    /** The same work with an official date. */
    public static Item official(Item item) {
        return new Item(
                item.id(),
                item.lesson(),
                item.kind(),
                item.title(),
                item.shortName(),
                item.points(),
                item.minutes(),
                item.marking(),
                true,
                item.place(),
                item.opens(),
                item.due(),
                item.closes(),
                item.details(),
                item.extra());
    }

    /** The first section after a change. */
    public static SectionSchedule after(Change change, Decisions before) {
        return Schedule.of(Change.make(change, before).decisions()).sections().get(0);
    }

    /** The day of a lesson's first class. */
    public static LocalDate start(SectionSchedule in, String lesson) {
        return in.start(lesson).orElseThrow().toLocalDate();
    }

    /** When work is due. */
    public static LocalDateTime due(SectionSchedule in, String item) {
        return in.byItem().get(item).due().at();
    }
}
