package app.matsuri.core.change;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.change.dates.DateUnit;
import app.matsuri.core.change.dates.OrderDay;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.change.plan.ArrangeLessons;
import app.matsuri.core.change.plan.ArrangeUnit;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The outline put in another order, and a unit dropped on a day. L1 is on Mon 31 Aug, L2 on Wed 2, L3 on Fri 4 Sep. */
class ArrangeTest {

    private static final String HYD = "HYD 210";

    private static Decisions plan() {
        Unit first =
                unit(3, Item.of("W1", "L1", "homework", "Work", null), Item.of("W2", null, "reading", "Loose", null));
        Unit second = Unit.of("V", "Second", List.of(Lesson.of("V1", "V1", 1)), List.of());
        Unit third = Unit.of("X", "Material", List.of(), List.of(Item.of("M", null, "reading", "Map", null)));
        return Decisions.of(
                demoTerm(), List.of(Course.of(HYD, "Rivers", 50, List.of(sectionA()), List.of(first, second, third))));
    }

    private static Decisions make(Decisions before, Change change) {
        assertThat(change.sentence(before)).isNotBlank().doesNotEndWith(".");
        return Change.make(change, before).decisions();
    }

    @Test
    void lessonsGoElsewhereWithTheirWork() {
        Course after = make(plan(), new ArrangeLessons(HYD, List.of("L1"), "V", "V1"))
                .courses()
                .get(0);
        assertThat(after.lessons()).extracting(Lesson::id).containsExactly("L2", "L3", "L1", "V1");
        assertThat(after.unit("V").orElseThrow().items()).extracting(Item::id).containsExactly("W1");
        Course within = make(plan(), new ArrangeLessons(HYD, List.of("L3"), "U", "L1"))
                .courses()
                .get(0);
        assertThat(within.lessons()).extracting(Lesson::id).containsExactly("L3", "L1", "L2", "V1");
    }

    @Test
    void whatWasTaughtKeepsItsPlace() {
        Decisions taught = make(plan(), new RecordTaught(HYD, "A", at("2026-08-31T10:00"), List.of("L1"), false, ""));
        assertThatThrownBy(() -> make(taught, new ArrangeLessons(HYD, List.of("L1"), "V", null)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("taught");
    }

    @Test
    void aUnitGoesBeforeAnother() {
        assertThat(make(plan(), new ArrangeUnit(HYD, "X", "U")).courses().get(0).units())
                .extracting(Unit::id)
                .containsExactly("X", "U", "V");
        assertThat(make(plan(), new ArrangeUnit(HYD, "U", null))
                        .courses()
                        .get(0)
                        .units())
                .extracting(Unit::id)
                .containsExactly("V", "X", "U");
    }

    @Test
    void aDaysWorkIsPutInOrder() {
        Course after =
                make(plan(), new OrderDay(HYD, List.of("W2", "W1"))).courses().get(0);
        assertThat(after.item("W2").orElseThrow().place()).isZero();
        assertThat(after.item("W1").orElseThrow().place()).isEqualTo(1);
    }

    @Test
    void aUnitDroppedOnADayDatesAllThatIsInIt() {
        Decisions material = make(plan(), new DateUnit(HYD, "A", "X", day("2026-09-02")));
        assertThat(due(material, "M")).as("with that day's class").isEqualTo(at("2026-09-02T10:00"));
        Decisions thursday = make(plan(), new DateUnit(HYD, "A", "X", day("2026-09-03")));
        assertThat(due(thursday, "M")).isEqualTo(at("2026-09-03T23:59"));
        Decisions moved = make(plan(), new DateUnit(HYD, "A", "U", day("2026-09-09")));
        var a = Schedule.of(moved).section(HYD, "A").orElseThrow();
        assertThat(a.start("V1").orElseThrow()).isEqualTo(at("2026-08-31T10:00"));
        assertThat(a.start("L1").orElseThrow()).isEqualTo(at("2026-09-02T10:00"));
        assertThat(due(moved, "W2")).as("loose work when the unit starts").isEqualTo(at("2026-09-02T10:00"));
    }

    private static java.time.LocalDateTime due(Decisions plan, String item) {
        return Schedule.of(plan)
                .section(HYD, "A")
                .orElseThrow()
                .byItem()
                .get(item)
                .due()
                .at();
    }
}
