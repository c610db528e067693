package app.matsuri.core.change.dates;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.plan.ArrangeUnit;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A unit dropped on a day, which dates all that is in it, however deep: it goes in order before the unit that begins
 * there or next, so that no other is split, and what has no lesson and no date of its own is due when it starts; a unit
 * without lessons is due with that day's class, or on that date.
 *
 * @param section the section whose days are meant; null for the course's first one
 */
public record DateUnit(String course, @Nullable String section, String unit, LocalDate to) implements Change {

    private static final LocalTime END_OF_DAY = LocalTime.of(23, 59);

    @Override
    public Outcome apply(Decisions before) {
        Unit dropped = Find.unit(before, course, unit);
        SectionSchedule schedule = Find.follows(before, course, section);
        if (dropped.lessons().isEmpty()) {
            DateRule rule = Move.withLesson(to, schedule);
            return Outcome.of(before.withCourse(
                    dated(schedule.course(), rule == null ? DateRule.at(to.atTime(END_OF_DAY)) : rule)));
        }
        if (dropped.lessons().stream()
                .anyMatch(l -> schedule.placement(l.id()).slots().stream().anyMatch(Placement.Slot::taught))) {
            throw new Refused(
                    "Unit “" + dropped.title() + "” has begun and stays where it is. Move what is left of it.");
        }
        Course ordered = new ArrangeUnit(course, unit, unitBefore(before, schedule, dropped))
                .apply(before)
                .decisions()
                .course(course)
                .orElseThrow();
        boolean loose = dropped.items().stream().anyMatch(i -> i.due() == null && i.lesson() == null);
        return Outcome.of(before.withCourse(
                loose && dropped.dates().isEmpty()
                        ? dated(ordered, DateRule.of(new Anchor.WithUnit(unit, Edge.START)))
                        : ordered));
    }

    /** The unit that begins on the day or after it, before which this one goes; null for the end. */
    private @Nullable String unitBefore(Decisions before, SectionSchedule schedule, Unit dropped) {
        Course without = schedule.course().withUnit(dropped.withLessons(List.of()));
        SectionSchedule rest = Find.follows(
                before.withCourse(without), course, schedule.section().code());
        String standing = Move.standing(rest, to);
        if (standing == null) {
            return null;
        }
        Unit there = without.unitOfLesson(standing).orElseThrow();
        boolean begins = there.lessons().get(0).id().equals(standing);
        List<Unit> others = without.units().stream()
                .filter(u -> !u.id().equals(unit) && !u.lessons().isEmpty())
                .toList();
        int at = others.indexOf(there) + (begins ? 0 : 1);
        return at < others.size() ? others.get(at).id() : null;
    }

    private Course dated(Course in, DateRule rule) {
        Unit now = in.unit(unit).orElseThrow();
        Map<Which, DateRule> dates = new EnumMap<>(Which.class);
        dates.putAll(now.dates());
        dates.put(Which.DUE, rule);
        return in.withUnit(now.withDates(dates));
    }

    @Override
    public String sentence(Decisions before) {
        return "Move unit “" + Find.unit(before, course, unit).title() + "” to " + Say.day(to);
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        Set<Hand> hands = new LinkedHashSet<>();
        Unit dropped = Find.unit(before, course, unit);
        dropped.lessons().forEach(l -> hands.add(new Hand(course, l.id())));
        dropped.items().forEach(i -> hands.add(new Hand(course, i.id())));
        return hands;
    }
}
