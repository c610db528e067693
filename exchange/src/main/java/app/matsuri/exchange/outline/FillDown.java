package app.matsuri.exchange.outline;

import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.ThingDates;
import java.time.LocalDateTime;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Fills a table's column down from one cell. */
public final class FillDown {

    private final Decisions decisions;
    private final Schedule schedule;

    public FillDown(Decisions decisions, Schedule schedule) {
        this.decisions = decisions;
        this.schedule = schedule;
    }

    /**
     * The cell that is filled from.
     *
     * @param lesson the lesson its item belongs to; null for none
     * @param rule its rule; null for no date
     * @param date what it comes to; null for no date
     */
    public record From(
            SectionSchedule follows,
            @Nullable String lesson,
            @Nullable DateRule rule,
            @Nullable LocalDateTime date) {}

    /** How the cells below differ: by the same rule, by a week each, or by the next class each. */
    public enum Step {
        SAME,
        WEEK,
        CLASS
    }

    /**
     * Finds the cell.
     *
     * @param section code of the section; null for the first that the item is for
     * @throws app.matsuri.core.change.Refused when there is no such item or section
     */
    public From from(String course, String item, @Nullable String section, Which which) {
        Course in = Find.course(decisions, course);
        Dated thing = Find.dated(decisions, course, item);
        SectionSchedule follows = in.sections().stream()
                .filter(s -> section == null || s.code().equals(section))
                .filter(s -> thing.concerns(s.code()))
                .findFirst()
                .flatMap(s -> schedule.section(course, s.code()))
                .orElseThrow(() -> new Refused("“" + thing.title() + "” is not for that section."));
        ThingDates dates = follows.dated(thing).orElseThrow();
        return new From(follows, thing.lesson(), dates.rule(which), dates.at(which));
    }

    /**
     * The rule of the k-th cell below.
     *
     * @param k from 1
     * @return empty where the classes do not reach so far
     */
    public Optional<Own<DateRule>> step(From from, Step step, int k, String course, String item) {
        if (from.date() == null || step == Step.SAME) {
            return Optional.of(Own.of(from.rule()).with(rule -> beside(rule, from.lesson(), lesson(course, item))));
        }
        if (step == Step.WEEK) {
            return Optional.of(Own.other(DateRule.at(from.date().plusWeeks(k))));
        }
        int index =
                from.follows().sessions().firstAfter(from.date().toLocalDate().atTime(23, 59)) + k - 1;
        if (index >= from.follows().sessions().size()) {
            return Optional.empty();
        }
        return Optional.of(Own.other(from.follows().placements().stream()
                .filter(p -> p.placed() && p.first() == index)
                .findFirst()
                .map(p -> DateRule.of(new Anchor.WithLesson(p.lesson().id(), Edge.START)))
                .orElseGet(
                        () -> DateRule.at(from.follows().sessions().get(index).start()))));
    }

    private @Nullable String lesson(String course, String item) {
        return decisions
                .course(course)
                .flatMap(c -> c.item(item))
                .map(Item::lesson)
                .orElse(null);
    }

    /** A rule that hangs on the item's own lesson hangs on the other's own lesson. */
    private static DateRule beside(DateRule rule, @Nullable String own, @Nullable String other) {
        return own != null && other != null && rule.names(Anchor.Sort.LESSON, own::equals)
                ? rule.from(rule.anchor().named(other), rule.plus())
                : rule;
    }
}
