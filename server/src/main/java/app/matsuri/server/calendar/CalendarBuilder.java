package app.matsuri.server.calendar;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.calendar.WeekdayBalance;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.HoursAsked;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.HoursLedger;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.plan.PlanWriter;
import app.matsuri.exchange.plan.Words;
import app.matsuri.exchange.words.MeetsSaid;
import app.matsuri.server.calendar.CalendarView.CalendarColumn;
import app.matsuri.server.calendar.CalendarView.CalendarDay;
import app.matsuri.server.calendar.CalendarView.CalendarSession;
import app.matsuri.server.calendar.CalendarView.CalendarWeek;
import app.matsuri.server.calendar.CalendarView.ClosureView;
import app.matsuri.server.calendar.CalendarView.CourseHead;
import app.matsuri.server.calendar.CalendarView.RotationView;
import app.matsuri.server.calendar.CalendarView.SectionHead;
import app.matsuri.server.calendar.CalendarView.SwapView;
import app.matsuri.server.calendar.CalendarView.WeekCount;
import app.matsuri.server.calendar.CalendarView.WeekdayCount;
import app.matsuri.server.history.History;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Lays a term out as it is set up. */
final class CalendarBuilder {

    private final Decisions decisions;
    private final Decisions before;
    private final Schedule schedule;
    private final TeachingCalendar calendar;
    private final Term term;
    private final LocalDate today;
    private final List<HoursLedger> ledgers;
    private final Map<LocalDate, List<CalendarSession>> sessions = new HashMap<>();

    /**
     * @param before what stands, to tell what is proposed; the same decisions where nothing is
     */
    CalendarBuilder(Decisions decisions, Decisions before, Schedule schedule, LocalDate today) {
        this.decisions = decisions;
        this.before = before;
        this.schedule = schedule;
        this.calendar = schedule.calendar();
        this.term = decisions.term();
        this.today = today;
        this.ledgers = schedule.sections().stream().map(HoursLedger::of).toList();
        for (int i = 0; i < schedule.sections().size(); i++) {
            int number = 0;
            for (Session s : schedule.sections().get(i).sessions().all()) {
                sessions.computeIfAbsent(s.date(), d -> new ArrayList<>())
                        .add(new CalendarSession(
                                i, ++number, s.name(), s.start(), s.minutes(), Words.word(s.origin()), s.paused()));
            }
        }
    }

    CalendarView view(long termId, long version, History.Ends ends) {
        WeekdayBalance balance = WeekdayBalance.of(calendar);
        return new CalendarView(
                termId,
                version,
                term.name(),
                term.first(),
                term.last(),
                today,
                term.zone().getId(),
                term.weekdays().stream().map(Words::weekday).toList(),
                Words.weekday(term.weekStart()),
                term.firstPlanDay(),
                calendar.teachingDays().size(),
                calendar.weeks(),
                teachingWeeks(),
                decisions.courses().stream().map(CalendarBuilder::course).toList(),
                heads(),
                columns(),
                weeks(),
                term.closures().stream().map(this::closure).toList(),
                counts(balance.days()),
                balance.mend() == null ? null : swap(balance.mend()),
                rotation(),
                Findings.of(schedule, today).size(),
                ends.undo().map(History.Line::sentence).orElse(null),
                ends.redo().map(History.Line::sentence).orElse(null));
    }

    private int teachingWeeks() {
        int weeks = 0;
        while (calendar.teachingWeek(weeks + 1).isPresent()) {
            weeks++;
        }
        return weeks;
    }

    private static CourseHead course(Course course) {
        HoursAsked asks = course.asks();
        String said = asks == null
                ? ""
                : asks.in() == HoursAsked.In.ECTS ? asks.amount() + " ECTS" : Say.count(asks.amount(), "credit");
        return new CourseHead(course.code(), course.title(), course.requiredMinutes(), said, course.usualMinutes());
    }

    private List<SectionHead> heads() {
        List<SectionHead> heads = new ArrayList<>();
        for (int i = 0; i < ledgers.size(); i++) {
            heads.add(head(schedule.sections().get(i), ledgers.get(i)));
        }
        return heads;
    }

    private static SectionHead head(SectionSchedule in, HoursLedger hours) {
        Section section = in.section();
        return new SectionHead(
                in.course().code(),
                in.course().title(),
                section.code(),
                section.instructor(),
                section.partOf(),
                Words.word(section.pace()),
                section.students().size(),
                beat(section),
                section.meets().stream().map(MeetsSaid::say).toList(),
                section.meets().stream().map(PlanWriter::pattern).toList(),
                hours.sessions(),
                hours.minutes(),
                hours.work(),
                hours.asked(),
                hours.missing(),
                hours.missingSessions(),
                hours.leastInAll(),
                hours.mostInAll(),
                counts(hours.byWeekday()));
    }

    private static @Nullable String beat(Section section) {
        if (section.beat() == null || !section.meets().isEmpty()) {
            return null;
        }
        DayOfWeek weekday = section.beat().weekday();
        return weekday == null ? "daily" : Words.weekday(weekday);
    }

    private static List<WeekdayCount> counts(Map<DayOfWeek, Integer> days) {
        return days.entrySet().stream()
                .map(e -> new WeekdayCount(e.getKey().getValue(), e.getValue()))
                .toList();
    }

    private List<CalendarColumn> columns() {
        List<CalendarColumn> columns = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            DayOfWeek weekday = term.weekStart().plus(i);
            columns.add(new CalendarColumn(weekday.getValue(), term.weekdays().contains(weekday)));
        }
        return columns;
    }

    private List<CalendarWeek> weeks() {
        List<CalendarWeek> weeks = new ArrayList<>();
        for (int w = 1; w <= calendar.weeks(); w++) {
            LocalDate first = calendar.week(w).orElseThrow();
            List<WeekCount> counts = new ArrayList<>();
            for (HoursLedger ledger : ledgers) {
                HoursLedger.WeekClasses week = ledger.weeks().get(w - 1);
                counts.add(new WeekCount(week.stand(), week.usual()));
            }
            List<CalendarDay> days =
                    first.datesUntil(first.plusDays(7)).map(this::day).toList();
            var teachingWeek = calendar.teachingWeekNumber(first);
            weeks.add(new CalendarWeek(
                    w, teachingWeek.isPresent() ? teachingWeek.getAsInt() : null, first, counts, days));
        }
        return weeks;
    }

    private CalendarDay day(LocalDate date) {
        Integer off = null;
        List<Integer> parts = new ArrayList<>();
        for (int i = 0; i < term.closures().size(); i++) {
            Closure closure = term.closures().get(i);
            if (!closure.covers(date)) {
                continue;
            }
            if (off == null && closure.wholeDay() && closure.everyone() && closure.noClass()) {
                off = i;
            } else {
                parts.add(i);
            }
        }
        DayOfWeek runsAs = term.runsAs().get(date);
        return new CalendarDay(
                date,
                term.contains(date),
                calendar.teaches(date),
                date.isBefore(today),
                date.equals(today),
                calendar.letter(date).orElse(null),
                off,
                parts,
                term.extraDays().contains(date),
                runsAs == null ? null : Words.weekday(runsAs),
                date.equals(term.planStart()),
                sessions.getOrDefault(date, List.of()));
    }

    private ClosureView closure(Closure c) {
        return new ClosureView(
                c.first(),
                c.last(),
                c.from(),
                c.to() == null ? null : Closure.said(c.to()),
                c.reason(),
                c.kind(),
                c.noClass(),
                c.planPauses(),
                c.nothingDue(),
                c.only(),
                c.justInCase(),
                Say.days(c.first(), c.last()),
                !before.term().closures().contains(c));
    }

    private static SwapView swap(WeekdayBalance.Swap mend) {
        String as = mend.as().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
        return new SwapView(mend.day(), Words.weekday(mend.as()), Say.day(mend.day()) + " runs as a " + as);
    }

    private @Nullable RotationView rotation() {
        return term.rotation() == null
                ? null
                : new RotationView(
                        term.rotation().letters(),
                        Words.word(term.rotation().advances()),
                        term.rotation().restarts());
    }
}
