package app.matsuri.server.repace;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Together;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Weights;
import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.proposal.Moved;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.repace.Spare;
import app.matsuri.core.repace.Way;
import app.matsuri.core.repace.Ways;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.server.repace.WaysView.WayCost;
import app.matsuri.server.repace.WaysView.WayDay;
import app.matsuri.server.repace.WaysView.WayLesson;
import app.matsuri.server.repace.WaysView.WaySpare;
import app.matsuri.server.repace.WaysView.WayStep;
import app.matsuri.server.repace.WaysView.WayUnit;
import app.matsuri.server.repace.WaysView.WayView;
import app.matsuri.server.repace.WaysView.WayWeek;
import app.matsuri.server.repace.WaysView.WayWeight;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/** Works out the ways out for one section, and what each would come to. */
final class WaysBuilder {

    /** The most weeks that a small wall shows. */
    private static final int MOST_WEEKS = 40;

    private final Decisions decisions;
    private final Change asked;
    private final SectionSchedule before;
    private final Decisions after;
    private final List<String> notes;
    private final SectionSchedule now;

    /**
     * @param key of the section, "HYD 210/A"
     * @param asked what was lost; null for the plan as it stands
     * @throws IllegalArgumentException when there is no such section
     */
    WaysBuilder(Decisions decisions, String key, Change asked) {
        this.decisions = decisions;
        this.asked = asked;
        before = section(Schedule.of(decisions), key);
        Change.Outcome outcome = asked == null ? null : Change.make(asked, decisions);
        after = outcome == null ? decisions : outcome.decisions();
        notes = outcome == null ? List.of() : outcome.notes();
        now = outcome == null ? before : section(Schedule.of(after), key);
    }

    private static SectionSchedule section(Schedule schedule, String key) {
        return schedule.sections().stream()
                .filter(s -> s.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no section “" + key + "” in this term."));
    }

    WaysView view(long version, LocalDate by, boolean tidy) {
        List<Way> found = new ArrayList<>(asked == null ? List.of(Ways.slide(now)) : Ways.out(before, now, by));
        if (tidy) {
            found.add(Ways.tidy(now));
        }
        List<Way> ways = new ArrayList<>();
        for (Way way : found) {
            // one that comes to the same as another is that other
            if (ways.stream().noneMatch(w -> w.dates().equals(way.dates()))) {
                ways.add(way);
            }
        }
        List<Looked> looked = ways.stream().map(this::look).toList();
        TreeSet<LocalDate> differ = new TreeSet<>();
        looked.forEach(l -> {
            before.firstDifference(l.then()).ifPresent(differ::add);
            before.lastDifference(l.then()).ifPresent(differ::add);
        });
        List<Integer> weekdays = Stream.of(before, now)
                .flatMap(s -> s.sessions().all().stream())
                .map(s -> s.date().getDayOfWeek().getValue())
                .distinct()
                .sorted()
                .toList();
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
        List<WayUnit> units = new ArrayList<>();
        for (Unit unit : before.course().units()) {
            units.add(new WayUnit(
                    unit.id(),
                    unit.code(),
                    unit.title(),
                    units.size(),
                    unit.colour().isEmpty() ? null : unit.colour()));
        }
        return new WaysView(
                version,
                before.course().code(),
                before.section().code(),
                asked == null ? "" : asked.sentence(decisions),
                notes,
                asked == null ? null : ChangeJson.write(asked),
                weekdays,
                units,
                Stream.of(Cost.values())
                        .map(kind -> new WayWeight(
                                kind.word(),
                                kind.said(),
                                before.course().besides().weights().of(kind),
                                kind.usual()))
                        .toList(),
                asked != null
                        ? null
                        : Spare.of(decisions, now).stream()
                                .map(s -> new WaySpare(s.unit().id(), s.classes(), s.bears(), s.costs()))
                                .toList(),
                looked.stream().map(l -> view(l, weeks, weekdays)).toList());
    }

    /** A way, the change that takes it, and what follows then. */
    private record Looked(Way way, Change change, Proposal proposal, SectionSchedule then) {}

    private Looked look(Way way) {
        List<Change> changes = new ArrayList<>();
        if (asked != null) {
            changes.add(asked);
        }
        if (way.steps() != null) {
            way.steps().forEach(step -> changes.add(step.change()));
        }
        if (changes.isEmpty()) {
            return new Looked(way, null, null, now);
        }
        Change change = changes.size() == 1 ? changes.get(0) : new Together(does(way), changes);
        Proposal proposal = Proposal.of(decisions, change);
        return new Looked(way, change, proposal, section(proposal.schedule(), before.key()));
    }

    private String does(Way way) {
        return (asked == null ? "" : asked.sentence(decisions) + ". ") + way.sentence();
    }

    private WayView view(Looked looked, List<Integer> weeks, List<Integer> weekdays) {
        Way way = looked.way();
        SectionSchedule then = looked.then();
        Optional<LocalDate> last = before.lastDifference(then);
        LocalDate back = last.flatMap(day -> then.sessions().all().stream()
                        .map(Session::date)
                        .filter(d -> d.isAfter(day))
                        .findFirst())
                .orElse(null);
        int told = (int) then.section().told().entrySet().stream()
                .filter(e -> changes(then, e.getKey(), e.getValue()) && !changes(before, e.getKey(), e.getValue()))
                .count();
        int spare = (int) then.placements().stream()
                .filter(p -> p.lesson().reserve() && p.placed() && !p.taught())
                .count();
        return new WayView(
                way.name(),
                way.sentence(),
                looked.proposal() == null ? "Nothing changes." : words(looked.proposal()),
                back,
                costs(way),
                way.total(),
                way.steps() == null
                        ? null
                        : way.steps().stream()
                                .map(s -> new WayStep(s.sentence(), ChangeJson.write(s.change())))
                                .toList(),
                amiss(looked.proposal(), true),
                amiss(looked.proposal(), false).size(),
                told,
                spare,
                weeks.stream().map(week -> week(week, then, weekdays)).toList(),
                looked.change() == null ? null : ChangeJson.write(looked.change()));
    }

    /** Problems that appear, in this section or in others. */
    private List<String> amiss(Proposal proposal, boolean here) {
        return proposal == null
                ? List.of()
                : proposal.appear().stream()
                        .filter(f -> f.severity() == Finding.Severity.PROBLEM)
                        .filter(f -> here
                                == before.key()
                                        .equals(f.about().course() + "/"
                                                + f.about().section()))
                        .map(Finding::sentence)
                        .toList();
    }

    /** Whether a lesson's first class is not on the day that students were told. */
    private static boolean changes(SectionSchedule in, String lesson, LocalDate told) {
        Placement placement = in.byLesson().get(lesson);
        return placement != null
                && !(placement.placed()
                        && in.sessions().get(placement.first()).date().equals(told));
    }

    private String words(Proposal proposal) {
        List<Moved> here = proposal.moves().stream()
                .filter(m -> m.section().equals(before.section().code())
                        && m.course().equals(before.course().code()))
                .toList();
        List<String> parts = new ArrayList<>();
        List<String> lessons = here.stream()
                .filter(m -> m.what().equals("lesson") && m.to() != null)
                .map(Moved::id)
                .toList();
        if (!lessons.isEmpty()) {
            parts.add(
                    lessons.size() == 1
                            ? lessons.get(0) + " moves"
                            : lessons.get(0) + " to " + lessons.get(lessons.size() - 1) + " move ("
                                    + Say.count(lessons.size(), "lesson") + ")");
        }
        long due = here.stream()
                .filter(m -> !m.what().equals("lesson") && m.to() != null)
                .count();
        if (due > 0) {
            parts.add(Say.count((int) due, "date") + (due == 1 ? " follows" : " follow"));
        }
        List<String> lost = here.stream()
                .filter(m -> m.to() == null)
                .map(Moved::title)
                .distinct()
                .toList();
        if (!lost.isEmpty()) {
            parts.add(String.join(", ", lost) + (lost.size() == 1 ? " has" : " have") + " no date");
        }
        return parts.isEmpty() ? "Nothing moves." : String.join("; ", parts) + ".";
    }

    private List<WayCost> costs(Way way) {
        Weights weights = before.course().besides().weights();
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

    private WayWeek week(int number, SectionSchedule then, List<Integer> weekdays) {
        LocalDate first = before.calendar().week(number).orElseThrow();
        List<WayDay> days = new ArrayList<>();
        for (int k = 0; k < 7; k++) {
            LocalDate day = first.plusDays(k);
            if (weekdays.contains(day.getDayOfWeek().getValue())) {
                days.add(day(day, then));
            }
        }
        return new WayWeek(number, first, days);
    }

    private WayDay day(LocalDate day, SectionSchedule then) {
        Set<String> stood = new HashSet<>();
        List<String> was = new ArrayList<>();
        before.lessonsOn(day).forEach(p -> stood.add(p.lesson().id()));
        List<WayLesson> lessons = new ArrayList<>();
        Set<String> stands = new HashSet<>();
        for (Placement placement : then.lessonsOn(day)) {
            String id = placement.lesson().id();
            stands.add(id);
            lessons.add(new WayLesson(
                    id,
                    placement.lesson().title(),
                    placement.unit().id(),
                    !stood.contains(id),
                    test(then, id),
                    placement.slots().stream()
                            .anyMatch(s -> s.taught()
                                    && then.sessions().get(s.session()).date().equals(day)),
                    then.section().pin(placement.lesson()) != null,
                    then.sessions().get(placement.first()).date().isBefore(day)));
        }
        before.lessonsOn(day).stream()
                .map(p -> p.lesson().id())
                .filter(id -> !stands.contains(id))
                .forEach(was::add);
        int classes = (int)
                then.sessions().all().stream().filter(s -> s.date().equals(day)).count();
        String off = after.term().closures().stream()
                .filter(c -> c.covers(day.atTime(12, 0))
                        && c.concerns(then.course().code(), then.section().code())
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
