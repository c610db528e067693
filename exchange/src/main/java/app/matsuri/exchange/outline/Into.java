package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.sheet.Meaning;
import app.matsuri.exchange.sheet.SheetTerm;
import app.matsuri.exchange.words.DayWords;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What an outline is read for.
 *
 * @param days reads days without a year
 * @param decisions the term with the course in it; null where only words are read
 * @param course the course that gets it; null for none yet
 * @param section code of the section by whose classes dates are checked; null for the first
 * @param columns what a person said of columns, by index from 0
 * @param rows what a person said of rows, by number: "unit", "lesson", "work" or "nothing", or that its lesson is on the
 *     sheet's date: "sheet"
 */
public record Into(
        DayWords days,
        @Nullable Decisions decisions,
        @Nullable Course course,
        @Nullable String section,
        Map<Integer, Meaning> columns,
        Map<Integer, String> rows) {

    /** That the lesson of a row is on the sheet's date. */
    public static final String ON_SHEETS_DATE = "sheet";

    /** For a course that stands alone, without a term. */
    public static Into words(DayWords days, @Nullable Course course) {
        return new Into(days, null, course, null, Map.of(), Map.of());
    }

    /** For a course of a term. */
    public static Into plan(DayWords days, Decisions decisions, Course course, @Nullable String section) {
        return new Into(days, decisions, course, section, Map.of(), Map.of());
    }

    /** The same with what a person said of columns and rows. */
    public Into said(Map<Integer, Meaning> ofColumns, Map<Integer, String> ofRows) {
        return new Into(days, decisions, course, section, ofColumns, ofRows);
    }

    /** What a person said that rows are. */
    Map<Integer, String> rowsAs() {
        return rows.entrySet().stream()
                .filter(r -> !r.getValue().equals(ON_SHEETS_DATE))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /** Whether the lesson of a row is to be on the date of the sheet, whatever stands before it. */
    boolean onSheetsDate(int row) {
        return ON_SHEETS_DATE.equals(rows.get(row));
    }

    /** What follows for the section once the course is so; empty where there is no term or no section. */
    Optional<SectionSchedule> schedule(Course with) {
        if (decisions == null || course == null) {
            return Optional.empty();
        }
        List<Section> sections = with.sections();
        String code = section != null
                ? section
                : sections.isEmpty() ? null : sections.get(0).code();
        return code == null
                ? Optional.empty()
                : Schedule.of(decisions.withCourse(with)).section(with.code(), code);
    }

    /** The open classes behind the last that has a lesson; none where there is no term, or lessons go by minutes. */
    List<Session> left() {
        SectionSchedule schedule = course == null ? null : schedule(course).orElse(null);
        if (schedule == null || schedule.section().pace() != Section.Pace.SESSIONS) {
            return List.of();
        }
        int from = schedule.placements().stream()
                .filter(Placement::placed)
                .mapToInt(Placement::last)
                .max()
                .orElse(-1);
        return schedule.sessions().all().stream()
                .skip(from + 1L)
                .filter(Session::open)
                .toList();
    }

    /** The term as its sheet sees it. */
    SheetTerm term() {
        LocalDate first = days.first() == null ? days.base() : days.first();
        LocalDate last = days.last() == null ? first.plusDays(130) : days.last();
        TreeSet<LocalDate> off = new TreeSet<>();
        TreeSet<LocalDate> classes = new TreeSet<>();
        List<LocalDate> weeks = new ArrayList<>();
        if (decisions != null) {
            Term term = decisions.term();
            first = term.first();
            last = term.last();
            for (Closure closure : term.closures()) {
                if (closure.from() == null && closure.noClass()) {
                    closure.days().stream().forEach(off::add);
                }
            }
            TeachingCalendar calendar = TeachingCalendar.of(term);
            for (int k = 1; k <= calendar.weeks(); k++) {
                calendar.week(k).ifPresent(weeks::add);
            }
            if (course != null) {
                schedule(course)
                        .ifPresent(s ->
                                s.sessions().all().stream().map(Session::date).forEach(classes::add));
            }
        } else {
            LocalDate week = first.minusDays(first.getDayOfWeek().getValue() - 1L);
            while (!week.isAfter(last) && weeks.size() < 80) {
                weeks.add(week);
                week = week.plusWeeks(1);
            }
        }
        return new SheetTerm(first, last, off, classes, weeks, days.slashDayFirst() ? Boolean.TRUE : null);
    }
}
