package app.matsuri.core.change;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.change.Change.Outcome;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Which;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Works out one {@link Shift}. */
final class Shifting {

    private final Shift shift;
    private final Decisions before;
    private final SectionSchedule view;
    private final List<String> notes = new ArrayList<>();

    Shifting(Shift shift, Decisions before) {
        this.shift = shift;
        this.before = before;
        this.view = Find.follows(before, shift.course(), shift.section());
    }

    Outcome run() {
        Set<String> chosen = chosenLessons();
        List<Lesson> movable = new ArrayList<>();
        for (Placement placement : view.placements()) {
            if (chosen.contains(placement.lesson().id()) && !placement.leftOut() && !placement.taught()) {
                movable.add(placement.lesson());
            }
        }
        List<ItemDates> items = chosenItems(chosen);
        if (movable.isEmpty() && items.stream().noneMatch(this::moves)) {
            throw new Refused("Nothing that was chosen can move: it has been taught, is left out, or has no date.");
        }
        Course course = view.course();
        int teachingDays = 0;
        if (!movable.isEmpty()) {
            LocalDate old = startOf(movable.get(0));
            course = shift.onlyThese() ? changePlaces(movable) : push(movable.get(0));
            SectionSchedule after = Find.follows(
                    before.withCourse(course), shift.course(), view.section().code());
            LocalDate now = after.start(movable.get(0).id())
                    .map(LocalDateTime::toLocalDate)
                    .orElse(old);
            TeachingCalendar calendar = view.calendar();
            teachingDays = now.isBefore(old) ? 1 - calendar.count(now, old) : calendar.count(old, now) - 1;
        }
        for (ItemDates dates : items) {
            if (moves(dates) && !dates.item().locked()) {
                course = course.withItem(moved(dates, teachingDays));
            } else if (moves(dates)) {
                notes.add("“" + dates.item().title() + "” has an official date and stays.");
            }
        }
        return new Outcome(before.withCourse(course), notes);
    }

    private LocalDate startOf(Lesson lesson) {
        Placement placement = view.byLesson().get(lesson.id());
        int open = placement.slots().stream()
                .filter(s -> !s.taught())
                .mapToInt(Placement.Slot::session)
                .findFirst()
                .orElseThrow(() -> new Refused("“" + lesson.title() + "” has no class yet that it could move from."));
        return view.sessions().get(open).date();
    }

    private Set<String> chosenLessons() {
        Set<String> chosen = new LinkedHashSet<>(shift.lessons());
        chosen.forEach(id -> Find.lesson(before, shift.course(), id));
        if (shift.unit() != null) {
            Find.unit(before, shift.course(), shift.unit()).lessons().forEach(l -> chosen.add(l.id()));
        }
        LocalDate from = shift.from();
        LocalDate to = before.term().last().plusYears(1);
        if (shift.week() != null) {
            from = view.calendar()
                    .week(shift.week())
                    .orElseThrow(() -> new Refused("The term has no week " + shift.week() + "."));
            to = from.plusDays(6);
        }
        for (Placement placement : view.placements()) {
            for (Placement.Slot slot : placement.slots()) {
                LocalDate date = view.sessions().get(slot.session()).date();
                if (from != null && !slot.taught() && !date.isBefore(from) && !date.isAfter(to)) {
                    chosen.add(placement.lesson().id());
                }
            }
        }
        return chosen;
    }

    private List<ItemDates> chosenItems(Set<String> lessons) {
        List<ItemDates> chosen = new ArrayList<>();
        for (String id : shift.items()) {
            Find.item(before, shift.course(), id);
        }
        LocalDate week =
                shift.week() == null ? null : view.calendar().week(shift.week()).orElseThrow();
        for (ItemDates dates : view.dates()) {
            LocalDate main = dates.main() == null ? null : dates.main().toLocalDate();
            boolean among = shift.items().contains(dates.item().id())
                    || dates.unit().id().equals(shift.unit())
                    || dates.item().lesson() != null
                            && lessons.contains(dates.item().lesson())
                    || shift.from() != null && main != null && !main.isBefore(shift.from())
                    || week != null && main != null && !main.isBefore(week) && main.isBefore(week.plusDays(7));
            if (among) {
                chosen.add(dates);
            }
        }
        return chosen;
    }

    /** Whether the item itself moves: a fixed date among its own, or it was chosen by itself. */
    private boolean moves(ItemDates dates) {
        Item item = dates.item();
        boolean fixed = fixed(item.opens()) || fixed(item.due()) || fixed(item.closes());
        return fixed || shift.items().contains(item.id());
    }

    private static boolean fixed(DateRule rule) {
        return rule != null && rule.fixed();
    }

    // --- lessons

    private Course push(Lesson first) {
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
            return view.section().pins().containsKey(first.id())
                    ? course.withSection(view.section().withPin(first.id(), Optional.of(date)))
                    : course.withLesson(first.id(), l -> l.withPin(date));
        }
        Course moved = course.withLesson(first.id(), l -> l.withGap(l.gapBefore() + n));
        for (SectionSchedule other : Schedule.of(before).sections(course.code())) {
            Placement placement = other.byLesson().get(first.id());
            boolean open = placement.slots().stream().anyMatch(s -> !s.taught());
            int own = open && shift.in() != Shift.In.SESSIONS ? classes(other, first) - n : 0;
            if (own != 0) {
                Section section = other.section();
                int gap = section.gaps().getOrDefault(first.id(), 0) + own;
                moved = moved.withSection(section.withGap(first.id(), gap));
            }
        }
        return moved;
    }

    /** The section in which the lesson comes later or earlier. */
    private Section pushed(SectionSchedule in, Lesson first) {
        Section section = in.section();
        int n = classes(in, first);
        Placement placement = in.byLesson().get(first.id());
        boolean resumed = placement.slots().stream().anyMatch(Placement.Slot::taught);
        if (section.pin(first) != null && !resumed) {
            return section.withPin(first.id(), Optional.of(sessionDate(in, first, n)));
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
        return section.withGap(first.id(), section.gaps().getOrDefault(first.id(), 0) + n);
    }

    private Section earlier(SectionSchedule in, Section section, Lesson first, int wanted) {
        int left = wanted;
        Section now = section;
        int gap = Math.min(now.gap(first), left);
        now = now.withGap(first.id(), now.gaps().getOrDefault(first.id(), 0) - gap);
        left -= gap;
        List<Placement> order = in.placements();
        int at = order.indexOf(in.byLesson().get(first.id()));
        int firstSession = in.byLesson().get(first.id()).slots().stream()
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
                now = now.withLeavesOut(With.member(now.leavesOut(), lesson.id(), true));
                int over = Math.max(0, freed - left);
                now = now.withGap(first.id(), now.gaps().getOrDefault(first.id(), 0) + over);
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
            if (!previous.reserve() || view.byLesson().get(previous.id()).taught()) {
                break;
            }
            if (left >= previous.length()) {
                left -= previous.length();
                now = RemoveLesson.forgotten(
                        now.withUnits(now.units().stream()
                                .map(u -> u.withLessons(With.without(u.lessons(), l -> l.id().equals(previous.id()))))
                                .toList()),
                        previous.id());
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
            throw new Refused("It cannot come earlier: " + why + ".");
        }
        notes.add("Earlier by " + (wanted - left) + " of " + wanted + " only: " + why + ".");
    }

    /** By how many classes the lesson comes later (or, negative, earlier) in the section. */
    private int classes(SectionSchedule in, Lesson first) {
        if (shift.in() == Shift.In.SESSIONS) {
            return shift.by();
        }
        List<Session> open = open(in);
        int at = openIndex(in, first, open);
        LocalDate target = target(open.get(at).date());
        int to = 0;
        while (to < open.size() && open.get(to).date().isBefore(target)) {
            to++;
        }
        if (to == open.size()) {
            throw new Refused("Section " + in.section().code() + " has no class on or after " + Say.day(target) + ".");
        }
        return to - at;
    }

    private LocalDate target(LocalDate day) {
        int by = shift.by();
        return switch (shift.in()) {
            case DAYS -> rolled(day.plusDays(by));
            case WEEKS -> rolled(day.plusWeeks(by));
            default ->
                view.calendar()
                        .plus(day, by)
                        .orElseThrow(() -> new Refused(
                                Math.abs(by) + " teaching days from " + Say.day(day) + " lie outside the term."));
        };
    }

    private LocalDate rolled(LocalDate day) {
        LocalDate teaching =
                view.calendar().plus(day, 0).orElseThrow(() -> new Refused(Say.day(day) + " lies outside the term."));
        if (!teaching.equals(day)) {
            notes.add(Say.day(day) + " does not teach; it becomes " + Say.day(teaching) + ".");
        }
        return teaching;
    }

    /** The sessions that lessons may still take, in order. */
    private static List<Session> open(SectionSchedule in) {
        return in.sessions().all().stream().filter(s -> s.open() && !s.record()).toList();
    }

    private static int openIndex(SectionSchedule in, Lesson lesson, List<Session> open) {
        return in.byLesson().get(lesson.id()).slots().stream()
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
            throw new Refused("There is no class " + Math.abs(n) + (n > 0 ? " later" : " earlier") + " than “"
                    + lesson.title() + "”.");
        }
        return open.get(to).date();
    }

    /** The chosen lessons change places with the n that follow, or for earlier with the n before. */
    private Course changePlaces(List<Lesson> block) {
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
        if (to < rest.size() && view.byLesson().get(rest.get(to).id()).taught()) {
            throw new Refused("“" + rest.get(to).title() + "” has been taught: nothing can go before it.");
        }
        return Order.before(
                view.course(), block, to == rest.size() ? null : rest.get(to).id());
    }

    // --- fixed dates and items chosen by themselves

    private Item moved(ItemDates dates, int teachingDays) {
        Item item = dates.item();
        boolean alone = shift.items().contains(item.id());
        for (Which which : Which.values()) {
            DateRule rule = item.rule(which);
            if (rule == null) {
                continue;
            }
            if (rule.anchor() instanceof Anchor.Fixed fixed) {
                LocalDateTime at = later(fixed.at(), teachingDays);
                item = item.withRule(which, with(rule, new Anchor.Fixed(at), rule.plus()));
            } else if (alone && !(rule.anchor() instanceof Anchor.OwnDate)) {
                item = item.withRule(which, further(rule, dates.get(which), teachingDays));
            }
        }
        return item;
    }

    private LocalDateTime later(LocalDateTime at, int teachingDays) {
        LocalDate day = at.toLocalDate();
        if (shift.in() != Shift.In.SESSIONS) {
            return target(day).atTime(at.toLocalTime());
        }
        if (!shift.items().isEmpty()) {
            int by = shift.by();
            int index = by > 0
                    ? view.sessions().firstAfter(day.atTime(23, 59)) + by - 1
                    : view.sessions().lastBefore(day.atStartOfDay()) + by + 1;
            if (index < 0 || index >= view.sessions().size()) {
                throw new Refused("There is no class so far from " + Say.day(day) + ".");
            }
            return view.sessions().get(index).date().atTime(at.toLocalTime());
        }
        return view.calendar()
                .plus(day, teachingDays)
                .map(d -> teachingDays == 0 ? day : d)
                .map(d -> d.atTime(at.toLocalTime()))
                .orElseThrow(() -> new Refused(
                        "The fixed date " + Say.day(day) + " would leave the term. Move it by hand first."));
    }

    /** A rule that gives a date so much further: more of what it adds, else the date itself, fixed. */
    private DateRule further(DateRule rule, Resolved now, int teachingDays) {
        Offset.Unit unit = switch (shift.in()) {
            case SESSIONS -> Offset.Unit.SESSIONS;
            case DAYS -> Offset.Unit.DAYS;
            case WEEKS -> Offset.Unit.WEEKS;
            default -> Offset.Unit.TEACHING_DAYS;
        };
        if (rule.plus().n() == 0) {
            return with(rule, rule.anchor(), new Offset(shift.by(), unit));
        }
        if (rule.plus().unit() == unit) {
            int sum = rule.plus().n() + shift.by();
            return with(rule, rule.anchor(), sum == 0 ? Offset.NONE : new Offset(sum, unit));
        }
        return now.resolved() ? DateRule.at(later(now.at(), teachingDays)) : rule;
    }

    private static DateRule with(DateRule rule, Anchor anchor, Offset plus) {
        return new DateRule(anchor, plus, rule.snapTo(), rule.snapBefore(), rule.time(), rule.onDayOff(), rule.extra());
    }
}
