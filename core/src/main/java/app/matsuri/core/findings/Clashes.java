package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.About;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;

/**
 * Two classes at once in one place, with one instructor, or of one group of students. Said once for each pair of
 * sections, with how often.
 */
final class Clashes {

    private Clashes() {}

    private record Held(SectionSchedule in, Session session) {}

    private static final class Pair {
        final SectionSchedule a;
        final SectionSchedule b;
        final String by;
        final LocalDateTime first;
        int times;

        Pair(SectionSchedule a, SectionSchedule b, String by, LocalDateTime first) {
            this.a = a;
            this.b = b;
            this.by = by;
            this.first = first;
        }
    }

    static void look(Schedule schedule, Consumer<Finding> found) {
        List<Held> all = new ArrayList<>();
        for (SectionSchedule in : schedule.sections()) {
            for (Session session : in.sessions().all()) {
                if (session.origin() != Session.Origin.BEAT) {
                    all.add(new Held(in, session));
                }
            }
        }
        all.sort(Comparator.comparing(held -> held.session().start()));
        Map<Both, Pair> pairs = new HashMap<>();
        List<Pair> order = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Held one = all.get(i);
            for (int j = i + 1;
                    j < all.size()
                            && all.get(j)
                                    .session()
                                    .start()
                                    .isBefore(one.session().end());
                    j++) {
                note(one, all.get(j), pairs, order);
            }
        }
        for (Pair pair : order) {
            found.accept(finding(pair));
        }
    }

    /** Two sections that meet in the same place, have the same people or the same instructor. */
    private record Both(Set<SectionRef> sections, String by) {}

    private static void note(Held one, Held other, Map<Both, Pair> pairs, List<Pair> order) {
        if (one.in() == other.in()) {
            return; // said by SessionRemarks
        }
        String place = one.session().place();
        boolean samePlace =
                !place.isEmpty() && place.equalsIgnoreCase(other.session().place());
        boolean samePeople = half(one, other) || half(other, one);
        boolean sameInstructor = one.in()
                .section()
                .instructor()
                .equalsIgnoreCase(other.in().section().instructor());
        String by = samePlace ? "place" : samePeople ? "students" : sameInstructor ? "instructor" : null;
        if (by == null) {
            return;
        }
        Both both = new Both(Set.of(one.in().ref(), other.in().ref()), by);
        Pair pair = pairs.computeIfAbsent(both, k -> {
            Pair made = new Pair(one.in(), other.in(), by, other.session().start());
            order.add(made);
            return made;
        });
        pair.times++;
    }

    private static boolean half(Held of, Held half) {
        return !partOf(half).isEmpty() && partOf(half).equals(of.in().key());
    }

    private static String partOf(Held held) {
        return held.in().section().partOf();
    }

    private static Finding finding(Pair pair) {
        String a = pair.a.course().code() + " " + pair.a.section().code();
        String b = pair.b.course().code() + " " + pair.b.section().code();
        String what = switch (pair.by) {
            case "place" -> "are in one place at once";
            case "students" -> "have the same students at once";
            default -> "have one instructor at once";
        };
        String times = pair.times == 1 ? "on " : pair.times + " times, first on ";
        return new Finding(
                "clash-" + pair.by,
                pair.by.equals("place") ? Severity.WARNING : Severity.PROBLEM,
                new About("section", pair.a.course().code(), pair.a.section().code(), pair.b.key()),
                a + " and " + b + " " + what + " " + times + Say.moment(pair.first) + ".",
                null);
    }
}
