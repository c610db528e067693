package app.matsuri.core.rollover;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.notice.PutRhythm;
import app.matsuri.core.lookback.LookBack;
import app.matsuri.core.plan.Besides;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Took;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.WeekNote;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.MeetingPattern;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** One course while it is rolled over. */
final class CourseRolled {

    final Rollover rollover;
    final String code;
    final Decisions to;
    /** The course of the old term, without what is some section's or student's own date. */
    final Course old;
    /** Its units that come. */
    final List<Unit> units;
    /** By the code that a section has in the new term: the section in the old one. */
    final Map<String, SectionSchedule> had = new LinkedHashMap<>();

    final Map<String, Carrying> ways = new LinkedHashMap<>();
    final List<String> notes;
    private final TeachingCalendar calendar;
    private final DatesRolled dates;
    private Decisions now;

    CourseRolled(Rollover rollover, String code, Decisions to, List<String> notes) {
        this.rollover = rollover;
        this.code = code;
        this.to = to;
        this.notes = notes;
        calendar = TeachingCalendar.of(to.term());
        old = plain(rollover.from()
                .course(code)
                .orElseThrow(() -> new Refused("There is no course “" + code + "” in the term it is to come from.")));
        units = units();
        Course there = to.course(code).orElse(null);
        Course base = there == null ? empty() : without(there);
        now = to.withCourse(sections(base, there));
        Schedule.of(now.withCourses(List.of(course()))).sections().forEach(s -> {
            SectionSchedule from = had.get(s.section().code());
            if (from != null) {
                ways.put(s.section().code(), new Carrying(rollover.by(), from, s));
            }
        });
        now = now.withCourse(new LessonsRolled(this).placed(now, bringing(course())));
        rhythms();
        dates = new DatesRolled(this);
        now = dates.in(now);
    }

    /** The new term with it. */
    Decisions brought() {
        return now;
    }

    /** The dates of everything that was brought, as the new term has it in the end. */
    List<Rolled> rows(Schedule schedule) {
        List<Rolled> rows = new ArrayList<>();
        LessonRows lessons = new LessonRows(this);
        had.keySet()
                .forEach(section -> schedule.section(code, section).ifPresent(s -> {
                    for (Unit unit : units) {
                        lessons.of(unit, s, rows);
                        dates.rows(unit, s, rows);
                    }
                    dates.notices(s, rows);
                }));
        return rows;
    }

    /** The moment that was taken for a lesson that was pinned; null for none. */
    @Nullable
    LocalDateTime pinned(String lesson) {
        return rollover.taken().get(new Rollover.Taken(code, Rolled.PIN, lesson));
    }

    /** How dates of the section come to the new term. */
    Carrying way(String section) {
        return Known.in(ways, section);
    }

    /** The section as it was in the old term, by the code that it has in the new one. */
    SectionSchedule had(String section) {
        return Known.in(had, section);
    }

    Course course() {
        return now.course(code).orElseThrow();
    }

    /** The calendar of the new term. */
    TeachingCalendar calendar() {
        return calendar;
    }

    /** The last day of the new term that teaches, at the time of an old date; null for none. */
    @Nullable
    LocalDateTime lastDay(SectionSchedule is, @Nullable LocalDateTime old) {
        var days = is.calendar().teachingDays();
        return old == null || days.isEmpty() ? null : days.get(days.size() - 1).atTime(old.toLocalTime());
    }

    private static Course plain(Course course) {
        return course.withSections(course.sections().stream()
                .map(s -> s.withAdjustments(List.of()))
                .toList());
    }

    private List<Unit> units() {
        for (String id : rollover.units()) {
            if (old.unit(id).isEmpty()) {
                throw new Refused("“" + code + "” has no unit “" + id + "” to roll over.");
            }
        }
        return old.units().stream()
                .filter(u -> rollover.units().isEmpty() || rollover.units().contains(u.id()))
                .toList();
    }

    private boolean whole() {
        return rollover.units().isEmpty();
    }

    private Course empty() {
        return old.withSections(List.of())
                .withUnits(List.of())
                .withBesides(Besides.NONE
                        .withWeights(old.besides().weights())
                        .withPublishing(old.besides().publishing())
                        .withReminders(old.besides().reminders()));
    }

    /** The course of the new term without the units that come; refuses where they stand there and nobody said again. */
    private Course without(Course there) {
        List<String> known = units.stream()
                .filter(u -> there.unit(u.id()).isPresent())
                .map(Unit::title)
                .toList();
        if (!known.isEmpty() && !rollover.again()) {
            String term = to.term().name().isEmpty() ? "that term" : to.term().name();
            throw new Refused(code + " was rolled over to " + term + " before: "
                    + (known.size() == 1
                            ? "“" + known.get(0) + "” is"
                            : Say.count(known.size(), "unit") + ", from “" + known.get(0) + "” on, are")
                    + " there already. Choose other units or another term, or say that they take the place of those.");
        }
        Course rest = there.withUnits(there.units().stream()
                .filter(u -> units.stream().noneMatch(o -> o.id().equals(u.id())))
                .toList());
        Set<String> ids = new LinkedHashSet<>();
        rest.lessons().forEach(l -> ids.add(l.id()));
        rest.items().forEach(i -> ids.add(i.id()));
        for (Unit unit : units) {
            List<String> twice = new ArrayList<>();
            unit.lessons().stream().map(Lesson::id).filter(ids::contains).forEach(twice::add);
            unit.items().stream().map(i -> i.id()).filter(ids::contains).forEach(twice::add);
            if (!twice.isEmpty()) {
                throw new Refused("“" + twice.get(0) + "” of “" + unit.title() + "” is there in another unit already."
                        + " Take it out there first, or roll other units over.");
            }
        }
        return rest;
    }

    /** Pairs sections by code, then in order; a course without any there gets those of the old term. */
    private Course sections(Course base, @Nullable Course there) {
        List<Section> sections = new ArrayList<>(base.sections());
        Schedule schedule = Schedule.of(rollover.from().withCourses(List.of(old)));
        List<String> free = new ArrayList<>(sections.stream().map(Section::code).toList());
        old.sections().forEach(s -> free.remove(s.code()));
        for (Section section : old.sections()) {
            SectionSchedule from = schedule.section(code, section.code()).orElseThrow();
            boolean known = base.section(section.code()).isPresent();
            if (there == null || there.sections().isEmpty()) {
                sections.add(
                        section.anew(section.meets().stream().map(this::pattern).toList()));
                had.put(section.code(), from);
            } else if (known) {
                had.put(section.code(), from);
            } else if (!free.isEmpty()) {
                had.put(free.remove(0), from);
            } else {
                notes.add("Section " + section.code() + " has no partner in the new term and stays behind.");
            }
        }
        return base.withSections(sections);
    }

    private MeetingPattern pattern(MeetingPattern pattern) {
        Term term = rollover.from().term();
        LocalDate from = pattern.from() == null || !pattern.from().isAfter(term.first()) ? null : day(pattern.from());
        LocalDate until =
                pattern.until() == null || !pattern.until().isBefore(term.last()) ? null : day(pattern.until());
        boolean still = until == null || !until.isBefore(to.term().first());
        return pattern.within(
                from == null || from.isAfter(to.term().last()) ? null : from,
                still && (from == null || until == null || !until.isBefore(from)) ? until : null);
    }

    /** A day as the bounds of a series go: by days, or the same weekday of the same week. */
    LocalDate day(LocalDate day) {
        if (rollover.by().later().isPresent()) {
            return day.plusDays(rollover.by().later().getAsInt());
        }
        Term from = rollover.from().term();
        long weeks = ChronoUnit.WEEKS.between(from.weekOf(from.first()), from.weekOf(day));
        long within = ChronoUnit.DAYS.between(from.weekOf(day), day);
        return to.term().weekOf(to.term().first()).plusWeeks(weeks).plusDays(within);
    }

    /** The course with the units that come behind those it has, and with what comes along beside them. */
    private Course bringing(Course in) {
        List<Unit> all = new ArrayList<>(in.units());
        all.addAll(units);
        Course with = in.withUnits(all);
        Set<String> chosen = new LinkedHashSet<>();
        units.forEach(u -> chosen.add(u.id()));
        Besides besides = with.besides();
        List<Notice> notices = besides.notices();
        for (Notice notice : old.besides().notices()) {
            if (notice.unit() == null ? whole() : chosen.contains(notice.unit())) {
                notices = With.put(notices, n -> n.id().equals(notice.id()), notice);
            }
        }
        List<Rhythm> rhythms = besides.rhythms();
        for (Rhythm rhythm : old.besides().rhythms()) {
            if (chosen.contains(rhythm.unit())) {
                rhythms = With.put(rhythms, r -> r.id().equals(rhythm.id()), rhythm);
            }
        }
        List<WeekNote> weekNotes = besides.weekNotes();
        for (WeekNote note : whole() ? old.besides().weekNotes() : List.<WeekNote>of()) {
            WeekNote moved =
                    new WeekNote(to.term().weekOf(day(note.first())), note.section(), note.headline(), note.targets());
            weekNotes = With.put(weekNotes, n -> n.same(moved), moved);
        }
        for (Map.Entry<String, SectionSchedule> pair : had.entrySet()) {
            String was = pair.getValue().section().code();
            if (!was.equals(pair.getKey())) {
                with = with.renamedSection(was, pair.getKey());
            }
        }
        return with.withBesides(besides.withNotices(notices)
                .withRhythms(rhythms)
                .withWeekNotes(weekNotes)
                .withTook(took(besides.took(), chosen)));
    }

    /** What the units took in earlier terms, and in the one they come from. */
    private List<Took> took(List<Took> there, Set<String> chosen) {
        List<Took> coming = new ArrayList<>(old.besides().took());
        had.values()
                .forEach(s ->
                        coming.addAll(LookBack.took(s, rollover.from().term().name())));
        List<Took> all = there;
        for (Took took : coming) {
            if (chosen.contains(took.unit())) {
                all = With.put(all, t -> t.same(took), took);
            }
        }
        return all;
    }

    /** What rhythms yield follows the number of classes in the new term. */
    private void rhythms() {
        for (Rhythm rhythm : course().besides().rhythms()) {
            if (units.stream().noneMatch(u -> u.id().equals(rhythm.unit()))) {
                continue;
            }
            try {
                Change.Outcome outcome = new PutRhythm(code, rhythm).apply(now);
                now = outcome.decisions();
                notes.addAll(outcome.notes());
            } catch (Refused e) {
                notes.add(e.getMessage());
            }
        }
    }
}
