package app.matsuri.core.repace;

import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.meets;
import static app.matsuri.core.Plans.sectionA;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Standing;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Two sections of one plan, of which one lost two classes; L12 is optional, L14 may be joined. */
class InStepTest {

    private static final LocalDate TODAY = day("2026-09-18");

    private static Decisions plan() {
        List<Lesson> lessons = new ArrayList<>();
        for (int n = 1; n <= 30; n++) {
            lessons.add(new Lesson(
                    "L" + n, "L" + n, 1, 1, n == 12, n == 14, false, null, 0, "", LessonDetails.NONE, Extra.NONE));
        }
        Section late = Section.of("B", Section.Pace.SESSIONS, List.of(meets("MO,WE,FR", "14:00", 50)))
                .withHoldsEmpty(java.util.Set.of(
                        day("2026-09-09").atTime(14, 0), day("2026-09-11").atTime(14, 0)));
        return Decisions.of(
                demoTerm(),
                List.of(Course.of(
                        "HYD 210",
                        "Rivers",
                        50,
                        List.of(sectionA(), late),
                        List.of(Unit.of("U", "Unit", lessons, List.of())))));
    }

    private static SectionSchedule section(Decisions plan, String code) {
        return Schedule.of(plan).section("HYD 210", code).orElseThrow();
    }

    private static int behind(Decisions plan, String date) {
        return Standing.behind(section(plan, "B"), section(plan, "A"), day(date));
    }

    @Test
    void eachWayIsTriedAndSaysWhenTheTwoAreLevel() {
        Decisions plan = plan();
        assertThat(behind(plan, "2026-09-18")).isEqualTo(2);
        List<InStep.Step> steps = InStep.of(plan, section(plan, "B"), section(plan, "A"), TODAY);
        assertThat(steps)
                .extracting(InStep.Step::gives, InStep.Step::sentence, InStep.Step::week, InStep.Step::left)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("A", "Let A wait: its next 2 classes are kept free", 4, 0),
                        org.assertj.core.groups.Tuple.tuple("B", "Leave out “L12”", 0, 1),
                        org.assertj.core.groups.Tuple.tuple("B", "Join “L14” to the lessons before", 0, 1));
        Decisions after = Change.make(steps.get(0).change(), plan).decisions();
        assertThat(behind(after, "2026-09-25")).isZero();
        assertThat(section(after, "B").placements())
                .as("the section that is behind is not touched")
                .isEqualTo(section(plan, "B").placements());
    }

    @Test
    void whoIsNotBehindNeedsNothing() {
        Decisions plan = plan();
        assertThat(InStep.of(plan, section(plan, "A"), section(plan, "B"), TODAY))
                .isEmpty();
    }
}
