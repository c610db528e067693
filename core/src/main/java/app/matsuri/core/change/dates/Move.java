package app.matsuri.core.change.dates;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.ItemRules;
import app.matsuri.core.change.Order;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Moves lessons and items to a day, as a hand that drops them there. A lesson goes in order before what stands there;
 * an item is due at the start of that day's lesson, or, on a day without a lesson, at a fixed date with its time of
 * day kept.
 *
 * @param section the one section whose own dates work gets; null for the plan's rules
 * @param seenIn the section whose days are meant, where that is another; null for the one section, else the course's first one
 * @param place "first" or "last" in that day's list
 * @param fixed items get a fixed date also on a day with a lesson
 * @param keepSpacing whether items keep the calendar days between them, the first going to the day
 * @param keepUnit lessons stay in their unit, at its end or beginning, where the day lies past that
 */
public record Move(
        String course,
        @Nullable String section,
        @Nullable String seenIn,
        List<String> lessons,
        List<String> items,
        LocalDate to,
        String place,
        boolean fixed,
        boolean keepSpacing,
        boolean keepUnit)
        implements Change {

    private static final LocalTime END_OF_DAY = LocalTime.of(23, 59);

    public Move {
        lessons = List.copyOf(lessons);
        items = List.copyOf(items);
    }

    /** As seen in a section. */
    public static Move seenIn(
            String course,
            String section,
            List<String> lessons,
            List<String> items,
            LocalDate to,
            String place,
            boolean fixed,
            boolean keepSpacing) {
        return new Move(course, null, section, lessons, items, to, place, fixed, keepSpacing, false);
    }

    /** The section whose days are meant; null for the course's first one. */
    private @Nullable String view() {
        return section != null ? section : seenIn;
    }

    @Override
    public Outcome apply(Decisions before) {
        if (lessons.isEmpty() && items.isEmpty()) {
            throw new Refused("Nothing is chosen to move.");
        }
        SectionSchedule schedule = Find.follows(before, course, view());
        List<String> notes = new ArrayList<>();
        Course moved = lessons.isEmpty() ? Find.course(before, course) : moveLessons(before, schedule, notes);
        if (!items.isEmpty()) {
            moved = moveItems(moved, schedule, notes);
        }
        if (!lessons.isEmpty()) {
            moved = landed(before, moved, schedule, notes);
        }
        return new Outcome(before.withCourse(moved), notes);
    }

    /**
     * The course in which the first of the lessons stands on the day: on a class that is free, the section leaves those
     * between empty. Where it cannot stand there, that is noted.
     */
    private Course landed(Decisions before, Course moved, SectionSchedule schedule, List<String> notes) {
        String section = schedule.section().code();
        SectionSchedule now = Find.follows(before.withCourse(moved), course, section);
        String first = now.placements().stream()
                .filter(p -> lessons.contains(p.lesson().id()) && p.placed())
                .filter(p -> p.slots().stream().noneMatch(Placement.Slot::taught))
                .map(p -> p.lesson().id())
                .findFirst()
                .orElse(null);
        if (first == null || on(now, first).equals(to)) {
            return moved;
        }
        int from = now.placement(first).first();
        int day = now.sessions().firstAfter(to.atStartOfDay().minusNanos(1));
        boolean free = day > from
                && day < now.sessions().size()
                && now.sessions().get(day).date().equals(to)
                && now.lessonsOn(to).isEmpty();
        if (free) {
            Section own = moved.section(section).orElseThrow();
            int more = own.gap(now.placement(first).lesson()) + day - from;
            Course later = moved.withSection(
                    own.withGap(first, more - now.placement(first).lesson().gapBefore()));
            if (on(Find.follows(before.withCourse(later), course, section), first)
                    .equals(to)) {
                return later;
            }
        }
        String title = now.placement(first).lesson().title();
        boolean stays =
                schedule.placement(first).placed() && on(schedule, first).equals(on(now, first));
        boolean meets = now.sessions().all().stream().anyMatch(s -> s.date().equals(to));
        String why = meets ? "" : ": there is no class on " + Say.day(to);
        if (stays && moved.equals(before.course(course).orElseThrow())) {
            throw new Refused("“" + title + "” stays on " + Say.day(on(now, first)) + why
                    + (meets
                            ? ": in the order of lessons it is there already. Fix it on the day, or leave classes empty"
                                    + " before it."
                            : ". Drop it on a day with one."));
        }
        notes.add("“" + title + "” comes to " + Say.day(on(now, first)) + why + ".");
        return moved;
    }

    private static LocalDate on(SectionSchedule in, String lesson) {
        return in.start(lesson).map(LocalDateTime::toLocalDate).orElse(LocalDate.MAX);
    }

    private Course moveLessons(Decisions before, SectionSchedule schedule, List<String> notes) {
        Course in = schedule.course();
        Set<String> ids = new HashSet<>(lessons);
        for (String id : lessons) {
            Lesson lesson = Find.lesson(before, course, id);
            Placement placement = schedule.placement(id);
            if (placement.slots().stream().anyMatch(Placement.Slot::taught)) {
                ids.remove(id);
                notes.add("“" + lesson.title() + "” has been taught and stays where it is.");
            }
        }
        if (ids.isEmpty() && items.isEmpty()) {
            throw new Refused(String.join(" ", notes));
        }
        boolean there = items.isEmpty()
                && ids.stream()
                        .allMatch(id -> schedule.placement(id).slots().stream()
                                .anyMatch(s -> schedule.sessions()
                                        .get(s.session())
                                        .date()
                                        .equals(to)));
        if (there) {
            String titles = ids.stream()
                    .map(id -> "“" + Find.lesson(before, course, id).title() + "”")
                    .collect(Collectors.joining(" and "));
            throw new Refused(titles + (ids.size() == 1 ? " is" : " are") + " on " + Say.day(to) + " already.");
        }
        List<Lesson> block =
                in.lessons().stream().filter(l -> ids.contains(l.id())).toList();
        Course without = in.withUnits(in.units().stream()
                .map(u -> u.withLessons(
                        u.lessons().stream().filter(l -> !ids.contains(l.id())).toList()))
                .toList());
        SectionSchedule rest = Find.follows(
                before.withCourse(without), course, schedule.section().code());
        String standing = standing(rest, to);
        Course ordered = block.isEmpty() ? in : Order.before(in, block, standing, keepUnit);
        Order.leaving(in, ordered).forEach(notes::add);
        for (Lesson lesson : block) {
            if (section != null
                    && !schedule.section().own(lesson.id()).pin().planned()
                    && schedule.section().pin(lesson) != null) {
                ordered = ordered.withSection(
                        ordered.section(section).orElseThrow().withPin(lesson.id(), Own.other(to)));
            } else if (lesson.pin() != null) {
                ordered = ordered.withLesson(lesson.id(), l -> l.withPin(to));
            }
        }
        return ordered;
    }

    /** The first lesson that is not over before the day, before which a lesson dropped there goes; null for the end. */
    static @Nullable String standing(SectionSchedule rest, LocalDate to) {
        for (Placement placement : rest.placements()) {
            boolean open = placement.slots().stream().anyMatch(s -> !s.taught());
            boolean reaches = placement.placed()
                    && !rest.sessions().get(placement.last()).date().isBefore(to);
            if (!placement.leftOut() && (placement.noSession() && !placement.placed() || open && reaches)) {
                return placement.lesson().id();
            }
        }
        return null;
    }

    private Course moveItems(Course in, SectionSchedule schedule, List<String> notes) {
        List<ItemDates> chosen = new ArrayList<>();
        for (String id : items) {
            ItemDates dates = schedule.byItem().get(id);
            String title = in.item(id)
                    .orElseThrow(() -> new Refused("“" + course + "” has no item “" + id + "”."))
                    .title();
            if (dates == null) {
                notes.add("“" + title + "” is not for section "
                        + schedule.section().code() + " and stays.");
            } else if (dates.item().locked()) {
                notes.add("“" + title + "” has an official date and stays. Unlock it first if that is wrong.");
            } else {
                chosen.add(dates);
            }
        }
        if (chosen.isEmpty()) {
            if (lessons.isEmpty()) {
                throw new Refused(String.join(" ", notes));
            }
            return in;
        }
        chosen.sort(Comparator.comparing(ItemDates::main, Comparator.nullsLast(Comparator.naturalOrder())));
        LocalDate first =
                chosen.get(0).main() == null ? null : chosen.get(0).main().toLocalDate();
        int rank = place(schedule, chosen);
        Course moved = in;
        for (ItemDates dates : chosen) {
            LocalDate day = to;
            if (keepSpacing && first != null && dates.main() != null) {
                day = rolled(
                        schedule.calendar(),
                        to.plusDays(ChronoUnit.DAYS.between(first, dates.main().toLocalDate())),
                        dates,
                        notes);
            }
            Item placed = section == null ? dates.item().withPlace(rank++) : dates.item();
            moved = moved.withItem(placed);
            for (Map.Entry<Which, DateRule> rule :
                    dropped(dates, day, schedule, fixed).entrySet()) {
                moved = ItemRules.put(
                        moved,
                        moved.item(placed.id()).orElseThrow(),
                        section != null
                                ? List.of(section)
                                : ItemRules.standing(schedule.section(), placed.id(), rule.getKey()),
                        Map.of(rule.getKey(), Own.other(rule.getValue())));
            }
        }
        return moved;
    }

    private static LocalDate rolled(TeachingCalendar calendar, LocalDate day, ItemDates dates, List<String> notes) {
        LocalDate teaching = calendar.plus(day, 0).orElse(day);
        if (!teaching.equals(day)) {
            notes.add("“" + dates.item().title() + "” would land on " + Say.day(day) + ", which does not teach, and"
                    + " goes to " + Say.day(teaching) + ".");
        }
        return teaching;
    }

    private int place(SectionSchedule schedule, List<ItemDates> chosen) {
        var places = schedule.dates().stream()
                .filter(d -> d.main() != null && d.main().toLocalDate().equals(to) && !chosen.contains(d))
                .mapToInt(d -> d.item().place())
                .summaryStatistics();
        if (places.getCount() == 0) {
            return 0;
        }
        return "first".equals(place) ? places.getMin() - chosen.size() : places.getMax() + 1;
    }

    /** The rules that change when the item is dropped on the day. */
    static Map<Which, DateRule> dropped(ItemDates dates, LocalDate day, SectionSchedule schedule, boolean fixed) {
        boolean opensOnly =
                dates.rule(Which.OPENS) != null && dates.rule(Which.DUE) == null && dates.rule(Which.CLOSES) == null;
        Which moved = opensOnly ? Which.OPENS : Which.DUE;
        LocalDateTime old = dates.at(moved);
        LocalTime time = old == null ? END_OF_DAY : old.toLocalTime();
        DateRule rule = opensOnly || fixed ? null : withLesson(day, schedule);
        Map<Which, DateRule> rules = new EnumMap<>(Which.class);
        rules.put(moved, rule == null ? DateRule.at(day.atTime(time)) : rule);
        if (old != null) {
            long distance = ChronoUnit.DAYS.between(old.toLocalDate(), day);
            for (Which other : Which.values()) {
                DateRule kept = dates.rule(other);
                if (other != moved && kept != null && kept.fixed()) {
                    rules.put(other, kept.from(new Anchor.Fixed(kept.typed().plusDays(distance)), kept.plus()));
                }
            }
        }
        return rules;
    }

    /** "At the start of that day's lesson"; null where the day has none. */
    static @Nullable DateRule withLesson(LocalDate day, SectionSchedule schedule) {
        for (Placement placement : schedule.placements()) {
            for (int i = 0; i < placement.slots().size(); i++) {
                int session = placement.slots().get(i).session();
                if (schedule.sessions().get(session).date().equals(day)) {
                    DateRule rule =
                            DateRule.of(new Anchor.WithLesson(placement.lesson().id(), Edge.START));
                    int on = session - placement.first();
                    return on == 0 ? rule : rule.plus(on, Offset.Unit.SESSIONS);
                }
            }
        }
        return null;
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return lessons.isEmpty() ? Optional.empty() : TakesHold.lessons(in, course, null, lessons, to);
    }

    @Override
    public String sentence(Decisions before) {
        List<String> titles = new ArrayList<>();
        lessons.forEach(id -> titles.add("“" + Find.lesson(before, course, id).title() + "”"));
        items.forEach(id -> titles.add("“" + Find.item(before, course, id).title() + "”"));
        String what = titles.size() > 2 ? titles.size() + " things" : String.join(" and ", titles);
        return "Move " + what + " to " + Say.day(to) + (section == null ? "" : Find.in(course, section));
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        Set<Hand> hands = new HashSet<>();
        String seen = before.course(course)
                .filter(c -> view() == null && !c.sections().isEmpty())
                .map(c -> c.sections().get(0).code())
                .orElse(view());
        lessons.forEach(id -> hands.add(new Hand(course, id, seen)));
        items.forEach(id -> hands.add(new Hand(course, id, seen)));
        return hands;
    }
}
