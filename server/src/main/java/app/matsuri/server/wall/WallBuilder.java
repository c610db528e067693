package app.matsuri.server.wall;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.WeekNote;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.WeekLoad;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.plan.Words;
import app.matsuri.server.findings.FindingView;
import app.matsuri.server.history.History;
import app.matsuri.server.wall.WallView.Column;
import app.matsuri.server.wall.WallView.Day;
import app.matsuri.server.wall.WallView.SectionChoice;
import app.matsuri.server.wall.WallView.SectionView;
import app.matsuri.server.wall.WallView.Week;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Lays one section's schedule out as the Wall. */
public final class WallBuilder {

    private final Decisions decisions;
    private final SectionSchedule follows;
    private final Schedule schedule;
    private final LocalDate today;
    private final DayBuilder days;

    /**
     * @param proposal what is proposed, whose schedule is shown; null to show what stands
     */
    public WallBuilder(
            Decisions decisions,
            Schedule schedule,
            SectionSchedule follows,
            LocalDate today,
            @Nullable Proposal proposal) {
        this.decisions = decisions;
        this.schedule = schedule;
        this.follows = follows;
        this.today = today;
        this.days = new DayBuilder(decisions, schedule, follows, today, proposal);
    }

    public WallView view(long termId, long version, History.Ends ends) {
        Term term = decisions.term();
        Course course = follows.course();
        List<SectionChoice> choices = new ArrayList<>();
        decisions
                .courses()
                .forEach(c -> c.sections().forEach(s -> choices.add(new SectionChoice(c.code(), c.title(), s.code()))));
        SectionView section = new SectionView(
                course.code(),
                course.title(),
                follows.section().code(),
                Words.word(follows.section().pace()),
                follows.sessions().size(),
                follows.sessions().minutes(),
                course.requiredMinutes(),
                course.weekLimit(),
                course.lessons().size(),
                course.usualMinutes(),
                follows.sessions().all().stream()
                        .map(Session::date)
                        .filter(d -> d.isBefore(today))
                        .reduce((a, b) -> b)
                        .orElse(null),
                Optional.ofNullable(follows.section().told().upTo())
                        .filter(term::contains)
                        .orElse(null));
        return new WallView(
                termId,
                version,
                term.name(),
                term.first(),
                term.last(),
                today,
                Words.weekday(term.weekStart()),
                choices,
                section,
                columns(),
                weeks(),
                others(),
                new OutlineBuilder(follows, days.moved(), today).outline(),
                findings(),
                ends.undo().map(History.Line::sentence).orElse(null),
                ends.redo().map(History.Line::sentence).orElse(null));
    }

    /** The days that have something to show, in order, also those outside the term. */
    public List<Day> filled() {
        return days.days();
    }

    private List<Column> columns() {
        Set<DayOfWeek> shown = new HashSet<>(schedule.calendar().columns());
        Map<DayOfWeek, Set<LocalTime>> times = new HashMap<>();
        for (Session session : follows.sessions().all()) {
            DayOfWeek weekday = session.date().getDayOfWeek();
            if (session.origin() == Session.Origin.PATTERN) {
                times.computeIfAbsent(weekday, d -> new HashSet<>())
                        .add(session.name().toLocalTime());
            }
            shown.add(weekday);
        }
        boolean late = follows.section().meets().isEmpty();
        for (ItemDates dates : follows.dates()) {
            if (dates.main() != null && decisions.term().contains(dates.main().toLocalDate())) {
                DayOfWeek weekday = dates.main().getDayOfWeek();
                shown.add(weekday);
            }
        }
        follows.notices().stream()
                .flatMap(n -> n.entries().stream())
                .filter(e ->
                        e.resolved() && decisions.term().contains(e.beginning().toLocalDate()))
                .forEach(e -> shown.add(e.beginning().getDayOfWeek()));
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            DayOfWeek weekday = decisions.term().weekStart().plus(i);
            if (shown.contains(weekday)) {
                Set<LocalTime> at = times.getOrDefault(weekday, Set.of());
                long on = follows.sessions().all().stream()
                        .filter(s -> s.date().getDayOfWeek() == weekday)
                        .count();
                boolean meets = on >= 3
                        || on > 0
                                && !late
                                && !at.isEmpty()
                                && follows.sessions().size() < 20;
                columns.add(new Column(
                        weekday.getValue(),
                        meets,
                        at.size() == 1 ? at.iterator().next() : null));
            }
        }
        return columns;
    }

    private List<Week> weeks() {
        TeachingCalendar calendar = schedule.calendar();
        Course course = follows.course();
        String section = follows.section().code();
        List<Column> columns = columns();
        List<WeekLoad> loads = follows.loads();
        List<Week> weeks = new ArrayList<>();
        for (int w = 1; w <= calendar.weeks(); w++) {
            LocalDate first = calendar.week(w).orElseThrow();
            List<Day> row = new ArrayList<>();
            for (Column column : columns) {
                int ahead =
                        Math.floorMod(column.weekday() - first.getDayOfWeek().getValue(), 7);
                row.add(days.day(first.plusDays(ahead)));
            }
            var teachingWeek = calendar.teachingWeekNumber(first);
            WeekLoad load = loads.get(w - 1);
            List<WeekNote> notes = course.besides().weekNotes().stream()
                    .filter(n -> n.first().equals(first) && n.concerns(section))
                    .toList();
            weeks.add(new Week(
                    w,
                    teachingWeek.isPresent() ? teachingWeek.getAsInt() : null,
                    first,
                    load.minutes(),
                    load.over(),
                    away(row, teachingWeek.isPresent()),
                    notes.stream()
                            .map(WeekNote::headline)
                            .filter(h -> !h.isEmpty())
                            .collect(Collectors.joining(" · ")),
                    notes.stream().flatMap(n -> n.targets().stream()).toList(),
                    row));
        }
        return weeks;
    }

    /** The days of the term that have no column, in order. */
    private List<Day> others() {
        Set<Integer> shown = columns().stream().map(Column::weekday).collect(Collectors.toSet());
        Term term = decisions.term();
        return term.first()
                .datesUntil(term.last().plusDays(1))
                .filter(d -> !shown.contains(d.getDayOfWeek().getValue()))
                .map(days::day)
                .toList();
    }

    private static @Nullable String away(List<Day> days, boolean teaches) {
        if (teaches || days.stream().anyMatch(d -> !d.lessons().isEmpty())) {
            return null;
        }
        return days.stream()
                .filter(d -> d.off() != null)
                .map(d -> d.off().reason())
                .findFirst()
                .orElse("");
    }

    private List<FindingView> findings() {
        List<FindingView> views = new ArrayList<>();
        for (Finding finding : Findings.of(schedule, today)) {
            views.add(FindingView.of(finding));
        }
        return views;
    }
}
