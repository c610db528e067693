package app.matsuri.server.lanes;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.change.pace.HeldAsPlanned;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Standing;
import app.matsuri.exchange.words.MeetsSaid;
import app.matsuri.server.history.History;
import app.matsuri.server.lanes.LanesView.Lane;
import app.matsuri.server.lanes.LanesView.LaneKnot;
import app.matsuri.server.lanes.LanesView.LaneOff;
import app.matsuri.server.lanes.LanesView.LaneTest;
import app.matsuri.server.lanes.LanesView.LaneUnit;
import app.matsuri.server.lanes.LanesView.LaneWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Lays the sections of a term out as lanes. */
final class LanesBuilder {

    private final Decisions decisions;
    private final Schedule schedule;
    private final @Nullable Schedule stands;
    private final LocalDate today;
    private final TeachingCalendar calendar;
    private final LocalDate first;
    private final LocalDate weekEnd;

    /**
     * @param stands as things stand where the schedule is proposed; null where it is what stands
     */
    LanesBuilder(Decisions decisions, Schedule schedule, @Nullable Schedule stands, LocalDate today) {
        this.decisions = decisions;
        this.schedule = schedule;
        this.stands = stands;
        this.today = today;
        calendar = TeachingCalendar.of(decisions.term());
        first = calendar.week(1).orElseThrow();
        weekEnd = Standing.weekEnd(calendar, today);
    }

    LanesView view(long termId, long version, History.Ends ends) {
        List<LaneWeek> weeks = new ArrayList<>();
        for (int week = 1; week <= calendar.weeks(); week++) {
            LocalDate day = calendar.week(week).orElseThrow();
            weeks.add(new LaneWeek(week, day, at(day)));
        }
        List<LaneUnit> units = new ArrayList<>();
        for (Course course : decisions.courses()) {
            int number = 0;
            for (Unit unit : course.units()) {
                units.add(new LaneUnit(
                        course.code(),
                        unit.id(),
                        unit.code(),
                        unit.title(),
                        number++,
                        unit.colour().isEmpty() ? null : unit.colour()));
            }
        }
        return new LanesView(
                termId,
                decisions.term().name(),
                version,
                today,
                at(today),
                7 * calendar.weeks(),
                weeks,
                off(),
                units,
                schedule.sections().stream().map(this::lane).toList(),
                apart(),
                Findings.of(schedule, today).size(),
                ends.undo().map(History.Line::sentence).orElse(null),
                ends.redo().map(History.Line::sentence).orElse(null));
    }

    private int at(LocalDate day) {
        return (int) ChronoUnit.DAYS.between(first, day);
    }

    private List<LaneOff> off() {
        return decisions.term().closures().stream()
                .filter(c -> c.noClass() && c.only() == null && c.wholeDay() && !c.justInCase())
                .filter(c -> !c.last().isBefore(first) && at(c.first()) < 7 * calendar.weeks())
                .sorted(Comparator.comparing(Closure::first))
                .map(c -> {
                    int from = Math.max(0, at(c.first()));
                    return new LaneOff(from, at(c.last()) - from + 1, c.reason().isEmpty() ? "off" : c.reason());
                })
                .toList();
    }

    private Lane lane(SectionSchedule in) {
        List<SectionSchedule> beside = schedule.sections().stream()
                .filter(s -> s.course() == in.course())
                .toList();
        SectionSchedule furthest = Standing.furthest(beside, weekEnd);
        int behind = Standing.behind(in, furthest, weekEnd);
        List<LaneKnot> knots = knots(in, null);
        List<LaneKnot> old = null;
        if (stands != null) {
            SectionSchedule was =
                    stands.section(in.course().code(), in.section().code()).orElse(null);
            if (was != null && in.firstDifference(was).isPresent()) {
                old = knots(was, null);
                knots = knots(in, was);
            }
        }
        int held = (int) in.sessions().all().stream()
                .filter(s -> s.date().isBefore(today))
                .count();
        int taught = (int) in.placements().stream().filter(Placement::taught).count();
        return new Lane(
                in.course().code(),
                in.course().title(),
                in.section().code(),
                meets(in.section()),
                in.sessions().size(),
                held,
                in.placements().size(),
                taught,
                HeldAsPlanned.before(in, today.atStartOfDay()).sections().stream()
                        .mapToInt(of -> of.classes().size())
                        .sum(),
                behind,
                beside.size() == 1 ? null : furthest.section().code(),
                standing(in, furthest, behind, beside.size()),
                knots,
                old,
                tests(in));
    }

    /** Tests of the section that several courses share, its own and others'. */
    private List<LaneTest> tests(SectionSchedule in) {
        List<LaneTest> tests = new ArrayList<>();
        in.dates().stream()
                .filter(d -> !d.item().details().shared().isEmpty())
                .forEach(d -> test(in.course().code(), d, tests));
        in.shared().forEach(s -> test(s.course(), s.dates(), tests));
        return tests;
    }

    private void test(String course, ItemDates dates, List<LaneTest> tests) {
        if (dates.item().test() && dates.main() != null) {
            LocalDate day = dates.main().toLocalDate();
            tests.add(new LaneTest(course, dates.item().id(), dates.item().title(), day, at(day)));
        }
    }

    /** Shared tests that do not fall on one day in all the sections that sit them. */
    private List<String> apart() {
        Map<String, Map<LocalDate, List<String>>> days = new LinkedHashMap<>();
        for (SectionSchedule in : schedule.sections()) {
            for (LaneTest test : tests(in)) {
                days.computeIfAbsent(test.course() + " “" + test.title() + "”", t -> new TreeMap<>())
                        .computeIfAbsent(test.date(), d -> new ArrayList<>())
                        .add(in.course().code() + " " + in.section().code());
            }
        }
        return days.entrySet().stream()
                .filter(e -> e.getValue().size() > 1)
                .map(e -> e.getKey() + " is on "
                        + e.getValue().entrySet().stream()
                                .map(d -> Say.day(d.getKey()) + " in " + String.join(", ", d.getValue()))
                                .collect(Collectors.joining("; "))
                        + ".")
                .toList();
    }

    private String standing(SectionSchedule in, SectionSchedule furthest, int behind, int sections) {
        if (behind > 0) {
            return Say.count(behind, "lesson") + " behind " + furthest.section().code();
        }
        long lost = in.placements().stream().filter(Placement::noSession).count();
        String room = lost == 0 ? "" : ", " + Say.count((int) lost, "lesson") + " without class";
        return (sections == 1 ? "alone in its course" : "in step") + room;
    }

    private static String meets(Section section) {
        if (section.beat() != null) {
            return "without meetings";
        }
        return section.meets().stream()
                .map(p -> MeetsSaid.days(p) + " " + Say.time(p.start()) + ", " + p.minutes() + " min")
                .collect(Collectors.joining("; "));
    }

    private static Map<String, Set<LocalDate>> dates(SectionSchedule in) {
        Map<String, Set<LocalDate>> dates = new HashMap<>();
        for (Placement placement : in.placements()) {
            dates.put(
                    placement.lesson().id(),
                    placement.slots().stream()
                            .map(slot -> in.sessions().get(slot.session()).date())
                            .collect(Collectors.toSet()));
        }
        return dates;
    }

    /** @param was to mark what differs from it; null for nothing */
    private List<LaneKnot> knots(SectionSchedule in, @Nullable SectionSchedule was) {
        Set<String> tests = new HashSet<>();
        in.course().items().stream().filter(Item::test).map(Item::lesson).forEach(tests::add);
        Map<String, Set<LocalDate>> before = was == null ? Map.of() : dates(was);
        List<LaneKnot> knots = new ArrayList<>();
        for (Placement placement : in.placements()) {
            String id = placement.lesson().id();
            int number = placement.unit().lessons().indexOf(placement.lesson()) + 1;
            boolean goesOn = false;
            for (Placement.Slot slot : placement.slots()) {
                LocalDate date = in.sessions().get(slot.session()).date();
                // a lesson that is new was nowhere
                boolean moved =
                        was != null && !before.getOrDefault(id, Set.of()).contains(date);
                knots.add(new LaneKnot(
                        id,
                        placement.lesson().title(),
                        placement.unit().id(),
                        number,
                        date,
                        at(date),
                        slot.taught(),
                        goesOn,
                        !goesOn && tests.contains(id),
                        moved));
                goesOn = true;
            }
        }
        return knots;
    }
}
