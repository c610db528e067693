package app.matsuri.core.gradebook;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Due with the fourth lesson: Wed 9 Sep 10:00, and Fri 11 Sep once that Wednesday is a day off. */
class LatenessTest {

    private static final LocalDateTime NOW = at("2026-09-10T12:00");
    private static final Change FLOOD =
            new AddClosure(Closure.of(day("2026-09-09"), day("2026-09-09"), "Flood", "weather"));
    private final Item work =
            Item.of("W", "L4", "homework", "Log", DateRule.of(new Anchor.WithLesson("L4", Edge.START)));
    private final Section section = sectionA()
            .withStudents(List.of(
                    new Student("early", "Wren Oakes", ""),
                    new Student("late", "Tove Lindqvist", ""),
                    new Student("owes", "Bram Sayer", ""),
                    new Student("ill", "Ana Reyes", "")));
    private final Decisions plan = plan(section, unit(6, work));

    private static HandIn in(String student, String at) {
        return new HandIn("HYD 210", "W", student, at(at));
    }

    private static List<Lateness> between(Decisions from, Decisions to, HandIn... handIns) {
        return Lateness.between(Schedule.of(from), Schedule.of(to), List.of(handIns), NOW);
    }

    private static Decisions after(Decisions plan, Change change) {
        return Change.make(change, plan).decisions();
    }

    @Test
    void aLaterDueDateLiftsLatenessWhereItCoversTheHandIn() {
        assertThat(between(plan, after(plan, FLOOD), in("early", "2026-09-08T20:00"), in("late", "2026-09-09T20:00")))
                .as("late, owes and ill are no longer late; two handed in")
                .containsExactly(new Lateness("HYD 210", "A", "W", "Log", 0, 3, 2));
    }

    @Test
    void anEarlierOneMakesLateWhoHasNotHandedInAndWhoDidAfterIt() {
        assertThat(between(after(plan, FLOOD), plan, in("early", "2026-09-08T20:00"), in("late", "2026-09-09T20:00")))
                .containsExactly(new Lateness("HYD 210", "A", "W", "Log", 3, 0, 2));
    }

    @Test
    void aStudentWithOtherDatesIsLeftAlone() {
        Decisions longer = plan(
                section.adjusted(new Adjustment(
                        "W", "ill", Map.of(Which.DUE, Own.other(DateRule.at(at("2026-09-20T17:00")))), "")),
                unit(6, work));
        assertThat(between(longer, after(longer, FLOOD), in("early", "2026-09-08T20:00")))
                .containsExactly(new Lateness("HYD 210", "A", "W", "Log", 0, 2, 1));
    }

    @Test
    void ofWorkThatNobodyHandedInTheGradeBookKnowsNothing() {
        assertThat(between(plan, after(plan, FLOOD))).isEmpty();
        assertThat(between(plan, after(plan, FLOOD), new HandIn("HYD 210", "W", "elsewhere", NOW)))
                .isEmpty();
        assertThat(between(plan, plan, in("early", "2026-09-08T20:00"))).isEmpty();
        assertThat(between(plan, after(plan, new RemoveItem("HYD 210", "W")), in("early", "2026-09-08T20:00")))
                .isEmpty();
    }

    @Test
    void whatStudentsWereToldIsComparedToo() {
        SectionSchedule now = Schedule.of(plan).sections().get(0);
        assertThat(Lateness.told(
                        now,
                        now.byItem().get("W"),
                        at("2026-09-07T23:59"),
                        List.of(in("early", "2026-09-08T20:00")),
                        at("2026-09-08T21:00")))
                .isEqualTo(new Lateness("HYD 210", "A", "W", "Log", 0, 4, 1));
    }
}
