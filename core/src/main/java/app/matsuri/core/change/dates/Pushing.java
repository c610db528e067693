package app.matsuri.core.change.dates;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Gone;
import app.matsuri.core.change.Order;
import app.matsuri.core.change.Refused;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Pushes lessons later or earlier for a {@link Shift}: by gaps, pins, held classes and spare days. */
public final class Pushing {

    private final Shift shift;
    private final Decisions before;
    private final SectionSchedule view;
    private final List<String> notes;

    /**
     * @param schedule the section whose days are meant
     * @param notes where to say what did not go quite as asked
     */
    Pushing(Shift shift, Decisions before, SectionSchedule schedule, List<String> notes) {
        this.shift = shift;
        this.before = before;
        this.view = schedule;
        this.notes = notes;
    }

    /** The course in which the lesson comes later or earlier, in the section or in all, and the rest along with it. */
    Course push(Lesson first) {
        Course course = view.course();
        if (shift.section() != null) {
            return course.withSection(pushed(view, first));
        }
        // the plan moves by what its first section needs; other sections make up the difference on their own
        int n = classes(view, first);
        LocalDate pin = view.section().pin(first);
        if (n < 0 && pin == null) {
            return earlierPlan(course, first, -n);
        }
        if (pin != null) {
            LocalDate date = sessionDate(view, first, n);
            return view.section().own(first.id()).pin().planned()
                    ? course.withLesson(first.id(), l -> l.withPin(date))
                    : course.withSection(view.section().withPin(first.id(), Own.other(date)));
        }
        Course moved = course.withLesson(first.id(), l -> l.withGap(l.gapBefore() + n));
        for (SectionSchedule other : Schedule.of(before).sections(course.code())) {
            Placement placement = other.placement(first.id());
            boolean open = placement.slots().stream().anyMatch(s -> !s.taught());
            int own = open && shift.in() != Shift.In.SESSIONS ? difference(other, first, n) : 0;
            if (own != 0) {
                Section section = other.section();
                int gap = section.gap(first.id()) + own;
                moved = moved.withSection(section.withGap(first.id(), gap));
            }
        }
        return moved;
    }

    /** The section in which the lesson comes later or earlier. */
    private Section pushed(SectionSchedule in, Lesson first) {
        Section section = in.section();
        int n = classes(in, first);
        Placement placement = in.placement(first.id());
        boolean resumed = placement.slots().stream().anyMatch(Placement.Slot::taught);
        if (section.pin(first) != null && !resumed) {
            return section.withPin(first.id(), Own.other(sessionDate(in, first, n)));
        }
        if (n < 0) {
            return earlier(in, section, first, -n);
        }
        if (resumed) {
            // what is left of a lesson heeds no gap: the classes before it are held empty instead
            Set<LocalDateTime> held = section.holdsEmpty();
            List<Session> open = open(in);
            int at = openIndex(in, first, open);
            for (int i = at; i < Math.min(open.size(), at + n); i++) {
                held = With.member(held, open.get(i).name(), true);
            }
            return section.withHoldsEmpty(held);
        }
        return section.withGap(first.id(), section.gap(first.id()) + n);
    }

    private Section earlier(SectionSchedule in, Section section, Lesson first, int wanted) {
        int left = wanted;
        Section now = section;
        int gap = Math.min(now.gap(first), left);
        now = now.withGap(first.id(), now.gap(first.id()) - gap);
        left -= gap;
        List<Placement> order = in.placements();
        int at = order.indexOf(in.byLesson().get(first.id()));
        int firstSession = in.placement(first.id()).slots().stream()
                .filter(s -> !s.taught())
                .findFirst()
                .orElseThrow()
                .session();
        for (int s = firstSession - 1;
                s >= 0 && left > 0 && in.sessions().get(s).held();
                s--) {
            now = now.withHoldsEmpty(
                    With.member(now.holdsEmpty(), in.sessions().get(s).name(), false));
            left--;
        }
        for (int i = at - 1; i >= 0 && left > 0; i--) {
            Placement previous = order.get(i);
            if (previous.leftOut()) {
                continue;
            }
            Lesson lesson = previous.lesson();
            if (!lesson.reserve() || previous.taught()) {
                break;
            }
            int length = now.length(lesson);
            int freed = length + now.gap(lesson);
            if (left >= length) {
                now = now.withLeftOut(lesson.id(), true);
                int over = Math.max(0, freed - left);
                now = now.withGap(first.id(), now.gap(first.id()) + over);
                left = Math.max(0, left - freed);
            } else {
                now = now.withLength(lesson.id(), length - left);
                left = 0;
            }
        }
        tooFar(in, first, wanted, left);
        return now;
    }

    private Course earlierPlan(Course course, Lesson first, int wanted) {
        int gap = Math.min(first.gapBefore(), wanted);
        int left = wanted - gap;
        Course now = course.withLesson(first.id(), l -> l.withGap(l.gapBefore() - gap));
        List<Lesson> lessons = course.lessons();
        for (int i = lessons.indexOf(first) - 1; i >= 0 && left > 0; i--) {
            Lesson previous = lessons.get(i);
            if (!previous.reserve() || view.placement(previous.id()).taught()) {
                break;
            }
            if (left >= previous.length()) {
                left -= previous.length();
                now = now.withUnits(now.units().stream()
                        .map(u -> u.withLessons(With.without(u.lessons(), l -> l.id().equals(previous.id()))))
                        .toList());
                now = new Gone(before, course.code(), Set.of(previous.id()), Set.of(), Set.of()).from(now, notes);
            } else {
                int shorter = previous.length() - left;
                now = now.withLesson(previous.id(), l -> l.withLength(shorter));
                left = 0;
            }
        }
        tooFar(view, first, wanted, left);
        return now;
    }

    private void tooFar(SectionSchedule in, Lesson first, int wanted, int left) {
        if (left == 0) {
            return;
        }
        String why = "before “" + first.title() + "” no empty or spare class is left";
        if (left == wanted) {
            throw new Refused("“" + first.title() + "” cannot come earlier in section "
                    + in.section().code() + ": " + why + ".");
        }
        notes.add("Earlier by " + (wanted - left) + " of " + wanted + " only: " + why + ".");
    }

    /** By how many classes more it comes later in another section; where that has none so late, by as many, which is said. */
    private int difference(SectionSchedule other, Lesson first, int n) {
        try {
            return classes(other, first) - n;
        } catch (Refused e) {
            notes.add(e.getMessage() + " There it comes later by " + Say.classes(n) + ".");
            return 0;
        }
    }

    /** By how many classes the lesson comes later (or, negative, earlier) in the section. */
    private int classes(SectionSchedule in, Lesson first) {
        if (shift.in() == Shift.In.SESSIONS) {
            return shift.by();
        }
        List<Session> open = open(in);
        int at = openIndex(in, first, open);
        LocalDate from = open.get(at).date();
        LocalDate target = reach(from)
                .orElseThrow(() -> new Refused("“" + first.title() + "” stays on " + Say.day(from)
                        + " in section " + in.section().code() + ": it would go to " + wanted(from)
                        + ", which lies outside the term."));
        int to = 0;
        while (to < open.size() && open.get(to).date().isBefore(target)) {
            to++;
        }
        if (to == open.size()) {
            throw new Refused("“" + first.title() + "” finds no class in section "
                    + in.section().code() + ": it has none on or after " + Say.day(target) + ".");
        }
        return to - at;
    }

    /** Where a day goes that is shifted by days, and rolls on from one that does not teach; empty outside the term. */
    Optional<LocalDate> reach(LocalDate day) {
        LocalDate raw = raw(day);
        if (raw == null) {
            return view.calendar().plus(day, shift.by());
        }
        Optional<LocalDate> teaching = view.calendar().plus(raw, 0);
        teaching.filter(t -> !t.equals(raw))
                .ifPresent(t -> notes.add(Say.day(raw) + " does not teach; it becomes " + Say.day(t) + "."));
        return teaching;
    }

    /** The same in words. */
    String wanted(LocalDate day) {
        int by = Math.abs(shift.by());
        LocalDate raw = raw(day);
        return raw == null ? Say.count(by, "teaching day") + (shift.by() > 0 ? " later" : " earlier") : Say.day(raw);
    }

    /** The day by the calendar; null where teaching days are counted. */
    private @Nullable LocalDate raw(LocalDate day) {
        return switch (shift.in()) {
            case DAYS -> day.plusDays(shift.by());
            case WEEKS -> day.plusWeeks(shift.by());
            default -> null;
        };
    }

    /** The sessions that lessons may still take, in order. */
    private static List<Session> open(SectionSchedule in) {
        return in.sessions().all().stream().filter(s -> s.open() && !s.record()).toList();
    }

    private static int openIndex(SectionSchedule in, Lesson lesson, List<Session> open) {
        return in.placement(lesson.id()).slots().stream()
                .filter(s -> !s.taught())
                .findFirst()
                .map(s -> open.indexOf(in.sessions().get(s.session())))
                .orElseThrow(() -> new Refused("“" + lesson.title() + "” has no class yet in section "
                        + in.section().code() + "."));
    }

    private LocalDate sessionDate(SectionSchedule in, Lesson lesson, int n) {
        List<Session> open = open(in);
        int to = openIndex(in, lesson, open) + n;
        if (to < 0 || to >= open.size()) {
            throw new Refused("“" + lesson.title() + "”, fixed on "
                    + Say.day(Known.there(in.section().pin(lesson), "a pin")) + ", stays: section "
                    + in.section().code() + " has no class "
                    + Math.abs(n) + (n > 0 ? " later." : " earlier."));
        }
        return open.get(to).date();
    }

    /** The chosen lessons change places with the n that follow, or for earlier with the n before. */
    Course changePlaces(List<Lesson> block) {
        List<Lesson> rest = new ArrayList<>();
        for (Placement placement : view.placements()) {
            if (!block.contains(placement.lesson())) {
                rest.add(placement.lesson());
            }
        }
        List<Lesson> all = view.course().lessons();
        int behind = (int) rest.stream()
                .filter(l -> all.indexOf(l) < all.indexOf(block.get(0)))
                .count();
        int to = Math.min(rest.size(), Math.max(0, behind + shift.by()));
        if (to < rest.size() && view.placement(rest.get(to).id()).taught()) {
            throw new Refused("“" + rest.get(to).title() + "” has been taught: nothing can go before it.");
        }
        Course ordered = Order.before(
                view.course(), block, to == rest.size() ? null : rest.get(to).id(), shift.keepUnit());
        notes.addAll(Order.leaving(view.course(), ordered));
        return ordered;
    }
}
