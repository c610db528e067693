package app.matsuri.core.due;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Untold;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Work that is due, as it is planned: for all sections of a course that have it due at the same moment.
 *
 * @param sections codes of those
 * @param due local date-time in the term's zone
 * @param closes until when it is taken; null for no closing of its own, and where the sections differ in it
 * @param waits what it still waits for
 */
public record DueThing(
        String course,
        List<String> sections,
        String id,
        String title,
        String kind,
        LocalDateTime due,
        @Nullable LocalDateTime closes,
        When when,
        Set<Wait> waits) {

    /** When it is due, seen from now. */
    public enum When {
        TODAY,
        /** Later in this week. */
        WEEK,
        /** Later in this month. */
        MONTH,
        LATER,
        PAST
    }

    /** What it still waits for. */
    public enum Wait {
        /** Students were told another date, or none. */
        NOT_TOLD,
        /** It is handed in as a file, and there is no link and no place for that. */
        NO_LINK,
        /** It was due, it has points, and nobody handed anything in. */
        NOTHING_HANDED_IN
    }

    private record Key(String course, String id, LocalDateTime due) {}

    /**
     * All that is due in a term, in order of time.
     *
     * @param handedIn work that anybody handed in
     * @param now on the clock of the term's zone
     */
    public static List<DueThing> of(Schedule schedule, Set<ThingRef> handedIn, LocalDateTime now) {
        Map<Key, DueThing> all = new LinkedHashMap<>();
        for (SectionSchedule in : schedule.sections()) {
            Set<String> untold = Untold.differing(in).stream()
                    .filter(u -> u.what().equals(Untold.what(Which.DUE)))
                    .map(Untold::id)
                    .collect(Collectors.toSet());
            Course course = in.course();
            for (Item item : course.items()) {
                ItemDates dates = in.byItem().get(item.id());
                LocalDateTime due = at(dates, Which.DUE);
                if (due != null && item.concerns(in.section().code())) {
                    Set<Wait> waits = EnumSet.noneOf(Wait.class);
                    if (untold.contains(item.id()) || !in.section().told().begun()) {
                        waits.add(Wait.NOT_TOLD);
                    }
                    waits.addAll(waits(item, handedIn.contains(new ThingRef(course.code(), item.id())), due, now));
                    DueThing one = new DueThing(
                            course.code(),
                            List.of(in.section().code()),
                            item.id(),
                            item.title(),
                            item.kind(),
                            due,
                            at(dates, Which.CLOSES),
                            when(due, now, schedule),
                            waits);
                    all.merge(new Key(course.code(), item.id(), due), one, DueThing::with);
                }
            }
        }
        return all.values().stream().sorted(Comparator.comparing(DueThing::due)).toList();
    }

    private DueThing with(DueThing other) {
        List<String> both = new ArrayList<>(sections);
        both.addAll(other.sections);
        Set<Wait> all = EnumSet.noneOf(Wait.class);
        all.addAll(waits);
        all.addAll(other.waits);
        LocalDateTime same = closes != null && closes.equals(other.closes) ? closes : null;
        return new DueThing(course, both, id, title, kind, due, same, when, all);
    }

    private static @Nullable LocalDateTime at(@Nullable ItemDates dates, Which which) {
        Resolved came = dates == null ? null : dates.get(which);
        return came == null ? null : came.at();
    }

    private static Set<Wait> waits(Item item, boolean handedIn, LocalDateTime due, LocalDateTime now) {
        Set<Wait> waits = EnumSet.noneOf(Wait.class);
        ItemDetails details = item.details();
        if (details.handIn().equals("file")
                && details.handInPlace().isBlank()
                && details.links().isEmpty()) {
            waits.add(Wait.NO_LINK);
        }
        BigDecimal points = item.points();
        if (due.isBefore(now) && points != null && points.signum() > 0 && !handedIn) {
            waits.add(Wait.NOTHING_HANDED_IN);
        }
        return waits;
    }

    private static When when(LocalDateTime due, LocalDateTime now, Schedule schedule) {
        LocalDate today = now.toLocalDate();
        LocalDate day = due.toLocalDate();
        if (day.equals(today)) {
            return When.TODAY;
        }
        if (day.isBefore(today)) {
            return When.PAST;
        }
        LocalDate week = today.with(
                TemporalAdjusters.previousOrSame(schedule.calendar().term().weekStart()));
        if (day.isBefore(week.plusDays(7))) {
            return When.WEEK;
        }
        return day.getMonth() == today.getMonth() && day.getYear() == today.getYear() ? When.MONTH : When.LATER;
    }
}
