package app.matsuri.core.repace;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.pace.HoldEmpty;
import app.matsuri.core.change.pace.Join;
import app.matsuri.core.change.pace.LeaveOut;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Standing;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Ways to bring a section that is behind back into step with the one that is furthest: it leaves out what may be left out, joins
 * what may be joined, or the other one waits. How far they are is compared at the end of the week, as planned. Each is tried, and says from which week on the two are level at the week's end.
 */
public final class InStep {

    private final Decisions decisions;
    private final SectionSchedule behind;
    private final SectionSchedule ahead;
    private final LocalDate today;

    private InStep(Decisions decisions, SectionSchedule behind, SectionSchedule ahead, LocalDate today) {
        this.decisions = decisions;
        this.behind = behind;
        this.ahead = ahead;
        this.today = today;
    }

    /**
     * One way.
     *
     * @param gives code of the section that gives way
     * @param week number of the term's week at whose end the two are level first; 0 for none
     * @param left how many lessons it is behind at the end of the last week in which the other is not through
     */
    public record Step(String gives, String sentence, Change change, int week, int left) {}

    /**
     * The ways, those that bring the sections level soonest first.
     *
     * @param today what lies before it stays
     */
    public static List<Step> of(Decisions decisions, SectionSchedule behind, SectionSchedule ahead, LocalDate today) {
        return new InStep(decisions, behind, ahead, today).all();
    }

    private List<Step> all() {
        List<Step> steps = new ArrayList<>();
        int apart = Standing.behind(behind, ahead, Standing.weekEnd(behind.calendar(), today));
        if (apart <= 0) {
            return steps;
        }
        String code = behind.section().code();
        List<Lesson> leave = next(apart, l -> l.optional() || l.reserve() || yields(l));
        add(steps, code, "Leave out ", leave, l -> new LeaveOut(course(), code, l.id(), true), "");
        List<Lesson> join = next(apart, l -> l.joinable() && !l.reserve());
        add(steps, code, "Join ", join, l -> new Join(course(), code, l.id(), true), " to the lessons before");
        waits(apart).ifPresent(steps::add);
        steps.sort((a, b) -> Integer.compare(when(a), when(b)));
        return steps;
    }

    private static int when(Step step) {
        return step.week() == 0 ? Integer.MAX_VALUE : step.week();
    }

    private String course() {
        return behind.course().code();
    }

    private boolean yields(Lesson lesson) {
        return behind.course().units().stream().anyMatch(u -> lesson.id().equals(u.yields()));
    }

    /** The next lessons that begin today or later, are not pinned and are such. */
    private List<Lesson> next(int most, Predicate<Lesson> such) {
        Section section = behind.section();
        List<Lesson> found = new ArrayList<>();
        for (Placement placement : behind.placements()) {
            boolean later = placement.placed()
                    && !placement.taught()
                    && placement.slots().stream().noneMatch(Placement.Slot::taught)
                    && !behind.sessions().get(placement.first()).date().isBefore(today);
            Lesson lesson = placement.lesson();
            boolean may = such.test(lesson)
                    && section.pin(lesson) == null
                    && !section.own(lesson.id()).joined();
            if (later && may && found.size() < most) {
                found.add(lesson);
            }
        }
        return found;
    }

    private interface Made {
        Change of(Lesson lesson);
    }

    private void add(List<Step> steps, String gives, String does, List<Lesson> lessons, Made made, String to) {
        if (lessons.isEmpty()) {
            return;
        }
        String titles = String.join(
                ", ", lessons.stream().map(l -> "“" + l.title() + "”").toList());
        steps.add(
                tried(gives, does + titles + to, lessons.stream().map(made::of).toList()));
    }

    /** The other one holds its next classes empty, one for each lesson that it is ahead. */
    private Optional<Step> waits(int apart) {
        String code = ahead.section().code();
        List<Change> changes = new ArrayList<>();
        for (Session session : ahead.sessions().all()) {
            if (changes.size() < apart
                    && session.open()
                    && !session.record()
                    && session.date().isAfter(today)) {
                changes.add(new HoldEmpty(course(), code, session.name(), true));
            }
        }
        return changes.isEmpty()
                ? Optional.empty()
                : Optional.of(tried(
                        code,
                        "Let " + code + " wait: "
                                + (changes.size() == 1
                                        ? "its next class is kept free"
                                        : "its next " + changes.size() + " classes are kept free"),
                        changes));
    }

    private Step tried(String gives, String sentence, List<Change> changes) {
        Change change = new Together(sentence + " in " + course() + " " + gives, changes);
        Schedule then = Schedule.of(Change.make(change, decisions).decisions());
        SectionSchedule a = then.section(course(), ahead.section().code()).orElseThrow();
        SectionSchedule b = then.section(course(), behind.section().code()).orElseThrow();
        TeachingCalendar calendar = behind.calendar();
        int level = 0;
        int left = 0;
        for (int week = 1; week <= calendar.weeks(); week++) {
            LocalDate end = calendar.week(week).orElseThrow().plusDays(6);
            if (Standing.reached(a, end) == a.placements().size()) {
                break; // it is through, and nothing can be ahead of it
            }
            left = Standing.behind(b, a, end);
            if (level == 0 && !end.isBefore(today) && left <= 0) {
                level = week;
            }
        }
        return new Step(gives, sentence, change, level, Math.max(0, left));
    }
}
