package app.matsuri.core.change;

import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Where repairs take hold of a section: at which of its classes. */
public final class TakesHold {

    private TakesHold() {}

    private static boolean concerns(SectionSchedule in, String course, @Nullable String section) {
        return in.course().code().equals(course)
                && (section == null || in.section().code().equals(section));
    }

    /** At a class. */
    public static Optional<LocalDateTime> session(
            SectionSchedule in, String course, String section, LocalDateTime name) {
        return !concerns(in, course, section) || in.sessions().indexOf(name).isEmpty()
                ? Optional.empty()
                : Optional.of(in.sessions()
                        .get(in.sessions().indexOf(name).getAsInt())
                        .start());
    }

    /** Lessons that are put elsewhere, and the one before which they go: where none is said, the first of the unit behind theirs. */
    public static List<String> movedBefore(
            SectionSchedule in, List<String> lessons, String unit, @Nullable String before) {
        List<String> touched = new ArrayList<>(lessons);
        boolean behind = false;
        for (Unit each : in.course().units()) {
            if (behind && before == null && !each.lessons().isEmpty()) {
                touched.add(each.lessons().get(0).id());
                break;
            }
            behind |= each.id().equals(unit);
        }
        if (before != null) {
            touched.add(before);
        }
        return touched;
    }

    /** The lessons of units; either may be null, or not in the plan. */
    public static List<String> inUnits(SectionSchedule in, @Nullable String unit, @Nullable String other) {
        return in.course().units().stream()
                .filter(u -> u.id().equals(unit) || u.id().equals(other))
                .flatMap(u -> u.lessons().stream())
                .map(Lesson::id)
                .toList();
    }

    /**
     * At the first class that any of the lessons has to come, or on a day where that is earlier; at no class in particular where
     * none has one.
     *
     * @param section null for every section of the course
     * @param day null for none
     */
    public static Optional<LocalDateTime> lessons(
            SectionSchedule in,
            String course,
            @Nullable String section,
            Collection<String> lessons,
            @Nullable LocalDate day) {
        if (!concerns(in, course, section)) {
            return Optional.empty();
        }
        LocalDateTime first = day == null ? LocalDateTime.MAX : day.atStartOfDay();
        for (String id : lessons) {
            Placement placement = in.byLesson().get(id);
            if (placement == null) {
                continue;
            }
            for (Placement.Slot slot : placement.slots()) {
                LocalDateTime start = in.sessions().get(slot.session()).start();
                first = !slot.taught() && start.isBefore(first) ? start : first;
            }
        }
        return Optional.of(first);
    }
}
