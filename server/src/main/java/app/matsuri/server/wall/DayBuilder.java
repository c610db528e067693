package app.matsuri.server.wall;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.wall.WallView.Day;
import app.matsuri.server.wall.WallView.DayLoad;
import app.matsuri.server.wall.WallView.ItemView;
import app.matsuri.server.wall.WallView.NoteView;
import app.matsuri.server.wall.WallView.Off;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/** Lays out the days of one section's Wall: what is on them, what runs through them, what a proposal takes away. */
final class DayBuilder {

    private final Decisions decisions;
    private final SectionSchedule follows;
    private final Schedule schedule;
    private final LocalDate today;
    private final @Nullable Proposal proposal;
    private final Map<LocalDate, Integer> workByDay;
    private final DayContents contents;

    DayBuilder(
            Decisions decisions,
            Schedule schedule,
            SectionSchedule follows,
            LocalDate today,
            @Nullable Proposal proposal) {
        this.decisions = decisions;
        this.schedule = schedule;
        this.follows = follows;
        this.today = today;
        this.proposal = proposal;
        this.workByDay = follows.workByDay();
        this.contents = new DayContents(schedule, follows, proposal);
    }

    /** What moves, as "lesson CH2" or "due set-1". */
    Set<String> moved() {
        return contents.moved();
    }

    /** The days that have something to show, also days off. */
    List<Day> days() {
        Term term = decisions.term();
        TreeSet<LocalDate> all = contents.days();
        follows.course().besides().dayNotes().forEach(n -> all.add(n.date()));
        all.addAll(term.extraDays());
        all.addAll(term.runsAs().keySet());
        follows.sessions().lost().forEach(l -> all.add(l.name().toLocalDate()));
        for (Closure closure : term.closures()) {
            if (closure.concerns(follows.course().code(), follows.section().code())) {
                closure.first()
                        .datesUntil(closure.last().plusDays(1))
                        .filter(term::contains)
                        .forEach(all::add);
            }
        }
        return all.stream().map(this::day).toList();
    }

    private List<NoteView> words(LocalDate date) {
        return follows.course().besides().dayNotes().stream()
                .filter(n ->
                        n.date().equals(date) && n.concerns(follows.section().code()))
                .map(n -> new NoteView(n.section(), n.text(), n.own()))
                .toList();
    }

    Day day(LocalDate date) {
        Term term = decisions.term();
        List<String> notes = new ArrayList<>();
        if (term.extraDays().contains(date)) {
            notes.add("a day that teaches besides the usual ones");
        }
        if (term.runsAs().containsKey(date)) {
            String weekday = term.runsAs(date).name();
            notes.add("runs as a " + weekday.charAt(0) + weekday.substring(1).toLowerCase());
        }
        Closure off = null;
        for (Closure closure : term.closures()) {
            boolean here =
                    closure.concerns(follows.course().code(), follows.section().code())
                            && closure.covers(date)
                            && !term.extraDays().contains(date);
            if (here && closure.wholeDay()) {
                off = off == null || closure.noClass() && !off.noClass() ? closure : off;
            } else if (here) {
                notes.add(closure.reason() + " from " + Say.time(Known.there(closure.from(), "a beginning")) + " to "
                        + Say.end(Known.there(closure.to(), "an end")));
            }
        }
        follows.sessions().lost().stream()
                .filter(l -> l.name().toLocalDate().equals(date))
                .forEach(l -> notes.add("no class at " + Say.time(l.name().toLocalTime()) + ": " + l.reason()));
        return new Day(
                date,
                term.contains(date),
                schedule.calendar().teaches(date),
                date.isBefore(today),
                date.equals(today),
                lastTold(date),
                off == null ? null : off(off),
                notes,
                contents.sessions(date),
                contents.lessons(date),
                contents.thread(date),
                contents.items(date),
                load(date, contents.items(date)),
                contents.notices(date),
                words(date),
                contents.gone(date));
    }

    private boolean lastTold(LocalDate date) {
        LocalDate upTo = follows.section().told().upTo();
        return upTo != null && !date.isAfter(upTo) && date.plusWeeks(1).isAfter(upTo);
    }

    private DayLoad load(LocalDate date, List<ItemView> items) {
        int work = workByDay.getOrDefault(date, 0);
        List<ItemView> due = items.stream()
                .filter(i -> i.which().startsWith("main-") || i.which().equals("due"))
                .toList();
        int minutes = due.stream()
                .mapToInt(i -> i.minutes() == null ? 0 : i.minutes())
                .sum();
        int tests = (int) due.stream().filter(ItemView::test).count();
        return new DayLoad(
                due.size(),
                minutes,
                tests,
                work,
                Math.max(0, work - follows.course().dayLimit()));
    }

    private Off off(Closure closure) {
        boolean proposed = proposal != null && !before(closure);
        return new Off(
                closure.first(),
                closure.last(),
                closure.reason(),
                closure.kind(),
                closure.noClass(),
                closure.planPauses(),
                closure.nothingDue(),
                closure.justInCase(),
                closure.only() == null ? List.of() : closure.only(),
                proposed);
    }

    private boolean before(Closure closure) {
        return proposal != null && proposal.before().term().closures().contains(closure);
    }
}
