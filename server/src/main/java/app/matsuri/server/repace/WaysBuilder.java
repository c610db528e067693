package app.matsuri.server.repace;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Together;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.proposal.Moved;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.repace.Everywhere;
import app.matsuri.core.repace.Repair;
import app.matsuri.core.repace.Spare;
import app.matsuri.core.repace.Way;
import app.matsuri.core.repace.Ways;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.server.repace.WaysView.WaySpare;
import app.matsuri.server.repace.WaysView.WayStep;
import app.matsuri.server.repace.WaysView.WayView;
import app.matsuri.server.repace.WaysView.WayWeight;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Works out the ways out for one section, and what each would come to. */
final class WaysBuilder {

    private final Repair repair;
    private final @Nullable Change asked;
    private final boolean everywhere;
    private final Proposal.Before base;
    private final List<String> notes;
    private final SectionSchedule before;
    private final SectionSchedule now;

    /**
     * @param repair what is to be repaired
     * @param asked what was lost; null for the plan as it stands
     * @param everywhere what a way leaves out, shortens or joins holds for all sections of the course
     */
    WaysBuilder(Decisions decisions, Repair repair, @Nullable Change asked, boolean everywhere, LocalDate today) {
        this.repair = repair;
        this.asked = asked;
        this.everywhere = everywhere;
        base = Proposal.Before.of(decisions, today);
        before = repair.before();
        now = repair.now();
        notes = asked == null ? List.of() : Change.make(asked, repair.base()).notes();
    }

    private static SectionSchedule section(Schedule schedule, String key) {
        return Find.section(schedule, key);
    }

    WaysView view(long version, @Nullable LocalDate by, boolean tidy) {
        List<Way> found = new ArrayList<>(repair.ways(by));
        if (tidy) {
            found.add(repair.tidy());
        }
        List<Way> ways = new ArrayList<>();
        for (Way way : found) {
            // one that comes to the same as another is that other
            if (ways.stream().noneMatch(w -> w.dates().equals(way.dates()))) {
                ways.add(way);
            }
        }
        List<Way> takeable = ways.stream().filter(w -> w.steps() != null).toList();
        List<Looked> looked = ways.stream().map(this::look).toList();
        List<Integer> weekdays = SmallWalls.weekdays(List.of(before, now));
        List<Integer> weeks =
                SmallWalls.weeks(before, looked.stream().map(Looked::then).toList());
        return new WaysView(
                version,
                before.course().code(),
                before.section().code(),
                before.course().sections().size(),
                asked == null ? "" : asked.sentence(repair.base()),
                notes,
                repair.held().sentence(),
                first().isEmpty() ? null : ChangeJson.write(Together.of(first())),
                Ways.beforehand(takeable).name(),
                weekdays,
                SmallWalls.units(before.course()),
                Stream.of(Cost.values())
                        .map(kind -> new WayWeight(
                                kind.word(),
                                kind.said(),
                                before.course().besides().weights().of(kind),
                                kind.usual()))
                        .toList(),
                asked != null
                        ? null
                        : Spare.of(repair.base(), now).stream()
                                .map(s -> new WaySpare(s.unit().id(), s.classes(), s.bears(), s.costs()))
                                .toList(),
                looked.stream().map(l -> view(l, weeks, weekdays)).toList());
    }

    /** A way, the change that takes it, and what follows then. */
    private record Looked(
            Way way,
            @Nullable List<Way.Step> steps,
            @Nullable Change change,
            @Nullable Proposal proposal,
            SectionSchedule then) {}

    private Looked look(Way way) {
        List<Change> changes = first();
        List<Way.Step> steps =
                way.steps() == null || !everywhere ? way.steps() : Everywhere.of(way.steps(), repair.after());
        if (steps != null) {
            steps.forEach(step -> changes.add(step.change()));
        }
        boolean nothing = asked == null && (steps == null || steps.isEmpty());
        if (nothing) {
            return new Looked(way, steps, null, null, now);
        }
        Change change = changes.size() == 1 ? changes.get(0) : new Together(does(way), changes);
        Proposal proposal = Proposal.of(base, change, false, false);
        return new Looked(way, steps, change, proposal, section(proposal.schedule(), before.key()));
    }

    /** What comes before the steps of every way: the records of what was held, and what was asked about. */
    private List<Change> first() {
        List<Change> first = new ArrayList<>();
        repair.held().sections().forEach(of -> first.add(of.record()));
        if (asked != null) {
            first.add(asked);
        }
        return first;
    }

    private String does(Way way) {
        String held = repair.held().sentence();
        return (asked == null ? "" : asked.sentence(repair.base()) + ". ")
                + way.sentence()
                + (held.isEmpty() ? "" : "; " + held);
    }

    private WayView view(Looked looked, List<Integer> weeks, List<Integer> weekdays) {
        Way way = looked.way();
        SectionSchedule schedule = looked.then();
        Optional<LocalDate> last = before.lastDifference(schedule);
        LocalDate back = last.flatMap(day -> schedule.sessions().all().stream()
                        .map(Session::date)
                        .filter(d -> d.isAfter(day))
                        .findFirst())
                .orElse(null);
        int told = (int) schedule.section().told().lessons().entrySet().stream()
                .filter(e -> changes(schedule, e.getKey(), e.getValue()) && !changes(before, e.getKey(), e.getValue()))
                .count();
        int spare = (int) schedule.placements().stream()
                .filter(p -> p.lesson().reserve() && p.placed() && !p.taught())
                .count();
        return new WayView(
                way.name(),
                way.sentence(),
                looked.proposal() == null ? "Nothing changes." : words(looked.proposal()),
                back,
                SmallWalls.costs(way, before.course().besides().weights()),
                way.total(),
                looked.steps() == null
                        ? null
                        : looked.steps().stream()
                                .map(s -> new WayStep(s.sentence(), ChangeJson.write(s.change())))
                                .toList(),
                amiss(looked.proposal(), true),
                amiss(looked.proposal(), false).size(),
                told,
                spare,
                SmallWalls.of(before, schedule, repair.after().term(), weeks, weekdays),
                looked.change() == null ? null : ChangeJson.write(looked.change()));
    }

    /** Problems that appear, in this section or in others. */
    private List<String> amiss(@Nullable Proposal proposal, boolean here) {
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
}
