package app.matsuri.core.rollover;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.flow.Usable;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToIntFunction;

/** The lessons of one course while it is rolled over: each goes to the class that the way says, in order. */
final class LessonsRolled {

    private final CourseRolled in;
    private final boolean byRule;

    LessonsRolled(CourseRolled in) {
        this.in = in;
        byRule = in.rollover.by().keepsRules();
    }

    /** The course with its lessons where they come to; pins wait for a hand. */
    Course placed(Decisions now, Course with) {
        Course course = with;
        for (Unit unit : in.units) {
            for (Lesson lesson : unit.lessons()) {
                if (lesson.pin() != null) {
                    LocalDateTime taken = in.pinned(lesson.id());
                    course = course.withLesson(lesson.id(), l -> l.withPin(taken == null ? null : taken.toLocalDate()));
                }
            }
        }
        for (String code : in.had.keySet()) {
            Section section = decided(course.section(code).orElseThrow(), in.had(code));
            course = course.withSection(section);
            if (!byRule) {
                SectionSchedule fresh = follows(now, course.withUnits(before(course)), code);
                course = section.pace() == Section.Pace.MINUTES
                        ? byMinutes(now, course, code)
                        : course.withSection(bySessions(section, in.had(code), fresh));
            }
        }
        return course;
    }

    /** The units that the course has in the new term already. */
    private List<Unit> before(Course course) {
        return course.units().stream()
                .filter(u -> in.units.stream().noneMatch(o -> o.id().equals(u.id())))
                .toList();
    }

    private SectionSchedule follows(Decisions now, Course course, String section) {
        return Schedule.of(now.withCourses(List.of(course)))
                .section(in.code, section)
                .orElseThrow();
    }

    /** What the section decided about lessons that come: left out, joined, lengths, gaps, held sessions. */
    private Section decided(Section there, SectionSchedule had) {
        Section was = had.section();
        Section section = there;
        for (Unit unit : in.units) {
            for (Lesson lesson : unit.lessons()) {
                OwnLesson own = was.own(lesson.id());
                section = section.withOwn(
                        lesson.id(),
                        now -> now.withLeftOut(now.leftOut() || own.leftOut())
                                .withJoined(now.joined() || own.joined())
                                .withLength(own.length())
                                .withPin(pin(lesson, own, now.pin())));
                if (byRule) {
                    section = section.withOwn(
                            lesson.id(),
                            now -> now.withMidWeek(now.midWeek() || own.midWeek())
                                    .withGap(own.gap()));
                }
            }
        }
        return section.withHoldsEmpty(holds(section, had));
    }

    /** The pin there: where the section had one of its own, on the day that it comes to; what had none keeps none. */
    private Own<LocalDate> pin(Lesson lesson, OwnLesson had, Own<LocalDate> now) {
        return had.pin().on(new Own.Cases<>() {
            @Override
            public Own<LocalDate> other(LocalDate was) {
                LocalDateTime to = in.pinned(lesson.id());
                return to != null && lesson.pin() == null ? Own.other(to.toLocalDate()) : now;
            }

            @Override
            public Own<LocalDate> none() {
                return Own.none();
            }

            @Override
            public Own<LocalDate> asPlanned() {
                return now;
            }
        });
    }

    private Set<LocalDateTime> holds(Section section, SectionSchedule had) {
        Set<LocalDateTime> holds = new LinkedHashSet<>(section.holdsEmpty());
        if (!in.rollover.units().isEmpty()) {
            return holds;
        }
        Carrying way = in.way(section.code());
        for (LocalDateTime name : had.section().holdsEmpty()) {
            had.sessions().indexOf(name).ifPresent(index -> {
                Session session = had.sessions().get(index);
                Optional<LocalDateTime> there = way.session(session, index);
                if (there.isPresent()) {
                    holds.add(there.get());
                } else {
                    in.notes.add("The class of " + Say.day(session.date()) + " that section " + section.code()
                            + " holds empty has no class in its place.");
                }
            });
        }
        return holds;
    }

    private Section bySessions(Section given, SectionSchedule had, SectionSchedule fresh) {
        Section section = given;
        Usable usable = Usable.of(fresh.sessions(), fresh.calendar().term().weekStart());
        Carrying way = in.way(section.code());
        int at = behindOthers(fresh, usable);
        int last = -1;
        for (Unit unit : in.units) {
            boolean opens = unit.startsWeek();
            for (Lesson lesson : unit.lessons()) {
                if (section.leavesOut(lesson)) {
                    continue;
                }
                Placement was = had.placement(lesson.id());
                boolean whole = was.placed() && !was.noSession();
                boolean joins = was.placed() && was.first() == last && !lesson.reserve();
                if (joins) {
                    section = section.withJoined(lesson.id(), true);
                    continue;
                }
                last = was.placed() ? was.last() : last;
                int took = was.slots().size();
                if (whole && took != section.length(lesson)) {
                    section = section.withLength(lesson.id(), took == lesson.length() ? null : took);
                }
                int natural = natural(usable, at + lesson.gapBefore(), opens);
                int goal = was.placed()
                        ? Math.max(at, way.position(had.sessions().get(was.first()), was.first(), usable))
                        : natural;
                if (goal != natural) {
                    int gap = goal - at;
                    while (gap > 0 && natural(usable, at + gap - 1, opens) == goal) {
                        gap--;
                    }
                    section = section.withGap(lesson.id(), gap - lesson.gapBefore());
                    if (opens && goal < usable.size() && !usable.opensWeek(goal)) {
                        section = section.withMidWeek(lesson.id(), true);
                    }
                }
                at = goal + section.length(lesson);
                opens = false;
                if (at > usable.size()) {
                    return section;
                }
            }
        }
        return section;
    }

    /** Where a lesson comes by itself that may begin from a session on. */
    private static int natural(Usable usable, int from, boolean opens) {
        int at = Math.min(usable.size(), from);
        while (opens && at < usable.size() && !usable.opensWeek(at)) {
            at++;
        }
        return at;
    }

    /** The first usable session behind what the section has in the new term already. */
    private static int behindOthers(SectionSchedule fresh, Usable usable) {
        int last = fresh.placements().stream()
                .filter(Placement::placed)
                .mapToInt(Placement::last)
                .max()
                .orElse(-1);
        int at = usable.start();
        while (at < usable.size() && usable.session(at) <= last) {
            at++;
        }
        return at;
    }

    /** Lessons that take minutes as they come: one that would come too early or too late begins in its class all the same. */
    private Course byMinutes(Decisions now, Course with, String code) {
        Course course = with;
        SectionSchedule had = in.had(code);
        Carrying way = in.way(code);
        for (Unit unit : in.units) {
            for (Lesson lesson : unit.lessons()) {
                Placement was = had.placement(lesson.id());
                if (was.placed()) {
                    course = begun(
                            now,
                            course,
                            code,
                            lesson,
                            usable -> way.position(had.sessions().get(was.first()), was.first(), usable));
                }
            }
        }
        return course;
    }

    private Course begun(Decisions now, Course with, String code, Lesson lesson, ToIntFunction<Usable> wanted) {
        Course course = with;
        for (int round = 0; round < 3; round++) {
            SectionSchedule schedule = follows(now, course, code);
            Placement is = schedule.placement(lesson.id());
            Usable usable =
                    Usable.of(schedule.sessions(), schedule.calendar().term().weekStart());
            int goal = wanted.applyAsInt(usable);
            if (!is.placed() || goal >= usable.size() || is.first() == usable.session(goal)) {
                return course;
            }
            Section section = course.section(code).orElseThrow();
            if (is.first() > usable.session(goal)) {
                boolean waits = !section.own(lesson.id()).midWeek()
                        && course.unitOfLesson(lesson.id()).orElseThrow().startsWeek();
                if (!waits && section.gap(lesson) == 0) {
                    return course; // what stands before it reaches so far
                }
                section = waits
                        ? section.withMidWeek(lesson.id(), true)
                        : section.withGap(lesson.id(), -lesson.gapBefore());
            } else {
                section = later(section, lesson, schedule, is, usable, goal);
            }
            course = course.withSection(section);
        }
        return course;
    }

    /** The section in which a lesson that comes too early waits for its class: by a gap, or where it begins within the class before, by that day. */
    private static Section later(
            Section section, Lesson lesson, SectionSchedule schedule, Placement is, Usable usable, int goal) {
        int at = 0;
        while (usable.session(at) < is.first()) {
            at++;
        }
        boolean within = is.first() == lastBefore(schedule, lesson);
        int more = goal - at - (within ? 1 : 0);
        if (more == 0) {
            LocalDate day = schedule.sessions().get(usable.session(goal)).date();
            return section.withPin(lesson.id(), Own.other(day));
        }
        return section.withGap(lesson.id(), section.gap(lesson) - lesson.gapBefore() + more);
    }

    /** The last session of the lesson placed before; -1 for none. */
    private static int lastBefore(SectionSchedule in, Lesson lesson) {
        int last = -1;
        for (Placement placement : in.placements()) {
            if (placement.lesson().id().equals(lesson.id())) {
                return last;
            }
            last = placement.placed() ? placement.last() : last;
        }
        return last;
    }
}
