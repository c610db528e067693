package app.matsuri.core.rollover;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.flow.Usable;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
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

/** The lessons of one course while it is rolled over: each goes to the class that the way says, in order. */
final class LessonsRolled {

    private final CourseRolled in;
    private final boolean byRule;

    LessonsRolled(CourseRolled in) {
        this.in = in;
        byRule = in.rollover.by() instanceof RollBy.ByRule;
    }

    /** The course with its lessons where they come to; pins wait for a hand. */
    Course placed(Decisions now, Course with) {
        Course course = with;
        for (Unit unit : in.units) {
            for (Lesson lesson : unit.lessons()) {
                if (lesson.pin() != null) {
                    LocalDateTime taken = taken(lesson.id());
                    course = course.withLesson(lesson.id(), l -> l.withPin(taken == null ? null : taken.toLocalDate()));
                }
            }
        }
        for (String code : in.had.keySet()) {
            Section section = decided(course.section(code).orElseThrow(), in.had.get(code));
            course = course.withSection(section);
            if (!byRule) {
                SectionSchedule fresh = follows(now, course.withUnits(before(course)), code);
                course = section.pace() == Section.Pace.MINUTES
                        ? byMinutes(now, course, code)
                        : course.withSection(bySessions(section, in.had.get(code), fresh));
            }
        }
        return course;
    }

    private LocalDateTime taken(String lesson) {
        return in.rollover.taken().get(new Rollover.Taken(in.code, Rolled.LESSON, lesson));
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
        Set<String> out = new LinkedHashSet<>(there.leavesOut());
        Set<String> joined = new LinkedHashSet<>(there.joined());
        Set<String> midWeek = new LinkedHashSet<>(there.midWeek());
        for (Unit unit : in.units) {
            for (Lesson lesson : unit.lessons()) {
                String id = lesson.id();
                take(was.leavesOut(), id, out);
                take(was.joined(), id, joined);
                section = section.withLength(id, was.lengths().get(id));
                Optional<LocalDate> pin = was.pins().get(id);
                if (pin != null && pin.isPresent() && taken(id) != null && lesson.pin() == null) {
                    section = section.withPin(id, Optional.of(taken(id).toLocalDate()));
                } else if (pin != null && pin.isEmpty()) {
                    section = section.withPin(id, Optional.empty());
                }
                if (byRule) {
                    take(was.midWeek(), id, midWeek);
                    section = section.withGap(id, was.gaps().getOrDefault(id, 0));
                }
            }
        }
        return section.withLeavesOut(out)
                .withJoined(joined)
                .withMidWeek(midWeek)
                .withHoldsEmpty(holds(section, had));
    }

    private static void take(Set<String> from, String id, Set<String> to) {
        if (from.contains(id)) {
            to.add(id);
        }
    }

    private Set<LocalDateTime> holds(Section section, SectionSchedule had) {
        Set<LocalDateTime> holds = new LinkedHashSet<>(section.holdsEmpty());
        if (!in.rollover.units().isEmpty()) {
            return holds;
        }
        Carrying way = in.ways.get(section.code());
        for (LocalDateTime name : had.section().holdsEmpty()) {
            had.sessions().indexOf(name).ifPresent(index -> {
                Session session = had.sessions().get(index);
                Optional<LocalDateTime> there = way.session(session);
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
        Carrying way = in.ways.get(section.code());
        int at = behindOthers(fresh, usable);
        int last = -1;
        for (Unit unit : in.units) {
            boolean opens = unit.startsWeek();
            for (Lesson lesson : unit.lessons()) {
                if (section.leavesOut(lesson)) {
                    continue;
                }
                Placement was = had.byLesson().get(lesson.id());
                boolean whole = was.placed() && !was.noSession();
                boolean joins = was.placed() && was.first() == last && !lesson.reserve();
                if (joins) {
                    section = section.withJoined(plus(section.joined(), lesson.id()));
                    continue;
                }
                last = was.placed() ? was.last() : last;
                int took = was.slots().size();
                if (whole && took != section.length(lesson)) {
                    section = section.withLength(lesson.id(), took == lesson.length() ? null : took);
                }
                int natural = Math.min(usable.size(), at + lesson.gapBefore());
                while (opens && natural < usable.size() && !usable.opensWeek(natural)) {
                    natural++;
                }
                int goal = was.placed()
                        ? Math.max(at, way.position(had.sessions().get(was.first()), was.first(), usable))
                        : natural;
                if (goal != natural) {
                    section = section.withGap(lesson.id(), goal - at - lesson.gapBefore());
                    if (opens && goal < usable.size() && !usable.opensWeek(goal)) {
                        section = section.withMidWeek(plus(section.midWeek(), lesson.id()));
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

    private static Set<String> plus(Set<String> ids, String id) {
        Set<String> all = new LinkedHashSet<>(ids);
        all.add(id);
        return all;
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

    /** Lessons that take minutes as they come: one that would come too early waits for its class. */
    private Course byMinutes(Decisions now, Course with, String code) {
        Course course = with;
        SectionSchedule had = in.had.get(code);
        Carrying way = in.ways.get(code);
        for (Unit unit : in.units) {
            for (Lesson lesson : unit.lessons()) {
                Placement was = had.byLesson().get(lesson.id());
                SectionSchedule follows = follows(now, course, code);
                Placement is = follows.byLesson().get(lesson.id());
                if (!was.placed() || !is.placed()) {
                    continue;
                }
                Usable usable =
                        Usable.of(follows.sessions(), follows.calendar().term().weekStart());
                int goal = way.position(had.sessions().get(was.first()), was.first(), usable);
                int behind = 0;
                for (int k = 0; k < Math.min(goal, usable.size()); k++) {
                    behind += usable.session(k) >= is.first() ? 1 : 0;
                }
                if (behind > 0) {
                    Section section = course.section(code).orElseThrow();
                    int own = section.gaps().getOrDefault(lesson.id(), 0);
                    boolean within = is.first() == lastBefore(follows, lesson);
                    course = course.withSection(section.withGap(lesson.id(), own + behind - (within ? 1 : 0)));
                }
            }
        }
        return course;
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

    /** A row for each lesson of a unit that the section does not leave out. */
    void rows(Unit unit, SectionSchedule is, List<Rolled> rows) {
        String code = is.section().code();
        SectionSchedule had = in.had.get(code);
        for (Lesson lesson : unit.lessons()) {
            Placement now = is.byLesson().get(lesson.id());
            Placement was = had.byLesson().get(lesson.id());
            if (now == null || now.leftOut()) {
                continue;
            }
            LocalDateTime old = had.start(lesson.id()).orElse(null);
            LocalDateTime start = now.noSession() ? null : is.start(lesson.id()).orElse(null);
            Carried raw = old == null || byRule ? null : in.ways.get(code).raw(old);
            boolean dated = raw != null && raw.at() != null && !(in.rollover.by() instanceof RollBy.ByClass);
            boolean noClass = dated && on(is, raw.at().toLocalDate()).isEmpty();
            boolean pinned = had.section().pin(lesson) != null && is.section().pin(now.lesson()) == null;
            LocalDateTime suggested =
                    pinned && old != null ? in.ways.get(code).date(old).at() : null;
            String why = start == null
                    ? lack(is, now)
                    : dated
                            ? raw.why() + moved(is, raw, noClass, start)
                            : "session " + (now.first() + 1) + " of "
                                    + is.sessions().size()
                                    + (!byRule && was.placed() && was.first() < now.first()
                                            ? ", behind the lessons before it"
                                            : "");
            String hand = !pinned
                    ? null
                    : "pinned to " + Say.day(had.section().pin(lesson)) + " by hand"
                            + (suggested == null ? "" : "; " + why + " would be");
            String because = suggested == null ? why : hand + " " + Say.moment(suggested);
            rows.add(new Rolled(
                    in.code,
                    code,
                    Rolled.LESSON,
                    unit,
                    lesson.id(),
                    lesson.title(),
                    old,
                    start,
                    because,
                    noClass && start != null,
                    hand,
                    suggested));
        }
    }

    private static Optional<Session> on(SectionSchedule is, LocalDate day) {
        return is.sessions().all().stream().filter(s -> s.date().equals(day)).findFirst();
    }

    private static String moved(SectionSchedule is, Carried raw, boolean noClass, LocalDateTime start) {
        if (start.toLocalDate().equals(raw.at().toLocalDate())) {
            return "";
        }
        return " would be " + Say.day(raw.at().toLocalDate())
                + (noClass ? ", no class: the next that is free" : ", behind the lessons before it");
    }

    /** Why a lesson finds no session. */
    private static String lack(SectionSchedule is, Placement lost) {
        int n = is.sessions().size();
        Placement last = null;
        for (Placement placement : is.placements()) {
            if (placement == lost) {
                break;
            }
            last = placement.placed() && !placement.noSession() ? placement : last;
        }
        if (n == 0) {
            return "the section has no class";
        }
        return last == null
                ? "the " + n + " sessions are taken"
                : "the " + n + " sessions end with " + last.lesson().id() + " on "
                        + Say.day(is.sessions().get(last.last()).date());
    }
}
