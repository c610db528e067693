package app.matsuri.core.gradebook;

import app.matsuri.core.plan.Student;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.StudentDates;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Whom another due date of a piece of work makes late, or no longer late. A student is late who handed it in after it
 * was due, or has not handed it in and it is due already. Work is looked at as soon as anyone of the section handed it
 * in: of other work the grade book knows nothing.
 *
 * @param becomes how many students become late
 * @param noLonger how many are no longer late
 * @param handedIn how many have handed it in
 */
public record Lateness(
        String course, String section, String item, String title, int becomes, int noLonger, int handedIn) {

    /**
     * What a change makes of it, for each piece of work whose due date it moves for somebody; in order of the plan.
     *
     * @param now in the term's zone
     */
    public static List<Lateness> between(Schedule before, Schedule after, List<HandIn> handIns, LocalDateTime now) {
        List<Lateness> all = new ArrayList<>();
        if (handIns.isEmpty()) {
            return all;
        }
        for (SectionSchedule is : after.sections()) {
            before.section(is.course().code(), is.section().code())
                    .ifPresent(was -> all.addAll(section(was, is, handIns, now)));
        }
        return all;
    }

    private static List<Lateness> section(
            SectionSchedule was, SectionSchedule is, List<HandIn> handIns, LocalDateTime now) {
        Map<String, Map<String, LocalDateTime>> byItem = byItem(is, handIns);
        List<Lateness> all = new ArrayList<>();
        for (ItemDates dates : is.dates()) {
            String item = dates.item().id();
            Map<String, LocalDateTime> handedIn = byItem.get(item);
            ItemDates old = was.byItem().get(item);
            if (handedIn == null || old == null) {
                continue;
            }
            Map<String, LocalDateTime> before = due(was, old);
            Map<String, LocalDateTime> after = due(is, dates);
            if (!before.equals(after)) {
                all.add(of(is, dates, before, after, handedIn, now));
            }
        }
        return all;
    }

    /**
     * What it makes of a piece of work that it is due at another time than students were told.
     *
     * @param told null where they were told no due date
     */
    public static Lateness told(
            SectionSchedule in,
            ItemDates dates,
            @Nullable LocalDateTime told,
            List<HandIn> handIns,
            LocalDateTime now) {
        Map<String, LocalDateTime> after = due(in, dates);
        Map<String, LocalDateTime> before = new HashMap<>(after);
        LocalDateTime usual = at(dates.due());
        before.replaceAll((student, at) -> Objects.equals(at, usual) ? told : at);
        return of(
                in,
                dates,
                before,
                after,
                byItem(in, handIns).getOrDefault(dates.item().id(), Map.of()),
                now);
    }

    private static Lateness of(
            SectionSchedule in,
            ItemDates dates,
            Map<String, LocalDateTime> before,
            Map<String, LocalDateTime> after,
            Map<String, LocalDateTime> handedIn,
            LocalDateTime now) {
        int becomes = 0;
        int noLonger = 0;
        for (Student student : in.section().students()) {
            LocalDateTime done = handedIn.getOrDefault(student.id(), now);
            boolean was = !handedIn.isEmpty() && late(before.get(student.id()), done);
            boolean is = !handedIn.isEmpty() && late(after.get(student.id()), done);
            becomes += !was && is ? 1 : 0;
            noLonger += was && !is ? 1 : 0;
        }
        return new Lateness(
                in.course().code(),
                in.section().code(),
                dates.item().id(),
                dates.item().title(),
                becomes,
                noLonger,
                handedIn.size());
    }

    private static boolean late(@Nullable LocalDateTime due, LocalDateTime done) {
        return due != null && done.isAfter(due);
    }

    /** When it is due for each student of the section. */
    private static Map<String, LocalDateTime> due(SectionSchedule in, ItemDates dates) {
        Map<String, LocalDateTime> due = new HashMap<>();
        in.section().students().forEach(s -> due.put(s.id(), at(dates.due())));
        for (StudentDates own : in.studentDates()) {
            if (own.dates().item().id().equals(dates.item().id())) {
                due.replace(own.student(), at(own.dates().due()));
            }
        }
        return due;
    }

    private static @Nullable LocalDateTime at(@Nullable Resolved date) {
        return date == null ? null : date.at();
    }

    /** By work, then by student, when it was handed in; of the section's own students only. */
    private static Map<String, Map<String, LocalDateTime>> byItem(SectionSchedule in, List<HandIn> handIns) {
        List<String> students =
                in.section().students().stream().map(Student::id).toList();
        Map<String, Map<String, LocalDateTime>> byItem = new HashMap<>();
        for (HandIn one : handIns) {
            if (one.course().equals(in.course().code()) && students.contains(one.student())) {
                byItem.computeIfAbsent(one.item(), i -> new HashMap<>()).put(one.student(), one.at());
            }
        }
        return byItem;
    }
}
