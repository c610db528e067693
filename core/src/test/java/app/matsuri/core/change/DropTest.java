package app.matsuri.core.change;

import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.change.dates.Move;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.plan.PutLesson;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.Schedule;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is dropped lands where it is dropped, or it is said why not. L1 is on Mon 31 Aug, L2 on Wed 2, L3 on Fri 4 Sep. */
class DropTest {

    private static final String HYD = "HYD 210";

    private static Decisions plan(int emptyBeforeLast) {
        Unit second = Unit.of("V", "Second", List.of(Lesson.of("V1", "V1", 2).withGap(emptyBeforeLast)), List.of());
        return Decisions.of(
                demoTerm(), List.of(Course.of(HYD, "Rivers", 50, List.of(sectionA()), List.of(unit(3), second))));
    }

    private static LocalDate on(Decisions plan, String lesson) {
        return Schedule.of(plan)
                .section(HYD, "A")
                .orElseThrow()
                .start(lesson)
                .orElseThrow()
                .toLocalDate();
    }

    private static Change move(String lesson, String to) {
        return Move.seenIn(HYD, "A", List.of(lesson), List.of(), day(to), "last", false, false);
    }

    @Test
    void aFreeLaterClassIsTaken() {
        Decisions after = Change.make(move("V1", "2026-09-18"), plan(0)).decisions();
        assertThat(on(after, "V1")).isEqualTo(day("2026-09-18"));
        assertThat(on(after, "L3")).isEqualTo(day("2026-09-04"));
    }

    @Test
    void itsOwnDaysAreNoMove() {
        // V1 takes Wed 9 and Fri 11 Sep
        assertThatThrownBy(() -> Change.make(move("V1", "2026-09-11"), plan(0)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("on Fri 11 Sep already");
    }

    @Test
    void aDayWithoutAClassIsSaid() {
        assertThatThrownBy(() -> Change.make(move("V1", "2026-09-10"), plan(0)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no class on Thu 10 Sep");
        assertThat(Change.make(move("L1", "2026-09-10"), plan(0)).notes())
                .anySatisfy(n -> assertThat(n).contains("there is no class on Thu 10 Sep"));
    }

    @Test
    void anAddedLessonTakesTheClassesThatAreEmptyBehindIt() {
        Decisions gap = plan(2);
        LocalDate before = on(gap, "V1");
        Change add = new PutLesson(HYD, "U", Lesson.of("L4", "Review", 1), null);
        Decisions one = Change.make(add, gap).decisions();
        assertThat(on(one, "L4")).isEqualTo(day("2026-09-09"));
        assertThat(on(one, "V1")).isEqualTo(before);
        Change longer = new PutLesson(HYD, "U", Lesson.of("L5", "Review", 3), null);
        assertThat(on(Change.make(longer, gap).decisions(), "V1")).isEqualTo(before.plusDays(2));
    }

    @Test
    void whatIsSoAlreadyIsNothing() {
        Decisions pinned = Change.make(new Pin(HYD, null, "L2", day("2026-09-02")), plan(0))
                .decisions();
        assertThat(Proposal.of(pinned, new Pin(HYD, null, "L2", day("2026-09-02")))
                        .nothing())
                .isTrue();
        assertThat(Proposal.of(pinned, new Pin(HYD, null, "L2", null)).nothing())
                .isFalse();
    }
}
