package app.matsuri.core.repace;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.sectionB;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.pace.HoldEmpty;
import app.matsuri.core.change.pace.LeaveOut;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.change.pace.SetLength;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Steps that hold for the whole plan. */
class EverywhereTest {

    private static final String HYD = "HYD 210";

    private final Decisions plan = Decisions.of(
            demoTerm(), List.of(Course.of(HYD, "Rivers", 50, List.of(sectionA(), sectionB()), List.of(unit(6)))));

    private static Section section(Decisions decisions, String code) {
        return decisions.course(HYD).orElseThrow().section(code).orElseThrow();
    }

    private Decisions make(Decisions on, Change... changes) {
        List<Way.Step> steps =
                List.of(changes).stream().map(c -> new Way.Step("Step", c)).toList();
        Decisions now = on;
        for (Way.Step step : Everywhere.of(steps, on)) {
            now = Change.make(step.change(), now).decisions();
        }
        return now;
    }

    @Test
    void whatOneSectionLeavesOutOrShortensAllDo() {
        Decisions after = make(plan, new LeaveOut(HYD, "A", "L3", true), new SetLength(HYD, "A", "L4", 2));
        assertThat(section(after, "B").lessonsWhere(OwnLesson::leftOut)).containsExactly("L3");
        assertThat(section(after, "B").own("L4").length()).isEqualTo(2);
    }

    @Test
    void aClassHeldEmptyStaysTheSectionsOwn() {
        Decisions after = make(plan, new HoldEmpty(HYD, "A", at("2026-09-02T10:00"), true));
        assertThat(section(after, "A").holdsEmpty()).hasSize(1);
        assertThat(section(after, "B").holdsEmpty()).isEmpty();
    }

    @Test
    void aSectionInWhichItWasTaughtKeepsIt() {
        Decisions taught = Change.make(
                        new RecordTaught(HYD, "B", at("2026-09-01T13:00"), List.of("L3"), false, ""), plan)
                .decisions();
        Decisions after = make(taught, new LeaveOut(HYD, "A", "L3", true));
        assertThat(section(after, "A").lessonsWhere(OwnLesson::leftOut)).containsExactly("L3");
        assertThat(section(after, "B").lessonsWhere(OwnLesson::leftOut)).isEmpty();
    }
}
