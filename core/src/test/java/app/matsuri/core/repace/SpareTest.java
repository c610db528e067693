package app.matsuri.core.repace;

import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.sectionB;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How many classes a unit can lose. */
class SpareTest {

    private static Lesson lesson(String id, boolean optional, LocalDate pin) {
        return new Lesson(id, id, 1, 1, optional, false, false, pin, 0, "", LessonDetails.NONE, Extra.NONE);
    }

    private static Decisions plan(Section section, List<Unit> units) {
        return Decisions.of(demoTerm(), List.of(Course.of("HYD 210", "Rivers", 50, List.of(section), units)));
    }

    /** 44 sessions; 3 lessons, of which one is optional, before a fixed 6th session; then 36, which leaves 3 free. */
    @Test
    void aUnitBearsWhatItCanGiveUpAndWhatIsFreeBehindIt() {
        List<Lesson> first = List.of(lesson("A1", false, null), lesson("A2", true, null), lesson("A3", false, null));
        List<Lesson> second = new ArrayList<>();
        second.add(lesson("B1", false, LocalDate.parse("2026-09-11")));
        for (int n = 2; n <= 37; n++) {
            second.add(lesson("B" + n, false, null));
        }
        Decisions plan =
                plan(sectionA(), List.of(Unit.of("A", "A", first, List.of()), Unit.of("B", "B", second, List.of())));
        List<Spare> spare = Spare.of(plan, Schedule.of(plan).sections().get(0));
        // before the 5th session (Fri 11 Sep) lie 4: three lessons and one free; the optional one can go too
        assertThat(spare).extracting(s -> s.unit().id()).containsExactly("A", "B");
        assertThat(spare.get(0).classes()).isEqualTo(3);
        assertThat(spare.get(0).bears()).isEqualTo(2);
        // 44 sessions less the 4 before it are 40 for 37 lessons
        assertThat(spare.get(1).bears()).isEqualTo(3);
    }

    @Test
    void aSectionPacedByMinutesHasItsSpareToo() {
        List<Lesson> lessons = new ArrayList<>();
        for (int i = 0; i < 42; i++) {
            lessons.add(lesson("A" + i, false, null));
        }
        Decisions plan = plan(sectionB(), List.of(Unit.of("A", "A", lessons, List.of())));
        // 42 lessons of 50 minutes are 28 classes of 75, and there are 30
        assertThat(Spare.of(plan, Schedule.of(plan).sections().get(0)))
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.classes()).isEqualTo(28);
                    assertThat(s.bears()).isEqualTo(2);
                });
    }
}
