package app.matsuri.core.reminding;

import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.Reminder.Before;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.shown.Reader;
import app.matsuri.core.shown.Shown;
import app.matsuri.core.shown.ShownSession;
import app.matsuri.core.shown.ShownThing;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Who in a section is reminded of what, and when: by what its students were told, never by what is planned. */
public final class Remindings {

    private final SectionSchedule in;
    private final List<Reminder> reminders;
    private final Map<String, Set<ThingRef>> handedIn;
    private final Shown shown;
    /** What students see who have dates of their own, by their ids. */
    private final Map<String, Shown> others = new LinkedHashMap<>();

    private Remindings(Schedule schedule, SectionSchedule in, Map<String, Set<ThingRef>> handedIn, LocalDateTime now) {
        this.in = in;
        this.reminders = in.course().besides().reminders();
        this.handedIn = handedIn;
        this.shown = Shown.of(schedule, in, Reader.CLASS, now);
        in.section().adjustments().stream()
                .map(Adjustment::student)
                .filter(Objects::nonNull)
                .distinct()
                .forEach(id -> others.put(id, Shown.of(schedule, in, new Reader(id, Set.of()), now)));
    }

    /**
     * All of a section, over the whole term, in order of time.
     *
     * @param handedIn what each student handed in, by the student's id
     * @param now as students see it then: what is hidden until later is not in it
     */
    public static List<Reminding> of(
            Schedule schedule, SectionSchedule in, Map<String, Set<ThingRef>> handedIn, LocalDateTime now) {
        if (in.course().besides().reminders().isEmpty() || !in.section().told().begun()) {
            return List.of();
        }
        Remindings all = new Remindings(schedule, in, handedIn, now);
        List<Reminding> list = new ArrayList<>();
        all.work(list);
        all.classes(list);
        list.sort(Comparator.comparing(Reminding::at)
                .thenComparing(Reminding::date)
                .thenComparing(Reminding::title));
        return list;
    }

    private void work(List<Reminding> list) {
        for (ShownThing thing : shown.things()) {
            for (Before before : Before.values()) {
                for (Reminder reminder : holding(reminders, in.course().code(), thing, before)) {
                    dates(thing, before, reminder).forEach((date, students) -> {
                        if (reminder.to() == Reminder.Whom.INSTRUCTOR || !students.isEmpty()) {
                            list.add(of(reminder, thing.ref(), thing.title(), date, students));
                        }
                    });
                }
            }
        }
    }

    /**
     * Those of a course that hold for work before one of its dates; none for work that is gone, which waits only to be told so. What
     * another course shares has no reminder of its own here.
     *
     * @param course code of the course whose reminders they are
     */
    public static List<Reminder> holding(List<Reminder> reminders, String course, ShownThing thing, Before before) {
        ShownThing.About about = thing.about();
        if (about == null || before.which() == null) {
            return List.of();
        }
        boolean points = about.points() != null && about.points().signum() > 0;
        String item = thing.ref().course().equals(course) ? thing.ref().id() : null;
        return Reminder.of(reminders, item, about.kind(), points, before);
    }

    /** The students that it concerns by the date that each was told; who teaches by the date of the class. */
    private Map<LocalDateTime, List<String>> dates(ShownThing thing, Before before, Reminder reminder) {
        Map<LocalDateTime, List<String>> dates = new TreeMap<>();
        LocalDateTime date = at(thing, before);
        if (reminder.to() == Reminder.Whom.INSTRUCTOR) {
            if (date != null) {
                dates.put(date, List.of());
            }
            return dates;
        }
        for (Student student : in.section().students()) {
            if (handedIn.getOrDefault(student.id(), Set.of()).contains(thing.ref())) {
                continue;
            }
            Shown own = others.get(student.id());
            LocalDateTime theirs = own == null
                    ? date
                    : thing(own, thing.ref()).map(t -> at(t, before)).orElse(null);
            if (theirs != null) {
                dates.computeIfAbsent(theirs, d -> new ArrayList<>()).add(student.id());
            }
        }
        return dates;
    }

    private static Optional<ShownThing> thing(Shown in, ThingRef ref) {
        return in.things().stream().filter(t -> t.ref().equals(ref)).findFirst();
    }

    private static @Nullable LocalDateTime at(ShownThing thing, Before before) {
        return before.which() == null ? null : thing.at(before.which());
    }

    private void classes(List<Reminding> list) {
        List<Reminder> before =
                reminders.stream().filter(r -> r.before() == Before.SESSION).toList();
        List<String> all = in.section().students().stream().map(Student::id).toList();
        for (ShownSession session : shown.sessions()) {
            for (Reminder reminder : session.timed() ? before : List.<Reminder>of()) {
                boolean own = reminder.to() == Reminder.Whom.INSTRUCTOR;
                if (own || !all.isEmpty()) {
                    String title = session.lessons().stream()
                            .map(ShownSession.Part::title)
                            .collect(Collectors.joining("; "));
                    list.add(of(reminder, null, title, session.start(), own ? List.of() : all));
                }
            }
        }
    }

    private Reminding of(
            Reminder reminder, @Nullable ThingRef thing, String title, LocalDateTime date, List<String> students) {
        return new Reminding(
                reminder, in.ref(), thing, title, date, reminder.lead().of(date), students, "");
    }
}
