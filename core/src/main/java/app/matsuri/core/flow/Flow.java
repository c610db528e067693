package app.matsuri.core.flow;

import app.matsuri.core.flow.Placement.Lack;
import app.matsuri.core.flow.Placement.Slot;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.session.Sessions;
import app.matsuri.core.session.Timetable;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Places the lessons of a course on the sessions of one section, in order. Deterministic; linear in lessons plus
 * sessions. A lesson that is joined shares the last session of the lesson placed before it, one at most, and takes no time
 * of its own; one pinned to another day, one under way, a reserve and one without a lesson before it take their own.
 */
public final class Flow {

    private final Course course;
    private final Section section;
    private final Sessions sessions;

    private final Usable usable;

    private final Map<String, List<Integer>> taught;
    private final Set<String> tests;

    private Flow(Course course, Section section, Sessions sessions, DayOfWeek weekStart, Set<String> tests) {
        this.course = course;
        this.section = section;
        this.sessions = sessions;
        usable = Usable.of(sessions, weekStart);
        taught = taught();
        this.tests = tests;
    }

    /**
     * Where every lesson of the course falls in the section, in the order of the plan.
     *
     * @param weekStart the first day of a week
     * @param tests ids of lessons that hold a test, which by minutes keep to one session where they fit into one
     */
    public static List<Placement> place(
            Course course, Section section, Sessions sessions, DayOfWeek weekStart, Set<String> tests) {
        return new Flow(course, section, sessions, weekStart, tests).run();
    }

    /** For each lesson with a record, the sessions in which it was taught, in time order. */
    private Map<String, List<Integer>> taught() {
        Map<String, List<Integer>> byLesson = new HashMap<>();
        section.taught()
                .forEach((name, lessons) -> sessions.indexOf(name)
                        .ifPresent(index -> lessons.forEach(id -> byLesson.computeIfAbsent(id, x -> new ArrayList<>())
                                .add(index))));
        byLesson.values().forEach(indices -> indices.sort(null));
        return byLesson;
    }

    /** What is still to be placed of a lesson. */
    private record Rest(
            Unit unit,
            Lesson lesson,
            boolean resumed,
            boolean opensUnit,
            int length,
            int minutes,
            @Nullable LocalDate pin) {

        boolean joins(Section section) {
            return section.own(lesson.id()).joined() && !resumed && !lesson.reserve();
        }
    }

    private List<Placement> run() {
        List<Placement> done = new ArrayList<>();
        List<Rest> rests = new ArrayList<>();
        List<Integer> places = new ArrayList<>();
        for (Unit unit : course.units()) {
            boolean first = true;
            for (Lesson lesson : unit.lessons()) {
                if (section.leavesOut(lesson)) {
                    done.add(new Placement(unit, lesson, List.of(), true, false, 0, null));
                    continue;
                }
                List<Integer> had = taught.get(lesson.id());
                boolean resumed = had != null && section.own(lesson.id()).partly();
                if (had == null || resumed) {
                    int length = section.length(lesson);
                    int classes = had == null ? 0 : had.size();
                    int minutes = resumed
                            ? section.minutesLeft(lesson, classes, course.usualMinutes())
                            : length * course.usualMinutes();
                    rests.add(new Rest(
                            unit,
                            lesson,
                            resumed,
                            first,
                            resumed ? Math.max(1, length - classes) : length,
                            minutes,
                            resumed ? null : section.pin(lesson)));
                    places.add(done.size());
                }
                List<Slot> slots = had == null
                        ? List.of()
                        : had.stream().map(i -> new Slot(i, true, 0)).toList();
                done.add(new Placement(unit, lesson, slots, false, false, 0, null));
                first = false;
            }
        }
        new Cursor(rests).place(done, places);
        return done;
    }

    /** Walks the usable sessions; {@code at} is the session it stands in and {@code used} the minutes gone of it. */
    private final class Cursor {
        private final List<Rest> rests;
        private final int[] limits;
        private final boolean byMinutes = section.pace() == Section.Pace.MINUTES;
        private int at = usable.start();
        /** The last session of the lesson placed last; -1 where none is, or another joined it. */
        private int shared = -1;

        private int used;
        private @Nullable Lack lack;

        Cursor(List<Rest> rests) {
            this.rests = rests;
            this.limits = new int[rests.size()];
            int limit = usable.size();
            for (int i = rests.size() - 1; i >= 0; i--) {
                limits[i] = limit;
                if (rests.get(i).pin() != null) {
                    int shareable = rests.get(i).joins(section) ? 1 : 0;
                    limit = Math.min(usable.size(), pinned(rests.get(i)) + shareable);
                }
            }
        }

        void place(List<Placement> done, List<Integer> places) {
            for (int i = 0; i < rests.size(); i++) {
                Rest rest = rests.get(i);
                Placement before = done.get(places.get(i));
                if (rest.pin() != null) {
                    lack = null;
                }
                List<Slot> slots = new ArrayList<>(before.slots());
                int missing = lack == null ? take(rest, limits[i], slots) : rest.length();
                done.set(
                        places.get(i),
                        new Placement(rest.unit(), rest.lesson(), slots, false, lack != null, missing, lack));
            }
        }

        /** Takes what the lesson needs below the limit, or sets {@link #lack}; returns the sessions missing. */
        private int take(Rest rest, int limit, List<Slot> slots) {
            if (shared >= 0 && rest.joins(section) && (rest.pin() == null || shared == pinned(rest))) {
                slots.add(new Slot(usable.session(shared), false, 0));
                shared = -1;
                return 0;
            }
            int oldAt = at;
            int oldUsed = used;
            if (!rest.resumed()) {
                Lack unreachable = approach(rest);
                if (unreachable != null) {
                    at = oldAt;
                    used = oldUsed;
                    lack = unreachable;
                    return rest.length();
                }
            }
            int first;
            if (!byMinutes || rest.lesson().reserve()) {
                wholeSession();
                first = at;
                at += rest.length();
            } else {
                if (!rest.resumed() && tests.contains(rest.lesson().id())) {
                    inOneSession(rest.minutes());
                }
                first = takeMinutes(rest.minutes(), limit);
            }
            int end = used > 0 ? at + 1 : at;
            if (first >= limit || end > limit || unfinished) {
                int room = Math.max(0, limit - first);
                at = oldAt;
                used = oldUsed;
                lack = limit < usable.size() || pinAhead(rest) ? Lack.BEFORE_PIN : Lack.TERM_ENDS;
                unfinished = false;
                return Math.max(1, rest.length() - room);
            }
            boolean minutes = byMinutes && !rest.lesson().reserve();
            int left = minutes ? rest.minutes() : 0;
            for (int i = first; i < end; i++) {
                int taken = Math.min(left, minutes(i) - (i == first ? begun : 0));
                slots.add(new Slot(usable.session(i), false, taken));
                left -= taken;
            }
            shared = end - 1;
            return 0;
        }

        private boolean unfinished;
        /** Minutes gone of the session in which the lesson at hand begins. */
        private int begun;

        /** Leaves the rest of a session that is too short for so many minutes, where the next session is long enough. */
        private void inOneSession(int need) {
            while (at < usable.size() && left() < Timetable.LEAST_MINUTES) {
                next();
            }
            boolean cut = used > 0 && need - left() >= Timetable.LEAST_MINUTES;
            if (cut && at + 1 < usable.size() && need - minutes(at + 1) < Timetable.LEAST_MINUTES) {
                next();
            }
        }

        /** Takes minutes from session to session; returns where it began. */
        private int takeMinutes(int need, int limit) {
            while (at < limit && left() < Timetable.LEAST_MINUTES) {
                next();
            }
            int first = at;
            int rest = need;
            begun = used;
            while (at < limit) {
                int left = left();
                if (rest < left) {
                    used += rest;
                    return first;
                }
                rest -= left;
                next();
                if (rest < Timetable.LEAST_MINUTES) {
                    return first;
                }
            }
            unfinished = true;
            return first;
        }

        /** Goes to where the lesson may begin by its gap, week start and pin; why not, when its pin has no room. */
        private @Nullable Lack approach(Rest rest) {
            if (rest.pin() != null) {
                int session = pinned(rest);
                if (session >= usable.size() || session < at || session == at && used > 0) {
                    return Lack.PIN_HAS_NO_ROOM;
                }
                at = session;
                used = 0;
                return null;
            }
            int gap = section.gap(rest.lesson());
            if (gap > 0) {
                wholeSession();
                at += gap;
            }
            boolean anyDay = section.own(rest.lesson().id()).midWeek();
            if (rest.opensUnit() && rest.unit().startsWeek() && !anyDay) {
                wholeSession();
                while (at < usable.size() && !usable.opensWeek(at)) {
                    at++;
                }
            }
            return null;
        }

        private int pinned(Rest rest) {
            return usable.onOrAfter(rest.pin());
        }

        private boolean pinAhead(Rest rest) {
            boolean behind = false;
            for (Rest other : rests) {
                if (behind && other.pin() != null) {
                    return true;
                }
                behind |= other == rest;
            }
            return false;
        }

        private int left() {
            return minutes(at) - used;
        }

        private int minutes(int k) {
            return sessions.get(usable.session(k)).minutes();
        }

        private void next() {
            at++;
            used = 0;
        }

        private void wholeSession() {
            if (used > 0) {
                next();
            }
        }
    }
}
