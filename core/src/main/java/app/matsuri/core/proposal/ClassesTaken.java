package app.matsuri.core.proposal;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.Sessions;
import java.util.ArrayList;
import java.util.List;

/**
 * Which classes of a section a day off would take.
 *
 * @param numbers their numbers as the plan stands, from 1, in order; never empty
 */
public record ClassesTaken(String course, String section, List<Integer> numbers) {

    /** What each of the days off alone would take, section by section; an empty list for one that takes nothing. */
    public static List<List<ClassesTaken>> of(Decisions decisions, List<Closure> closures) {
        TeachingCalendar now = TeachingCalendar.of(decisions.term());
        List<List<ClassesTaken>> all = new ArrayList<>();
        List<Closure> with = new ArrayList<>(decisions.term().closures());
        for (Closure closure : closures) {
            with.add(closure);
            TeachingCalendar then = TeachingCalendar.of(decisions.term().withClosures(with));
            List<ClassesTaken> taken = new ArrayList<>();
            for (Course course : decisions.courses()) {
                for (Section section : course.sections()) {
                    List<Integer> numbers = numbers(course, section, now, then);
                    if (!numbers.isEmpty()) {
                        taken.add(new ClassesTaken(course.code(), section.code(), numbers));
                    }
                }
            }
            all.add(taken);
            with.remove(with.size() - 1);
        }
        return all;
    }

    private static List<Integer> numbers(Course course, Section section, TeachingCalendar now, TeachingCalendar then) {
        Sessions before = section.timetable(course.code()).sessions(now);
        Sessions after = section.timetable(course.code()).sessions(then);
        List<Integer> numbers = new ArrayList<>();
        for (int i = 0; i < before.size(); i++) {
            Session session = before.get(i);
            if (after.indexOf(session.name()).isEmpty()) {
                numbers.add(i + 1);
            }
        }
        return numbers;
    }

    /** "takes class 30 from A", "takes classes 35, 36 from HYD 210 A"; "no class is lost" for none. */
    public static String say(List<ClassesTaken> taken, boolean oneCourse) {
        if (taken.isEmpty()) {
            return "no class is lost";
        }
        List<String> parts = new ArrayList<>();
        for (ClassesTaken one : taken) {
            String from = oneCourse ? one.section() : one.course() + " " + one.section();
            List<Integer> n = one.numbers();
            String which = n.size() == 1
                    ? "class " + n.get(0)
                    : n.size() > 2 && n.get(n.size() - 1) - n.get(0) == n.size() - 1
                            ? "classes " + n.get(0) + " to " + n.get(n.size() - 1)
                            : "classes "
                                    + String.join(
                                            ", ",
                                            n.stream().map(String::valueOf).toList());
            parts.add(which + " from " + from);
        }
        return "takes " + String.join(", ", parts);
    }
}
