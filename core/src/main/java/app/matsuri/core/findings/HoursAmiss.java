package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.About;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.hours.Slot;
import app.matsuri.core.hours.Slots;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;

/**
 * Office hours during own classes, in a place that a class has, or during others; a course that has none; none in the week before a test.
 * Said once for each pair, with how often.
 */
final class HoursAmiss {

    /** How long before a test there should be some, in days. */
    private static final int BEFORE_TEST = 7;

    private HoursAmiss() {}

    static void look(Schedule schedule, Consumer<Finding> found) {
        List<Slots> all = new ArrayList<>();
        schedule.officeHours().forEach(h -> all.add(Slots.of(schedule.calendar(), h)));
        if (all.isEmpty()) {
            return;
        }
        for (Slots one : all) {
            schedule.sections().forEach(section -> classes(one, section, found));
        }
        for (int i = 0; i < all.size(); i++) {
            for (int j = i + 1; j < all.size(); j++) {
                others(all.get(i), all.get(j), found);
            }
        }
        Set<String> seen = new HashSet<>();
        for (SectionSchedule section : schedule.sections()) {
            Course course = section.course();
            if (!seen.add(course.code())) {
                continue;
            }
            List<Slots> of =
                    all.stream().filter(s -> s.of().isFor(course.code())).toList();
            if (of.isEmpty()) {
                found.accept(finding(
                        "hours-none",
                        Severity.REMARK,
                        about(section, ""),
                        course.code() + " has no office hours, although others have."));
            } else {
                tests(section, of, found);
            }
        }
    }

    private static void classes(Slots slots, SectionSchedule section, Consumer<Finding> found) {
        Map<LocalDate, List<Session>> on = new HashMap<>();
        for (Session session : section.sessions().all()) {
            if (session.origin() != Session.Origin.BEAT) {
                days(session.start(), session.end(), on, session);
            }
        }
        List<Slot> during = new ArrayList<>();
        boolean place = false;
        boolean own = section.section().instructor().isEmpty();
        for (Slot slot : slots.all()) {
            for (Session session : at(slot, on)) {
                if (session.start().isBefore(slot.end()) && slot.start().isBefore(session.end())) {
                    boolean there = !slot.place().isEmpty() && slot.place().equalsIgnoreCase(session.place());
                    place |= there && !own;
                    if ((own || there) && !slot.blocked()) {
                        during.add(slot);
                    }
                }
            }
        }
        if (!during.isEmpty()) {
            String what = place ? " are in the place of " : " are during the classes of ";
            found.accept(finding(
                    place ? "hours-place" : "hours-class",
                    Severity.WARNING,
                    about(section, slots.of().id()),
                    "“" + slots.of().title() + "”" + what + section.course().code() + " "
                            + section.section().code() + " " + times(during) + "."));
        }
    }

    /** Puts what goes on from a moment until another under each of its days. */
    private static <T> void days(LocalDateTime start, LocalDateTime end, Map<LocalDate, List<T>> on, T what) {
        for (LocalDate day = start.toLocalDate(); day.atStartOfDay().isBefore(end); day = day.plusDays(1)) {
            on.computeIfAbsent(day, d -> new ArrayList<>()).add(what);
        }
    }

    /** What goes on on the days of a slot. */
    private static <T> Set<T> at(Slot slot, Map<LocalDate, List<T>> on) {
        Set<T> all = new LinkedHashSet<>(on.getOrDefault(slot.date(), List.of()));
        all.addAll(on.getOrDefault(slot.end().toLocalDate(), List.of()));
        return all;
    }

    private static void others(Slots one, Slots other, Consumer<Finding> found) {
        Map<LocalDate, List<Slot>> on = new HashMap<>();
        other.all().forEach(b -> days(b.start(), b.end(), on, b));
        List<Slot> during = one.all().stream()
                .filter(a -> at(a, on).stream()
                        .anyMatch(b -> b.start().isBefore(a.end()) && a.start().isBefore(b.end())))
                .toList();
        if (!during.isEmpty()) {
            found.accept(finding(
                    "hours-twice",
                    Severity.WARNING,
                    new About("office-hours", "", "", one.of().id()),
                    "“" + one.of().title() + "” and “" + other.of().title() + "” are at once " + times(during) + "."));
        }
    }

    private static void tests(SectionSchedule section, List<Slots> of, Consumer<Finding> found) {
        for (Item item : section.course().items()) {
            ItemDates dates = item.kind().equals("test") ? section.byItem().get(item.id()) : null;
            Resolved due = dates == null ? null : dates.get(Which.DUE);
            LocalDateTime at = due == null ? null : due.at();
            if (at == null) {
                continue;
            }
            LocalDate from = at.toLocalDate().minusDays(BEFORE_TEST);
            boolean some = of.stream()
                    .flatMap(s -> s.all().stream())
                    .anyMatch(s -> !s.date().isBefore(from) && s.start().isBefore(at) && !s.blocked());
            if (!some) {
                found.accept(finding(
                        "hours-before-test",
                        Severity.REMARK,
                        new About(
                                "item",
                                section.course().code(),
                                section.section().code(),
                                item.id()),
                        "There are no office hours in the week before “" + item.title() + "” on " + Say.moment(at)
                                + "."));
            }
        }
    }

    private static String times(List<Slot> during) {
        LocalDateTime first = during.get(0).start();
        long days = during.stream().map(Slot::date).distinct().count();
        return days == 1 ? "on " + Say.moment(first) : "on " + days + " days, first on " + Say.moment(first);
    }

    private static About about(SectionSchedule section, String id) {
        return new About("section", section.course().code(), section.section().code(), id);
    }

    private static Finding finding(String kind, Severity severity, About about, String text) {
        return new Finding(kind, severity, about, text, null);
    }
}
