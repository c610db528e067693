package app.matsuri.core.lookback;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.lookback.UnitPace.Cell;
import app.matsuri.core.lookback.UnitPace.Kind;
import app.matsuri.core.lookback.UnitPace.State;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Took;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** How long the units of a course took in a section, planned beside taught, with what was lost and why. */
public final class LookBack {

    private final SectionSchedule in;

    private LookBack(SectionSchedule in) {
        this.in = in;
    }

    /** The pace of every unit with a lesson, in the order of the plan. */
    public static List<UnitPace> of(SectionSchedule schedule) {
        LookBack look = new LookBack(schedule);
        return schedule.course().units().stream()
                .filter(u -> !u.lessons().isEmpty())
                .map(look::pace)
                .toList();
    }

    /** What the units that were taught to the end took, for the terms to come. */
    public static List<Took> took(SectionSchedule schedule, String term) {
        return of(schedule).stream()
                .filter(p -> p.state() == State.TAUGHT)
                .map(p -> new Took(p.unit().id(), term, schedule.section().code(), p.usual()))
                .toList();
    }

    private UnitPace pace(Unit unit) {
        TreeMap<Integer, List<Placement>> sessions = new TreeMap<>();
        TreeMap<Integer, Boolean> taught = new TreeMap<>();
        Map<String, Integer> lengths = new LinkedHashMap<>();
        List<String> notes = new ArrayList<>();
        boolean all = true;
        for (Lesson lesson : unit.lessons()) {
            Placement placement = in.placement(lesson.id());
            placement.slots().forEach(slot -> {
                sessions.computeIfAbsent(slot.session(), s -> new ArrayList<>()).add(placement);
                taught.merge(slot.session(), slot.taught(), (a, b) -> a || b);
            });
            if (placement.taught()) {
                lengths.put(lesson.id(), placement.slots().size());
            }
            all &= placement.leftOut() || placement.taught();
            String note = in.section().own(lesson.id()).note();
            if (note != null && !note.isBlank()) {
                notes.add(lesson.title() + ": " + note);
            }
        }
        int done = (int) taught.values().stream().filter(t -> t).count();
        State state = done == 0 ? State.TO_COME : all ? State.TAUGHT : State.UNDER_WAY;
        LocalDate first = sessions.isEmpty() ? null : date(sessions.firstKey());
        LocalDate last = sessions.isEmpty() ? null : date(sessions.lastKey());
        List<UnitPace.Test> tests = first == null || last == null ? List.of() : tests(unit, first, last);
        return new UnitPace(
                unit,
                in.section().code(),
                state,
                unit.lessons().stream().mapToInt(Lesson::length).sum(),
                done,
                usual(
                        sessions.keySet().stream()
                                .mapToInt(s -> in.sessions().get(s).minutes())
                                .sum(),
                        sessions.size()),
                lengths,
                first == null || last == null ? List.of() : cells(sessions, taught, tests, first, last),
                first,
                last,
                first == null || last == null ? 0 : weeks(first, last, false),
                first == null || last == null ? 0 : weeks(first, last, true),
                tests,
                notes);
    }

    /** In sessions of the usual length, for a section that takes time by minutes. */
    private int usual(int minutes, int sessions) {
        return in.section().pace() == Section.Pace.MINUTES
                ? Math.round(minutes / (float) in.course().usualMinutes())
                : sessions;
    }

    private LocalDate date(int session) {
        return in.sessions().get(session).date();
    }

    private List<UnitPace.Test> tests(Unit unit, LocalDate first, LocalDate last) {
        List<UnitPace.Test> tests = new ArrayList<>();
        for (ItemDates dates : in.dates()) {
            LocalDateTime at = dates.main();
            boolean here =
                    dates.unit().id().equals(unit.id()) && dates.item().kind().equals("test");
            if (here
                    && at != null
                    && !at.toLocalDate().isBefore(first)
                    && !at.toLocalDate().isAfter(last)) {
                tests.add(new UnitPace.Test(at.toLocalDate(), dates.item().title()));
            }
        }
        return tests;
    }

    private List<Cell> cells(
            TreeMap<Integer, List<Placement>> sessions,
            Map<Integer, Boolean> taught,
            List<UnitPace.Test> tests,
            LocalDate first,
            LocalDate last) {
        List<Cell> cells = new ArrayList<>();
        sessions.forEach((index, lessons) -> {
            Session session = in.sessions().get(index);
            String what = String.join(
                    ", ", lessons.stream().map(p -> p.lesson().title()).toList());
            boolean test = tests.stream().anyMatch(t -> t.date().equals(session.date()));
            cells.add(new Cell(session.date(), Known.in(taught, index) ? Kind.TAUGHT : Kind.TO_COME, what, test));
        });
        in.sessions().lost().forEach(lost -> lost(lost.name().toLocalDate(), lost.reason(), first, last, cells));
        in.sessions().cancelled().forEach(name -> lost(name.toLocalDate(), "cancelled", first, last, cells));
        cells.sort(Comparator.comparing(Cell::date));
        return cells;
    }

    private static void lost(LocalDate day, String reason, LocalDate first, LocalDate last, List<Cell> cells) {
        if (!day.isBefore(first) && !day.isAfter(last)) {
            cells.add(new Cell(day, Kind.LOST, reason, false));
        }
    }

    private int weeks(LocalDate first, LocalDate last, boolean teaching) {
        TeachingCalendar calendar = in.calendar();
        LocalDate week = calendar.term().weekOf(first);
        int all = (int) ChronoUnit.WEEKS.between(week, calendar.term().weekOf(last)) + 1;
        if (!teaching) {
            return all;
        }
        int found = 0;
        for (int w = 0; w < all; w++) {
            LocalDate from = week.plusWeeks(w);
            found += calendar.count(from, from.plusDays(6)) > 0 ? 1 : 0;
        }
        return found;
    }
}
