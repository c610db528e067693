package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.sheet.Entry;
import app.matsuri.exchange.sheet.Meaning;
import app.matsuri.exchange.sheet.Sheet;
import app.matsuri.exchange.sheet.SheetTerm;
import java.time.LocalDate;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The labs of a sheet as lessons of the half-groups' own course, in the order of the sheet: a lab begins in the first half-group
 * in the week of its row, where that meets then.
 */
final class HalfGroups {

    private final Into into;
    private final SheetTerm term;
    private final OutlineDraft draft;
    private final Map<Entry.Given, String> lessons = new IdentityHashMap<>();

    private HalfGroups(Into into, SheetTerm term) {
        this.into = into;
        this.term = term;
        this.draft = new OutlineDraft(into.course());
    }

    /**
     * What the labs come to.
     *
     * @param units of the half-groups' course, with them
     * @param lessons ids of the lessons that the labs are
     * @param schedule of the first half-group with them
     */
    record Labs(
            Course course,
            List<OneUnit> units,
            Map<Entry.Given, String> lessons,
            @Nullable SectionSchedule schedule) {}

    /** The labs of a column without dates of their own, where the course's half-groups have a course for them; else empty. */
    static Optional<Labs> of(Into into, Sheet.Reading sheet, Map<Entry, String> said) {
        List<Entry.Given> labs = sheet.entries().stream()
                .filter(e -> e instanceof Entry.Given)
                .map(e -> (Entry.Given) e)
                .filter(g -> g.work().kind().equals("lab"))
                .filter(g -> g.work().opens() == null
                        && g.work().due() == null
                        && g.work().closes() == null)
                .toList();
        boolean column = sheet.columns().stream().anyMatch(c -> c.meaning() == Meaning.LAB);
        return labs.size() < 2 || !column
                ? Optional.empty()
                : intoHalves(into).map(halves -> new HalfGroups(halves, into.term()).lay(labs, sheet.old(), said));
    }

    /** The course whose sections are half-groups of the course that is read for, and the first of them. */
    private static Optional<Into> intoHalves(Into into) {
        Decisions decisions = into.decisions();
        Course course = into.course();
        if (decisions == null || course == null) {
            return Optional.empty();
        }
        for (Course other : decisions.courses()) {
            for (Section half : other.sections()) {
                boolean of = into.section() == null
                        ? half.partOf().startsWith(course.code() + "/")
                        : half.partOf().equals(course.code() + "/" + into.section());
                if (of && !other.code().equals(course.code())) {
                    return Optional.of(Into.plan(into.days(), decisions, other, half.code()));
                }
            }
        }
        return Optional.empty();
    }

    private Labs lay(List<Entry.Given> labs, boolean old, Map<Entry, String> said) {
        Course course = Objects.requireNonNull(into.course());
        draft.unit(
                course.units().isEmpty()
                        ? course.title()
                        : course.units().get(course.units().size() - 1).title());
        for (Entry.Given lab : labs) {
            String title = lab.work().title();
            Optional<Lesson> there = course.lessons().stream()
                    .filter(l -> l.title().equalsIgnoreCase(title))
                    .findFirst();
            said.put(
                    lab,
                    "lab of " + course.code()
                            + there.map(l -> ", " + l.id() + ", which is there").orElse(", " + title));
            lessons.put(lab, there.map(Lesson::id).orElseGet(() -> added(lab)));
        }
        if (!old) {
            gaps(course, labs);
        }
        SectionSchedule schedule = into.schedule(draft.with(course)).orElse(null);
        if (schedule != null) {
            compare(schedule, labs, old);
        }
        return new Labs(course, draft.units().stream().filter(OneUnit::gives).toList(), lessons, schedule);
    }

    private String added(Entry.Given lab) {
        draft.lesson(lab.work().title(), 1);
        Lesson lesson = Objects.requireNonNull(draft.last().at);
        LessonDetails none = lesson.details();
        draft.replace(lesson.withDetails(
                new LessonDetails(none.objectives(), none.steps(), Laying.links(lab.work()), none.files())));
        return lesson.id();
    }

    /** The Monday of the week that a lab's row stands in; null where the sheet says none. */
    private @Nullable LocalDate week(Entry.Given lab) {
        Entry.Taught row = lab.lesson();
        LocalDate day = row != null && row.day() != null ? row.day() : lab.day() != null ? lab.day() : lab.week();
        if (day == null
                && row != null
                && row.week() > 0
                && row.week() <= term.weeks().size()) {
            day = term.weeks().get(row.week() - 1);
        }
        return day == null ? null : day.minusDays(day.getDayOfWeek().getValue() - 1L);
    }

    private void gaps(Course course, List<Entry.Given> labs) {
        List<Session> open = into.left();
        int at = 0;
        for (Entry.Given lab : labs) {
            String id = Objects.requireNonNull(lessons.get(lab));
            LocalDate week = week(lab);
            if (course.lesson(id).isPresent()) {
                continue;
            }
            int wanted = at;
            while (week != null
                    && wanted < open.size()
                    && open.get(wanted).date().isBefore(week)) {
                wanted++;
            }
            if (wanted > at && wanted < open.size()) {
                draft.replace(draft.lesson(id).withGap(wanted - at));
                at = wanted;
            }
            at++;
        }
    }

    /** What has no class left, or comes later than the two weeks of its row. */
    private void compare(SectionSchedule schedule, List<Entry.Given> labs, boolean old) {
        for (Entry.Given lab : labs) {
            Placement placed = schedule.byLesson().get(lessons.get(lab));
            LocalDate week = week(lab);
            if (placed == null || placed.leftOut()) {
                continue;
            }
            if (!placed.placed() || placed.noSession()) {
                lab.doubts().add("The half-group " + schedule.section().code() + " has no class left for it.");
            } else if (week != null && !old) {
                LocalDate came = schedule.sessions().get(placed.first()).date();
                if (came.isBefore(week) || !came.isBefore(week.plusDays(14))) {
                    lab.doubts()
                            .add("Sheet: week of " + Say.day(week) + "; plan: " + Say.day(came) + " ("
                                    + schedule.section().code() + ").");
                }
            }
        }
    }
}
