package app.matsuri.core.change;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.plan.Course;
import java.util.Collection;
import java.util.List;

/** Whom days off and shared notices concern, after a course or a section got another code. */
public final class Scopes {

    private Scopes() {}

    /** The closure with the code replaced in its scope, in the codes of its sections too. */
    public static Closure renamed(Closure closure, String old, String now) {
        if (closure.only() == null || old.equals(now)) {
            return closure;
        }
        List<String> only = renamed(closure.only(), old, now);
        return new Closure(
                closure.days(),
                closure.from(),
                closure.to(),
                closure.reason(),
                closure.kind(),
                closure.noClass(),
                closure.planPauses(),
                closure.nothingDue(),
                only,
                closure.justInCase(),
                closure.extra());
    }

    /** The courses with the code replaced in what they share, in the codes of its sections too. */
    public static List<Course> renamed(List<Course> courses, String old, String now) {
        if (old.equals(now)) {
            return courses;
        }
        return courses.stream()
                .map(course -> course.withBesides(
                                course.besides().eachNotice(n -> n.withShared(renamed(n.shared(), old, now))))
                        .withUnits(course.units().stream()
                                .map(unit -> unit.withItems(unit.items().stream()
                                        .map(i -> i.withDetails(i.details()
                                                .shared(renamed(i.details().shared(), old, now))))
                                        .toList()))
                                .toList()))
                .toList();
    }

    private static List<String> renamed(Collection<String> codes, String old, String now) {
        return codes.stream()
                .map(code ->
                        code.equals(old) ? now : code.startsWith(old + "/") ? now + code.substring(old.length()) : code)
                .toList();
    }
}
