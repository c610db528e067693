package app.matsuri.core.change.dates;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.change.Change.Outcome;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.ItemRules;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.RulesInForce;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Untold;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Works out one {@link Shift}. */
public final class Shifting {

    private final Shift shift;
    private final Decisions before;
    private final SectionSchedule view;
    private final List<String> notes = new ArrayList<>();
    private final Pushing lessons;

    Shifting(Shift shift, Decisions before) {
        this.shift = shift;
        this.before = before;
        this.view = Find.follows(before, shift.course(), shift.section());
        this.lessons = new Pushing(shift, before, view, notes);
    }

    /** Where the lessons that a shift chooses have their first class to come; nowhere where it chooses none. */
    static Optional<LocalDateTime> takesHold(Shift shift, SectionSchedule in) {
        LocalDate from = shift.week() == null
                ? shift.from()
                : in.calendar().week(shift.week()).orElse(null);
        List<String> lessons = new ArrayList<>(shift.lessons());
        lessons.addAll(TakesHold.inUnits(in, shift.unit(), null));
        return lessons.isEmpty() && from == null
                ? Optional.empty()
                : TakesHold.lessons(in, shift.course(), shift.section(), lessons, from);
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
            course = pushed(movable);
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
                course = moved(course, dates, teachingDays);
            } else if (moves(dates)) {
                notes.add("“" + dates.item().title() + "” has an official date and stays.");
            }
        }
        if (!shift.onlyThese()) {
            movable.stream()
                    .skip(1)
                    .filter(this::pinned)
                    .forEach(l -> notes.add("“" + l.title() + "” is fixed on "
                            + Say.day(Known.there(view.section().pin(l), "a pin")) + " and stays there."));
        }
        if (course.equals(view.course()) && !notes.isEmpty()) {
            throw new Refused(String.join(" ", notes));
        }
        return new Outcome(before.withCourse(course), List.copyOf(new LinkedHashSet<>(notes)));
    }

    private boolean pinned(Lesson lesson) {
        return view.section().pin(lesson) != null;
    }

    /** The course with the chosen lessons elsewhere; as it is where they cannot go, and work was chosen too. */
    private Course pushed(List<Lesson> movable) {
        try {
            return shift.onlyThese() ? lessons.changePlaces(movable) : lessons.push(movable.get(0));
        } catch (Refused e) {
            if (shift.items().isEmpty()) {
                throw e;
            }
            notes.add(e.getMessage());
            return view.course();
        }
    }

    private LocalDate startOf(Lesson lesson) {
        Placement placement = view.placement(lesson.id());
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
        boolean fixed = Arrays.stream(Which.values()).anyMatch(which -> fixed(dates, which));
        return fixed || shift.items().contains(dates.item().id());
    }

    /** Whether the date was typed by hand for this item; one from around it moves with what it lies in. */
    private static boolean fixed(ItemDates dates, Which which) {
        DateRule rule = dates.rule(which);
        return rule != null && rule.fixed() && dates.rules().from(which) != RulesInForce.From.AROUND;
    }

    // --- fixed dates and items chosen by themselves

    private Course moved(Course in, ItemDates dates, int teachingDays) {
        String id = dates.item().id();
        boolean alone = shift.items().contains(id);
        Course moved = in;
        for (Which which : Which.values()) {
            DateRule rule = dates.rule(which);
            Optional<DateRule> next = Optional.empty();
            if (rule != null && (fixed(dates, which) || alone && rule.fixed())) {
                next = later(dates, which, rule.typed(), teachingDays)
                        .map(at -> rule.from(new Anchor.Fixed(at), rule.plus()));
            } else if (alone && rule != null && rule.anchor().own().isEmpty()) {
                next = further(rule, dates, which, teachingDays);
            }
            if (next.isPresent() && !next.get().equals(rule)) {
                moved = ItemRules.put(
                        moved,
                        moved.item(id).orElseThrow(),
                        shift.section() != null
                                ? List.of(shift.section())
                                : ItemRules.standing(view.section(), id, which),
                        Map.of(which, Own.other(next.get())));
            }
        }
        return moved;
    }

    /** When a fixed date would be; empty where the term does not reach so far, which is said: it stays. */
    private Optional<LocalDateTime> later(ItemDates dates, Which which, LocalDateTime at, int teachingDays) {
        LocalDate day = at.toLocalDate();
        Optional<LocalDate> to;
        String wanted;
        if (shift.in() != Shift.In.SESSIONS) {
            to = lessons.reach(day);
            wanted = lessons.wanted(day);
        } else if (!shift.items().isEmpty()) {
            int by = shift.by();
            int index = by > 0
                    ? view.sessions().firstAfter(day.atTime(23, 59)) + by - 1
                    : view.sessions().lastBefore(day.atStartOfDay()) + by + 1;
            boolean there = index >= 0 && index < view.sessions().size();
            to = there ? Optional.of(view.sessions().get(index).date()) : Optional.empty();
            wanted = Say.classes(Math.abs(by)) + (by > 0 ? " later" : " earlier");
        } else {
            to = teachingDays == 0 ? Optional.of(day) : view.calendar().plus(day, teachingDays);
            wanted = Say.count(Math.abs(teachingDays), "teaching day") + (teachingDays > 0 ? " later" : " earlier");
        }
        if (to.isEmpty()) {
            notes.add("“" + dates.item().title() + "”, " + Untold.what(which) + " " + Say.day(day)
                    + ", stays: it would go to " + wanted + ", which lies outside the term.");
        }
        return to.map(d -> d.atTime(at.toLocalTime()));
    }

    /** A rule that gives a date so much further: more of what it adds, else the date itself, fixed. */
    private Optional<DateRule> further(DateRule rule, ItemDates dates, Which which, int teachingDays) {
        Offset.Unit unit = switch (shift.in()) {
            case SESSIONS -> Offset.Unit.SESSIONS;
            case DAYS -> Offset.Unit.DAYS;
            case WEEKS -> Offset.Unit.WEEKS;
            default -> Offset.Unit.TEACHING_DAYS;
        };
        if (rule.plus().n() == 0) {
            return Optional.of(rule.from(rule.anchor(), new Offset(shift.by(), unit)));
        }
        if (rule.plus().unit() == unit) {
            int sum = rule.plus().n() + shift.by();
            return Optional.of(rule.from(rule.anchor(), sum == 0 ? Offset.NONE : new Offset(sum, unit)));
        }
        return Optional.ofNullable(dates.at(which))
                .flatMap(now -> later(dates, which, now, teachingDays))
                .map(DateRule::at);
    }
}
