package app.matsuri.core.due;

import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.meets;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.section.Tell;
import app.matsuri.core.due.DueThing.Wait;
import app.matsuri.core.due.DueThing.When;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class DueThingTest {

    private static final LocalDateTime NOW = LocalDateTime.of(2026, 10, 7, 12, 0);

    private static Item item(String id, LocalDateTime due, @Nullable Integer points, ItemDetails details) {
        return new Item(
                id,
                null,
                "homework",
                "Work " + id,
                "",
                points == null ? null : BigDecimal.valueOf(points),
                null,
                "",
                false,
                0,
                null,
                DateRule.at(due),
                null,
                details,
                Extra.NONE);
    }

    private static Section section(String code) {
        return new Section(
                code,
                "",
                "",
                List.of(),
                Section.Pace.SESSIONS,
                List.of(meets("MO", "10:00", 50)),
                null,
                List.of(),
                Map.of(),
                Set.of(),
                Map.of(),
                Map.of(),
                Told.NOTHING,
                List.of(),
                Extra.NONE);
    }

    private static Decisions plan(Item... items) {
        Unit unit = Unit.of("U", "Unit", List.of(), List.of(items));
        return Decisions.of(
                demoTerm(), List.of(Course.of("C 1", "One", 50, List.of(section("A"), section("B")), List.of(unit))));
    }

    private static List<DueThing> of(Decisions plan, ThingRef... handedIn) {
        return DueThing.of(Schedule.of(plan), Set.of(handedIn), NOW);
    }

    @Test
    void whatIsDueStandsByWhenOverTheSections() {
        List<DueThing> all = of(plan(
                item("e", NOW.plusDays(40), null, ItemDetails.NONE),
                item("a", NOW.minusDays(3), null, ItemDetails.NONE),
                item("b", NOW.withHour(8), null, ItemDetails.NONE),
                item("c", NOW.plusDays(3), null, ItemDetails.NONE),
                item("d", NOW.plusDays(7), null, ItemDetails.NONE)));
        assertThat(all)
                .extracting(d -> d.id() + " " + d.when() + " " + d.sections())
                .containsExactly(
                        "a PAST [A, B]", "b TODAY [A, B]", "c WEEK [A, B]", "d MONTH [A, B]", "e LATER [A, B]");
        assertThat(List.of(When.values())).hasSize(5);
    }

    @Test
    void whatItStillWaitsFor() {
        ItemDetails file = new ItemDetails(
                null, "", "file", "", List.of(), List.of(), List.of(), ItemDetails.ALL, List.of(), false, false);
        Decisions plan = plan(item("a", NOW.minusDays(3), 10, file), item("b", NOW.plusDays(1), 10, ItemDetails.NONE));
        assertThat(of(plan).get(0).waits())
                .containsExactlyInAnyOrder(Wait.NOT_TOLD, Wait.NO_LINK, Wait.NOTHING_HANDED_IN);
        assertThat(of(plan, new ThingRef("C 1", "a")).get(0).waits()).doesNotContain(Wait.NOTHING_HANDED_IN);
        assertThat(of(plan).get(1).waits()).containsExactly(Wait.NOT_TOLD);
        Decisions told = plan;
        for (String section : List.of("A", "B")) {
            told = Change.make(new Tell("C 1", section, null, "", NOW), told).decisions();
        }
        assertThat(of(told).get(1).waits()).isEmpty();
    }

    @Test
    void sectionsWithOtherDatesStandApart() {
        Decisions plan = plan(item("a", NOW.plusDays(1), null, ItemDetails.NONE));
        Course course = plan.courses().get(0);
        Item onlyA = course.items().get(0);
        ItemDetails none = onlyA.details();
        ItemDetails forA = new ItemDetails(
                none.within(),
                none.instructions(),
                none.handIn(),
                none.handInPlace(),
                none.links(),
                none.files(),
                List.of("A"),
                none.audience(),
                none.shared(),
                none.hidden(),
                none.draft());
        Decisions some = plan(item("a", NOW.plusDays(1), null, forA));
        assertThat(of(some))
                .singleElement()
                .satisfies(d -> assertThat(d.sections()).containsExactly("A"));
    }
}
