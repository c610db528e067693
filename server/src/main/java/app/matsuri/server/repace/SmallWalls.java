package app.matsuri.server.repace;

import app.matsuri.core.calendar.Term;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Weights;
import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.repace.Way;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.repace.WaysView.WayCost;
import app.matsuri.server.repace.WaysView.WayDay;
import app.matsuri.server.repace.WaysView.WayLesson;
import app.matsuri.server.repace.WaysView.WayUnit;
import app.matsuri.server.repace.WaysView.WayWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** Small walls: the weeks in which a section's plan and others of it differ, drawn beside each other. */
public final class SmallWalls {

    /** The most weeks that one shows. */
    private static final int MOST_WEEKS = 40;

    private SmallWalls() {}

    /** The term weeks from the first to the last in which any of the others differs. */
    public static List<Integer> weeks(SectionSchedule before, List<SectionSchedule> others) {
        TreeSet<LocalDate> differ = new TreeSet<>();
        others.forEach(other -> {
            before.firstDifference(other).ifPresent(differ::add);
            before.lastDifference(other).ifPresent(differ::add);
        });
        List<Integer> weeks = new ArrayList<>();
        if (!differ.isEmpty()) {
            int first = before.calendar().weekNumber(differ.first()).orElse(1);
            int last = before.calendar()
                    .weekNumber(differ.last())
                    .orElse(before.calendar().weeks());
            for (int week = first; week <= last && weeks.size() < MOST_WEEKS; week++) {
                weeks.add(week);
            }
        }
        return weeks;
    }

    /** The weekdays on which any of them meets, 1 for Monday. */
    public static List<Integer> weekdays(List<SectionSchedule> sections) {
        return sections.stream()
                .flatMap(s -> s.sessions().all().stream())
                .map(s -> s.date().getDayOfWeek().getValue())
                .distinct()
                .sorted()
                .toList();
    }

    /** How the threads of a course's units are drawn. */
    public static List<WayUnit> units(Course course) {
        List<WayUnit> units = new ArrayList<>();
        for (Unit unit : course.units()) {
            units.add(new WayUnit(
                    unit.id(),
                    unit.code(),
                    unit.title(),
                    units.size(),
                    unit.colour().isEmpty() ? null : unit.colour()));
        }
        return units;
    }

    /** What a way costs, by kind. */
    public static List<WayCost> costs(Way way, Weights weights) {
        List<WayCost> costs = new ArrayList<>();
        for (Cost kind : Cost.values()) {
            int cost = way.costs().getOrDefault(kind, 0);
            int each = weights.of(kind);
            if (cost > 0) {
                costs.add(new WayCost(kind.word(), kind.said(), each == 0 ? 0 : cost / each, each, cost));
            }
        }
        return costs;
    }

    /**
     * The small wall of a plan.
     *
     * @param before what it is compared with
     * @param schedule the plan
     * @param term as it is there
     */
    public static List<WayWeek> of(
            SectionSchedule before, SectionSchedule schedule, Term term, List<Integer> weeks, List<Integer> weekdays) {
        List<WayWeek> rows = new ArrayList<>();
        for (int number : weeks) {
            LocalDate first = before.calendar().week(number).orElseThrow();
            List<WayDay> days = new ArrayList<>();
            for (int k = 0; k < 7; k++) {
                LocalDate day = first.plusDays(k);
                if (weekdays.contains(day.getDayOfWeek().getValue())) {
                    days.add(day(day, before, schedule, term));
                }
            }
            rows.add(new WayWeek(number, first, days));
        }
        return rows;
    }

    private static WayDay day(LocalDate day, SectionSchedule before, SectionSchedule schedule, Term term) {
        Set<String> stood = new HashSet<>();
        List<String> was = new ArrayList<>();
        before.lessonsOn(day).forEach(p -> stood.add(p.lesson().id()));
        List<WayLesson> lessons = new ArrayList<>();
        Set<String> stands = new HashSet<>();
        for (Placement placement : schedule.lessonsOn(day)) {
            String id = placement.lesson().id();
            stands.add(id);
            lessons.add(new WayLesson(
                    id,
                    placement.lesson().title(),
                    placement.unit().id(),
                    !stood.contains(id),
                    test(schedule, id),
                    placement.slots().stream()
                            .anyMatch(s -> s.taught()
                                    && schedule.sessions()
                                            .get(s.session())
                                            .date()
                                            .equals(day)),
                    schedule.section().pin(placement.lesson()) != null,
                    schedule.sessions().get(placement.first()).date().isBefore(day)));
        }
        before.lessonsOn(day).stream()
                .map(p -> p.lesson().id())
                .filter(id -> !stands.contains(id))
                .forEach(was::add);
        int classes = (int) schedule.sessions().all().stream()
                .filter(s -> s.date().equals(day))
                .count();
        String off = term.closures().stream()
                .filter(c -> c.covers(day.atTime(12, 0))
                        && c.concerns(
                                schedule.course().code(), schedule.section().code())
                        && classes == 0)
                .map(c -> c.reason().isEmpty() ? "no class" : c.reason())
                .findFirst()
                .orElse(null);
        return new WayDay(day, off, lessons, was, classes);
    }

    private static boolean test(SectionSchedule in, String lesson) {
        return in.dates().stream().map(ItemDates::item).anyMatch(i -> i.test() && lesson.equals(i.lesson()));
    }
}
